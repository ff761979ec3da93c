import { planSvg } from '../../../drawing/planSvg.ts';
import type { PlanContext } from '../../../drawing/plan.ts';
import type { PlanBody } from '../../../store/plan/plan.ts';

export const PLAN_FORMAT = 'icy-ribbon/plan';
const PNG_LONG_SIDE_PX = 2000;

const fileName = (name: string, ending: string) =>
  `${name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'plan'}.${ending}`;

function save(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

export function savePlanSvg(context: PlanContext, name: string): void {
  save(new Blob([planSvg(context)], { type: 'image/svg+xml' }), fileName(name, 'svg'));
}

/** The plan with all it needs to be worked out elsewhere: the input of the calculation `amounts`, and more. */
export function savePlanJson({ support, paints, blowers }: PlanContext, body: PlanBody, name: string): void {
  const document = {
    format: PLAN_FORMAT,
    formatVersion: 1,
    name,
    support,
    plan: { ...body, paints, blowers },
  };
  save(new Blob([JSON.stringify(document, null, 2)], { type: 'application/json' }), fileName(name, 'json'));
}

export async function savePlanPng(context: PlanContext, name: string): Promise<void> {
  const svg = planSvg(context);
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const scale = PNG_LONG_SIDE_PX / Math.max(image.naturalWidth, image.naturalHeight);
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(image.naturalWidth * scale);
    canvas.height = Math.round(image.naturalHeight * scale);
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((made) => canvas.toBlob(made, 'image/png'));
    if (blob) save(blob, fileName(name, 'png'));
  } finally {
    URL.revokeObjectURL(url);
  }
}
