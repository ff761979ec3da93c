import '@fontsource-variable/figtree/index.css';
import './app/theme.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './app/App.vue';
import { carryNonce } from './app/nonce.ts';
import { router } from './app/router.ts';
import { sayProblem } from './notice/notices.ts';

carryNonce();

const app = createApp(App);
app.config.errorHandler = (error) => sayProblem(error);
app.use(createPinia()).use(router).mount('#app');
