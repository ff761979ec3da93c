import type { Origin, Piece } from '@icy-ribbon/contract';
import type { Part } from '@icy-ribbon/core/picture/crop';
import type { Technique } from '@icy-ribbon/core/paint/stage';
import { api } from '@icy-ribbon/contract/addresses';
import { call, upload } from '#api/client.ts';
import { useShelf } from '#store/shelf.ts';

const MAX_NAME = 80;

/** Pieces that come out of another one; each keeps the link to its parent. */
export function useNewFrom() {
  const shelf = useShelf();

  async function start(
    parent: Piece,
    input: {
      readonly name: string;
      readonly technique: Technique;
      readonly how: Origin['how'];
      readonly part?: Part;
      readonly supportId?: string;
    },
  ): Promise<Piece> {
    const { name, technique, how, part = null, supportId = parent.support.supportId } = input;
    return call(api.pieces.create, {
      body: {
        id: crypto.randomUUID(),
        name: name.slice(0, MAX_NAME),
        technique,
        supportId,
        origin: { pieceId: parent.id, how, part },
      },
    });
  }

  /** @returns the id of the new piece, which has the part as its dry photo where there is one */
  async function crop(parent: Piece, part: Part, image: Blob | null): Promise<string> {
    const { widthMm, heightMm, kind, sideDepthMm } = parent.support;
    const size = { widthMm: Math.round(part.width * widthMm), heightMm: Math.round(part.height * heightMm) };
    const support = await shelf.addSupport({
      name: `Part of ${parent.name}`.slice(0, MAX_NAME),
      shape: 'rectangle',
      ...size,
      sideDepthMm,
      ...(kind && { kind }),
    });
    const piece = await start(parent, {
      name: `${parent.name}, part`,
      technique: parent.technique,
      how: 'crop',
      part,
      supportId: support.id,
    });
    if (image) {
      const form = new FormData();
      form.set('id', crypto.randomUUID());
      form.set('state', 'dry');
      form.set('photo', image);
      await upload(api.photos.upload, form, { pieceId: piece.id });
    }
    return piece.id;
  }

  return { start, crop };
}
