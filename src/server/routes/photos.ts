/** Photos in and out: the body is the picture itself; its name is the hash of what was kept. */
import { resolve } from 'node:path';
import express, { Router } from 'express';
import { invalid, notFound } from '../problem';
import { PHOTO_BYTES } from '../photos';
import type { Services } from '../services';

const A_YEAR = '365d';

export function photoRouter({ photos }: Services): Router {
  const router = Router();
  router.post('/photos', express.raw({ type: () => true, limit: PHOTO_BYTES }), async (request, response) => {
    const body: unknown = request.body;
    if (!Buffer.isBuffer(body) || body.length === 0)
      throw invalid([{ path: ['photo'], message: 'is missing; send the picture as the body' }]);
    response.status(201).json(await photos.store(body));
  });
  router.get('/photos/:file', (request, response, next) => {
    const path = photos.pathOf(String(request.params['file']));
    if (path === null) throw notFound('photo');
    response.sendFile(resolve(path), { maxAge: A_YEAR, immutable: true }, (error) => {
      if (error) next(error);
    });
  });
  return router;
}
