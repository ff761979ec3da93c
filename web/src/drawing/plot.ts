import Plotly from 'plotly.js-basic-dist-min';
import type { Palette } from '../theme/palette.ts';

export interface PlotLayout {
  readonly xTitle: string;
  readonly yTitle: string;
  readonly logY?: boolean;
  readonly ticks?: readonly number[];
  readonly shapes?: readonly object[];
  readonly rangeY?: readonly [number, number];
  readonly legend?: boolean;
}

export interface Plotting {
  draw(data: readonly object[], layout: PlotLayout, palette: Palette): void;
  resize(): void;
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
    onHover(told) {
      (element as unknown as { on(name: string, listen: (event: HoverEvent) => void): void }).on(
        'plotly_hover',
        (event) => told(event.points[0]?.customdata),
      );
    },
    resize: () => void Plotly.Plots.resize(element),
    close: () => Plotly.purge(element),
  };
}

function styled({ xTitle, yTitle, logY, ticks, shapes, rangeY, legend }: PlotLayout, palette: Palette) {
  const axis = {
    color: palette.inkSoft,
    gridcolor: palette.rule,
    zeroline: false,
    linecolor: palette.rule,
    title: { standoff: 6 },
  };
  return {
    font: { family: 'Figtree Variable, system-ui, sans-serif', size: 13, color: palette.ink },
    paper_bgcolor: 'transparent',
    plot_bgcolor: 'transparent',
    margin: { l: 52, r: 12, t: 8, b: 38 },
    showlegend: legend ?? false,
    legend: { orientation: 'h', y: 1.18, x: 0 },
    hoverlabel: { bgcolor: palette.paper, bordercolor: palette.iceDeep, font: { color: palette.ink } },
    xaxis: { ...axis, showgrid: false, title: { text: xTitle, standoff: 6 } },
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
