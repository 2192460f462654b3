import { MORE_STEPS, small, type AlarmLook } from '@banter/core';

/** What is done next about a level that rose, as a title: the question that is open, else what mends the cause that was found. Contact comes first (handbook §5). */
export function levelRoseTitle(dogName: string, settingName: string, { next, found }: AlarmLook): string {
  const step = next !== null ? MORE_STEPS[next].does : found !== null ? MORE_STEPS[found].mend : 'Nothing found';
  return `${dogName}: ${small(step)}. The ${settingName} level rose.`;
}
