<script setup lang="ts">
/** The units that a kennel thinks in. */
import ChoiceRow from './ChoiceRow.vue';

const length = defineModel<'in' | 'cm'>('length', { required: true });
const mass = defineModel<'lb' | 'kg'>('mass', { required: true });
const LENGTHS = [
  { value: 'in', label: 'inches' },
  { value: 'cm', label: 'centimetres' },
] as const;
const MASSES = [
  { value: 'lb', label: 'pounds' },
  { value: 'kg', label: 'kilograms' },
] as const;
</script>

<template>
  <div class="flex flex-wrap gap-x-8 gap-y-5">
    <ChoiceRow v-model="length" label="Lengths in" :answers="LENGTHS" />
    <ChoiceRow v-model="mass" label="Weights in" :answers="MASSES" />
  </div>
</template>
