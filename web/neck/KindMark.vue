<script setup lang="ts">
/** What a kind of collar is known by at a glance: its hardware, in a square as high as a line or two. Seen, not read: its name stands beside it. */
import type { CollarKindName } from '@banter/contract';
import { computed } from 'vue';
import { markOf } from '../drawings/hand-pictures.ts';

const props = defineProps<{ kind: CollarKindName }>();
const mark = computed(() => markOf(props.kind));
</script>

<template>
  <svg viewBox="0 0 32 32" class="inline-block size-7 shrink-0" aria-hidden="true" fill="none" stroke-linecap="round" stroke-linejoin="round">
    <path v-if="mark.strap" :d="mark.strap" stroke="currentColor" stroke-width="3.6" opacity="0.55" />
    <path v-if="mark.solid" :d="mark.solid" fill="currentColor" />
    <path v-if="mark.steel" :d="mark.steel" stroke="currentColor" stroke-width="2" />
    <path v-if="mark.thread" :d="mark.thread" stroke="currentColor" stroke-width="1.6" stroke-dasharray="2.5 2.5" />
  </svg>
</template>
