import { inspectionDue, lookedAtOn, type Condition, type HouseRules, type InspectionDue, type InspectionSpec, capital } from '@banter/core';
import { collarKind, linksOf } from '../collars/collar-kinds.ts';
import { GEAR_INSPECTIONS, inspectionOf, type Inspection } from '../records/inspection.ts';
import type { UpkeepPage } from '../records/upkeep-page.ts';

/** A piece of gear as upkeep sees it: what it is, how it was found last, when it is looked at again, and who wears it. */
export type UpkeepPiece = {
  id: string;
  of: 'collar' | 'gear';
  inspection: InspectionSpec;
  /** The gauge of its links, mm, where it has any: one that will not hold can be scrapped by itself. */
  linkGaugeMm: number | null;
  name: string;
  what: string;
  condition: Condition;
  scrapped: boolean;
  last: Inspection | null;
  /** It was measured, and called sound, since it was inspected last: that day counts as its inspection. */
  measuredSince: string | null;
  wears: number;
  due: InspectionDue;
  worn: UpkeepPage['worn'];
};

const URGENCY = { mend: 0, never: 1, wears: 2, days: 2 } as const;
const WORN_FIRST = (piece: UpkeepPiece) => (piece.worn.length > 0 ? 0 : 1);

/** Every piece the kennel owns with when it is due, at an instant (ms): what is to be mended first, then what a dog wears. */
export function upkeepPieces(page: UpkeepPage, now: number, rules: Pick<HouseRules, 'inspectDays' | 'inspectWears'>): UpkeepPiece[] {
  const lastOf = (key: 'collarId' | 'gearId', id: string) => page.inspections.find((one) => one[key] === id) ?? null;
  const counts = new Map(page.wears.map(({ collarId, count }) => [collarId, count]));
  const due = (last: Inspection | null, wears: number, measuredSince: string | null = null) =>
    measuredSince === null
      ? inspectionDue({ lastAt: last && Date.parse(last.at), outcome: last?.outcome ?? null, wears }, now, rules)
      : inspectionDue({ lastAt: Date.parse(measuredSince), outcome: 'ok', wears }, now, rules);
  const wornBy = (id: string) => page.worn.filter(({ pieceId }) => pieceId === id);
  const owned = page.collars.filter((collar) => collar.owned);
  const collars = owned.map(({ id, kind, numbers, name, condition, measuredOn, retiredAt }): UpkeepPiece => {
    const last = lastOf('collarId', id);
    const wears = counts.get(id) ?? 0;
    const inspectedOn = last?.at.slice(0, 10) ?? null;
    const lookedOn = lookedAtOn({ inspectedOn, measuredOn, saidSound: condition === 'sound' });
    const measuredSince = lookedOn === inspectedOn ? null : lookedOn;
    return {
      id,
      of: 'collar',
      inspection: inspectionOf({ kind, numbers }),
      linkGaugeMm: linksOf({ kind, numbers })?.gaugeMm ?? null,
      name,
      what: collarKind(kind).name,
      condition,
      scrapped: retiredAt !== null,
      last,
      wears,
      due: due(last, wears, measuredSince),
      measuredSince,
      worn: wornBy(id),
    };
  });
  const gear = page.gear.map(({ id, what, name, condition, retiredAt }): UpkeepPiece => {
    const last = lastOf('gearId', id);
    return {
      id,
      of: 'gear',
      inspection: GEAR_INSPECTIONS[what],
      linkGaugeMm: null,
      name,
      what: capital(what),
      condition,
      scrapped: retiredAt !== null,
      last,
      wears: 0,
      due: due(last, 0),
      measuredSince: null,
      worn: wornBy(id),
    };
  });
  const rank = ({ due: { why } }: UpkeepPiece) => (why === null ? 3 : URGENCY[why]);
  return [...collars, ...gear].sort((a, b) => rank(a) - rank(b) || WORN_FIRST(a) - WORN_FIRST(b) || a.due.at - b.due.at || (a.name < b.name ? -1 : 1));
}
