import { api, archiveSchema, openApiDocument, pieceDocumentSchema } from '@icy-ribbon/contract';
import { seededRandom } from '@icy-ribbon/core/random';
import compression from 'compression';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import { z } from 'zod';
import { archiveRoutes } from './archive/archive.routes.ts';
import { calibrationRoutes } from './calibration/calibration.routes.ts';
import { calculationRoutes } from './calculation/calculation.routes.ts';
import type { Config } from './config.ts';
import type { Db } from './db/open.ts';
import { equipmentRoutes } from './equipment/equipment.routes.ts';
import { originGuard, passphraseGuard } from './http/guard.ts';
import { securityHeaders, servePage } from './http/page.ts';
import { problemHandler } from './http/problem.ts';
import { route } from './http/route.ts';
import { judgementRoutes } from './judgement/judgement.routes.ts';
import { materialRoutes } from './material/material.routes.ts';
import { mixRoutes } from './mix/mix.routes.ts';
import { photoFiles } from './photo/files.ts';
import { photoRoutes } from './photo/photo.routes.ts';
import { planRoutes } from './plan/plan.routes.ts';
import { pieceRoutes } from './piece/piece.routes.ts';
import { pourRoutes } from './pour/pour.routes.ts';
import { readingRoutes } from './reading/reading.routes.ts';
import { recipeRoutes } from './recipe/recipe.routes.ts';
import { resultRoutes } from './result/result.routes.ts';
import { cameraRoutes } from './standin/camera/camera.routes.ts';
import { climateRoutes } from './standin/climate/climate.routes.ts';
import { standInScale } from './standin/scale/scale.ts';
import { scaleRoutes } from './standin/scale/scale.routes.ts';
import { supportRoutes } from './support/support.routes.ts';

export const VERSION = '0.1.0';
const IMPORT_LIMIT = '200mb';

export interface AppParts {
  readonly config: Config;
  readonly db: Db;
  readonly log: (error: unknown) => void;
  readonly seed: number;
}

/** The whole server, not yet listening. */
export function makeApp({ config, db, log, seed }: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders());
  app.use(originGuard(config));
  if (config.passphrase !== null) {
    app.use(
      rateLimit({
        windowMs: 60_000,
        limit: 20,
        skipSuccessfulRequests: true,
        requestWasSuccessful: (_request, response) => response.statusCode !== 401,
      }),
    );
  }
  app.use(passphraseGuard(config.passphrase));
  app.use(compression({ filter: (request, response) => compressible(request, response) }));
  app.use(api.pieces.importDocument.path, express.json({ limit: IMPORT_LIMIT }));
  app.use(api.materials.importAll.path, express.json({ limit: '20mb' }));
  app.use(api.photos.measure.path, express.json({ limit: '20mb' }));
  app.use('/api', express.json({ limit: '1mb' }));
  app.use('/api', (_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });

  const files = photoFiles(config.dataFolder);
  route(app, api.health, () => ({ status: 'ok' as const, version: VERSION, demo: config.demo }));
  describingRoutes(app);
  calculationRoutes(app);
  materialRoutes(app, db);
  equipmentRoutes(app, db);
  recipeRoutes(app, db);
  supportRoutes(app, db);
  pieceRoutes(app, db, files);
  mixRoutes(app, db);
  readingRoutes(app, db);
  calibrationRoutes(app, db);
  planRoutes(app, db);
  pourRoutes(app, db);
  photoRoutes(app, db, files);
  judgementRoutes(app, db);
  archiveRoutes(app, db, files);
  resultRoutes(app, db);
  cameraRoutes(app, db, files);
  climateRoutes(app);
  scaleRoutes(app, standInScale(seededRandom(seed)));
  servePage(app, config.webFolder);
  app.use(problemHandler(log));
  return app;
}

function compressible(request: express.Request, response: express.Response): boolean {
  return request.path !== '/api/scale/readings' && compression.filter(request, response);
}

/** What the API is and what its files look like, written from the contract. */
function describingRoutes(app: Express): void {
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApiDocument(VERSION));
  });
  app.get('/api/schema/studio.json', (_request, response) => {
    response.json(z.toJSONSchema(archiveSchema, { io: 'input', unrepresentable: 'any' }));
  });
  app.get('/api/schema/piece.json', (_request, response) => {
    response.json(z.toJSONSchema(pieceDocumentSchema, { io: 'input', unrepresentable: 'any' }));
  });
}
