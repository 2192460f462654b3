<script setup lang="ts">
/** The stages as a lead that runs from the first to the last; the dog stands at one of them. */
import type { Programme } from '@banter/contract';
import { computed } from 'vue';

const props = defineProps<{ programme: Programme; index: number; leadsTo: string | null }>();
const stops = computed(() =>
  props.programme.stages.map((stage, index) => ({ ...stage, index, is: index < props.index ? 'past' : index === props.index ? 'here' : 'ahead' })),
);
</script>

<template>
  <ol class="flex flex-wrap gap-y-3" aria-label="Stages">
    <li v-for="stop in stops" :key="stop.id" class="relative min-w-28 flex-1 pr-3" :aria-current="stop.is === 'here' ? 'step' : undefined">
      <span class="flex items-center" aria-hidden="true">
        <span
          class="grid size-8 shrink-0 place-items-center rounded-full border-2 font-semibold"
          :class="{
            'border-deep bg-deep text-on-deep': stop.is === 'past',
            'border-tape bg-tape text-on-tape': stop.is === 'here',
            'border-line bg-felt text-soft': stop.is === 'ahead',
          }"
          >{{ stop.is === 'past' ? '✓' : stop.index + 1 }}</span
        >
        <span v-if="stop.index < stops.length - 1" class="h-1 grow" :class="stop.is === 'past' ? 'bg-deep' : 'bg-line'"></span>
      </span>
      <span class="mt-1 block leading-tight" :class="stop.is === 'here' ? 'font-semibold' : 'text-soft'">
        {{ stop.name }}
        <span v-if="stop.is === 'here'" class="block text-sm font-normal">here now</span>
        <span v-else-if="stop.id === leadsTo" class="block text-sm font-semibold text-ink">next, by the marks</span>
      </span>
    </li>
  </ol>
</template>
