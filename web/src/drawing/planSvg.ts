import { LIGHT, type Palette } from '../theme/tokens.ts';
import type { Place } from '@icy-ribbon/core/piece/plan';
import { airArrow } from './airArrow.ts';
import { baseShapes, faceOutline, inkOn, pathBands, stackDisks, tipOf, type PlanContext } from './plan.ts';
import { puddlePath } from './puddle.ts';

const MARGIN_MM = 12;

const round = (value: number) => Number(value.toFixed(2));
const points = (places: readonly Place[]) => places.map(({ x, y }) => `${round(x)},${round(y)}`).join(' ');

/**
 * A plan as an SVG file to scale: its width and height are in millimeters, so that it prints in true size.
 * `margin` is how much is left around it, mm. Nothing in it is text of the artist's, so nothing needs escaping.
 */
export function planSvg(
  context: PlanContext,
  { margin = MARGIN_MM, palette = LIGHT }: { margin?: number; palette?: Palette } = {},
): string {
  const { support, plan } = context;
  const span = Math.min(support.widthMm, support.heightMm);
  const stroke = span / 220;
  const face = points(faceOutline(support));
  const [width, height] = [support.widthMm + 2 * margin, support.heightMm + 2 * margin];
  const parts = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="${-margin} ${-margin} ${width} ${height}">`,
    ...(margin > 0
      ? [`<rect x="${-margin}" y="${-margin}" width="${width}" height="${height}" fill="${palette.ice}"/>`]
      : []),
    `<defs><clipPath id="face"><polygon points="${face}"/></clipPath></defs>`,
    `<g clip-path="url(#face)"><polygon points="${face}" fill="${palette.bench}"/>`,
    ...baseShapes(context).map(
      (area) => `<polygon points="${points(area.outline)}" fill="${area.colorHex}"/>`,
    ),
    ...plan.paths.flatMap((path) =>
      pathBands(context, path).map(
        (band) =>
          `<polyline points="${points(band.places)}" fill="none" stroke="${band.colorHex}" stroke-width="${round(band.widthMm)}" stroke-linecap="round" stroke-linejoin="round"${path.kind === 'flood' ? ' stroke-opacity="0.55"' : ''}/>`,
      ),
    ),
    ...plan.stacks.flatMap((stack) => [
      `<circle cx="${round(stack.at.x)}" cy="${round(stack.at.y)}" r="${round(stack.footprintMm / 2)}" fill="none" stroke="${palette.ink}" stroke-width="${round(stroke / 2)}" stroke-dasharray="${round(4 * stroke)}"/>`,
      ...stackDisks(context, stack).map(
        (disk) =>
          `<path d="${puddlePath(disk.at.x, disk.at.y, disk.radiusMm)}" fill="${disk.colorHex}" stroke="${inkOn(disk.colorHex)}" stroke-opacity="0.4" stroke-width="${round(stroke / 2)}"/>`,
      ),
    ]),
    '</g>',
    `<polygon points="${face}" fill="none" stroke="${palette.ink}" stroke-width="${round(stroke)}"/>`,
    ...plan.passes.map((pass, index) => air(pass.at, tipOf(context, pass), index + 1, { stroke, palette })),
    '</svg>',
  ];
  return parts.join('\n');
}

function air(
  from: Place,
  tip: Place,
  number: number,
  { stroke, palette }: { stroke: number; palette: Palette },
): string {
  const radius = 5 * stroke;
  const { outline, numberAt } = airArrow(from, tip, 2 * radius);
  return [
    `<polygon points="${points(outline)}" fill="${palette.ink}" stroke="${palette.bench}" stroke-width="${round(stroke)}" stroke-linejoin="round"/>`,
    `<circle cx="${round(numberAt.x)}" cy="${round(numberAt.y)}" r="${round(radius)}" fill="${palette.bench}" stroke="${palette.ink}" stroke-width="${round(stroke * 0.7)}"/>`,
    `<text x="${round(numberAt.x)}" y="${round(numberAt.y + 2 * stroke)}" font-family="sans-serif" font-size="${round(6 * stroke)}" text-anchor="middle" fill="${palette.ink}">${number}</text>`,
  ].join('');
}
