import { existsSync } from 'node:fs';
import { join } from 'node:path';
import {
  api,
  archiveSchema,
  openApiDocument,
  pieceDocumentSchema,
  type Endpoint,
} from '@icy-ribbon/contract';
import type { Router } from 'express';
import { z } from 'zod';
import { VERSION } from '../version.ts';

const format = (schema: z.ZodType) => z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' });

/** What the API is and what its files look like, written from the contract, by the last part of their addresses. */
export const DESCRIPTIONS: readonly (readonly [Endpoint, string, () => object])[] = [
  [api.studio.openApi, 'openapi.json', () => openApiDocument(VERSION)],
  [api.studio.archiveFormat, 'studio.json', () => format(archiveSchema)],
  [api.studio.pieceFormat, 'piece.json', () => format(pieceDocumentSchema)],
];

const ENCODINGS = [
  ['br', '.br'],
  ['gzip', '.gz'],
] as const;

/**
 * Serves the descriptions as files that the build has written, compressed; where it has not (tests), they are written
 * once when they are asked for.
 */
export function describingRoutes(router: Router, folder: string): void {
  for (const [{ path }, name, make] of DESCRIPTIONS) {
    let text: string | undefined;
    router.get(path, (request, response) => {
      response.type('json');
      if (!existsSync(join(folder, name))) {
        response.send((text ??= JSON.stringify(make())));
        return;
      }
      const found = ENCODINGS.find(([encoding]) => request.acceptsEncodings(encoding) === encoding);
      response.setHeader('Vary', 'Accept-Encoding');
      if (found) response.setHeader('Content-Encoding', found[0]);
      response.sendFile(`${name}${found?.[1] ?? ''}`, {
        root: folder,
        headers: { 'Content-Type': 'application/json' },
      });
    });
  }
}
