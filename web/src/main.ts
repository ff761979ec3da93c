import '@fontsource-variable/figtree/index.css';
import './theme/theme.css';
import './theme/kit.css';
import './theme/layout.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { makeIdsEverywhere } from './api/ids.ts';
import App from './app/App.vue';
import { carryNonce } from './app/nonce.ts';
import { router } from './app/router.ts';
import { sayProblem, tellProblemsBy } from './notice/notices.ts';
import { applyTokens } from './theme/tokens.ts';
import { problemWords } from './words/problem.ts';

makeIdsEverywhere();
carryNonce();
applyTokens(document.documentElement);
tellProblemsBy(problemWords);

const app = createApp(App);
app.config.errorHandler = (error) => sayProblem(error);
app.use(createPinia()).use(router).mount('#app');
