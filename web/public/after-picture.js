// Begins the pages once their first picture has been painted: what they are made of takes a slow phone longer than the picture does, and
// holds it up when it comes before. Then all of it comes at once.
const { begins } = document.querySelector('script[data-begins]').dataset;
const { scripts } = document.querySelector('[data-scripts]').dataset;
function begin() {
  for (const href of scripts.split(' ')) document.head.append(Object.assign(document.createElement('link'), { rel: 'modulepreload', href }));
  void import(begins);
}
if (document.hidden) begin();
else requestAnimationFrame(() => setTimeout(begin));
