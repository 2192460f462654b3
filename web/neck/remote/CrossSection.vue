<script setup lang="ts">
/** A remote collar in cross-section. */
import type { SectionProps } from '@banter/contract';
import ReceiverSection from '../shared/ReceiverSection.vue';

defineProps<SectionProps>();
</script>

<template>
  <ReceiverSection :drawn="drawn" :dog="dog" />
</template>
