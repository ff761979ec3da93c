import { api, withNewNames } from '@icy-ribbon/contract';
import { seededRandom } from '@icy-ribbon/core/base/random';
import compression from 'compression';
import express, { type Express, type Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { archiveRoutes } from './archive/archive.routes.ts';
import { safekeepingRoutes, type Keeper } from './backup/safekeeping.routes.ts';
import { calendarAddressRoutes, calendarRoutes } from './calendar/calendar.routes.ts';
import { careRoutes } from './care/care.routes.ts';
import { CALIBRATIONS } from './calibration/calibrations.ts';
import { DRILLS } from './drill/drills.ts';
import { filmFitRoutes } from './filmFit/filmFit.routes.ts';
import { calculationRoutes } from './calculation/calculation.routes.ts';
import type { Config } from './config.ts';
import type { Db } from './db/open.ts';
import { EQUIPMENT } from './equipment/equipment.ts';
import { tokenOf } from './device/cookie.ts';
import { deviceRoutes, tellChanges, type DeviceParts } from './device/device.routes.ts';
import { joinRoutes } from './device/join.ts';
import { rightsGuard } from './device/rights.ts';
import { describingRoutes } from './http/described.ts';
import { originGuard, signInGuard } from './http/guard.ts';
import { startingScript, securityHeaders, servePage } from './http/page.ts';
import { problemHandler } from './http/problem.ts';
import { recordRoutes } from './http/recordRoutes.ts';
import { route } from './http/route.ts';
import { importRoutes } from './import/import.routes.ts';
import type { ImportJobs } from './import/jobs.ts';
import { judgementRoutes } from './judgement/judgement.routes.ts';
import { materialRoutes } from './material/material.routes.ts';
import { mixRoutes } from './mix/mix.routes.ts';
import type { PhotoFiles } from './photo/files.ts';
import { photoRoutes } from './photo/photo.routes.ts';
import { uploadRoutes } from './photo/uploads.ts';
import { planRoutes } from './plan/plan.routes.ts';
import { csvRoutes } from './piece/csv.routes.ts';
import { pieceRoutes } from './piece/piece.routes.ts';
import { pourRoutes } from './pour/pour.routes.ts';
import { readingRoutes } from './reading/reading.routes.ts';
import { RECIPES } from './recipe/recipes.ts';
import { resultRoutes } from './result/result.routes.ts';
import { VIEWS } from './result/views.ts';
import { cameraRoutes } from './standin/camera/camera.routes.ts';
import { climateRoutes } from './standin/climate/climate.routes.ts';
import { standInScale } from './standin/scale/scale.ts';
import { sampleRoutes } from './demo/sample.routes.ts';
import { scaleRoutes } from './standin/scale/scale.routes.ts';
import { SUPPORTS } from './support/supports.ts';
import type { Tasks } from './task/threads.ts';
import { VERSION } from './version.ts';

export interface FrameParts extends Omit<DeviceParts, 'script'> {
  readonly config: Config;
  readonly keeper: Keeper;
  readonly log: (error: unknown) => void;
  readonly seed: number;
  readonly status: () => 'ok' | 'damaged' | 'restoring';
  /** The routes of the studio that is open now; a restore puts others in their place. */
  readonly studio: () => Router;
}

/** The whole server, not yet listening: what stands around a studio, and the studio within. */
export function makeApp(parts: FrameParts): Express {
  const { config, keeper, log, seed, status, studio, devices, door, hub } = parts;
  const app = express();
  app.disable('x-powered-by');
  // Answers of the API are never kept, and a hash over a large one holds everything else up.
  app.disable('etag');
  app.use(api.devices.live.path, parts.streams.gate);
  app.use(securityHeaders());
  app.use(originGuard(config, () => door.state().isOpen));
  joinRoutes(app, devices, parts.invitations);
  if (config.passphrase !== null) {
    app.use(
      rateLimit({
        windowMs: 60_000,
        limit: 20,
        skipSuccessfulRequests: true,
        // Whoever else guesses, a device that is signed in is not kept out.
        skip: ({ headers }) => devices.find(tokenOf(headers.cookie) ?? '') !== undefined,
        // A request without a word is the browser's first, no guess at the passphrase.
        requestWasSuccessful: (request, response) =>
          response.statusCode !== 401 || request.headers.authorization === undefined,
      }),
    );
  }
  app.use(signInGuard(config, devices));
  app.use(rightsGuard);
  app.use(compression({ filter: (request, response) => compressible(request, response) }));
  app.use('/api', (_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  route(app, api.health, () => ({ status: status(), version: VERSION, demo: config.demo }));
  describingRoutes(app, config.describedFolder);
  climateRoutes(app);
  app.use(api.safekeeping.chooseSecond.path, express.json({ limit: '10kb' }));
  safekeepingRoutes(app, keeper);
  app.use(['/api/devices', '/api/live'], express.json({ limit: '10kb' }));
  deviceRoutes(app, { ...parts, script: () => startingScript(config.webFolder) });
  app.use('/api', tellChanges(hub, devices));
  calendarAddressRoutes(app, devices);
  app.use('/api/scale', express.json({ limit: '10kb' }));
  scaleRoutes(app, standInScale(seededRandom(seed)));
  app.use((request, response, next) => {
    if (request.path.startsWith('/api/')) studio()(request, response, next);
    else next();
  });
  servePage(app, config.webFolder);
  app.use(problemHandler(log));
  return app;
}

export interface StudioParts {
  readonly db: Db;
  readonly files: PhotoFiles;
  readonly tasks: Tasks;
  readonly jobs: ImportJobs;
  readonly dataFolder: string;
  readonly demoFolder: string;
  /** Comes before everything that is deleted. */
  readonly beforeDeleting: express.RequestHandler;
}

/** The routes of an open studio. */
export function studioRouter(parts: StudioParts): Router {
  const { db, files, tasks, jobs, dataFolder, demoFolder, beforeDeleting } = parts;
  const router = express.Router();
  router.use(beforeDeleting);
  importRoutes(router, jobs, dataFolder);
  uploadRoutes(router, db, files, dataFolder);
  router.use(api.photos.measure.path, express.json({ limit: '20mb' }));
  router.use('/api', express.json({ limit: '1mb' }));
  // What a page from before an update still sends.
  router.use('/api', (request, _response, next) => {
    request.body = withNewNames(request.body as unknown);
    next();
  });
  calculationRoutes(router);
  materialRoutes(router, db, tasks);
  recordRoutes(router, db, api.equipment, EQUIPMENT);
  recordRoutes(router, db, api.recipes, RECIPES);
  recordRoutes(router, db, api.supports, SUPPORTS);
  recordRoutes(router, db, api.calibrations, CALIBRATIONS);
  recordRoutes(router, db, api.drills, DRILLS);
  recordRoutes(router, db, api.views, VIEWS);
  csvRoutes(router, tasks);
  pieceRoutes(router, db, tasks);
  sampleRoutes(router, parts, demoFolder);
  mixRoutes(router, db, tasks);
  readingRoutes(router, db);
  filmFitRoutes(router, db);
  planRoutes(router, db);
  pourRoutes(router, db);
  careRoutes(router, db);
  calendarRoutes(router, tasks);
  photoRoutes(router, db, files, dataFolder);
  judgementRoutes(router, db);
  archiveRoutes(router, files, tasks, dataFolder);
  resultRoutes(router, tasks);
  cameraRoutes(router, db, files, tasks);
  return router;
}

function compressible(request: express.Request, response: express.Response): boolean {
  const isLasting = request.path === api.scale.readings.path || request.path === api.devices.live.path;
  return !isLasting && compression.filter(request, response);
}
