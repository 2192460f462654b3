<script setup lang="ts">
/**
 * The neck from behind the dog as the clock of its contacts, to scale: the windpipe forbidden, the places the school allows,
 * warmth where the contacts have been, flags of the skin, the footprint where it sits and, as an outline, where it goes next.
 * Each place can be chosen.
 */
import type { DressedContacts } from '@banter/contract';
import { angleAtClock, pointAtClock, skinWarmth, WARMTH_STEPS, type SkinFlag } from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../stores/units.ts';
import { arc, ringSector } from './ring-shapes.ts';
import SkinMark from './SkinMark.vue';

const props = defineProps<{ contacts: DressedContacts; flags: readonly SkinFlag[]; now: number; days: number; verb: string }>();
const emit = defineEmits<{ place: [clock: number] }>();
const units = useUnits();
const origin = { x: 0, y: 0 };
const radius = computed(() => props.contacts.girthMm / (2 * Math.PI));
const text = computed(() => radius.value / 6.6);
const half = computed(() => radius.value * 1.62);
const halfArc = computed(() => props.contacts.footprintMm / radius.value / 2);
const ring = (clock: number, from: number, to: number, halfAngle = halfArc.value) =>
  ringSector(origin, radius.value * from, radius.value * to, angleAtClock(clock) - halfAngle, angleAtClock(clock) + halfAngle);
const HOT_HOURS = 12;
const warmth = computed(() => {
  const { wornPlaces, girthMm, footprintMm } = props.contacts;
  const quarter = Math.PI / WARMTH_STEPS;
  return skinWarmth(wornPlaces, girthMm, footprintMm, props.now, props.days).flatMap((hours, index) =>
    hours <= 0 ? [] : [{ index, path: ring(index / 4, 0.8, 0.99, quarter * 1.03), opacity: Math.min(1, 0.2 + (0.8 * hours) / HOT_HOURS) }],
  );
});
const places = computed(() =>
  props.contacts.rotation.places.map((place) => ({
    ...place,
    ...pointAtClock(place.clock, radius.value * 1.42),
    here: props.contacts.at !== null && props.contacts.at % 12 === place.clock % 12,
    next: props.contacts.rotation.next === place.clock,
    rested: place.restedHours === null ? 'never worn' : place.restedHours === 0 ? 'here now' : `rested ${Math.round(place.restedHours)} h`,
  })),
);
const BAR = { school: 'not allowed by the school', windpipe: 'its footprint would lie over the windpipe', skin: 'resting' } as const;
const label = computed(() => {
  const { at, rotation } = props.contacts;
  const allowed = rotation.places.filter((place) => place.allowed).map(({ clock }) => clock);
  return (
    `The clock of the neck from behind the dog, to scale: a footprint of ${units.gap(props.contacts.footprintMm)} on ${units.exact(props.contacts.girthMm)}. ` +
    `${at === null ? 'It is off.' : `It sits at ${at}.`} Allowed now: ${allowed.length === 0 ? 'nowhere' : allowed.join(', ')}.` +
    (rotation.next === null ? '' : ` Next: ${rotation.next}.`)
  );
});
</script>

