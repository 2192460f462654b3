import { askWhetherOff, wearMarks, wearsOf, type House, type SkinLook, type Wear, type WearMark } from '@banter/core';
import { collarKind } from '../collars/collar-kinds.ts';
import type { Collar } from '../records/collar.ts';
import type { NewHappening } from '../happenings/happening.ts';
import { nightSpans } from './kennel-days.ts';
import { wearAndDeviceEvents } from '../happenings/wear-and-device.ts';

/** A wear with what is known of its collar, the rules it breaks or broke, and whether to ask if it is still on. */
export type DressedWear = { wear: Wear; collar: Collar | null; marks: WearMark[]; ask: boolean };

/** Whether a collar has contacts; it then counts for the hours of a dog’s day. */
export const hasContacts = (collar: Pick<Collar, 'kind'> | null): boolean => collar !== null && collarKind(collar.kind).traits.wear.contacts;

/** The along-the-strap width of a collar’s contacts, mm; null where it has none. */
export const footprintOf = (collar: Pick<Collar, 'kind' | 'numbers'>): number | null => collarKind(collar.kind).device?.(collar.numbers).footprintMm ?? null;

/** Every wear of one dog out of the events of its collars, oldest first, judged at an instant in the kennel’s zone; ms. */
export function dressedWears(
  dogId: string,
  events: readonly NewHappening[],
  collars: readonly Collar[],
  by: { skin: readonly SkinLook[]; girthMm: number | null; house: House; timeZone: string; now: number },
): DressedWear[] {
  const { skin, girthMm, house, timeZone, now } = by;
  const collarOf = new Map(collars.map((collar) => [collar.id, collar]));
  const own = wearsOf(wearAndDeviceEvents(events).wear).wears.filter((wear) => wear.dogId === dogId);
  const contactWears = own.filter(({ collarId }) => hasContacts(collarOf.get(collarId) ?? null));
  return own.map((wear): DressedWear => {
    const collar = collarOf.get(wear.collarId) ?? null;
    if (!collar) return { wear, collar, marks: [], ask: false };
    const rule = collarKind(collar.kind).traits.wear;
    const context = {
      now,
      nights: nightSpans(wear.from, wear.to ?? now, timeZone),
      skin,
      girthMm,
      footprintMm: footprintOf(collar),
      rules: house.rules,
      schools: house.schools,
    };
    return { wear, collar, marks: wearMarks(wear, rule, contactWears, context), ask: askWhetherOff(wear, rule, now, house.rules) };
  });
}
