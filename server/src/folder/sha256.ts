import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';

/** The SHA-256 of a file, read a part at a time. */
export async function sha256Of(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const part of createReadStream(path)) hash.update(part as Buffer);
  return hash.digest('hex');
}
