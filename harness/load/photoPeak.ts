import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { startServer } from '../serverProcess.ts';
import { peakOf } from './peak.ts';

/**
 * Sends photos of so many megapixels all at once to a server of its own, each turned by its camera so that it must be
 * decoded whole, and tells the most memory that the server took (its peak resident set, where the system tells it).
 */
export async function photoPeak(
  dataFolder: string,
  pieceId: string,
  { count, megapixels }: { count: number; megapixels: number },
): Promise<{ peakMb: number; seconds: number; taken: number }> {
  const width = Math.round(Math.sqrt((megapixels * 1e6 * 4) / 3));
  const height = Math.round((width * 3) / 4);
  const noise = { type: 'gaussian', mean: 128, sigma: 12 } as const;
  const photo = await sharp({ create: { width, height, channels: 3, background: '#667788', noise } })
    .jpeg({ quality: 80 })
    .withMetadata({ orientation: 6 })
    .toBuffer();
  const server = await startServer(dataFolder);
  try {
    const startedAt = performance.now();
    const sent = Array.from({ length: count }, async () => {
      const form = new FormData();
      form.set('id', randomUUID());
      form.set('state', 'wet');
      form.set('photo', new Blob([new Uint8Array(photo)]));
      return (await fetch(`${server.address}/api/pieces/${pieceId}/photos`, { method: 'POST', body: form }))
        .ok;
    });
    const taken = (await Promise.all(sent)).filter(Boolean).length;
    return { peakMb: peakOf(server.pid), seconds: (performance.now() - startedAt) / 1000, taken };
  } finally {
    await server.stop();
  }
}
