<script setup lang="ts">
/** A small count, or «not tried». */
import { computed } from 'vue';
import ChoiceRow from './ChoiceRow.vue';

const props = defineProps<{ label: string; hint: string; most: number }>();
const count = defineModel<number | null>({ required: true });
const answers = computed(() => [
  { value: 'none', label: 'Not tried' },
  ...Array.from({ length: Math.min(props.most, 5) + 1 }, (_none, n) => ({ value: String(n), label: String(n) })),
]);
const chosen = computed({
  get: () => (count.value === null ? 'none' : String(count.value)),
  set: (value: string | null) => (count.value = value === null || value === 'none' ? null : Number(value)),
});
</script>

<template>
  <ChoiceRow v-model="chosen" :label="label" :hint="hint" :answers="answers" />
</template>
