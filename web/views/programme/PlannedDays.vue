<script setup lang="ts">
/** A dog's own fortnight: when it works, with whom, and what of it was held. */
import type { Kennel, ProgrammesPage, PlannedSession, Programme } from '@banter/contract';
import { heldSessions, timeOfDay, MINUTE_MS } from '@banter/core';
import { DateTime } from 'luxon';
import { computed } from 'vue';
import FoldedOnPhone from '../../parts/FoldedOnPhone.vue';

const props = defineProps<{ page: ProgrammesPage; programme: Programme | null; stageId: string | null; kennel: Kennel; now: number }>();
const zone = computed(() => props.kennel.timeZone);
const startOf = ({ day, from }: PlannedSession) => DateTime.fromISO(day, { zone: zone.value }).startOf('day').plus({ minutes: from }).toMillis();
const held = computed(() =>
  heldSessions(
    props.page.sessions.map((one) => ({ id: one.id, dogId: one.dogId, at: startOf(one) })),
    props.page.held.map(({ id, dogId, begunAt }) => ({ id, dogId, at: Date.parse(begunAt) })),
  ),
);
const today = computed(() => DateTime.fromMillis(props.now, { zone: zone.value }).startOf('day'));
const DAYS = 14;
const days = computed(() =>
  Array.from({ length: DAYS }, (_day, index) => {
    const at = today.value.plus({ days: index - 2 });
    const iso = at.toISODate()!;
    return {
      iso,
      weekday: at.toFormat('ccc'),
      date: at.toFormat('d LLL'),
      today: index === 2,
      sessions: props.page.sessions
        .filter(({ day }) => day === iso)
        .map((one) => ({
          id: one.id,
          time: timeOfDay(one.from),
          hand: props.page.people.find(({ id }) => id === one.personId)?.name ?? '',
          is: held.value.has(one.id) ? 'held' : startOf(one) + one.minutes * MINUTE_MS < props.now ? 'missed' : 'ahead',
          other: props.programme !== null && one.programmeId === props.programme.id && one.stageId !== props.stageId && startOf(one) > props.now,
        })),
    };
  }),
);
const ahead = computed(() => days.value.flatMap(({ sessions }) => sessions).filter(({ is }) => is === 'ahead'));
const stale = computed(() => ahead.value.filter(({ other }) => other).length);
</script>

<template>
  <FoldedOnPhone name="Planned">
    <p>
      <RouterLink class="no-print underline" :to="{ path: '/programme', query: { dog: page.dog.id } }">
        {{ ahead.length === 0 ? 'Plan its sessions on the kennel’s calendar' : 'On the kennel’s calendar' }}
      </RouterLink>
    </p>
    <p v-if="stale > 0" class="mt-1 font-semibold text-mind">{{ stale }} of them are of another stage than it is in: plan them again.</p>
    <ol class="mt-3 grid grid-cols-2 gap-x-2 gap-y-3 sm:grid-cols-7">
      <li v-for="one in days" :key="one.iso" class="border-t-2 pt-1" :class="one.today ? 'border-tape' : 'border-line'">
        <p class="text-sm" :class="one.today ? 'font-semibold' : 'text-soft'">
          <abbr :title="one.date" class="no-underline">{{ one.weekday }} {{ one.date }}</abbr>
        </p>
        <ul class="min-h-6">
          <li v-for="session in one.sessions" :key="session.id" class="mt-1 leading-tight">
            <span class="font-semibold tabular-nums" :class="session.is === 'missed' ? 'text-soft' : session.other ? 'text-mind' : ''">{{ session.time }}</span>
            <span v-if="session.is === 'held'" class="ml-1 rounded bg-good-wash px-1 text-sm text-good">held</span>
            <span v-else-if="session.is === 'missed'" class="ml-1 text-sm text-soft">not logged</span>
            <span class="block text-sm text-soft">with {{ session.hand }}</span>
          </li>
        </ul>
      </li>
    </ol>
  </FoldedOnPhone>
</template>
