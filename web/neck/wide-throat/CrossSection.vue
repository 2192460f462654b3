<script setup lang="ts">
/** A wide-throat collar in cross-section. */
import type { SectionProps } from '@banter/contract';
import StrapSection from '../shared/StrapSection.vue';

defineProps<SectionProps>();
</script>

<template>
  <StrapSection :drawn="drawn" :dog="dog" broad-throat />
</template>
