import sharp from 'sharp';

/** A JPEG as a phone held sideways writes it: 90 degrees off, with the turn noted and a place inside. */
export function sidewaysPhoto(): Promise<Buffer> {
  return sharp({ create: { width: 400, height: 300, channels: 3, background: '#46607a' } })
    .composite([
      {
        input: { create: { width: 120, height: 120, channels: 3, background: '#b98a2b' } },
        left: 20,
        top: 20,
      },
    ])
    .jpeg()
    .withExif({ IFD0: { Orientation: '6' }, IFD3: { GPSLatitudeRef: 'N' } })
    .withMetadata({ orientation: 6 })
    .toBuffer();
}
