import { DogRecord, type RecordPart } from '@banter/contract';
import { TAPE_SITE_WORDS } from '@banter/core';
import { computed, ref } from 'vue';
import { skinEntries } from '../parts/neck-timeline.ts';
import { inTimeOrder, timelineOf, type TimelineEntry } from '../parts/timeline.ts';
import { stageEntries, workedDays } from '../parts/work-timeline.ts';
import { useParts } from './long-list.ts';
import { useUnits } from './units.ts';

/** What happened to a dog, the newest first, some weeks at a time: all of it, or the part that somebody looks for. */
export function useDogRecord(dogId: string, timeZone: () => string) {
  const units = useUnits();
  const part = ref<RecordPart | 'all'>('all');
  const source = useParts(() => `/api/dogs/${dogId}/record${part.value === 'all' ? '' : `?part=${part.value}`}`, DogRecord);
  const entries = computed((): TimelineEntry[] =>
    inTimeOrder(
      source.parts.value.flatMap((one) => [
        ...timelineOf(one, units.speak, units.exact, (site) => TAPE_SITE_WORDS[site].name),
        ...skinEntries(one),
        ...workedDays(one, timeZone()),
        ...stageEntries(one, timeZone()),
      ]),
    ),
  );
  return { ...source, part, entries, unreadable: computed(() => source.parts.value.flatMap((one) => one.unreadable)) };
}
export type DogRecordSource = ReturnType<typeof useDogRecord>;
