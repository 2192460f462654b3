import { RECORD_KINDS, type RecordKindName } from './registry.ts';

/** The kinds that are kept at an address of their own, each with it. */
export const ADDRESSED_KINDS = (Object.keys(RECORD_KINDS) as RecordKindName[]).flatMap((name) => {
  const { address, versioned } = RECORD_KINDS[name];
  return address === null ? [] : [{ name, path: name.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`), versioned, ...address }];
});

/** What a kind, by its `one`, refers to: the field, the kind that it names one of, and what one of those is called. */
export function referencesOf(one: string): { field: string; kind: RecordKindName; noun: string }[] {
  const { file } = Object.values(RECORD_KINDS).find((kind) => kind.one === one)!;
  return Object.entries(file?.refs ?? {}).map(([field, target]) => {
    const kind = target as RecordKindName;
    return { field, kind, noun: RECORD_KINDS[kind].address?.noun ?? RECORD_KINDS[kind].one };
  });
}
