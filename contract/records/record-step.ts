/** A record as it was kept, by whichever version. */
export type KeptRecord = Record<string, unknown>;

/** One change of a record's shape: what it is called, from which version on records are kept so, and how an earlier one is read. It adds, and never changes a verdict. */
export type RecordStep = { name: string; since: string; bring: (record: KeptRecord) => KeptRecord };
