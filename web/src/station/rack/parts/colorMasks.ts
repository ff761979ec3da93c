import type { LabelledFace } from '@icy-ribbon/core/picture/crop';

/** A picture for each color: white where it is seen. */
export function colorMasks(glance: LabelledFace, names: readonly string[]): Map<string, string> {
  const { width, height, labels } = glance;
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d')!;
  return new Map(
    names.map((name, color) => {
      const image = context.createImageData(width, height);
      labels.forEach((label, at) => {
        const on = label === color ? 255 : 0;
        image.data.set([on, on, on, 255], 4 * at);
      });
      context.putImageData(image, 0, 0);
      return [name, canvas.toDataURL()];
    }),
  );
}
