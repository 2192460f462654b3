<script setup lang="ts">
/** What stands at the foot of a phone, where it moves nothing when it comes; whatever else stands there stands above it (`--strip`). */
import { defaultDocument, useResizeObserver } from '@vueuse/core';
import { onUnmounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import NowBar from './NowBar.vue';
import TabBar from './TabBar.vue';

defineProps<{ dogId: string | null }>();
/** What was told on one screen is undone there, as on every screen. */
const route = useRoute();
const foot = ref<HTMLElement | null>(null);
const page = defaultDocument?.documentElement;
const forget = () => page?.style.removeProperty('--strip');
// The style sheet knows how high it is as a rule: the whole page is styled anew when that is told otherwise, and only then it is.
useResizeObserver(foot, () => {
  const height = `${foot.value!.offsetHeight}px`;
  if (page!.style.getPropertyValue('--strip')) forget();
  if (getComputedStyle(page!).getPropertyValue('--strip') !== height) page!.style.setProperty('--strip', height);
});
onUnmounted(forget);
</script>

<template>
  <div ref="foot" class="phone-foot no-print fixed inset-x-0 bottom-0 z-20"><NowBar :key="route.path" :dog-id="dogId" /> <TabBar /></div>
</template>
