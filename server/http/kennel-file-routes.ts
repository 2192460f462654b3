import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { MINUTE_MS } from '@banter/core';
import { CSV_TABLES, ImportAsked, KeepImport, kennelFileSchema } from '@banter/contract';
import { Router, type Response } from 'express';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { csvPieces } from '../kennel-file/csv-tables.ts';
import { eventLines } from '../kennel-file/event-lines.ts';
import { KennelImports } from '../kennel-file/kennel-imports.ts';
import { kennelFilePieces } from '../kennel-file/write-kennel.ts';
import { writeDeed } from '../records/deeds.ts';
import { Failure } from '../services/failure.ts';
import type { KennelBus } from '../services/kennel-bus.ts';
import { kennelOf } from '../services/kennels.ts';
import { idOf, parseBody, parseQuery, readJson } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** How often files that nobody keeps are looked for, ms. */
const SWEEP_MS = 10 * MINUTE_MS;

/** The whole kennel as one open file, out and back in. */
export function kennelFileRoutes(dataSource: DataSource, log: Logger, bus: KennelBus): Router {
  const routes = Router();
  const imports = new KennelImports(dataSource, log, (kennelId) => bus.changed(kennelId));
  const sweeping = setInterval(
    () => void imports.sweep().catch((error: unknown) => log.warn({ error }, 'files that nobody keeps were not forgotten')),
    SWEEP_MS,
  );
  sweeping.unref();
  const schema = kennelFileSchema();
  routes.get('/kennel-file.schema.json', (_request, response) => {
    response.type('application/schema+json').json(schema);
  });
  routes.get('/kennel.json', async (request, response) => {
    const scope = scopeOf(request, dataSource);
    const { name } = await kennelOf(scope);
    const now = new Date();
    await writeDeed(scope, { act: 'took', kind: 'kennel', label: name });
    const file = `${name} ${now.toISOString().slice(0, 10)}.json`;
    response.set('Content-Disposition', `attachment; filename="kennel.json"; filename*=UTF-8''${encodeURIComponent(file)}`).type('application/json');
    // Half a file must not look like a whole one: when it cannot be written to its end, the answer is broken off.
    await pipeline(Readable.from(kennelFilePieces(dataSource, scope, now)), response).catch((error: unknown) => {
      if ((error as { code?: string }).code !== 'ERR_STREAM_PREMATURE_CLOSE') log.error({ error }, 'a kennel could not be written whole');
    });
  });
  /** Sends a table or lines piece by piece. */
  const stream = (response: Response, pieces: AsyncGenerator<string>, name: string, type: string) => {
    response.set('Content-Disposition', `attachment; filename="${name}"`).type(type);
    return pipeline(Readable.from(pieces), response).catch((error: unknown) => {
      if ((error as { code?: string }).code !== 'ERR_STREAM_PREMATURE_CLOSE') log.error({ error }, 'a table could not be written whole');
    });
  };
  routes.get('/csv/:table.csv', async (request, response) => {
    const table = CSV_TABLES.find((one) => one === request.params.table);
    if (!table) throw new Failure('not-found');
    await stream(response, csvPieces(dataSource, scopeOf(request, dataSource), table), `${table}.csv`, 'text/csv; charset=utf-8');
  });
  routes.get('/events.ndjson', async (request, response) => {
    await stream(response, eventLines(dataSource, scopeOf(request, dataSource)), 'events.ndjson', 'application/x-ndjson');
  });
  routes.post('/imports', async (request, response) => {
    const asked = parseQuery(ImportAsked, request);
    const length = Number(request.get('content-length'));
    const view = await imports.take(scopeOf(request, dataSource), request, Number.isFinite(length) ? length : null, asked.table ?? null);
    response.status(201).json(view);
  });
  routes.get('/imports/:id', async (request, response) => {
    response.json(await imports.view(scopeOf(request, dataSource), idOf(request)));
  });
  routes.post('/imports/:id/keep', ...readJson, async (request, response) => {
    response.json(await imports.keep(scopeOf(request, dataSource), idOf(request), parseBody(KeepImport, request)));
  });
  routes.post('/imports/:id/drop', async (request, response) => {
    await imports.drop(scopeOf(request, dataSource), idOf(request));
    response.status(204).end();
  });
  return routes;
}
