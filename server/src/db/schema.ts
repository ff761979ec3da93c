import type {
  Calibration,
  DrillRun,
  CareEvent,
  Equipment,
  Judgement,
  Material,
  Measurement,
  Mix,
  OwnRecipe,
  Photo,
  PhotoDetail,
  Piece,
  PiecePlan,
  PourEvent,
  Reading,
  SavedView,
  Support,
} from '@icy-ribbon/contract';
import type { Generated } from 'kysely';
import type { JsonText } from './json.ts';

/** The tables as they are now; migrations lead here. What a column may hold, the contract says. */
export interface Database {
  material: MaterialTable;
  equipment: EquipmentTable;
  recipe: RecipeTable;
  support: SupportTable;
  piece: PieceTable;
  mix: MixTable;
  mixIngredient: MixIngredientTable;
  mixAddition: MixAdditionTable;
  mixMovement: MixMovementTable;
  reading: ReadingTable;
  calibration: CalibrationTable;
  drillRun: DrillRunTable;
  pourEvent: PourEventTable;
  careEvent: CareEventTable;
  photo: PhotoTable;
  judgement: JudgementTable;
  plan: PlanTable;
  savedView: SavedViewTable;
  pourFacts: PourFactsTable;
  touched: TouchedTable;
  revision: RevisionTable;
  studio: StudioTable;
  setAside: SetAsideTable;
}

type Envelope = keyof RecordColumns;
type Addition = Mix['additions'][number];
type Movement = Mix['movements'][number];
type Ingredient = Mix['ingredients'][number];

export interface RecordColumns {
  id: string;
  version: number;
  createdAt: string;
  updatedAt: string;
  deletedAt: string | null;
}

export interface MaterialTable extends RecordColumns {
  name: string;
  kind: Material['kind'];
  colorHex: string;
  dryColorHex: string | null;
  finish: Material['finish'];
  opacity: Material['opacity'];
  pigment: Material['pigment'];
  densityGPerMl: number;
  densityTrust: Material['densityTrust'];
  viscosityPaS: number;
  viscosityTrust: Material['viscosityTrust'];
  priceCents: number | null;
  packMg: number | null;
  stockMg: number | null;
  stockCountedAt: string | null;
  /** The last addition before it was counted, where that was here. */
  countedAfterSeq: number | null;
  openedOn: string | null;
  /** 0 or 1. */
  canBuy: number;
  solids: number | null;
  waterLimit: number | null;
  tintingStrength: number | null;
  note: string;
}

type WithoutEach<Union, Key extends PropertyKey> = Union extends unknown ? Omit<Union, Key> : never;
export type EquipmentBody = WithoutEach<Equipment, Envelope | 'kind' | 'name'>;

export interface EquipmentTable extends RecordColumns {
  kind: Equipment['kind'];
  name: string;
  /** Everything but kind and name. */
  body: JsonText<EquipmentBody>;
}

export interface RecipeTable extends RecordColumns {
  name: string;
  /** Everything but the name. */
  body: JsonText<Omit<OwnRecipe, Envelope | 'name'>>;
}

export interface SupportTable extends RecordColumns {
  name: string;
  shape: Support['shape'];
  widthMm: number;
  heightMm: number;
  sideDepthMm: number;
  kind: Support['kind'];
}

export interface PieceTable extends RecordColumns {
  name: string;
  technique: Piece['technique'];
  aims: JsonText<Piece['aims']>;
  colors: number | null;
  topCoatedAt: string | null;
  touchDryAt: string | null;
  /** The piece it came out of. */
  origin: JsonText<NonNullable<Piece['origin']>> | null;
  note: string;
  supportId: string;
  supportSnapshot: JsonText<Piece['support']>;
}

export interface MixTable extends RecordColumns {
  pieceId: string;
  name: string;
  role: Mix['role'];
  /** The recipe as it was. */
  recipe: JsonText<Mix['recipe']>;
  /** 0 or 1. */
  lid: number;
  dryColorHex: string | null;
  position: number;
}

export interface MixIngredientTable {
  id: string;
  cupId: string;
  position: number;
  role: Ingredient['role'];
  share: number;
  targetMg: number;
  materialId: string;
  materialSnapshot: JsonText<Ingredient['material']>;
}

export interface MixAdditionTable {
  /** Counts up, so that the order of weighing is kept. */
  seq: Generated<number>;
  id: string;
  cupId: string;
  ingredientId: string;
  mg: number;
  source: Addition['source'];
  at: string;
  voidedAt: string | null;
  /** The draw from another cup that brought it, which is also that cup's movement. */
  drawId: string | null;
  /** Counts what came into the cup and what left it, in the order it happened; 0: by its time. */
  place: number;
  /** 1 when it came in by a file. */
  imported: Generated<number>;
}

