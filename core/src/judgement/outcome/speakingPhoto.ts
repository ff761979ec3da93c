interface PhotoOfPiece {
  readonly state: string;
  readonly measurement: object | null;
}

/**
 * The one photo that speaks for a piece, in its picture and in its numbers: measured before not, dry before wet, the
 * newest of those.
 *
 * @param photos in the order they were taken
 * @returns undefined without a photo
 */
export function speakingPhoto<Photo extends PhotoOfPiece>(photos: readonly Photo[]): Photo | undefined {
  const measured = photos.filter((photo) => photo.measurement !== null);
  const among = measured.length > 0 ? measured : photos;
  return among.filter((photo) => photo.state === 'dry').at(-1) ?? among.at(-1);
}

/**
 * The photo that speaks for a piece, with what it takes to show the support alone; null without a photo.
 *
 * @param photos in the order they were taken
 */
export function shownPhoto<Corners>(
  photos: readonly {
    readonly id: string;
    readonly widthPx: number;
    readonly heightPx: number;
    readonly state: string;
    readonly measurement: { readonly corners: Corners } | null;
  }[],
): { id: string; widthPx: number; heightPx: number; corners: Corners | null } | null {
  const photo = speakingPhoto(photos);
  if (!photo) return null;
  const { id, widthPx, heightPx, measurement } = photo;
  return { id, widthPx, heightPx, corners: measurement?.corners ?? null };
}
