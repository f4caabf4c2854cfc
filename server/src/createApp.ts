import compression from 'compression';
import { ENDPOINTS, PHOTO_PATH } from '@weskopos/contract';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import path from 'node:path';
import type { Context } from './context';
import { storageRoutes } from './backup/routes';
import { bundleRoutes } from './bundle/routes';
import { sheetRoutes } from './sheets/routes';
import { auditRoutes } from './tables/auditRoutes';
import { calendarRoutes } from './calendars/routes';
import { linkRoutes } from './links/routes';
import { keeperRoutes } from './keeper/routes';
import { tableRoutes } from './tables/routes';
import { verifyRoutes } from './verify/routes';
import { apiRoutes } from './openapi/routes';
import { fleetRoutes } from './fleet/routes';
import { inspectionRoutes } from './inspections/routes';
import { liveRoutes } from './live/routes';
import { operationRoutes } from './changes/routes';
import { peopleRoutes } from './people/routes';
import { priceRoutes } from './prices/routes';
import { photoRoutes } from './photos/routes';
import { reportRoutes } from './reports/routes';
import { ruleRoutes } from './rules/routes';
import { trendRoutes } from './trends/routes';
import { vehicleRoutes } from './vehicles/routes';
import { crossSiteGuard } from './people/guard';
import { NotFound, problemHandler, Refused, sendProblem } from './http/problems';

/** Longest JSON body: a hundred operations with full notes stay well below. */
const MOST_JSON = '1mb';
const QUARTER_HOUR_MS = 15 * 60 * 1000;

/** The whole HTTP application over an opened context. */
export function createApp(context: Context): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // React Native for web writes its sheet into a style element.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'blob:', 'data:'],
          workerSrc: ["'self'", 'blob:'],
          // A bay's own server is often plain HTTP on the workshop's network.
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());

  app.get('/healthz', async (_request, response) => {
    await context.engine.query('select 1');
    response.json({ status: 'ok' });
  });

  app.use('/api', crossSiteGuard);
  const doors = rateLimit({
    windowMs: QUARTER_HOUR_MS,
    limit: context.config.signInTries,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, response) => sendProblem(response, new Refused(429, 'too-many-tries', 'sign-in')),
  });
  app.post([ENDPOINTS.signIn.path, ENDPOINTS.setup.path, ENDPOINTS.changeSecret.path], doors);
  const json = express.json({ limit: MOST_JSON });
  app.use('/api', (request, response, next) =>
    request.originalUrl.startsWith(PHOTO_PATH) ? next() : json(request, response, next),
  );

  const api = { app, sessions: context.sessions, tokens: context.tokens };
  peopleRoutes(api, context);
  operationRoutes(api, context);
  vehicleRoutes(api, context);
  inspectionRoutes(api, context);
  trendRoutes(api, context);
  reportRoutes(api, context);
  photoRoutes(api, context);
  ruleRoutes(api, context);
  liveRoutes(api, context);
  fleetRoutes(api, context);
  bundleRoutes(api, context);
  tableRoutes(api, context);
  sheetRoutes(api, context);
  auditRoutes(api, context);
  keeperRoutes(api, context);
  linkRoutes(api, context);
  calendarRoutes(api, context);
  priceRoutes(api, context);
  verifyRoutes(api, context);
  storageRoutes(api, context);
  apiRoutes(app);
  app.use('/api', () => {
    throw new NotFound('endpoint');
  });

  if (context.config.appFolder) serveApp(app, context.config.appFolder);
  app.use(problemHandler(context.log));
  return app;
}

/** The built app: hashed files for ever, the page and the service worker asked for anew each time. */
function serveApp(app: Express, folder: string): void {
  app.use(
    express.static(folder, {
      index: false,
      setHeaders: (response, file) =>
        response.set(
          'Cache-Control',
          /[.-][0-9a-f]{20,}\./.test(file) ? 'public, max-age=31536000, immutable' : 'no-cache',
        ),
    }),
  );
  app.get('/{*page}', (request, response) => {
    // A view's address may hold a dot (a trend names its series); a browser that opens one asks for a page in so many words.
    const isPage = request.get('Accept')?.includes('text/html') ?? false;
    if (!isPage && path.extname(request.path)) throw new NotFound('file');
    response.set('Cache-Control', 'no-cache').sendFile(path.join(folder, 'index.html'), { dotfiles: 'allow' });
  });
}