<template>
  <figure>
    <svg :viewBox="`${-half} ${-half} ${2 * half} ${2 * half}`" class="block h-auto w-full" role="group" :aria-label="label">
      <circle :r="radius" fill="var(--hide)" stroke="var(--hide-deep)" :stroke-width="text * 0.16" />
      <path :d="ringSector(origin, radius * 0.8, radius, (Math.PI * 5) / 6, (Math.PI * 7) / 6)" fill="var(--stop)" opacity="0.45" />
      <path v-for="part in warmth" :key="part.index" :d="part.path" fill="var(--warm)" :opacity="part.opacity" />
      <circle :cy="radius * 0.46" :r="radius * 0.12" fill="none" stroke="var(--hide-deep)" :stroke-width="radius * 0.075" opacity="0.8" />
      <text :y="radius * 0.26" :font-size="text * 0.8" text-anchor="middle" fill="var(--hide-ink)">windpipe</text>
      <text :y="-radius * 0.42" :font-size="text * 0.8" text-anchor="middle" fill="var(--hide-ink)">nape</text>
      <path v-if="contacts.at !== null" :d="ring(contacts.at, 1.02, 1.18)" fill="var(--ink)" stroke="var(--tape)" :stroke-width="text * 0.22" />
      <path
        v-if="contacts.rotation.next !== null && contacts.rotation.next !== contacts.at"
        :d="ring(contacts.rotation.next, 1.02, 1.18)"
        fill="none"
        stroke="var(--ink)"
        :stroke-width="text * 0.2"
        :stroke-dasharray="`${text * 0.6} ${text * 0.4}`"
      />
      <path
        v-if="contacts.at !== null"
        :d="arc(origin, radius * 0.995, angleAtClock(contacts.at) - halfArc, angleAtClock(contacts.at) + halfArc)"
        fill="none"
        stroke="var(--tape)"
        :stroke-width="text * 0.3"
      />
      <SkinMark
        v-for="flag in flags"
        :key="flag.clock"
        :x="pointAtClock(flag.clock, radius * 0.68).x"
        :y="pointAtClock(flag.clock, radius * 0.68).y"
        :size="text * 0.72"
        :grade="flag.grade"
      />
      <g
        v-for="place in places"
        :key="place.clock"
        :role="place.allowed && !place.here ? 'button' : undefined"
        :tabindex="place.allowed && !place.here ? 0 : undefined"
        :aria-label="place.allowed && !place.here ? `${verb} ${place.clock}, ${place.rested}${place.next ? ', next' : ''}` : undefined"
        :class="place.allowed && !place.here && 'cursor-pointer'"
        @click="place.allowed && !place.here && emit('place', place.clock)"
        @keydown.enter.prevent="place.allowed && !place.here && emit('place', place.clock)"
        @keydown.space.prevent="place.allowed && !place.here && emit('place', place.clock)"
      >
        <title>{{ place.clock }}: {{ place.barred ? BAR[place.barred] : place.rested }}</title>
        <circle
          :cx="place.x"
          :cy="place.y"
          :r="text * 1.08"
          :fill="place.here ? 'var(--ink)' : place.next ? 'var(--tape)' : place.allowed ? 'var(--raised)' : 'transparent'"
          :stroke="place.allowed ? 'var(--ink)' : 'var(--line)'"
          :stroke-width="text * 0.12"
          :stroke-dasharray="place.allowed ? undefined : `${text * 0.3} ${text * 0.3}`"
        />
        <text
          :x="place.x"
          :y="place.y + text * 0.4"
          :font-size="text * 1.1"
          text-anchor="middle"
          :font-weight="place.allowed ? 700 : 400"
          :fill="place.here ? 'var(--felt)' : place.next ? 'var(--on-tape)' : place.allowed ? 'var(--ink)' : 'var(--soft)'"
        >
          {{ place.clock }}
        </text>
        <path
          v-if="place.barred === 'skin'"
          :d="`M${place.x - text * 0.8},${place.y + text * 0.8} L${place.x + text * 0.8},${place.y - text * 0.8}`"
          stroke="var(--mind)"
          :stroke-width="text * 0.16"
        />
      </g>
      <text :x="-half * 0.98" :y="-half * 0.86" :font-size="text * 0.8" fill="var(--soft)">left</text>
      <text :x="half * 0.98" :y="-half * 0.86" :font-size="text * 0.8" fill="var(--soft)" text-anchor="end">right</text>
    </svg>
    <figcaption class="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft">
      <span>From behind the dog, to scale.</span>
      <span><span aria-hidden="true" class="mr-1 inline-block h-2.5 w-5 rounded-sm bg-warm align-middle"></span>where it has been in {{ days }} days</span>
      <span><span aria-hidden="true" class="mr-1 inline-block h-3 w-5 border-2 border-dashed border-ink align-middle"></span>next</span>
    </figcaption>
  </figure>
</template>
