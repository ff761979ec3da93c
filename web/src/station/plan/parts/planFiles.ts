import { saveFile } from '#drawing/saveFile.ts';
import { planSvg } from '#drawing/planSvg.ts';
import type { PlanContext } from '#drawing/plan.ts';
import type { PlanBody } from '#store/plan/plan.ts';

/** Saves a plan as a drawing, as a picture, or as data. */
export async function savePlan(
  kind: 'svg' | 'png' | 'json',
  context: PlanContext,
  body: PlanBody,
  name: string,
): Promise<void> {
  if (kind === 'svg') saveSvg(context, name);
  else if (kind === 'json') saveJson(context, body, name);
  else await savePng(context, name);
}

const PLAN_FORMAT = 'icy-ribbon/plan';
const PNG_LONG_SIDE_PX = 2000;

const fileName = (name: string, ending: string) =>
  `${name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'plan'}.${ending}`;

function saveSvg(context: PlanContext, name: string): void {
  saveFile(new Blob([planSvg(context)], { type: 'image/svg+xml' }), fileName(name, 'svg'));
}

/** The plan with all it needs to be worked out elsewhere: the input of the calculation `amounts`, and more. */
function saveJson({ support, paints, blowers }: PlanContext, body: PlanBody, name: string): void {
  const document = {
    format: PLAN_FORMAT,
    formatVersion: 2,
    name,
    support,
    plan: { ...body, paints, blowers },
  };
  saveFile(
    new Blob([JSON.stringify(document, null, 2)], { type: 'application/json' }),
    fileName(name, 'json'),
  );
}

async function savePng(context: PlanContext, name: string): Promise<void> {
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
    if (blob) saveFile(blob, fileName(name, 'png'));
  } finally {
    URL.revokeObjectURL(url);
  }
}
