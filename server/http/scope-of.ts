import type { Request } from 'express';
import type { DataSource } from 'typeorm';
import { KennelScope } from '../services/kennel-scope.ts';

/** The scope of whoever is signed in: the only way from a request to records. */
export function scopeOf(request: Request, dataSource: DataSource): KennelScope {
  return new KennelScope(dataSource, { kennelId: request.session.kennelId!, personId: request.session.personId!, role: request.role! });
}
