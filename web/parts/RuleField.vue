<script setup lang="ts">
/** One house rule as people write it: lengths and weights in any unit, shares in percent, counts whole. Emits its value, undefined while it cannot be read. */
import { readLength, readMass, type HouseRule } from '@banter/core';
import { computed, ref, watch } from 'vue';
import { useUnits } from '../stores/units.ts';
import TextField from './TextField.vue';

const props = defineProps<{ name: string; row: HouseRule; value: number | null; error?: string | undefined }>();
const emit = defineEmits<{ change: [value: number | null | undefined] }>();
const units = useUnits();

/** The rule's value as it is said, and written. */
function said(value: number | null): string {
  if (value === null) return '';
  switch (props.row.measure) {
    case 'gap':
      return units.length === 'in' ? units.typed(value) : `${+value.toFixed(2)} mm`;
    case 'weight':
      return `${+(value / (units.mass === 'lb' ? 0.45359237 : 1)).toFixed(1)} ${units.mass}`;
    case 'ratio':
      return value < 1 ? `${+(value * 100).toFixed(2)} %` : String(value);
    default:
      return String(value);
  }
}
const typed = ref(said(props.value));
watch([() => props.value, () => units.length, () => units.mass], () => {
  if (read(typed.value) !== props.value) typed.value = said(props.value);
});
function read(text: string): number | null | undefined {
  const plain = text.trim().replace(',', '.');
  if (plain === '') return props.row.default === null ? null : undefined;
  switch (props.row.measure) {
    case 'gap': {
      const sign = /^[-−]/.test(plain) ? -1 : 1;
      // A bare number is a small gap: millimetres for kennels that speak metric, inches for the others.
      const unit = units.length;
      const got = readLength(/[a-z"″”']/i.test(plain) ? plain.replace(/^[-−]/, '') : `${plain.replace(/^[-−]/, '')} ${unit === 'in' ? 'in' : 'mm'}`, unit, {
        possibleMm: [0, 600],
      });
      return got.kind === 'read' ? (sign * Math.round(got.mm * 1000)) / 1000 : undefined;
    }
    case 'weight': {
      const got = readMass(plain, units.mass);
      return got.kind === 'read' ? Math.round(got.grams) / 1000 : undefined;
    }
    case 'ratio': {
      const found = /^(\d+(?:\.\d+)?|\.\d+)\s*(%)?$/.exec(plain);
      if (!found) return undefined;
      const number = Number(found[1]);
      return found[2] || (props.row.default! < 1 && number >= 1) ? Math.round(number * 1000) / 100_000 : number;
    }
    case 'links':
      return /^\d{1,2}$/.test(plain) ? Number(plain) : undefined;
    default:
      return /^\d+(\.\d+)?$/.test(plain) ? Number(plain) : undefined;
  }
}
const written = computed(() => read(typed.value));
watch(written, (now) => emit('change', now));
const unit = computed(
  () =>
    ({ gap: '', weight: '', ratio: '', links: 'links', hours: 'hours', days: 'days', percent: '%', number: '', seconds: 's', minutes: 'min' })[
      props.row.measure
    ],
);
const fault = computed(() => (written.value === undefined ? 'This cannot be read as a number yet.' : (props.error ?? '')));
const byDefault = computed(() => (props.row.default === null ? '3 from 3.0 mm wire up, 6 below' : `${said(props.row.default)} ${unit.value}`.trim()));
const changed = computed(() => written.value !== props.row.default);
</script>

<template>
  <div :id="`rule-${name}`" class="scroll-mt-20 border-t border-line py-3 first:border-t-0">
    <div class="grid items-start gap-x-4 gap-y-1 sm:grid-cols-[minmax(0,1fr)_9.5rem]">
      <div>
        <p class="font-semibold">{{ row.title }}</p>
        <p class="text-sm text-soft">{{ row.why }} ({{ row.source }})</p>
        <p class="text-sm" :class="changed ? 'text-mind' : 'text-soft'">
          Default: {{ byDefault }}
          <button v-if="changed" type="button" class="ml-2 underline" @click="typed = said(row.default)">Back to it</button>
        </p>
      </div>
      <div class="relative">
        <TextField v-model="typed" :label="row.title" :error="fault" hide-label :placeholder="row.default === null ? '3, or 6 below' : undefined" />
        <span v-if="unit && !fault" class="pointer-events-none absolute top-2.5 right-3 text-soft">{{ unit }}</span>
      </div>
    </div>
  </div>
</template>
