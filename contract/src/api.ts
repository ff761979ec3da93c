import { z } from 'zod';
import {
  idParams,
  idSchema,
  longPageQuery,
  pageOf,
  pageQuery,
  pieceIdParams,
  tableOf,
  versionBody,
  versionQuery,
} from './common.ts';
import { pieceDocumentSchema } from './document.ts';
import { importJobSchema } from './import.ts';
import { backupNameSchema, backupSchema, safekeepingSchema, secondFolderSchema } from './safekeeping.ts';
import { climateSchema } from './climate.ts';
import { endpoint } from './endpoint.ts';
import { equipmentCreateSchema, equipmentSchema, equipmentUpdateSchema } from './equipment.ts';
import { judgementPutSchema, judgementSchema } from './judgement.ts';
import {
  materialBulkResultSchema,
  materialBulkSchema,
  materialCreateSchema,
  materialImportSchema,
  materialSchema,
  materialUpdateSchema,
  shelvedMaterialSchema,
} from './material.ts';
import {
  actualUpdateSchema,
  additionCreateSchema,
  combineSchema,
  drawCreateSchema,
  ingredientCreateSchema,
  mixCreateSchema,
  mixSchema,
  mixUpdateSchema,
  movementCreateSchema,
  retargetSchema,
} from './mix.ts';
import { measurementPutSchema, photoDetailSchema, photoSchema, shutterSchema } from './photo.ts';
import {
  damagedRecordSchema,
  pieceCreateSchema,
  piecePageSchema,
  pieceSchema,
  pieceUpdateSchema,
} from './piece.ts';
import { piecePlanPutSchema, piecePlanSchema } from './plan.ts';
import { pourEventSchema } from './pour.ts';
import {
  calibrationCreateSchema,
  calibrationSchema,
  readingSchema,
  readingsCreateSchema,
} from './reading.ts';
import { ownRecipeCreateSchema, ownRecipeSchema, ownRecipeUpdateSchema } from './recipe.ts';
import { pieceListQuery, pourNumbersSchema, savedViewCreateSchema, savedViewSchema } from './result.ts';
import { disturbanceSchema, scaleInfoSchema, scaleReadingSchema, standInPourSchema } from './scale.ts';
import { supportCreateSchema, supportSchema, supportUpdateSchema } from './support.ts';

