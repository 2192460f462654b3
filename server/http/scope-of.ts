import type { Request } from 'express';
import type { DataSource } from 'typeorm';
import { readForPage } from './one-page.ts';
import { KennelScope } from '../services/kennel-scope.ts';

/** The scope of whoever is signed in: the only way from a request to records. */
export function scopeOf(request: Request, dataSource: DataSource): KennelScope {
  const kennelId = request.session.kennelId!;
  return new KennelScope(dataSource, { kennelId, personId: request.session.personId!, role: request.role! }, { ofPage: readForPage(request, kennelId) });
}
