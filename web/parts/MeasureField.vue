<script setup lang="ts">
/**
 * A length as people write it. Shows what it was read as, asks when a bare number only makes sense in another unit,
 * and says what is wrong. `inRow`: one of several readings in a row, with keys of the screen's own on a phone. Emits the millimetres, or null while there is no sure reading.
 */
import { readLength, type LengthExpectation, type ReadLength } from '@banter/core';
import { useNarrower } from '../stores/widths.ts';
import { computed, watch } from 'vue';
import { useUnits } from '../stores/units.ts';
import FieldFrame from './FieldFrame.vue';
import { keepUnitOf } from './measure-units.ts';
import { lengthFault } from './measure-words.ts';

const props = defineProps<{ label: string; expected: LengthExpectation; hint?: string; error?: string; guess?: string; flagged?: boolean; inRow?: boolean }>();
const typed = defineModel<string>({ required: true });
const emit = defineEmits<{ read: [mm: number | null] }>();

const units = useUnits();
const phone = useNarrower('sm');
keepUnitOf(typed, 'length');
const reading = computed<ReadLength>(() => readLength(typed.value, units.length, props.expected));
const fault = computed(() => lengthFault(reading.value, units.length));
const echo = computed(() => {
  if (reading.value.kind !== 'read') return '';
  const other = reading.value.unit === 'in' || reading.value.unit === 'ft' ? `${Math.round(reading.value.mm)} mm` : units.exact(reading.value.mm);
  return units.length === 'cm' && reading.value.unit === 'cm' ? '' : `= ${other}`;
});
watch(reading, (now) => emit('read', now.kind === 'read' ? now.mm : null), { immediate: true });

function take(unit: string) {
  typed.value = `${typed.value.trim()} ${unit}`;
}
</script>

<template>
  <div>
    <slot name="drawing" />
    <FieldFrame v-slot="{ id, describedBy, invalid }" :label="label" :hint="hint" :error="fault || error" :hide-label="inRow">
      <div class="relative">
        <input
          :id="id"
          v-model="typed"
          class="field tape-edge pb-2.5 text-lg"
          :class="[invalid && 'border-stop!', flagged && 'border-mind!']"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
          :inputmode="inRow && phone ? 'none' : 'text'"
          :data-reading="inRow || undefined"
          enterkeyhint="next"
          maxlength="40"
          :placeholder="guess ? `guess ${guess}` : inRow ? '' : units.length === 'in' ? '15 3/8' : '39.1'"
          :aria-describedby="describedBy"
          :aria-invalid="invalid"
        />
        <span class="pointer-events-none absolute top-2.5 right-3 text-soft" :class="inRow && 'max-sm:hidden'">{{
          echo || (reading.kind === 'read' ? '' : units.length)
        }}</span>
      </div>
      <div v-if="reading.kind === 'asked'" class="mt-1 text-mind" role="alert">
        {{ units.exact(reading.mm) }} is unlikely here. What did you mean?
        <span class="mt-1 flex flex-wrap gap-2">
          <button v-for="other in reading.instead" :key="other.unit" type="button" class="press press-plain" @click="take(other.unit)">
            {{ typed.trim() }} {{ other.unit }}
          </button>
          <button type="button" class="press press-plain" @click="take(units.length)">really {{ typed.trim() }} {{ units.length }}</button>
        </span>
      </div>
      <p v-if="flagged" class="mt-1 font-semibold text-mind">The odd one.</p>
    </FieldFrame>
    <p v-if="$slots.tells" class="mt-1 font-semibold"><slot name="tells" /></p>
  </div>
</template>
