<script setup lang="ts">
/** Something of the make-up that hands can change: in steps with two buttons, or along a slider; posts and clock places by choosing. */
import type { Knob } from '@banter/contract';
import { computed, useId } from 'vue';
import { useUnits } from '../stores/units.ts';

const props = defineProps<{ knob: Knob }>();
const value = defineModel<number>({ required: true });
const units = useUnits();
const id = useId();
const said = computed(() => (props.knob.as === 'clock' ? `${value.value} o’clock` : props.knob.values ? units.gap(value.value) : units.exact(value.value)));
const within = (now: number) => Math.min(props.knob.high, Math.max(props.knob.low, now));
/** A step along: to the next allowed value, the next hole, or around the clock. */
function step(by: 1 | -1) {
  const { values, as, step: size } = props.knob;
  if (values) value.value = values[Math.min(values.length - 1, Math.max(0, values.indexOf(value.value) + by))]!;
  else if (as === 'clock') value.value = ((value.value - 1 + by + 12) % 12) + 1;
  else value.value = within(Math.round((value.value + by * Math.max(size, size === 1 ? 5 : size)) * 100) / 100);
}
</script>

<template>
  <div>
    <div class="flex items-center gap-2">
      <label :for="id" class="grow">{{ knob.label }}</label>
      <button type="button" class="press press-plain size-12 shrink-0 p-0 text-xl" :aria-label="`${knob.label}: less`" @click="step(-1)">−</button>
      <strong class="min-w-20 text-center">{{ said }}</strong>
      <button type="button" class="press press-plain size-12 shrink-0 p-0 text-xl" :aria-label="`${knob.label}: more`" @click="step(1)">+</button>
    </div>
    <input
      v-if="knob.as === 'length' && !knob.values"
      :id="id"
      type="range"
      class="mt-1 h-8 w-full accent-deep"
      :min="knob.low"
      :max="knob.high"
      :step="knob.step"
      :value="value"
      :aria-valuetext="said"
      @input="(event) => (value = Number((event.target as HTMLInputElement).value))"
    />
    <input v-else :id="id" type="hidden" :value="value" />
  </div>
</template>
