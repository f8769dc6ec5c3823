/** The description of the API, to be read by programs and browsed by people; every file is local. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import express, { Router } from 'express';
import { apiDescription } from './description';

const require = createRequire(import.meta.url);
const BROWSER = dirname(require.resolve('swagger-ui-dist/package.json'));

const PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Green Abacus: API</title>
    <link rel="stylesheet" href="/api/docs/files/swagger-ui.css" />
  </head>
  <body>
    <div id="api"></div>
    <script src="/api/docs/files/swagger-ui-bundle.js"></script>
    <script src="/api/docs/begin.js"></script>
  </body>
</html>
`;
const BEGIN = `SwaggerUIBundle({ url: '/api/docs/openapi.json', dom_id: '#api', deepLinking: true, validatorUrl: null, docExpansion: 'none' });
`;

const version = (JSON.parse(readFileSync('package.json', 'utf8')) as { version: string }).version;

export function docsRouter(): Router {
  const router = Router();
  router.get('/', (_request, response) => response.type('html').send(PAGE));
  router.get('/begin.js', (_request, response) => response.type('js').send(BEGIN));
  router.get('/openapi.json', (_request, response) => response.json(apiDescription(version)));
  router.use('/files', express.static(BROWSER, { index: false, maxAge: '1h' }));
  return router;
}
