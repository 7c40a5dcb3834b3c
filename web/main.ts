import '@fontsource-variable/hanken-grotesk/wght.css';
import './control/theme.css';
import './control/controls.css';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { createApp } from 'vue';
import { askAhead } from './api/ahead';
import App from './App.vue';
import { preset } from './control/preset';
import { router } from './router';

askAhead(location.pathname);

const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '';

createApp(App)
  .use(createPinia())
  .use(router)
  .use(PrimeVue, {
    theme: { preset, options: { prefix: 'l', darkModeSelector: 'none' } },
    csp: { nonce },
  })
  .mount('#app');
