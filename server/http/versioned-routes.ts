import type { z } from '@banter/contract';
import type { Router } from 'express';
import type { DataSource } from 'typeorm';
import { putVersioned, type VersionedKind } from '../services/record-base.ts';
import { idOf, parseBody, readJson, versionOf } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** A versioned record read and kept by its id, its version in ETag and If-Match. */
export function versionedRoutes<Row extends { id: string; kennelId: string; version: number }, Facts extends object, Answer extends { version: number }>(
  routes: Router,
  dataSource: DataSource,
  path: string,
  schema: z.ZodType<Facts>,
  kind: VersionedKind<Row, Facts, Answer>,
): void {
  routes.get(`/${path}/:id`, async (request, response) => {
    const answer = kind.toAnswer(await scopeOf(request, dataSource).get(kind.entity, idOf(request)));
    response.set('ETag', `"${answer.version}"`).json(answer);
  });
  routes.put(`/${path}/:id`, ...readJson, async (request, response) => {
    const put = await putVersioned(scopeOf(request, dataSource), kind, idOf(request), parseBody(schema, request), versionOf(request));
    response
      .status(put.created ? 201 : 200)
      .set('ETag', `"${put.record.version}"`)
      .json(put.record);
  });
}
