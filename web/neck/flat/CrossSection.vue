<script setup lang="ts">
/** A flat collar in cross-section. */
import type { SectionProps } from '@banter/contract';
import StrapSection from '../shared/StrapSection.vue';

defineProps<SectionProps>();
</script>

<template>
  <StrapSection :drawn="drawn" :dog="dog" />
</template>
