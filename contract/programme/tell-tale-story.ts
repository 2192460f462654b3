import {
  houseRules,
  hoursOn,
  mutualInformation,
  putOnCounts,
  tellTaleAdvice,
  tellTaleCounts,
  tellTaleReasons,
  USUAL_HOURS,
  wornOccasions,
  type Counts,
  type MutualInformation,
  type TellTaleReason,
  MINUTE_MS,
} from '@banter/core';
import { DateTime } from 'luxon';
import type { Kennel } from '../records/kennel.ts';
import type { ProgrammesPage } from '../records/pages.ts';
import type { Programme } from '../records/programme.ts';

type Table = { counts: Counts; found: MutualInformation; reasons: TellTaleReason[]; advice: ReturnType<typeof tellTaleAdvice> };
/** What wearing has given away since a plan began: by what was on, and by the act of putting it on. */
export type TellTaleStory = {
  worn: Table & { rows: string[][] };
  putOn: Table & { withinMinutes: number };
};

const table = (counts: Counts, limit: number): Table => {
  const found = mutualInformation(counts);
  const reasons = tellTaleReasons(found, limit);
  // What chance alone explains is nothing to change anything for.
  const tells = reasons[0]?.code === 'tells';
  return { counts, found, reasons, advice: tells ? tellTaleAdvice(counts) : null };
};

/** What the collars of a plan gave away of work, from the first of its days to now (ms), out of what was really worn and held. */
export function tellTaleStory(
  { tellTale, startsOn }: Pick<Programme, 'tellTale' | 'startsOn'>,
  page: Pick<ProgrammesPage, 'wears' | 'held' | 'kennelHours'>,
  kennel: Pick<Kennel, 'rules' | 'timeZone'>,
  now: number,
): TellTaleStory {
  const { onAroundMinutes, tellTaleChance } = houseRules(kennel.rules);
  const hours = page.kennelHours ?? USUAL_HOURS;
  const today = DateTime.fromMillis(now, { zone: kennel.timeZone });
  const awake: { from: number; to: number }[] = [];
  for (let day = DateTime.fromISO(startsOn, { zone: kennel.timeZone }); day <= today; day = day.plus({ days: 1 })) {
    const open = hoursOn(hours, day.toISODate()!, day.weekday);
    // By the clock on the wall, so that a clock change moves neither end.
    const at = (minute: number) =>
      day
        .startOf('day')
        .set({ hour: Math.floor(minute / 60), minute: minute % 60 })
        .toMillis();
    if (open) awake.push({ from: at(open[0]), to: at(open[1]) });
  }
  const own = new Set(tellTale?.collars ?? []);
  const worn = page.wears
    .filter(({ collarId }) => own.has(collarId))
    .map(({ collarId, from, to }) => ({ collarId, from: Date.parse(from), to: to === null ? null : Date.parse(to) }));
  const begun = page.held.map(({ begunAt }) => Date.parse(begunAt));
  const { rows, counts } = tellTaleCounts(wornOccasions({ worn, begun, awake, now }));
  const withinMs = onAroundMinutes * MINUTE_MS;
  return {
    worn: { rows, ...table(counts, tellTaleChance) },
    putOn: { withinMinutes: onAroundMinutes, ...table(putOnCounts({ worn, begun, awake, now, withinMs }), tellTaleChance) },
  };
}
