<script setup lang="ts">
/** The record of wearing, by day: what was on, since when and until when, how it was watched, and what was not as it should be. */
import { collarKind, dayOf, type DressedWear } from '@banter/contract';
import { clockWords, speakHours, WEAR_MARK_TONES, WEAR_MARK_WORDS, WEAR_STATE_WORDS, wearsOf, wordReason, HOUR_MS, small } from '@banter/core';
import { wearAndDeviceEvents } from '@banter/contract';
import { DateTime } from 'luxon';
import { computed, ref } from 'vue';
import SaidBar from '../../parts/SaidBar.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { asTyped, typedInstant } from '../../parts/kennel-time.ts';
import { dayWords } from '../../parts/age.ts';
import type { NeckOnScreen } from '../../stores/neck.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';
import PastWear from './PastWear.vue';
import RoutineDay from './RoutineDay.vue';

const props = defineProps<{ neck: NeckOnScreen }>();
const session = useSession();
const units = useUnits();
const zone = computed(() => session.kennel!.timeZone);
const dog = computed(() => props.neck.page.dog);
const nameOf = ({ collar }: DressedWear) => (collar ? `${collarKind(collar.kind).name} ${collar.name}` : 'A collar that is no longer in the locker');
const time = (ms: number) => DateTime.fromMillis(ms, { zone: zone.value }).toFormat('HH:mm');

/** Whether it is still on is asked, never assumed. */
const asked = computed(() => props.neck.dressed.wears.filter(({ ask }) => ask));
const cameOff = ref<Record<string, string>>({});
const fault = ref<Record<string, string>>({});
const stillOn = ref(new Set<string>());
function sayOff({ wear, collar }: DressedWear) {
  const typed = cameOff.value[wear.id] ?? asTyped(props.neck.now, zone.value);
  const read = typedInstant(typed, zone.value);
  fault.value = { ...fault.value, [wear.id]: 'fault' in read ? read.fault : '' };
  if ('fault' in read) return;
  if (Date.parse(read.at) < wear.from) {
    fault.value = { ...fault.value, [wear.id]: 'It was put on after that: a wear cannot end before it begins.' };
    return;
  }
  if (Date.parse(read.at) > Date.now()) {
    fault.value = { ...fault.value, [wear.id]: 'That is in the future.' };
    return;
  }
  void props.neck.telling.tell(`${collar?.name ?? 'It'} came off.`, [{ event: 'taken-off', dogId: dog.value.id, collarId: wear.collarId }], { at: read.at });
}

const days = computed(() => {
  const byDay = new Map<string, DressedWear[]>();
  for (const wear of [...props.neck.dressed.wears].reverse()) {
    const day = dayOf(wear.wear.from, zone.value);
    byDay.set(day, [...(byDay.get(day) ?? []), wear]);
  }
  return [...byDay].map(([day, wears]) => ({ day, words: day === dayOf(props.neck.now, zone.value) ? 'Today' : dayWords(day, zone.value), wears }));
});
const shownDays = ref(7);
const endWords = ({ wear }: DressedWear) => {
  if (wear.to === null) return 'still on';
  const sameDay = dayOf(wear.from, zone.value) === dayOf(wear.to, zone.value);
  return sameDay ? time(wear.to) : `${time(wear.to)} on ${dayWords(dayOf(wear.to, zone.value), zone.value)}`;
};
const marksOf = ({ marks }: DressedWear) =>
  marks.map((mark) => ({
    key: mark.code + mark.from,
    tone: WEAR_MARK_TONES[mark.code],
    text: wordReason(WEAR_MARK_WORDS, mark, units.speak).text,
    when: mark.to === null ? `since ${time(mark.from)}, now` : `${time(mark.from)} to ${time(mark.to)}`,
  }));
const ODD = {
  'put-on-twice': 'Put on twice: the first counts.',
  'taken-off-twice': 'Taken off twice: the first counts.',
  'never-on': 'It was not on this dog then.',
  'end-unknown': 'When it came off was not logged: it was on another dog from then on.',
} as const;
const strays = computed(() => wearsOf(wearAndDeviceEvents(props.neck.page.events).wear).strays.filter(({ dogId }) => dogId === dog.value.id));
const whoOf = (id: string) => props.neck.page.events.find((event) => event.id === id);
const eventsOf = ({ wear }: DressedWear) =>
  props.neck.page.events
    .filter((event) => 'dogId' in event && 'collarId' in event && event.dogId === dog.value.id && event.collarId === wear.collarId)
    .filter(({ at }) => Date.parse(at) >= wear.from && (wear.to === null || Date.parse(at) <= wear.to))
    .map(({ id }) => id);
</script>

