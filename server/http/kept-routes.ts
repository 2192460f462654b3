import { ADDRESSED_KINDS } from '@banter/contract';
import type { Router } from 'express';
import type { DataSource } from 'typeorm';
import { keptKind, type AnyAppended, type AnyRow, type AnyVersioned } from '../records/kept-kinds.ts';
import { putAppended, putVersioned } from '../records/record-base.ts';
import { Failure } from '../services/failure.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { idOf, parseBody, readJson, versionOf } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

async function answerOf(scope: KennelScope, kind: AnyAppended | AnyVersioned, row: AnyRow): Promise<object> {
  if ('toAnswer' in kind) return kind.toAnswer(row as never);
  const [answer] = await kind.toAnswers(scope, [row]);
  if (answer === undefined) throw new Failure('cannot-be-read');
  return answer as object;
}
const tagOf = (record: object): Record<string, string> => ('version' in record ? { ETag: `"${String(record.version)}"` } : {});

/**
 * The address of every kind of record that has one: read, and kept once by its id or, where it has versions, changed by the one that
 * `If-Match` names, which stands in ETag.
 */
export function keptRoutes(routes: Router, dataSource: DataSource): void {
  for (const { name, path, sent } of ADDRESSED_KINDS) {
    const kind = keptKind(name);
    routes.get(`/${path}/:id`, async (request, response) => {
      const scope = scopeOf(request, dataSource);
      const answer = await answerOf(scope, kind, await scope.get(kind.entity, idOf(request)));
      response.set(tagOf(answer)).json(answer);
    });
    routes.put(`/${path}/:id`, ...readJson, async (request, response) => {
      const scope = scopeOf(request, dataSource);
      const [id, facts] = [idOf(request), parseBody(sent, request) as object];
      const put = 'toAnswer' in kind ? await putVersioned(scope, kind, id, facts, versionOf(request)) : await putAppended(scope, kind, id, facts);
      response
        .status(put.created ? 201 : 200)
        .set(tagOf(put.record as object))
        .json(put.record);
    });
  }
}
