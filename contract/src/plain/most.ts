/** How much of everything one studio, piece or cup may hold: far more than anyone needs, so that every file can be bounded. */
export const MOST = {
  pieces: 100_000,
  materials: 100_000,
  supports: 10_000,
  equipment: 10_000,
  recipes: 10_000,
  calibrations: 10_000,
  drills: 100_000,
  views: 1000,
  cupsOfPiece: 200,
  ingredientsOfCup: 100,
  additionsOfCup: 2000,
  movementsOfCup: 2000,
  readingsOfPiece: 2000,
  eventsOfPiece: 5000,
  photosOfPiece: 500,
  rehearsalsOfPiece: 200,
  careOfPiece: 2000,
} as const;

/** Colors that a piece is asked to have. */
export const MOST_COLORS = 20;
