<script setup lang="ts">
/** A collar that has no cross-section of its own: the neck, and the collar as long as its make-up says. */
import { collarKind, type SectionProps } from '@banter/contract';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import SectionFrame from './SectionFrame.vue';

const props = defineProps<SectionProps>();
const units = useUnits();
const girthMm = computed(() => props.dog.hairGirthMm ?? props.dog.tapedGirthMm ?? 0);
const title = computed(
  () =>
    `Cross-section seen from behind the dog: a neck of ${units.exact(girthMm.value)} with a ${collarKind(props.drawn.kind).traits.noun}, ${collarKind(props.drawn.kind).describeSetting(props.drawn.setting, units.speak)}.`,
);
</script>

<template>
  <SectionFrame :girth-mm="girthMm" :out-mm="12" :label="title" />
</template>
