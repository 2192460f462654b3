<script setup lang="ts">
/** What stands at the foot of a phone, where it moves nothing when it comes; whatever else stands there stands above it (`--strip`). */
import { defaultDocument, useCssVar, useElementSize } from '@vueuse/core';
import { onUnmounted, ref, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import { useWasIdle } from './idle.ts';
import NowBar from './NowBar.vue';
import TabBar from './TabBar.vue';

defineProps<{ dogId: string | null }>();
/** What was told on one screen is undone there, as on every screen. */
const route = useRoute();
const wasIdle = useWasIdle();
const foot = ref<HTMLElement | null>(null);
const { height } = useElementSize(foot, undefined, { box: 'border-box' });
const room = useCssVar('--strip', defaultDocument?.documentElement);
watchEffect(() => (room.value = `${height.value}px`));
onUnmounted(() => (room.value = '0px'));
</script>

<template>
  <div ref="foot" class="no-print fixed inset-x-0 bottom-0 z-20"><NowBar v-if="wasIdle" :key="route.path" :dog-id="dogId" /> <TabBar /></div>
</template>
