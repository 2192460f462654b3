import { RECORD_KINDS, type RecordKindName } from './registry.ts';

/** The kinds that are kept at an address of their own, each with it. */
export const ADDRESSED_KINDS = (Object.keys(RECORD_KINDS) as RecordKindName[]).flatMap((name) => {
  const { address, versioned } = RECORD_KINDS[name];
  return address === null ? [] : [{ name, path: name.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`), versioned, ...address }];
});
