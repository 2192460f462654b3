import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';
import { useTheme } from './stores/theme.ts';
import './style.css';

const app = createApp(App);
app.use(createPinia());
useTheme();
app.use(router).mount('#app');