export interface MixMovementTable {
  id: string;
  cupId: string;
  kind: Movement['kind'];
  mg: number;
  at: string;
  voidedAt: string | null;
  place: number;
}

export interface ReadingTable {
  seq: Generated<number>;
  id: string;
  pieceId: string;
  /** Null for a reference liquid that ran in a race. */
  cupId: string | null;
  raceId: string | null;
  at: string;
  temperatureC: number | null;
  /** What the cup held then: milligrams by ingredient. */
  contents: JsonText<Reading['contents']>;
  measure: JsonText<Reading['measure']>;
  struckAt: string | null;
}

export interface CalibrationTable extends RecordColumns {
  kind: Calibration['kind'];
  name: string;
  /** The readings of reference liquids. */
  points: JsonText<Calibration['points']>;
}

export interface DrillRunTable extends RecordColumns {
  drill: DrillRun['drill'];
  score: number;
  answers: JsonText<DrillRun['answers']>;
  measures: JsonText<DrillRun['measures']>;
}

export interface PourEventTable {
  seq: Generated<number>;
  id: string;
  pieceId: string;
  kind: PourEvent['kind'];
  at: string;
  data: JsonText<PourEvent['data']>;
  /** The event that this one corrects. */
  insteadOf: string | null;
}

export interface CareEventTable {
  seq: Generated<number>;
  id: string;
  pieceId: string;
  kind: CareEvent['kind'];
  at: string;
  data: JsonText<CareEvent['data']>;
}

export interface PlanTable {
  pieceId: string;
  /** What is laid and blown. */
  body: JsonText<Omit<PiecePlan, 'version' | 'createdAt' | 'updatedAt'>>;
  version: number;
  createdAt: string;
  updatedAt: string;
}

export interface PhotoTable {
  id: string;
  pieceId: string;
  version: number;
  state: Photo['state'];
  hash: string;
  widthPx: number;
  heightPx: number;
  measurement: JsonText<Measurement> | null;
  /** What kind of file the camera's own one is, where it was kept as well. */
  original: 'jpeg' | 'png' | 'heif' | null;
  /** 1 when a stand-in made it up. */
  standIn: number;
  /** What the overlay draws. */
  detail: JsonText<PhotoDetail> | null;
  createdAt: string;
  deletedAt: string | null;
}

export interface JudgementTable {
  pieceId: string;
  cells: number | null;
  lacing: number | null;
  petals: number | null;
  mud: number | null;
  cellSizeMm: number | null;
  rating: number | null;
  verdict: Judgement['verdict'];
  hangingDeg: Judgement['hangingDeg'];
  /** What went wrong and where. */
  faults: JsonText<Judgement['faults']>;
  tryNext: string;
  note: string;
  version: number;
  createdAt: string;
  updatedAt: string;
}

export interface SavedViewTable extends RecordColumns {
  name: string;
  filter: JsonText<SavedView['filter']>;
}

/** Numbers worked out from a pour; a row that is missing is worked out when it is asked for. */
export interface PourFactsTable {
  pieceId: string;
  pouredAt: string | null;
  tool: string | null;
  /** Every tool that blew, as a JSON list. */
  tools: string;
  stage: string | null;
  rating: number | null;
  photoId: string | null;
  numbers: string;
  /** 1 when the photo that speaks for it was made up by a stand-in. */
  standIn: number;
  /** Its measured cells beside what was expected of them, as JSON; null where there are none. */
  cells: string | null;
  /** The piece in short, as the API shows it. */
  summary: string;
  /** Why it could not be worked out. */
  trouble: string | null;
  /** The version of the code that worked it out. */
  code: number;
}

/** Pieces that the running transaction has changed; empty in between. */
export interface TouchedTable {
  pieceId: string;
  /** 1 when it was put in. */
  isNew: number;
  /** What was known of it before; null: nothing. */
  code: number | null;
  trouble: string | null;
}

/** How often something changed that a cache is worked out from. */
export interface RevisionTable {
  topic: 'learned' | 'dried' | 'numbers';
  n: number;
}

/** What is known of the studio as a whole. */
export interface StudioTable {
  key: string;
  value: string;
}

/** Records that could not be read, as they were. */
export interface SetAsideTable {
  seq: Generated<number>;
  at: string;
  what: string;
  id: string;
  reason: string;
  content: string;
}
