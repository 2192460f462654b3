import type { FitTone } from '../fit/fit-row.ts';
import { countOf, listWords } from '../units/count-words.ts';

/** What is looked at before going out of the door, in the order it is read. */
export const DOOR_LINES = ['stack', 'gear', 'fit', 'ring', 'side', 'rig', 'contacts', 'skin', 'routine', 'supervision'] as const;
export type DoorLineName = (typeof DOOR_LINES)[number];

/** What each line is called in a sentence. */
export const DOOR_NAMES: Record<DoorLineName, string> = {
  stack: 'stack',
  gear: 'gear',
  fit: 'fit',
  ring: 'ring',
  side: 'side',
  rig: 'rig',
  contacts: 'contacts',
  skin: 'skin',
  routine: 'routine',
  supervision: 'supervision',
};

/** One line: how it stands, and a short sentence. `open`: not known; `none`: there is nothing of the kind on this dog. */
export type DoorLine = { what: DoorLineName; tone: FitTone | 'none'; says: string };

/** What is known of a dog about to go out; null wherever nothing has been recorded. */
export type DoorFacts = {
  stack: { tone: FitTone; says: string } | null;
  /** How what is worn was found when it was looked at last; null: nothing of ours is worn. */
  gear: { tone: FitTone; says: string } | null;
  /** What the fits of what is worn ask for, the most pressing of it; null: nothing is fitted. */
  fit: { tone: FitTone; says: string } | null;
  ring: { says: string } | null;
  side: { says: string } | null;
  rig: { tone: FitTone; says: string } | null;
  /** Null: no electronic collar is among what is worn. */
  contacts: { tone: FitTone; says: string } | null;
  skin: { tone: FitTone; says: string } | null;
  routine: { tone: FitTone; says: string } | null;
  supervision: { tone: FitTone; says: string } | null;
  electronic: boolean;
};

export type DoorVerdict = { go: boolean; tone: FitTone; sentence: string; lines: DoorLine[] };

const UNKNOWN: Record<DoorLineName, string> = {
  stack: 'Stack not set up.',
  gear: 'Nothing of ours is worn.',
  fit: 'Nothing fitted.',
  ring: 'No ring chosen.',
  side: 'No side chosen.',
  rig: 'The rig has not been put together.',
  contacts: 'No place chosen.',
  skin: 'Skin not checked.',
  routine: 'The morning routine has not been begun.',
  supervision: 'Supervision not logged.',
};

/** So many checks are named; of more than these only the number is said. */
const MOST_NAMED = 3;
const notReady = (names: readonly string[]): string => `Not ready: ${names.length > MOST_NAMED ? `${countOf(names.length, 'check')} left` : listWords(names)}.`;

/**
 * Whether to go out of the door: only when every line is good. What is not known is open, never good; a line about an
 * electronic collar counts only where one is worn. Common practice.
 */
export function doorCheck(facts: DoorFacts): DoorVerdict {
  const line = (what: DoorLineName, known: { tone?: FitTone; says: string } | null): DoorLine =>
    known ? { what, tone: known.tone ?? 'good', says: known.says } : { what, tone: 'open', says: UNKNOWN[what] };
  const onlyElectronic = (what: 'contacts' | 'routine'): DoorLine =>
    facts.electronic ? line(what, facts[what]) : { what, tone: 'none', says: 'No electronic collar.' };
  const lines: DoorLine[] = [
    line('stack', facts.stack),
    facts.gear ? line('gear', facts.gear) : { what: 'gear', tone: 'none', says: UNKNOWN.gear },
    line('fit', facts.fit),
    line('ring', facts.ring),
    line('side', facts.side),
    line('rig', facts.rig),
    onlyElectronic('contacts'),
    line('skin', facts.skin),
    onlyElectronic('routine'),
    line('supervision', facts.supervision),
  ];
  const first = (tone: FitTone) => lines.find((one) => one.tone === tone);
  const worst = first('stop') ?? first('mind') ?? first('open');
  const wanting = (['stop', 'mind', 'open'] as const).flatMap((tone) => lines.filter((one) => one.tone === tone));
  return {
    go: worst === undefined,
    tone: (worst?.tone ?? 'good') as FitTone,
    sentence: worst === undefined ? 'Go: every line is good.' : notReady(wanting.map(({ what }) => DOOR_NAMES[what])),
    lines,
  };
}
