<script setup lang="ts">
/** The bench of one kind, where there is such a kind. */
import { COLLAR_KIND_NAMES } from '@banter/contract';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import BenchOfKind from './bench/BenchOfKind.vue';
import NowhereView from './NowhereView.vue';

const route = useRoute();
const known = computed(() => COLLAR_KIND_NAMES.some((name) => name === route.params.kind));
</script>

<template>
  <BenchOfKind v-if="known" />
  <NowhereView v-else />
</template>
