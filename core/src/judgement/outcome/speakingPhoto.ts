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
