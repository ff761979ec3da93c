import { pieceNamed, send, type Json } from './pieces.ts';
import type { Studio } from './studio.ts';

/** The address of every station on the demo, with a piece that has something to show there. */
export async function stationPaths(studio: Studio): Promise<string[]> {
  const id = (name: string) => pieceNamed(studio, name);
  const seam = await id('Ember seam');
  const { mixes } = await send<Json & { mixes: Json[] }>(studio, 'GET', `/api/pieces/${seam}`);
  return [
    '/today',
    '/shelf',
    `/mix/${seam}`,
    `/mix/${seam}/scale/${mixes[0]!.id}`,
    `/thickness/${await id('Rain shutter')}`,
    `/thickness/${await id('Rain shutter')}/race`,
    `/plan/${await id('Door panel')}`,
    `/pour/${await id('Door panel')}`,
    '/results',
    `/results/${await id('Slate fan')}`,
    '/rack',
    `/rack/${await id('Quiet brass')}`,
    '/practice',
    '/devices',
  ];
}
