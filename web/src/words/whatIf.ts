import type { WhatIfCause } from '@icy-ribbon/core/piece/rehearse';

/** What may be changed, in the artist's words. */
export const CAUSE_WORDS: Readonly<Record<WhatIfCause, string>> = {
  'activator-thickness': 'Thickness of the activator',
  dose: 'Dose of the activator',
  distance: 'Distance of the air',
  slant: 'Slant of the air',
  'base-film': 'Film of the base',
  order: 'Order of the colors',
  spin: 'Spin',
};

const factor = (value: number, of: string): string =>
  value === 1 ? `${of} as planned` : value === 0 ? `no ${of}` : `${of} × ${value}`;

/** One value of a cause: "distance × 1.6". */
export function causeValueWords(cause: WhatIfCause, value: number): string {
  switch (cause) {
    case 'activator-thickness':
      return factor(value, 'thickness');
    case 'dose':
      return factor(value, 'dose');
    case 'distance':
      return factor(value, 'distance');
    case 'slant':
      return `slant ${value}°`;
    case 'base-film':
      return factor(value, 'base');
    case 'order':
      return value === 1 ? 'colors turned over' : 'colors as planned';
    case 'spin':
      return value === 0 ? 'no spin' : `${value} turns a minute`;
  }
}
