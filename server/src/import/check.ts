import type { Archive, FieldError, Piece } from '@icy-ribbon/contract';

/** Records are counted up by one with each change: far below this, or somebody made the file up. */
const MOST_FILE_VERSION = 1_000_000;
const MOST_ERRORS = 50;

/** Where each id of a file stands in it. */
export type Places = ReadonlyMap<string, string>;

/**
 * Holds the parts of a file against each other: every id once, everything that is referred to in it, each part with its
 * own parent, versions that can be counted on.
 *
 * @returns every id's place, and what does not fit with its place, at most fifty
 */
export function checkStudio(archive: Archive): { places: Places; errors: FieldError[] } {
  const places = new Map<string, string>();
  const errors: FieldError[] = [];
  const wrong = (path: string, message: string) => {
    if (errors.length < MOST_ERRORS) errors.push({ path, message });
  };
  const enter = (kind: string, id: string, path: string) => {
    const key = `${kind} ${id}`;
    const before = places.get(key);
    if (before === undefined) places.set(key, path);
    else wrong(`${path}.id`, `This id stands in the file twice, first at ${before}.`);
  };
  const enterRecord = (kind: string, record: { id: string; version: number }, path: string) => {
    enter(kind, record.id, path);
    if (record.version > MOST_FILE_VERSION) wrong(`${path}.version`, 'Nothing is changed that often.');
  };

  for (const [list, kind] of Object.entries(RECORD_LISTS) as [keyof typeof RECORD_LISTS, string][]) {
    archive[list].forEach((record, index) => enterRecord(kind, record, `${list}.${index}`));
  }
  const known = {
    material: new Set(archive.materials.map(({ id }) => id)),
    support: new Set(archive.supports.map(({ id }) => id)),
  };
  archive.pieces.forEach((piece, index) => {
    const at = `pieces.${index}`;
    enterRecord('piece', piece, at);
    checkPiece(piece, at, known, { enter, enterRecord, wrong });
  });
  archive.details.forEach(({ photoId }, index) => {
    enter('detail', photoId, `details.${index}`);
    if (!places.has(`photo ${photoId}`)) wrong(`details.${index}.photoId`, 'This photo is not in the file.');
  });
  return { places, errors };
}

const RECORD_LISTS = {
  materials: 'material',
  supports: 'support',
  equipment: 'equipment',
  recipes: 'recipe',
  calibrations: 'calibration',
  drills: 'drillRun',
  views: 'savedView',
} as const;

interface Noting {
  enter(kind: string, id: string, path: string): void;
  enterRecord(kind: string, record: { id: string; version: number }, path: string): void;
  wrong(path: string, message: string): void;
}

function checkPiece(
  piece: Piece,
  at: string,
  known: { material: ReadonlySet<string>; support: ReadonlySet<string> },
  { enter, enterRecord, wrong }: Noting,
): void {
  if (!known.support.has(piece.support.supportId)) {
    wrong(`${at}.support`, 'The support the piece was poured on is missing from the file.');
  }
  piece.mixes.forEach((mix, index) => {
    const path = `${at}.mixes.${index}`;
    enterRecord('mix', mix, path);
    if (mix.pieceId !== piece.id) wrong(`${path}.pieceId`, 'This cup is another piece’s.');
    const ingredients = new Set(mix.ingredients.map(({ id }) => id));
    mix.ingredients.forEach((each, place) => {
      enter('mixIngredient', each.id, `${path}.ingredients.${place}`);
      if (!known.material.has(each.material.materialId)) {
        wrong(`${path}.ingredients.${place}`, `A material of "${mix.name}" is missing from the file.`);
      }
    });
    mix.additions.forEach((each, place) => {
      enter('mixAddition', each.id, `${path}.additions.${place}`);
      if (!ingredients.has(each.ingredientId)) {
        wrong(`${path}.additions.${place}.ingredientId`, 'This ingredient is not in the cup.');
      }
    });
    mix.movements.forEach((each, place) => enter('mixMovement', each.id, `${path}.movements.${place}`));
  });
  const cups = new Set(piece.mixes.map(({ id }) => id));
  piece.readings.forEach((reading, index) => {
    enter('reading', reading.id, `${at}.readings.${index}`);
    if (reading.cupId !== null && !cups.has(reading.cupId)) {
      wrong(`${at}.readings.${index}.cupId`, 'A cup that was read is missing from the file.');
    }
  });
  piece.events.forEach((event, index) => {
    enter('pourEvent', event.id, `${at}.events.${index}`);
    if (event.kind === 'layer' && !cups.has(event.data.cupId)) {
      wrong(`${at}.events.${index}.data.cupId`, 'A cup that was poured is missing from the file.');
    }
  });
  piece.care.forEach((event, index) => enter('careEvent', event.id, `${at}.care.${index}`));
  for (const list of ['photos', 'rehearsals'] as const) {
    piece[list].forEach((photo, index) => {
      const place = `${at}.${list}.${index}`;
      enterRecord('photo', photo, place);
      if (photo.pieceId !== piece.id) wrong(`${place}.pieceId`, 'This photo is another piece’s.');
      if ((photo.state === 'rehearsal') !== (list === 'rehearsals')) {
        wrong(`${place}.state`, 'Photos and rehearsals stand in lists of their own.');
      }
    });
  }
  for (const part of ['plan', 'judgement'] as const) {
    const version = piece[part]?.version ?? 0;
    if (version > MOST_FILE_VERSION) wrong(`${at}.${part}.version`, 'Nothing is changed that often.');
  }
}
