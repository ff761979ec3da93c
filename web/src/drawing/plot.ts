import Plotly from 'plotly.js-basic-dist-min';
import { FACE, TYPE, type Palette } from '../theme/tokens.ts';

export interface PlotLayout {
  readonly xTitle: string;
  readonly yTitle: string;
  readonly logY?: boolean;
  readonly ticks?: readonly number[];
  readonly shapes?: readonly object[];
  readonly rangeY?: readonly [number, number];
  readonly rangeX?: readonly [number, number];
  /** Between two marks of the x axis. */
  readonly stepX?: number;
  readonly legend?: boolean;
}

/** From what the axes show to pixels of the element. */
export type PlaceOf = (x: number, y: number) => { readonly left: number; readonly top: number };

interface DrawnAxis {
  readonly _offset: number;
  d2p(value: number): number;
}

export interface Plotting {
  draw(data: readonly object[], layout: PlotLayout, palette: Palette): void;
  resize(): void;
  /** Tells, whenever the chart was drawn anew, where points of its axes lie in the element (px). */
  onPlaced(told: (placeOf: PlaceOf) => void): void;
  /** Tells the `customdata` of the point that the pointer is over. */
  onHover(told: (custom: unknown) => void): void;
  close(): void;
}

interface HoverEvent {
  readonly points: readonly { readonly customdata?: unknown }[];
}

/** A chart in an element of the page, in the product's own look. */
export function plotInto(element: HTMLElement): Plotting {
  return {
    draw(data, layout, palette) {
      void Plotly.react(element, data as never, styled(layout, palette) as never, {
        displayModeBar: false,
        responsive: false,
      });
    },
    onHover: (told) =>
      listen<HoverEvent>(element, 'plotly_hover', (event) => told(event.points[0]?.customdata)),
    onPlaced: (told) =>
      listen(element, 'plotly_afterplot', () => {
        const { xaxis, yaxis } = (element as unknown as { _fullLayout: Record<'xaxis' | 'yaxis', DrawnAxis> })
          ._fullLayout;
        told((x, y) => ({ left: xaxis._offset + xaxis.d2p(x), top: yaxis._offset + yaxis.d2p(y) }));
      }),
    resize: () => void Plotly.Plots.resize(element),
    close: () => Plotly.purge(element),
  };
}

function listen<Event>(element: HTMLElement, name: string, heard: (event: Event) => void): void {
  (element as unknown as { on(name: string, heard: (event: Event) => void): void }).on(name, heard);
}

function styled(layout: PlotLayout, palette: Palette) {
  const { xTitle, yTitle, logY, ticks, shapes, rangeX, rangeY, stepX, legend } = layout;
  const axis = {
    color: palette.inkSoft,
    gridcolor: palette.rule,
    zeroline: false,
    linecolor: palette.rule,
    title: { standoff: 6 },
  };
  return {
    font: { family: FACE, size: TYPE.note, color: palette.ink },
    paper_bgcolor: 'transparent',
    plot_bgcolor: 'transparent',
    margin: { l: 52, r: 12, t: 8, b: 38 },
    showlegend: legend ?? false,
    legend: { orientation: 'h', y: 1.18, x: 0 },
    hoverlabel: { bgcolor: palette.paper, bordercolor: palette.iceDeep, font: { color: palette.ink } },
    xaxis: {
      ...axis,
      showgrid: false,
      title: { text: xTitle, standoff: 6 },
      ...(rangeX && { range: [...rangeX] }),
      ...(stepX && { tick0: 0, dtick: stepX }),
    },
    yaxis: {
      ...axis,
      title: { text: yTitle, standoff: 6 },
      ...(logY && { type: 'log', showgrid: false }),
      ...(rangeY && { range: [...rangeY] }),
      ...(ticks && { tickvals: ticks, ticktext: ticks.map(String) }),
    },
    shapes,
  };
}
