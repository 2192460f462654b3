/** An id in sixteen bytes: a file may hold a million of them. */
const packed = (id: string) => Buffer.from(id.replaceAll('-', ''), 'hex').toString('latin1');

/** Which ids a file has, by part. */
export class IdSets {
  private readonly sets = new Map<string, Set<string>>();

  /** Answers whether it is new. */
  add(part: string, id: string): boolean {
    const set = this.sets.get(part) ?? new Set();
    this.sets.set(part, set);
    const key = packed(id);
    if (set.has(key)) return false;
    set.add(key);
    return true;
  }

  has(part: string, id: string): boolean {
    return this.sets.get(part)?.has(packed(id)) ?? false;
  }
}
