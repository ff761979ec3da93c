import { createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';

/** A zip file at a path, its parts by name. */
export async function writeZip(
  path: string,
  parts: Readonly<Record<string, string | Buffer>>,
): Promise<void> {
  const zip = new ZipFile();
  for (const [name, content] of Object.entries(parts)) zip.addBuffer(Buffer.from(content), name);
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(path));
}

/** Collects an answer that is no text. */
export const binary = (
  response: NodeJS.ReadableStream,
  done: (error: Error | null, body: Buffer) => void,
) => {
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  response.on('end', () => done(null, Buffer.concat(parts)));
};
