import { dayOf, OwnerAsked, OwnerSays, OwnerTick, type PaperDrawings } from '@banter/contract';
import { Router, type Response } from 'express';
import { DateTime } from 'luxon';
import type { DataSource } from 'typeorm';
import { HandoverEntity, type HandoverRow } from '../data/entities/handover.ts';
import { handoverPdf } from '../paper/handover-pdf.ts';
import { Failure } from '../services/failure.ts';
import { handoversPage } from '../services/handovers.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { kennelOf } from '../services/kennels.ts';
import { readable } from '../services/readable.ts';
import { latestHandover, noteVisit, ownerOf, ownerPage, sayToKennel, tickDaily } from '../services/owner-links.ts';
import type { Limits } from './limits.ts';
import { idOf, parseBody, readJson } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** Handing over: the sheets, their pages on paper, and what owners see by their links. */
export function handoverRoutes(dataSource: DataSource, drawHandover: PaperDrawings, limits: Limits): Router {
  const routes = Router();
  async function sendPages(response: Response, scope: KennelScope, row: HandoverRow) {
    const { timeZone } = await kennelOf(scope);
    const day = DateTime.fromISO(dayOf(row.at.getTime(), timeZone)).toFormat('d LLLL yyyy');
    const pdf = await handoverPdf({ sheet: row.sheet, toWhom: row.toWhom, callWhom: row.callWhom, note: row.note, day }, drawHandover);
    const name = `${row.sheet.dogName} handover.pdf`;
    response.set('Content-Disposition', `inline; filename="${name.replaceAll(/[^\x20-\x7e]|["\\]/g, '_')}"; filename*=UTF-8''${encodeURIComponent(name)}`);
    response.type('application/pdf').send(pdf);
  }

  routes.post('/owner', limits.owners, ...readJson, async (request, response) => {
    response.json(await ownerPage(dataSource, parseBody(OwnerAsked, request).key, new Date(), true));
  });
  routes.post('/owner/ticks', limits.owners, ...readJson, async (request, response) => {
    const tick = parseBody(OwnerTick, request);
    const now = new Date();
    response.locals.told = { scope: await tickDaily(dataSource, tick, now) };
    response.json(await ownerPage(dataSource, tick.key, now, false));
  });
  routes.post('/owner/says', limits.owners, ...readJson, async (request, response) => {
    const said = parseBody(OwnerSays, request);
    const now = new Date();
    response.locals.told = { scope: await sayToKennel(dataSource, said, now) };
    response.json(await ownerPage(dataSource, said.key, now, false));
  });
  routes.post('/owner/pages.pdf', limits.owners, ...readJson, async (request, response) => {
    const { link, scope } = await ownerOf(dataSource, parseBody(OwnerAsked, request).key);
    const row = await latestHandover(scope, link.dogId);
    if (!row) throw new Failure('not-found');
    await noteVisit(scope, link, { what: 'paper' });
    await sendPages(response, scope, row);
  });

  routes.get('/dogs/:id/handovers', async (request, response) => {
    response.json(await handoversPage(scopeOf(request, dataSource), idOf(request)));
  });
  routes.get('/handovers/:id/pages.pdf', async (request, response) => {
    const scope = scopeOf(request, dataSource);
    const [row] = readable(scope, 'handover', [await scope.get(HandoverEntity, idOf(request))]);
    if (!row) throw new Failure('cannot-be-read');
    await sendPages(response, scope, row);
  });
  return routes;
}
