import { supportTraits, type SupportSize } from '../support/index.ts';

/** What is done before the first cup is poured, in the order of the work; each with what it is about. */
export interface PrepareFacts {
  /** A milky medium that has stood open long: a rotten smell or a black color means spoilt. */
  readonly smell: { readonly names: readonly string[]; readonly months: number };
  readonly strain: object;
  readonly tap: object;
  readonly lids: { readonly names: readonly string[] };
  readonly tape: object;
  /** Cloth that sags in the middle. */
  readonly prop: object;
  readonly 'wet-rim': object;
  readonly gloves: object;
  /** What runs off is caught; null where no plan says how much. */
  readonly tray: { readonly massG: number | null };
}
export type PrepareCode = keyof PrepareFacts;

export type PrepareItem<Code extends PrepareCode = PrepareCode> = {
  readonly [Each in Code]: { readonly code: Each; readonly facts: PrepareFacts[Each] };
}[Code];

export interface PrepareInput {
  readonly support: SupportSize;
  readonly cups: readonly {
    readonly name: string;
    readonly isLidded: boolean;
    /** What is in it, and since when it is open. */
    readonly media: readonly {
      readonly name: string;
      readonly openedOn: string | null;
      readonly spoils: boolean;
    }[];
  }[];
  /** YYYY-MM-DD. */
  readonly today: string;
  readonly spillG: number | null;
}

/** A milky medium is smelled at after so many months (common practice, no published source). */
const SMELL_MONTHS = 6;
const DAY_MS = 86_400_000;
const MONTH_DAYS = 30.44;

/** What is to be seen to before the pour (common practice, no published source). */
export function prepare({ support, cups, today, spillG }: PrepareInput): PrepareItem[] {
  const traits = supportTraits(support.kind);
  const months = (openedOn: string) => (Date.parse(today) - Date.parse(openedOn)) / DAY_MS / MONTH_DAYS;
  const old = cups
    .flatMap(({ media }) => media)
    .flatMap(({ name, openedOn, spoils }) =>
      spoils && openedOn !== null && months(openedOn) >= SMELL_MONTHS
        ? [{ name, months: months(openedOn) }]
        : [],
    );
  const lidded = cups.filter(({ isLidded }) => isLidded).map(({ name }) => name);
  const items: (PrepareItem | false)[] = [
    old.length > 0 && {
      code: 'smell',
      facts: {
        names: [...new Set(old.map(({ name }) => name))],
        months: Math.floor(Math.max(...old.map((each) => each.months))),
      },
    },
    { code: 'strain', facts: {} },
    { code: 'tap', facts: {} },
    lidded.length > 0 && { code: 'lids', facts: { names: lidded } },
    traits.isTaped && { code: 'tape', facts: {} },
    traits.sags && { code: 'prop', facts: {} },
    traits.hasBareRim && { code: 'wet-rim', facts: {} },
    { code: 'tray', facts: { massG: spillG } },
    { code: 'gloves', facts: {} },
  ];
  return items.filter((item) => item !== false);
}

/**
 * The step of the run sheet by which a thing that was seen to is logged.
 *
 * @example prepareStepId('tape') // 'prepare:tape'
 */
export const prepareStepId = (code: PrepareCode): string => `prepare:${code}`;

/**
 * Whether a step only got things ready: a pour has not begun by it.
 *
 * @example isPrepareStep('prepare:tape') // true
 */
export const isPrepareStep = (stepId: string): boolean => stepId.startsWith('prepare:');