const materials = {
  list: endpoint({
    method: 'GET',
    path: '/api/materials',
    summary: 'Materials on the shelf, by kind and name',
    tag: 'shelf',
    query: z.object({
      ...pageQuery,
      pageSize: z.coerce.number().int().min(1).max(20_000).default(50),
      q: z.string().max(200).optional(),
      archived: z.enum(['yes', 'no']).default('no'),
    }),
    response: pageOf(shelvedMaterialSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/materials',
    summary: 'Put a material on the shelf',
    tag: 'shelf',
    body: materialCreateSchema,
    response: materialSchema,
    status: 201,
  }),
  importAll: endpoint({
    method: 'POST',
    path: '/api/materials/import',
    summary: 'Put many materials on the shelf, all or none, beside everything else',
    tag: 'shelf',
    body: materialImportSchema,
    response: importJobSchema,
    status: 202,
  }),
  bulk: endpoint({
    method: 'POST',
    path: '/api/materials/bulk',
    summary: 'Make one change to many materials, all or none',
    tag: 'shelf',
    body: materialBulkSchema,
    response: materialBulkResultSchema,
  }),
  update: endpoint({
    method: 'PATCH',
    path: '/api/materials/:id',
    summary: 'Change a material; mixes made before keep what they were made from',
    tag: 'shelf',
    params: idParams,
    body: materialUpdateSchema,
    response: materialSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/materials/:id',
    summary: 'Take a material off the shelf (can be undone)',
    tag: 'shelf',
    params: idParams,
    query: versionQuery,
    response: materialSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/materials/:id/restore',
    summary: 'Put a material back on the shelf',
    tag: 'shelf',
    params: idParams,
    body: versionBody,
    response: materialSchema,
  }),
};

const equipment = {
  list: endpoint({
    method: 'GET',
    path: '/api/equipment',
    summary: 'Cups and bottles to mix in, and blowers',
    tag: 'shelf',
    query: z.object(longPageQuery),
    response: pageOf(equipmentSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/equipment',
    summary: 'Put a cup or a blower on the shelf',
    tag: 'shelf',
    body: equipmentCreateSchema,
    response: equipmentSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PUT',
    path: '/api/equipment/:id',
    summary: 'Change a cup or a blower',
    tag: 'shelf',
    params: idParams,
    body: equipmentUpdateSchema,
    response: equipmentSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/equipment/:id',
    summary: 'Take a cup or a blower off the shelf (can be undone)',
    tag: 'shelf',
    params: idParams,
    query: versionQuery,
    response: equipmentSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/equipment/:id/restore',
    summary: 'Put a cup or a blower back',
    tag: 'shelf',
    params: idParams,
    body: versionBody,
    response: equipmentSchema,
  }),
};

const recipes = {
  list: endpoint({
    method: 'GET',
    path: '/api/recipes',
    summary: 'Recipes of one’s own',
    tag: 'mix',
    query: z.object(longPageQuery),
    response: pageOf(ownRecipeSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/recipes',
    summary: 'Write a recipe',
    tag: 'mix',
    body: ownRecipeCreateSchema,
    response: ownRecipeSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PUT',
    path: '/api/recipes/:id',
    summary: 'Change a recipe; cups planned before keep theirs',
    tag: 'mix',
    params: idParams,
    body: ownRecipeUpdateSchema,
    response: ownRecipeSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/recipes/:id',
    summary: 'Delete a recipe (can be undone)',
    tag: 'mix',
    params: idParams,
    query: versionQuery,
    response: ownRecipeSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/recipes/:id/restore',
    summary: 'Bring a recipe back',
    tag: 'mix',
    params: idParams,
    body: versionBody,
    response: ownRecipeSchema,
  }),
};

const supports = {
  list: endpoint({
    method: 'GET',
    path: '/api/supports',
    summary: 'Supports on the shelf',
    tag: 'shelf',
    query: z.object(pageQuery),
    response: pageOf(supportSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/supports',
    summary: 'Put a support on the shelf',
    tag: 'shelf',
    body: supportCreateSchema,
    response: supportSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PATCH',
    path: '/api/supports/:id',
    summary: 'Change a support; pieces started before keep theirs',
    tag: 'shelf',
    params: idParams,
    body: supportUpdateSchema,
    response: supportSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/supports/:id',
    summary: 'Take a support off the shelf (can be undone)',
    tag: 'shelf',
    params: idParams,
    query: versionQuery,
    response: supportSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/supports/:id/restore',
    summary: 'Put a support back on the shelf',
    tag: 'shelf',
    params: idParams,
    body: versionBody,
    response: supportSchema,
  }),
};

const pieces = {
  list: endpoint({
    method: 'GET',
    path: '/api/pieces',
    summary: 'Pieces with their mixes, passes and outcome in short',
    tag: 'results',
    query: pieceListQuery,
    response: piecePageSchema,
  }),
  get: endpoint({
    method: 'GET',
    path: '/api/pieces/:id',
    summary: 'One piece with everything that belongs to it',
    tag: 'results',
    params: idParams,
    response: pieceSchema,
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/pieces',
    summary: 'Start a piece on a support',
    tag: 'today',
    body: pieceCreateSchema,
    response: pieceSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PATCH',
    path: '/api/pieces/:id',
    summary: 'Rename a piece or change its note',
    tag: 'today',
    params: idParams,
    body: pieceUpdateSchema,
    response: pieceSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/pieces/:id',
    summary: 'Delete a piece (can be undone)',
    tag: 'results',
    params: idParams,
    query: versionQuery,
    response: pieceSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/pieces/:id/restore',
    summary: 'Bring a deleted piece back',
    tag: 'results',
    params: idParams,
    body: versionBody,
    response: pieceSchema,
  }),
  exportDocument: endpoint({
    method: 'GET',
    path: '/api/pieces/:id/export',
    summary: 'The piece as one JSON document, photos included',
    tag: 'results',
    params: idParams,
    response: pieceDocumentSchema,
  }),
  importDocument: endpoint({
    method: 'POST',
    path: '/api/pieces/import',
    summary: 'Read a piece from its JSON document, beside everything else',
    tag: 'results',
    body: pieceDocumentSchema,
    response: importJobSchema,
    status: 202,
  }),
  setAside: endpoint({
    method: 'POST',
    path: '/api/pieces/:id/set-aside',
    summary: 'Take a record that cannot be read out of a piece; it is kept elsewhere as it is',
    tag: 'results',
    params: idParams,
    body: damagedRecordSchema.pick({ what: true, id: true }),
    response: pieceSchema,
  }),
};

const readings = {
  add: endpoint({
    method: 'POST',
    path: '/api/pieces/:pieceId/readings',
    summary: 'Keep readings of thickness, or all lanes of a race; sending the same ids again changes nothing',
    tag: 'thickness',
    params: pieceIdParams,
    body: readingsCreateSchema,
    response: z.object({ readings: z.array(readingSchema) }),
    status: 201,
  }),
  strike: endpoint({
    method: 'POST',
    path: '/api/readings/:id/strike',
    summary: 'Strike a reading out, or let it count again',
    tag: 'thickness',
    params: idParams,
    body: z.object({ struck: z.boolean() }),
    response: z.object({ readings: z.array(readingSchema) }),
  }),
};

const calibrations = {
  list: endpoint({
    method: 'GET',
    path: '/api/calibrations',
    summary: 'Calibrated cards, mounds and cups with a hole, the newest first',
    tag: 'thickness',
    query: z.object(longPageQuery),
    response: pageOf(calibrationSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/calibrations',
    summary: 'Keep a calibration',
    tag: 'thickness',
    body: calibrationCreateSchema,
    response: calibrationSchema,
    status: 201,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/calibrations/:id',
    summary: 'Take a calibration away (can be undone); readings made with it keep it',
    tag: 'thickness',
    params: idParams,
    query: versionQuery,
    response: calibrationSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/calibrations/:id/restore',
    summary: 'Bring a calibration back',
    tag: 'thickness',
    params: idParams,
    body: versionBody,
    response: calibrationSchema,
  }),
};

const mixes = {
  create: endpoint({
    method: 'POST',
    path: '/api/pieces/:pieceId/mixes',
    summary: 'Plan a cup: a recipe, a paint and an amount',
    tag: 'mix',
    params: pieceIdParams,
    body: mixCreateSchema,
    response: mixSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PATCH',
    path: '/api/mixes/:id',
    summary: 'Rename a cup, or change its amount before anything is weighed in',
    tag: 'mix',
    params: idParams,
    body: mixUpdateSchema,
    response: mixSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/mixes/:id',
    summary: 'Take a cup off the piece (can be undone)',
    tag: 'mix',
    params: idParams,
    query: versionQuery,
    response: mixSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/mixes/:id/restore',
    summary: 'Bring a cup back',
    tag: 'mix',
    params: idParams,
    body: versionBody,
    response: mixSchema,
  }),
  add: endpoint({
    method: 'POST',
    path: '/api/mixes/:id/additions',
    summary: 'Weigh something in; sending the same id again changes nothing',
    tag: 'mix',
    params: idParams,
    body: additionCreateSchema,
    response: mixSchema,
    status: 201,
  }),
  takeBack: endpoint({
    method: 'DELETE',
    path: '/api/mixes/:id/additions/:additionId',
    summary: 'Strike out an addition that was logged by mistake',
    tag: 'mix',
    params: z.object({ id: idSchema, additionId: idSchema }),
    response: mixSchema,
  }),
  addIngredient: endpoint({
    method: 'POST',
    path: '/api/mixes/:id/ingredients',
    summary: 'Make room in a cup for another material; sending it again changes nothing',
    tag: 'mix',
    params: idParams,
    body: ingredientCreateSchema,
    response: mixSchema,
    status: 201,
  }),
  draw: endpoint({
    method: 'POST',
    path: '/api/mixes/:id/draws',
    summary: 'Pour some of a medium made for several cups into this one; sending it again changes nothing',
    tag: 'mix',
    params: idParams,
    body: drawCreateSchema,
    response: z.object({ mix: mixSchema, from: mixSchema }),
    status: 201,
  }),
  retarget: endpoint({
    method: 'POST',
    path: '/api/mixes/:id/targets',
    summary: 'Set new targets, to bring an over-poured cup back to its recipe',
    tag: 'mix',
    params: idParams,
    body: retargetSchema,
    response: mixSchema,
  }),
  move: endpoint({
    method: 'POST',
    path: '/api/mixes/:id/movements',
    summary: 'Log what left the cup: a share taken out, water dried away, or thrown out',
    tag: 'mix',
    params: idParams,
    body: movementCreateSchema,
    response: mixSchema,
    status: 201,
  }),
  combine: endpoint({
    method: 'POST',
    path: '/api/pieces/:pieceId/combined',
    summary: 'Pour what is left of several cups into a new one',
    tag: 'mix',
    params: pieceIdParams,
    body: combineSchema,
    response: mixSchema,
    status: 201,
  }),
  setActual: endpoint({
    method: 'PUT',
    path: '/api/mixes/:id/ingredients/:ingredientId/actual',
    summary: 'Say what the scale showed for an ingredient in all',
    tag: 'mix',
    params: z.object({ id: idSchema, ingredientId: idSchema }),
    body: actualUpdateSchema,
    response: mixSchema,
  }),
};

const pours = {
  append: endpoint({
    method: 'POST',
    path: '/api/pieces/:pieceId/events',
    summary: 'Log an event of the pour; sending the same id again changes nothing',
    tag: 'pour',
    params: pieceIdParams,
    body: pourEventSchema,
    response: z.object({ events: z.array(pourEventSchema) }),
    status: 201,
  }),
};

const photos = {
  measure: endpoint({
    method: 'PUT',
    path: '/api/photos/:id/measurement',
    summary: 'Keep what was measured on a photo',
    tag: 'results',
    params: idParams,
    body: measurementPutSchema,
    response: photoSchema,
  }),
  detail: endpoint({
    method: 'GET',
    path: '/api/photos/:id/detail',
    summary: 'The cells, net, mud and glare of a measured photo, for drawing over it',
    tag: 'results',
    params: idParams,
    response: photoDetailSchema,
  }),
  shutter: endpoint({
    method: 'POST',
    path: '/api/pieces/:pieceId/camera',
    summary: 'Take a photo with the camera stand-in',
    tag: 'results',
    params: pieceIdParams,
    body: shutterSchema,
    response: photoSchema,
    status: 201,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/photos/:id',
    summary: 'Delete a photo (can be undone)',
    tag: 'results',
    params: idParams,
    query: versionQuery,
    response: photoSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/photos/:id/restore',
    summary: 'Bring a photo back',
    tag: 'results',
    params: idParams,
    body: versionBody,
    response: photoSchema,
  }),
};

const plans = {
  put: endpoint({
    method: 'PUT',
    path: '/api/pieces/:pieceId/plan',
    summary: 'Plan how a piece is poured',
    tag: 'plan',
    params: pieceIdParams,
    body: piecePlanPutSchema,
    response: piecePlanSchema,
  }),
};

const judgements = {
  put: endpoint({
    method: 'PUT',
    path: '/api/pieces/:pieceId/judgement',
    summary: 'Judge a piece',
    tag: 'results',
    params: pieceIdParams,
    body: judgementPutSchema,
    response: judgementSchema,
  }),
};

const scale = {
  info: endpoint({
    method: 'GET',
    path: '/api/scale',
    summary: 'The scale that is plugged in',
    tag: 'scale',
    response: scaleInfoSchema,
  }),
  tare: endpoint({
    method: 'POST',
    path: '/api/scale/tare',
    summary: 'Zero the display',
    tag: 'scale',
    response: scaleReadingSchema,
  }),
  pour: endpoint({
    method: 'POST',
    path: '/api/scale/stand-in/pour',
    summary: 'Let the stand-in pour into the cup on it',
    tag: 'scale',
    body: standInPourSchema,
    response: scaleReadingSchema,
  }),
  stop: endpoint({
    method: 'POST',
    path: '/api/scale/stand-in/stop',
    summary: 'Stop pouring',
    tag: 'scale',
    response: scaleReadingSchema,
  }),
  disturb: endpoint({
    method: 'POST',
    path: '/api/scale/stand-in/disturb',
    summary: 'Bump the table, overload the scale, or let it drop out for some seconds',
    tag: 'scale',
    body: disturbanceSchema,
    response: scaleReadingSchema,
  }),
  newCup: endpoint({
    method: 'POST',
    path: '/api/scale/stand-in/new-cup',
    summary: 'Put an empty cup on the stand-in and zero it',
    tag: 'scale',
    response: scaleReadingSchema,
  }),
};

const calculations = {
  list: endpoint({
    method: 'GET',
    path: '/api/calculations',
    summary: 'What is computed here, by which law, from which source',
    tag: 'calculations',
    response: z.array(
      z.object({
        name: z.string(),
        title: z.string(),
        law: z.string(),
        source: z.string(),
        range: z.string(),
      }),
    ),
  }),
  run: endpoint({
    method: 'POST',
    path: '/api/calculations/:name',
    summary: 'Run one calculation',
    tag: 'calculations',
    params: z.object({ name: z.string().max(80) }),
    body: tableOf(z.unknown(), 100),
    response: z.record(z.string(), z.unknown()),
  }),
};

const results = {
  numbers: endpoint({
    method: 'GET',
    path: '/api/results/numbers',
    summary: 'What was done and what came of it, as numbers, of every pour',
    tag: 'results',
    query: z.object({ technique: pieceListQuery.shape.technique }),
    response: z.object({ items: z.array(pourNumbersSchema) }),
  }),
  views: endpoint({
    method: 'GET',
    path: '/api/views',
    summary: 'Saved views of the results',
    tag: 'results',
    query: z.object(longPageQuery),
    response: pageOf(savedViewSchema),
  }),
  saveView: endpoint({
    method: 'POST',
    path: '/api/views',
    summary: 'Save a view of the results',
    tag: 'results',
    body: savedViewCreateSchema,
    response: savedViewSchema,
    status: 201,
  }),
  removeView: endpoint({
    method: 'DELETE',
    path: '/api/views/:id',
    summary: 'Take a saved view away (can be undone)',
    tag: 'results',
    params: idParams,
    query: versionQuery,
    response: savedViewSchema,
  }),
  restoreView: endpoint({
    method: 'POST',
    path: '/api/views/:id/restore',
    summary: 'Bring a saved view back',
    tag: 'results',
    params: idParams,
    body: versionBody,
    response: savedViewSchema,
  }),
};

const climate = {
  now: endpoint({
    method: 'GET',
    path: '/api/climate',
    summary: 'Temperature and humidity of the room, from the stand-in',
    tag: 'pour',
    response: climateSchema,
  }),
};

const imports = {
  get: endpoint({
    method: 'GET',
    path: '/api/imports/:id',
    summary: 'How far a file on its way in has come',
    tag: 'safekeeping',
    params: idParams,
    response: importJobSchema,
  }),
  cancel: endpoint({
    method: 'DELETE',
    path: '/api/imports/:id',
    summary: 'Call a file on its way in off; nothing of it is kept',
    tag: 'safekeeping',
    params: idParams,
    response: importJobSchema,
  }),
};

const safekeeping = {
  show: endpoint({
    method: 'GET',
    path: '/api/safekeeping',
    summary: 'The backups, the room on the disk, and pieces that cannot be worked out',
    tag: 'safekeeping',
    response: safekeepingSchema,
  }),
  backUp: endpoint({
    method: 'POST',
    path: '/api/safekeeping/backups',
    summary: 'Make a backup now',
    tag: 'safekeeping',
    response: backupSchema,
    status: 201,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/safekeeping/backups/:name/restore',
    summary: 'Put a backup back in place of everything; what is there now is backed up first',
    tag: 'safekeeping',
    params: z.object({ name: backupNameSchema }),
    response: z.object({ restored: backupSchema, before: backupSchema.nullable() }),
  }),
  chooseSecond: endpoint({
    method: 'PUT',
    path: '/api/safekeeping/second-folder',
    summary: 'Choose a folder that every backup is copied to as well',
    tag: 'safekeeping',
    body: secondFolderSchema,
    response: safekeepingSchema,
  }),
};

const health = endpoint({
  method: 'GET',
  path: '/api/health',
  summary: 'Whether the server is up',
  tag: 'health',
  response: z.object({
    status: z.enum(['ok', 'damaged', 'restoring']),
    version: z.string(),
    demo: z.boolean(),
  }),
});

export const api = {
  health,
  materials,
  equipment,
  recipes,
  supports,
  pieces,
  mixes,
  readings,
  calibrations,
  plans,
  pours,
  photos,
  judgements,
  scale,
  calculations,
  climate,
  results,
  imports,
  safekeeping,
};
