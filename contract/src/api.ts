import { studio } from './archive.api.ts';
import { calculations } from './calculation.api.ts';
import { calendar } from './calendar.api.ts';
import { care } from './care.api.ts';
import { calibrations } from './calibration.api.ts';
import { climate } from './climate.api.ts';
import { devices } from './device.api.ts';
import { drills } from './drill.api.ts';
import { equipment } from './equipment.api.ts';
import { filmFit } from './filmFit.api.ts';
import { health } from './health.api.ts';
import { imports } from './import.api.ts';
import { judgements } from './judgement.api.ts';
import { materials } from './material.api.ts';
import { mixes } from './mix.api.ts';
import { photos } from './photo.api.ts';
import { pieces } from './piece.api.ts';
import { plans } from './plan.api.ts';
import { pours } from './pour.api.ts';
import { readings } from './reading.api.ts';
import { recipes } from './recipe.api.ts';
import { results, views } from './result.api.ts';
import { safekeeping } from './safekeeping.api.ts';
import { sample } from './sample.api.ts';
import { scale } from './scale.api.ts';
import { supports } from './support.api.ts';

/** Every call of the API, by resource. */
export const api = {
  health,
  materials,
  equipment,
  recipes,
  supports,
  pieces,
  sample,
  mixes,
  readings,
  calibrations,
  devices,
  drills,
  filmFit,
  plans,
  pours,
  care,
  calendar,
  photos,
  judgements,
  scale,
  calculations,
  climate,
  results,
  views,
  imports,
  safekeeping,
  studio,
};
