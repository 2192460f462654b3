<script setup lang="ts">
/** On the unrolled neck: warmth under the receiver where it has been, its next place as an outline, and what the skin says. */
import { isDevice } from '@banter/contract';
import type { DrawnCollar, DressedDog } from '@banter/contract';
import { girthAt, placeOnNeck, skinWarmth, WARMTH_STEPS, type UnrolledNeck } from '@banter/core';
import { RECEIVER_WIDTH_MM } from '@banter/core/collars/electronic';
import { computed } from 'vue';
import SkinMark from '../../neck/SkinMark.vue';
import { useNow } from '../../stores/now.ts';

const props = defineProps<{ dressed: DressedDog; map: UnrolledNeck; text: number; collars: readonly DrawnCollar[] }>();
const { now } = useNow();
const WARM_DAYS = 3;
/** As warm as it gets: this many hours in those days. */
const HOT_HOURS = 12;
const STRIP_MM = 5;

const receivers = computed(() =>
  props.dressed.contacts.flatMap(({ fit, wornPlaces, girthMm, footprintMm, rotation, at }) => {
    const drawn = props.collars.find(({ kind }) => kind === fit.plan.kind);
    if (!drawn) return [];
    const topMm = drawn.topMm ?? 8;
    const y = topMm + RECEIVER_WIDTH_MM + 1;
    const step = girthAt(props.map.levels, y) / WARMTH_STEPS;
    const warmth = skinWarmth(wornPlaces, girthMm, footprintMm, now.value, WARM_DAYS).flatMap((hours, index) =>
      hours <= 0 ? [] : [{ key: index, x: placeOnNeck(props.map, index / 4, y).x - step / 2, opacity: Math.min(1, 0.25 + (0.75 * hours) / HOT_HOURS) }],
    );
    const next = at !== null && rotation.next !== null && rotation.next !== at ? placeOnNeck(props.map, rotation.next, topMm + RECEIVER_WIDTH_MM / 2) : null;
    return [{ kind: fit.plan.kind, y, step, warmth, next, clock: rotation.next, footprintMm, topMm }];
  }),
);
/** A flag lies at the height of what was over it, as well as that can be said. */
const marks = computed(() =>
  props.dressed.skin.flags.map((flag) => {
    const receiver = props.collars.find(({ kind }) => isDevice(kind));
    const y = (receiver ?? props.collars[0])?.topMm ?? 10;
    return { ...flag, ...placeOnNeck(props.map, flag.clock, y + 17) };
  }),
);
</script>

<template>
  <g>
    <g v-for="one in receivers" :key="one.kind">
      <rect
        v-for="part in one.warmth"
        :key="part.key"
        :x="part.x"
        :y="one.y"
        :width="one.step + 0.3"
        :height="STRIP_MM"
        fill="var(--warm)"
        :opacity="part.opacity"
      />
      <g v-if="one.next">
        <rect
          :x="one.next.x - one.footprintMm / 2"
          :y="one.topMm - 3"
          :width="one.footprintMm"
          :height="RECEIVER_WIDTH_MM + 6"
          rx="6"
          fill="none"
          stroke="var(--ink)"
          stroke-width="2.2"
          stroke-dasharray="7 5"
        />
        <text
          :x="one.next.x"
          :y="one.topMm + RECEIVER_WIDTH_MM / 2 + text * 0.32"
          :font-size="text * 0.86"
          font-weight="650"
          text-anchor="middle"
          fill="var(--on-deep)"
        >
          next
        </text>
      </g>
    </g>
    <SkinMark v-for="mark in marks" :key="mark.clock" :x="mark.x" :y="mark.y" :size="text * 0.8" :grade="mark.grade" />
  </g>
</template>