<template>
  <div>
    <div aria-live="polite">
      <VerdictMark v-if="asked.length > 0" tone="mind" word="Still on?" />
      <h1 class="mt-1">
        {{
          asked.length > 0
            ? `Is ${small(nameOf(asked[0]!))} still on ${dog.name}?`
            : days.length === 0
              ? `Nothing has been worn by ${dog.name} yet.`
              : `What ${dog.name} wore, and how it was watched.`
        }}
      </h1>
    </div>
    <ul v-if="asked.length > 0" class="mt-3 space-y-3">
      <li v-for="one in asked.filter(({ wear }) => !stillOn.has(wear.id))" :key="one.wear.id" class="sheet">
        <p>
          <strong>{{ nameOf(one) }}</strong> is on since {{ time(one.wear.from) }} on {{ dayWords(dayOf(one.wear.from, zone), zone) }},
          {{ speakHours((neck.now - one.wear.from) / HOUR_MS) }}. When did it come off?
        </p>
        <form class="mt-2 flex flex-wrap items-end gap-3" novalidate @submit.prevent="sayOff(one)">
          <label class="block text-sm font-semibold">
            It came off at
            <input
              type="datetime-local"
              class="field mt-1 font-normal"
              :value="cameOff[one.wear.id] ?? asTyped(neck.now, zone)"
              @input="(event) => (cameOff = { ...cameOff, [one.wear.id]: (event.target as HTMLInputElement).value })"
            />
          </label>
          <button type="submit" class="press press-main">It came off then</button>
          <button type="button" class="press press-plain" @click="stillOn = new Set([...stillOn, one.wear.id])">It is still on</button>
        </form>
        <p v-if="fault[one.wear.id]" role="alert" class="mt-1 font-semibold text-stop">{{ fault[one.wear.id] }}</p>
      </li>
    </ul>
    <div class="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
      <div class="space-y-5 self-start">
        <details v-for="({ day, words, wears }, index) in days.slice(0, shownDays)" :key="day" class="sheet py-1!" :open="index === 0">
          <summary class="flex min-h-12 cursor-pointer flex-wrap items-baseline gap-x-3 py-2">
            <span class="font-display text-lg font-semibold">{{ words }}</span>
            <span class="text-sm text-soft">{{ [...new Set(wears.map(({ collar }) => collar?.name ?? 'a collar'))].join(', ') }}</span>
          </summary>
          <section :aria-label="words">
            <ul class="mt-1 divide-y divide-line">
              <li v-for="one in wears" :key="one.wear.id" class="py-2.5">
                <div class="flex flex-wrap items-baseline gap-x-4">
                  <span class="font-semibold">{{ nameOf(one) }}</span>
                  <span>{{ time(one.wear.from) }} – {{ endWords(one) }}</span>
                  <span class="text-soft">{{ speakHours(((one.wear.to ?? neck.now) - one.wear.from) / HOUR_MS) }}</span>
                  <button type="button" class="ml-auto text-sm text-soft underline" @click="neck.telling.takeBack(eventsOf(one), 'This wear is deleted.')">
                    Delete entry<span class="sr-only">: {{ nameOf(one) }}, {{ time(one.wear.from) }}</span>
                  </button>
                </div>
                <p class="text-sm text-soft">
                  {{ one.wear.states.map((span) => `${WEAR_STATE_WORDS[span.value].name} from ${time(span.from)}`).join(', ')
                  }}<template v-if="one.wear.places.length > 0"
                    >; {{ one.wear.places.map((span) => `at ${clockWords(span.value)} from ${time(span.from)}`).join(', ') }}</template
                  >. Logged by {{ whoOf(one.wear.id)?.personName ?? 'somebody' }}{{ whoOf(one.wear.id)?.source === 'bridge' ? ' (bridge)' : '' }}.
                </p>
                <p v-for="mark in marksOf(one)" :key="mark.key" class="mt-1 text-[0.95rem]">
                  <VerdictMark class="text-sm" :tone="mark.tone" :word="mark.when" />
                  {{ mark.text }}
                </p>
                <p v-for="odd in one.wear.oddities" :key="odd.eventId" class="mt-1 text-sm text-mind">{{ time(odd.at) }}: {{ ODD[odd.code] }}</p>
              </li>
            </ul>
            <RoutineDay :neck="neck" :day="day" />
          </section>
        </details>
        <button v-if="days.length > shownDays" type="button" class="press press-plain" @click="shownDays += 14">Show earlier days</button>
        <p v-if="days.length === 0" class="sheet text-soft">What goes on and off under Stack, or is logged here later, is recorded here with its marks.</p>
      </div>
      <div class="space-y-5 self-start">
        <PastWear :neck="neck" />
        <section v-if="strays.length > 0" class="sheet" aria-label="What fits no wear">
          <h2>What fits no wear</h2>
          <ul class="mt-1 space-y-1 text-[0.95rem]">
            <li v-for="stray in strays" :key="stray.eventId">
              {{ dayWords(dayOf(stray.at, zone), zone) }}, {{ time(stray.at) }}: {{ ODD[stray.code] }}
              <button type="button" class="text-soft underline" @click="neck.telling.takeBack([stray.eventId])">Delete entry</button>
            </li>
          </ul>
        </section>
      </div>
    </div>
    <SaidBar :telling="neck.telling" />
  </div>
</template>
