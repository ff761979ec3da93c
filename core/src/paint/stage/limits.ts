/**
 * Where the trade's experience draws its lines (common practice, no published source), in one table: Plan's defaults,
 * the check before the pour, Thickness and the search for causes all read it, so that a piece that is poured by its
 * plan is not accused afterwards. What lies beyond a line begins to explain a fault; the aims are what to change to.
 */
export const LIMITS = {
  /** Viscosity of an activator, or of a swiped color, to that of the colors under it: what counts is the contrast. */
  activatorToColors: { aim: 1 / 3, most: 0.6 },
  /** Cups of one thickness lie within this ratio: what a careful race leaves. */
  alikeRatio: 1.35,
  /** Mass of activator to mass of colors in a bloom. */
  activatorShare: { least: 0.05, aim: 0.1, most: 0.2 },
  /** Thickness of the activator once it is blown out, mm. */
  sheetMm: { thin: 0.12, aim: 0.25, thick: 0.5 },
  /** Colors of a flower, g on a square centimeter of it: about 17 g each and a smaller fourth on 25 x 25 cm. */
  colorGPerCm2: { aim: 0.26 },
  /** Pillow and colors under the air of a bloom, mm. */
  pillowMm: { least: 2.5, aim: 3 },
  /** The share of the depth of paint that a dent may take. */
  dentShare: 0.9,
  /** From this slant on air counts as straight down; below the other it spreads rather than digs; degrees. */
  straightDownDeg: 70,
  spreadsBelowDeg: 45,
  /** Thickest to thinnest color. */
  colorRatio: { most: 1.6 },
  /** Neighbors whose mixture loses this share of their chroma go to mud. */
  neighborsLose: { most: 0.45 },
  /** The neighbors of a color to the color, viscosity. */
  neighborRatio: { most: 1.35 },
  /** How much denser than its neighbors a color is when that begins to tell, as a share. */
  denser: 0.03,
  /** How much denser a layer is than the one under it when it goes down as a whole, as a share. */
  sinks: 0.1,
  /** A color with less than this part of an equal share is little. */
  littleOfColor: 0.6,
  /** The base that is laid to the mean film that stays of it after a usual run-off. */
  baseOfFilm: { least: 0.6 },
  /** A usual run-off: from level, and how long. */
  runOff: { tiltDeg: 30, seconds: 30 },
  /** Air on what is worked: the flowers of a bloom, else the face; seconds on a square decimeter. */
  airSPerDm2: { least: 0.5, flowerAim: 3, faceAim: 1.4, most: 9 },
  /** Mass of water in a cup, and in one whose paint has little binder; a recipe may set its own. */
  waterFraction: { most: 0.3, mostWithWeakBinder: 0.22 },
  /** Turns a minute: fast ones warp the cells. */
  spinRpm: { most: 60 },
  /** A cup that holds so much less than is reckoned is not short: the scale and the reserve are no finer. */
  shortShare: 0.02,
  /** All paint over face and sides, mm: less leaves bands, more sags and cracks at the rim once it has run. */
  filmMm: { thin: 0.45, thick: 2.6 },
  /** The middle of a flower once it is spun, mm: it dries last and cracks first. */
  middleMm: { thick: 4.5 },
  /** Wet paint laid on the face, mm. */
  wetPaintMm: { most: 3.8 },
  /** Shares of the face: a full design covers, a floating one leaves space, a bloom on bare support covers its ground. */
  covered: { full: 0.85, space: 0.8, ground: 0.8 },
  /** The ground to the design over it, CIEDE2000: a patch hides below the one and shows above the other. */
  patchDifference: { hides: 12, shows: 25 },
  /** Its share of the colors to an equal share, from which a color takes over. */
  muchOfColor: 1.5,
  /** The base that is laid to the mean film that stays of it, from which flowers stand in wells. */
  baseMuch: { most: 1.8 },
  /** Of a spin: the stress that gravity and the turn put on the paint at the rim, Pa; more draws cells out. */
  spinShearPa: { most: 20 },
  /** How far a design may creep until it sets before it is seen, mm. */
  driftMm: { most: 5 },
  /** Hours until most bubbles have left a mix, and until all have. */
  restHours: { least: 1, aim: 8 },
} as const;
