<script setup lang="ts">
/** Two weeks as a score: for each day a line for each collar, drawn while it is on; work hangs below as a tag. To scale. */
import type { PlannedSession, TellTaleTime } from '@banter/contract';
import { timeOfDay } from '@banter/core';
import { DateTime } from 'luxon';
import { computed } from 'vue';

const props = defineProps<{
  times: readonly TellTaleTime[];
  sessions: readonly PlannedSession[];
  collars: readonly { id: string; name: string }[];
  now: string;
}>();
const HOUR = 60;
const span = computed(() => {
  const from = Math.floor(Math.min(...props.times.map(({ minute }) => minute)) / HOUR) * HOUR;
  const to = Math.ceil(Math.max(...props.times.map(({ minute, minutes }) => minute + minutes)) / HOUR) * HOUR;
  return [from, to] as const;
});
const along = (minute: number) => ((minute - span.value[0]) / (span.value[1] - span.value[0])) * 100;
const hours = computed(() => Array.from({ length: Math.floor((span.value[1] - span.value[0]) / HOUR) + 1 }, (_hour, index) => span.value[0] + index * HOUR));
const sessionOf = (id: string | null) => props.sessions.find((one) => one.id === id) ?? null;
const days = computed(() => {
  const dates = [...new Set(props.times.map(({ day }) => day))].sort();
  return dates.map((day) => ({
    day,
    title: DateTime.fromISO(day).toFormat('ccc d LLL'),
    past: day < props.now.slice(0, 10),
    times: props.times
      .filter((time) => time.day === day)
      .map((time) => {
        const work = sessionOf(time.sessionId);
        const names = props.collars.filter(({ id }) => time.worn.includes(id)).map(({ name }) => name);
        return {
          ...time,
          work,
          says: `${timeOfDay(time.minute)} to ${timeOfDay(time.minute + time.minutes)}: ${names.length === 0 ? 'nothing on' : names.join(' and ')}; ${work ? `work at ${timeOfDay(work.from)}` : 'nothing follows'}`,
        };
      }),
  }));
});
const INKS = ['bg-deep', 'bg-hide-deep', 'bg-steel'];
const ROW = 9;
const height = computed(() => props.collars.length * ROW + 20);
</script>

<template>
  <div>
    <ul class="flex flex-wrap gap-x-5 gap-y-1 text-sm" aria-label="Lines">
      <li v-for="(collar, index) in collars" :key="collar.id" class="flex items-center gap-2">
        <span class="h-1.5 w-6 rounded-full" :class="INKS[index]" aria-hidden="true"></span>{{ index + 1 }}. {{ collar.name }}
      </li>
      <li class="flex items-center gap-2"><span class="h-3 w-4 rounded-b-md border-[1.5px] border-on-tape bg-tape" aria-hidden="true"></span>work</li>
      <li class="flex items-center gap-2"><span class="h-2.5 w-6 rounded border border-dashed border-soft" aria-hidden="true"></span>left bare</li>
    </ul>
    <ol class="mt-2">
      <li v-for="one in days" :key="one.day" class="flex items-start gap-3 border-t border-line py-1" :class="one.past && 'opacity-60'">
        <span class="w-24 shrink-0 text-sm">{{ one.title }}</span>
        <div class="relative min-w-0 grow" :style="{ height: `${height}px` }">
          <span
            v-for="hour in hours"
            :key="hour"
            class="absolute inset-y-0 w-px bg-line opacity-50"
            :style="{ left: `${along(hour)}%` }"
            aria-hidden="true"
          ></span>
          <ul>
            <li v-for="time in one.times" :key="time.minute" :title="time.says">
              <span class="sr-only">{{ time.says }}</span>
              <template v-if="time.worn.length > 0">
                <template v-for="(collar, index) in collars" :key="collar.id">
                  <span
                    v-if="time.worn.includes(collar.id)"
                    class="absolute h-1.5 rounded-full"
                    :class="INKS[index]"
                    :style="{
                      left: `${along(time.minute)}%`,
                      width: `${along(time.minute + time.minutes) - along(time.minute)}%`,
                      top: `${2 + index * ROW}px`,
                    }"
                    aria-hidden="true"
                  ></span>
                </template>
              </template>
              <span
                v-else
                class="absolute rounded border border-dashed border-soft"
                :style="{
                  left: `${along(time.minute)}%`,
                  width: `${along(time.minute + time.minutes) - along(time.minute)}%`,
                  top: '1px',
                  height: `${collars.length * ROW - 2}px`,
                }"
                aria-hidden="true"
              ></span>
              <span
                v-if="time.work"
                class="absolute h-3.5 rounded-b-md border-[1.5px] border-on-tape bg-tape"
                :style="{
                  left: `${along(time.work.from)}%`,
                  width: `max(8px, ${along(time.work.from + time.work.minutes) - along(time.work.from)}%)`,
                  top: `${collars.length * ROW + 3}px`,
                }"
                aria-hidden="true"
              ></span>
            </li>
          </ul>
        </div>
      </li>
    </ol>
    <div class="relative ml-[6.75rem] h-5 text-xs text-soft" aria-hidden="true">
      <span v-for="hour in hours" :key="hour" class="absolute -translate-x-1/2" :style="{ left: `${along(hour)}%` }">{{ hour / 60 }}</span>
    </div>
  </div>
</template>
