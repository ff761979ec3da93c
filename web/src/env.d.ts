/// <reference types="vite/client" />

declare module 'plotly.js-basic-dist-min' {
  interface PlotlyLibrary {
    react(element: HTMLElement, data: unknown, layout: unknown, config: unknown): Promise<void>;
    purge(element: HTMLElement): void;
    readonly Plots: { resize(element: HTMLElement): Promise<void> };
  }
  const Plotly: PlotlyLibrary;
  export default Plotly;
}
