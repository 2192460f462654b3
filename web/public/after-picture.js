// Begins the pages once their first picture has been painted: what they are made of takes a slow phone longer than the picture does.
const { begins } = document.querySelector('script[data-begins]').dataset;
const begin = () => import(begins);
if (document.hidden) void begin();
else requestAnimationFrame(() => setTimeout(begin));
