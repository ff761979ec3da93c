import type { CareData } from '../../piece/care/index.ts';
import type { PassData } from '../../piece/event/index.ts';
import type { FaultKind } from './faults.ts';
import type { PhotoNumbers } from './photoQuantities.ts';
import type { AirPass, Plan } from '../../piece/plan/index.ts';
import type { SupportSize } from '../../piece/support/index.ts';
import type { NamedCup } from '../../paint/mix/index.ts';
import type { Aims, Technique } from '../../paint/stage/index.ts';

/** One cup as it was poured. */
export interface PouredCup extends NamedCup {
  readonly colorHex: string;
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
  readonly waterFraction: number;
  readonly laidMg: number;
  /** Opaque paint sinks; null when the cup holds no paint. */
  readonly opacity: string | null;
  readonly finish: string | null;
  /** Words for what was mixed, as "2 : 1 : 0.75". */
  readonly partsWords: string;
  readonly restedHours: number | null;
  readonly hasWeakBinder: boolean;
  /** Silicone was mixed in. */
  readonly hasSilicone: boolean;
  /** Water the recipe itself allows, as a mass fraction; null where it sets no limit. */
  readonly waterLimit?: number | null;
  /** Of an activator: times the usual dose, where its recipe asks for it. */
  readonly doseFactor?: number | null;
}

/** A pass as it was blown, wherever it began; with the exit of the very blower, where it was recorded. */
export interface BlownPass extends AirPass {
  readonly exit?: BlowerExit | null;
}
type Blower = NonNullable<PassData['blower']>;
type BlowerExit = Pick<Blower, 'exitDiameterMm' | 'exitSpeedMS'> & Partial<Pick<Blower, 'id'>>;

/** What was seen in its photo. */
export interface Outcome extends PhotoNumbers {
  /** Cells from one size on, in mm, of those that the photo could show. */
  readonly cellsFrom?: readonly { readonly mm: number; readonly medianMm: number; readonly perCm2: number }[];
  /** Shares of the face by cup, as far as its color was told apart. */
  readonly shareByCup: Readonly<Record<string, number>>;
}

/** One pour with all that may have made its outcome. */
export interface PourRecord {
  readonly id: string;
  readonly name: string;
  readonly technique: Technique;
  readonly aims?: Aims | undefined;
  /** Area of the planned flowers, 0 without any; undefined when it was poured without a plan. */
  readonly flowersDm2?: number | undefined;
  /** Cups that were planned to lie over the whole face. */
  readonly onFace?: readonly string[] | undefined;
  /** Where everything was laid and blown; undefined where it was not all logged. */
  readonly asPoured?: Plan | undefined;
  readonly support: SupportSize;
  readonly pouredAt: string | null;
  readonly cups: readonly PouredCup[];
  /** Cups in the order they were laid. */
  readonly order: readonly string[];
  readonly passes: readonly BlownPass[];
  readonly torches: number;
  readonly torchedAfterAir: boolean;
  readonly waitSeconds: number | null;
  readonly spins: readonly { readonly rpm: number; readonly seconds: number }[];
  readonly tilts: number;
  readonly addedMg: number;
  /** Places that were scraped off and laid again. */
  readonly repairs?: number | undefined;
  /** What the base did when it was blown alone. */
  readonly blowTest?: { readonly moves: boolean; readonly runsOver: boolean } | null | undefined;
  /** The room it dried in, where that was noted; else that of the pour counts. */
  readonly rackRoom?: CareData['room'] | null | undefined;
  /** How far from level it dried, mm on a meter each way; null when nobody looked. */
  readonly level?: CareData['level'] | null | undefined;
  readonly temperatureC: number | null;
  readonly humidityPercent: number | null;
  readonly outcome: Outcome | null;
  readonly rating: number | null;
  readonly faults: readonly { readonly kind: FaultKind; readonly cupId: string | null }[];
}
