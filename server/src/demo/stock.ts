import type { Material, Support } from '@icy-ribbon/contract';
import type { Random } from '@icy-ribbon/core/base/random';
import type { MaterialKind } from '@icy-ribbon/core/paint/material';
import type { DemoPicture, DemoShot } from './pictures.ts';
import type { DemoPaintName } from './shelf.ts';

/** What a piece of the demo is made of. */
export interface DemoStock {
  readonly paints: Readonly<Record<DemoPaintName, Material>>;
  readonly media: ReadonlyMap<MaterialKind, Material>;
  readonly support: Support;
}

/** How it is made. */
export interface DemoTools {
  readonly now: Date;
  /** The hand at the scale and the room, by lot. */
  readonly random: Random;
  readonly makeId: () => string;
  readonly photograph: (shot: DemoShot) => Promise<DemoPicture>;
}
