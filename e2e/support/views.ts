import { pieceNamed, send, type Json } from './pieces.ts';
import type { Studio } from './studio.ts';

async function cupOf(studio: Studio, id: string): Promise<unknown> {
  const { mixes } = await send<Json & { mixes: Json[] }>(studio, 'GET', `/api/pieces/${id}`);
  return mixes[1]!.id;
}

/** The address of every view, on the demo. */
export const VIEWS: Readonly<Record<string, (studio: Studio) => Promise<string>>> = {
  today: async () => '/today',
  shelf: async () => '/shelf',
  mix: async (studio) => `/mix/${await pieceNamed(studio, 'Ember seam')}`,
  scale: async (studio) => {
    const id = await pieceNamed(studio, 'Ember seam');
    return `/mix/${id}/scale/${await cupOf(studio, id)}`;
  },
  thickness: async (studio) => `/thickness/${await pieceNamed(studio, 'Lichen drift')}`,
  'one cup': async (studio) => {
    const id = await pieceNamed(studio, 'Lichen drift');
    return `/thickness/${id}/cup/${await cupOf(studio, id)}`;
  },
  race: async (studio) => `/thickness/${await pieceNamed(studio, 'Lichen drift')}/race`,
  calibrate: async () => '/calibrate',
  computation: async () => '/computation',
  safekeeping: async () => '/safekeeping',
  cups: async () => '/cups',
  devices: async () => '/devices',
  plan: async (studio) => `/plan/${await pieceNamed(studio, 'Door panel')}`,
  'run sheet': async (studio) => `/plan/${await pieceNamed(studio, 'Door panel')}/sheet`,
  pour: async (studio) => `/pour/${await pieceNamed(studio, 'Lichen drift')}`,
  results: async () => '/results',
  rack: async () => '/rack',
  calendar: async () => '/rack?view=calendar',
  'show list': async () => '/rack?view=show',
  'drying piece': async (studio) => `/rack/${await pieceNamed(studio, 'Tile, third row')}`,
  decision: async (studio) => `/rack/${await pieceNamed(studio, 'Quiet brass')}?view=decide`,
  lines: async (studio) => `/rack/${await pieceNamed(studio, 'Quiet brass')}?view=lines`,
  'top coat': async (studio) => `/rack/${await pieceNamed(studio, 'Quiet brass')}?view=finish`,
  'show and sell': async (studio) => `/rack/${await pieceNamed(studio, 'Slate fan')}?view=sell`,
  crop: async (studio) => `/rack/${await pieceNamed(studio, 'Small bloom 8')}/crop`,
  sketch: async (studio) => `/rack/${await pieceNamed(studio, 'Tide table 4')}/sketch`,
  record: async (studio) => `/rack/${await pieceNamed(studio, 'Small bloom 12')}/record`,
  labels: async (studio) => `/labels?pieces=${await pieceNamed(studio, 'Slate fan')}`,
  'contact sheet': async () => '/show?name=Lichen%20and%20Brass',
  practice: async () => '/practice',
  drill: async () => '/practice/drill/mound',
  rehearsal: async (studio) => `/practice/piece/${await pieceNamed(studio, 'Door panel')}`,
  'one piece': async (studio) => `/results/${await pieceNamed(studio, 'Slate fan')}`,
};
