import type { Deed } from '../records/deed.ts';
import type { KindWords } from '../records/record-kind.ts';
import { RECORD_KINDS, type RecordKindName } from '../records/registry.ts';

/** What the log tells of beside records, and how earlier versions told of some. */
const OTHER_DEEDS = {
  kennel: {
    many: 'house rules',
    made: 'made the kennel',
    changed: 'changed the house rules',
    took: 'took the whole kennel as a file',
    brought: 'brought a kennel’s file in',
  },
  session: { many: 'sign-ins', in: 'signed in', out: 'signed out', changed: 'changed their password' },
  event: { many: 'collars on and off', made: 'told what happened on the neck of' },
  fieldEvent: { many: 'sessions in the field', made: 'logged in the field' },
} satisfies Record<string, KindWords>;

export type DeedKind = (typeof RECORD_KINDS)[RecordKindName]['one'] | keyof typeof OTHER_DEEDS;
/** Everything that the log of who did what tells of, by its name in the log, with what is said of it: of a dog, or of a thing by its name. */
export const DEED_WORDS = {
  ...Object.fromEntries(Object.values(RECORD_KINDS).map(({ one, words }) => [one, words])),
  ...OTHER_DEEDS,
} as Readonly<Record<DeedKind, KindWords>>;
export const DEED_KINDS = Object.keys(DEED_WORDS) as DeedKind[];

/** A line of the log in words, without who and when. */
export function deedWords({ kind, act, dogName, label, about }: Pick<Deed, 'kind' | 'act' | 'dogName' | 'label' | 'about'>): string {
  const words = Object.hasOwn(DEED_WORDS, kind) ? DEED_WORDS[kind as DeedKind][act] : undefined;
  const many = about.count !== undefined && about.count > 1 ? `(${about.count})` : '';
  return [words ?? `${act} ${kind}`, kind === 'want' ? label : dogName || label, many].filter(Boolean).join(' ');
}
