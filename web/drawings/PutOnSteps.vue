<script setup lang="ts">
/** How a collar goes on, step by step, each with its picture. */
import { collarKind, type CollarKindName } from '@banter/contract';
import type { EarSet } from '@banter/core';
import { computed } from 'vue';
import HandPicture from './HandPicture.vue';
import { putOnPictures } from './hand-pictures.ts';

const props = defineProps<{ kind: CollarKindName; ears?: EarSet }>();
const steps = computed(() => collarKind(props.kind).putOn.map((text, index) => ({ text, picture: putOnPictures(props.kind)[index]! })));
</script>

<template>
  <ol class="grid gap-3 sm:grid-cols-2">
    <li v-for="(step, index) in steps" :key="step.text" class="grid grid-cols-[6.5rem_minmax(0,1fr)] items-start gap-3">
      <HandPicture class="rounded bg-ground" :picture="step.picture" v-bind="ears ? { ears } : {}" />
      <p class="text-[0.95rem] leading-snug">
        <strong>{{ index + 1 }}.</strong> {{ step.text }}
      </p>
    </li>
  </ol>
</template>
