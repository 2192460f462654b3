import type { HandoverSheet } from '../records/handover.ts';

/** A line that is not as it was handed over: new, gone, or another. */
export type HandoverChange = { section: string; label: string; was: string | null; is: string | null };

const linesOf = (sheet: HandoverSheet) =>
  new Map(
    [
      ...sheet.sections.flatMap(({ title, lines }) => lines.map(({ key, label, text }) => ({ key, section: title, label, text }))),
      ...sheet.daily.map(({ key, text }) => ({ key: `daily ${key}`, section: 'Daily check', label: '', text })),
    ].map((line) => [line.key, line]),
  );

/** What has changed since a dog was handed over last, line by line, in the order of the sheet; units alone are no change. */
export function handoverChanges(was: HandoverSheet, is: HandoverSheet): HandoverChange[] {
  const [before, now] = [linesOf(was), linesOf(is)];
  const changed = [...now.values()].flatMap(({ key, section, label, text }): HandoverChange[] => {
    const old = before.get(key);
    return old?.text === text && old.label === label ? [] : [{ section, label: label || (old?.label ?? ''), was: old?.text ?? null, is: text }];
  });
  const gone = [...before.values()].filter(({ key }) => !now.has(key)).map(({ section, label, text }) => ({ section, label, was: text, is: null }));
  return [...changed, ...gone];
}
