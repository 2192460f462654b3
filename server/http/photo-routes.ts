import { Router } from 'express';
import type { DataSource } from 'typeorm';
import { PhotoEntity } from '../data/entities/photo.ts';
import { Failure } from '../services/failure.ts';
import { keepPhoto } from '../services/photos.ts';
import type { Limits } from './limits.ts';
import { idOf, readPhoto } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** Photos of skin: kept once, made anew, shown only within the kennel. */
export function photoRoutes(dataSource: DataSource, limits: Limits): Router {
  const routes = Router();
  routes.get('/photos/:id', async (request, response) => {
    const { jpeg } = await scopeOf(request, dataSource).get(PhotoEntity, idOf(request));
    // It never changes; the browser of whoever may see it may keep it.
    response.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').send(jpeg);
  });
  routes.put('/photos/:id', limits.photos, readPhoto, async (request, response) => {
    if (!Buffer.isBuffer(request.body) || request.body.length === 0) throw new Failure('not-a-photo');
    const { created, record } = await keepPhoto(scopeOf(request, dataSource), idOf(request), request.body);
    response.status(created ? 201 : 200).json(record);
  });
  return routes;
}
