import { DEED_KINDS, type Deed, type DeedKind } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { DeedEntity, type DeedRow } from '../data/entities/deed.ts';
import type { KennelScope } from '../services/kennel-scope.ts';

/** What is told of a deed; who and when come from the scope. */
export type NewDeed = Pick<DeedRow, 'act'> & { kind: DeedKind } & Partial<Pick<DeedRow, 'recordId' | 'dogId' | 'label' | 'about'>> & { at?: Date };

const LONGEST_LABEL = 120;
/** A value of a change is written out when it is no longer than this as JSON. */
const LONGEST_VALUE = 80;

/** The name by which the log tells of a kind of record. */
export function deedKindOf(entity: { options: { name: string } }): DeedKind {
  const name = entity.options.name.replaceAll(/_(\w)/g, (_all, letter: string) => letter.toUpperCase());
  if (!(DEED_KINDS as string[]).includes(name)) throw new Error(`the log has no words for ${name}`);
  return name as DeedKind;
}

/** When an id of version 7 was made (RFC 9562 §5.7): its first 48 bits are milliseconds. */
const madeAt = (id: string | null | undefined): Date => (id ? new Date(Number.parseInt(id.replaceAll('-', '').slice(0, 12), 16)) : new Date());

/** Writes down a deed, in the transaction of what it tells of. */
export async function writeDeed(scope: KennelScope, { at, ...deed }: NewDeed): Promise<void> {
  await scope.insert(DeedEntity, {
    id: uuidv7(),
    at: scope.backdated ? (at ?? madeAt(deed.recordId)) : new Date(),
    personId: scope.personId,
    recordId: null,
    dogId: null,
    about: {},
    ...deed,
    label: (deed.label ?? '').slice(0, LONGEST_LABEL),
  });
}

/** What a record says of the dog it is about and of its own name. */
export function deedLabel(id: string, kind: DeedKind, facts: object): Pick<DeedRow, 'recordId' | 'dogId' | 'label'> {
  const { dogId, name, what } = facts as { dogId?: unknown; name?: unknown; what?: unknown };
  return {
    recordId: id,
    dogId: typeof dogId === 'string' ? dogId : kind === 'dog' || kind === 'dressing' ? id : null,
    label: typeof name === 'string' ? name : typeof what === 'string' ? what : '',
  };
}

/** What changed between two states of a record, field by field; long values are only named. */
export function changesOf(before: object, after: object): NonNullable<Deed['about']['changed']> {
  const plain = (value: unknown) => JSON.stringify(value ?? null);
  const short = (value: unknown) => (plain(value).length <= LONGEST_VALUE ? { value: value ?? null } : null);
  return Object.entries(after).flatMap(([field, to]) => {
    const from = (before as Record<string, unknown>)[field];
    if (field === 'keyHash' || plain(from) === plain(to)) return [];
    const [was, is] = [short(from), short(to)];
    return [was && is ? { field, from: was.value, to: is.value } : { field }];
  });
}
