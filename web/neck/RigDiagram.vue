<script setup lang="ts">
/**
 * A rig from the hand down to the dog: joints as boxes, parts as lines with their names. What everything hangs on is drawn
 * thick and marked with the barred square; what hangs loose is dashed. A part can be chosen.
 */
import { rigRoutes, type FittedRigPart } from '@banter/core';
import { curveBasis, line } from 'd3-shape';
import { computed } from 'vue';
import { layRig } from './rig-layout.ts';

const props = defineProps<{ parts: readonly FittedRigPart[]; chosen: string | null }>();
const emit = defineEmits<{ choose: [id: string] }>();
const laid = computed(() => layRig(props.parts));
const routes = computed(() => rigRoutes(props.parts));
const path = line<{ x: number; y: number }>(
  (point) => point.x,
  (point) => point.y,
).curve(curveBasis);
const drawn = computed(() =>
  laid.value.parts.map((one) => ({
    ...one,
    path: path(one.points) ?? '',
    single: routes.value.singlePoints.includes(one.part.id),
    loose: routes.value.loose.includes(one.part.id),
    wide: one.name.length * 6.6 + (routes.value.singlePoints.includes(one.part.id) ? 34 : 16),
  })),
);
const words = computed(() => {
  const { sound, singlePoints, routes: ways, connected } = routes.value;
  const named = (ids: readonly string[]) => ids.map((id) => laid.value.parts.find(({ part }) => part.id === id)!.name).join(', ');
  if (!connected) return 'The rig: nothing leads from the hand to the dog.';
  return `The rig from hand to dog. ${sound ? `Sound, by ${ways.length} routes: ${ways.map(named).join('; ')}.` : `Single points: ${named(singlePoints)}.`}`;
});
</script>

<template>
  <svg
    :viewBox="`0 0 ${laid.width} ${laid.height}`"
    class="mx-auto block h-auto max-h-[34rem] w-full"
    :style="{ maxWidth: `${laid.width * 1.35}px` }"
    role="group"
    :aria-label="words"
  >
    <path
      v-for="one in drawn"
      :key="one.part.id"
      :d="one.path"
      fill="none"
      :stroke="one.single ? 'var(--stop)' : one.loose ? 'var(--soft)' : 'var(--steel)'"
      :stroke-width="one.single ? 4.5 : 2.6"
      :stroke-dasharray="one.loose ? '5 5' : undefined"
    />
    <g v-for="joint in laid.joints" :key="joint.joint" :transform="`translate(${joint.x} ${joint.y})`">
      <rect
        :x="-joint.width / 2"
        :y="-joint.height / 2"
        :width="joint.width"
        :height="joint.height"
        :rx="joint.joint === 'hand' || joint.joint === 'dog' ? 13 : 5"
        :fill="joint.joint === 'hand' ? 'var(--deep)' : joint.joint === 'dog' ? 'var(--hide)' : 'var(--raised)'"
        stroke="var(--line)"
        stroke-width="1.4"
      />
      <text
        y="4.6"
        font-size="12.5"
        text-anchor="middle"
        :font-weight="joint.joint === 'hand' || joint.joint === 'dog' ? 700 : 400"
        :fill="joint.joint === 'hand' ? 'var(--on-deep)' : joint.joint === 'dog' ? 'var(--hide-ink)' : 'var(--soft)'"
      >
        {{ joint.words }}
      </text>
    </g>
    <g
      v-for="one in drawn"
      :key="one.part.id"
      :transform="`translate(${one.label.x} ${one.label.y})`"
      role="button"
      tabindex="0"
      class="cursor-pointer"
      :aria-label="`${one.name}${one.single ? ', a single point' : one.loose ? ', leads nowhere' : ''}`"
      :aria-pressed="chosen === one.part.id"
      @click="emit('choose', one.part.id)"
      @keydown.enter.prevent="emit('choose', one.part.id)"
      @keydown.space.prevent="emit('choose', one.part.id)"
    >
      <rect
        :x="-one.wide / 2"
        y="-12"
        :width="one.wide"
        height="24"
        rx="4"
        :fill="one.single ? 'var(--stop-wash)' : 'var(--felt)'"
        :stroke="chosen === one.part.id ? 'var(--tape)' : one.single ? 'var(--stop)' : 'var(--line)'"
        :stroke-width="chosen === one.part.id ? 3 : 1.2"
      />
      <g v-if="one.single" :transform="`translate(${-one.wide / 2 + 13} 0)`" fill="none" stroke="var(--stop)" stroke-width="1.8">
        <rect x="-6" y="-6" width="12" height="12" rx="1" />
        <path d="M-3 0 h6" stroke-width="2.4" />
      </g>
      <text :x="one.single ? 9 : 0" y="4.4" font-size="12.5" font-weight="600" text-anchor="middle" :fill="one.single ? 'var(--stop)' : 'var(--ink)'">
        {{ one.name }}
      </text>
    </g>
  </svg>
</template>
