import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import { scanModulator, streamPedal } from './instruments.ts';
import { streamVernier } from './vernier.ts';

export interface Folders {
  /** The built app. */
  readonly app: string;
  /** The demo plans. */
  readonly demo: string;
}

const YEAR_MS = 365 * 24 * 3600 * 1000;
/** Files whose name holds a digest of what is in them never change. */
const HASHED = /-[A-Z0-9]{8,}\.(js|css|woff2?)$/;

/** The page asks for none of these, and nothing in it may. */
const NO_DEVICES = 'camera=(), microphone=(), geolocation=(), usb=(), payment=()';

/** What goes wrong is told in a sentence, with no word of how the server is made. */
const inASentence: ErrorRequestHandler = (
  error: { status?: unknown },
  _request,
  response,
  next,
) => {
  if (response.headersSent) return next(error);
  const status =
    typeof error.status === 'number' && error.status >= 400 && error.status < 500
      ? error.status
      : 500;
  response.status(status).json({
    error: status === 500 ? 'The server ran into a fault.' : 'This address cannot be read.',
  });
};

/** Serves the built app and the demo plans; everything comes from this origin and nothing runs that is not a file of it. */
export function createApp({ app, demo }: Folders): Express {
  const server = express();
  server.disable('x-powered-by');
  server.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // The server speaks plain HTTP to its own machine: there is nothing to upgrade to.
      strictTransportSecurity: false,
      xFrameOptions: { action: 'deny' },
    }),
  );
  server.use((_request, response, next) => {
    response.setHeader('Permissions-Policy', NO_DEVICES);
    next();
  });
  server.use(compression());
  server.get('/healthz', (_request, response) => void response.json({ ok: true }));
  server.get('/api/vernier/:piece', streamVernier);
  server.get('/api/pedal/:vehicle', streamPedal);
  server.get('/api/scan/:part', scanModulator);
  server.use(
    '/api',
    (_request, response) =>
      void response.status(404).json({ error: 'No instrument by that name.' }),
  );
  server.use(
    '/demo',
    express.static(demo, {
      index: false,
      cacheControl: false,
      setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache'),
    }),
  );
  server.use(
    '/demo',
    (_request, response) => void response.status(404).json({ error: 'No demo plan by that name.' }),
  );
  server.use(
    express.static(app, {
      index: false,
      cacheControl: false,
      setHeaders: (response, path) => {
        response.setHeader(
          'Cache-Control',
          HASHED.test(path) ? `public, max-age=${YEAR_MS / 1000}, immutable` : 'no-cache',
        );
      },
    }),
  );
  // Any address of the app itself is the app; a missing file is missing.
  server.get('/{*path}', (request, response) => {
    if (/\.[a-z0-9]+$/i.test(request.path))
      return void response.status(404).send('No file at this address.');
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile('index.html', { root: app });
  });
  server.use(
    (_request, response) =>
      void response.status(405).json({ error: 'This request is not supported.' }),
  );
  server.use(inASentence);
  return server;
}
