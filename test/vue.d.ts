/** Tests mount components without knowing their props: the pages' own check knows them. */
declare module '*.vue' {
  import type { DefineComponent } from 'vue';

  const component: DefineComponent<Record<string, unknown>>;
  export default component;
}
