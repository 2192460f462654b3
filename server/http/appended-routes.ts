import type { z } from '@banter/contract';
import type { Router } from 'express';
import type { DataSource } from 'typeorm';
import { Failure } from '../services/failure.ts';
import { putAppended, type AppendedKind } from '../services/record-base.ts';
import { idOf, parseBody, readJson } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** Something that happened, read and kept once by its id. */
export function appendedRoutes<Row extends { id: string; kennelId: string }, New extends object, Answer>(
  routes: Router,
  dataSource: DataSource,
  path: string,
  schema: z.ZodType<New>,
  kind: AppendedKind<Row, New, Answer>,
): void {
  routes.get(`/${path}/:id`, async (request, response) => {
    const scope = scopeOf(request, dataSource);
    const [answer] = await kind.toAnswers(scope, [await scope.get(kind.entity, idOf(request))]);
    if (answer === undefined) throw new Failure('cannot-be-read');
    response.json(answer);
  });
  routes.put(`/${path}/:id`, ...readJson, async (request, response) => {
    const put = await putAppended(scopeOf(request, dataSource), kind, idOf(request), parseBody(schema, request));
    response.status(put.created ? 201 : 200).json(put.record);
  });
}
