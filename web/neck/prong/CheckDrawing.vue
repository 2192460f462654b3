<script setup lang="ts">
/** The collar as it is on the dog while it is checked: cross-section, and the links on each side to set right. */
import { ProngNumbers } from '@banter/contract';
import type { FittingDog } from '@banter/core';
import type { LinkSplit } from '@banter/core/collars/prong';
import { computed } from 'vue';
import ProngCrossSection from './ProngCrossSection.vue';

const props = defineProps<{ collar: { id: string; numbers: Record<string, unknown> }; dog: FittingDog; ringAt: number }>();
const girthMm = computed(() => props.dog.skinGirthMm ?? props.dog.tapedGirthMm!);
const on = defineModel<LinkSplit>({ required: true });
const numbers = computed(() => ProngNumbers.parse(props.collar.numbers));
</script>

<template>
  <div>
    <ProngCrossSection :collar="{ id: collar.id, ...numbers }" :split="on" :girth-mm="girthMm" :ring-at="ringAt" />
    <div class="mt-2 grid grid-cols-2 gap-3">
      <div v-for="side in ['left', 'right'] as const" :key="side" class="flex items-center gap-1" :class="side === 'right' && 'justify-end'">
        <button
          type="button"
          class="press press-plain size-12 shrink-0 p-0 text-xl"
          :aria-label="`One link fewer on the dog’s ${side}`"
          :disabled="on[side] === 0 || on.left + on.right === 1"
          @click="on = { ...on, [side]: on[side] - 1 }"
        >
          −
        </button>
        <span class="min-w-10 text-center leading-tight">
          <strong class="text-lg">{{ on[side] }}</strong>
          <span class="block text-sm text-soft">{{ side }}</span>
        </span>
        <button
          type="button"
          class="press press-plain size-12 shrink-0 p-0 text-xl"
          :aria-label="`One link more on the dog’s ${side}`"
          @click="on = { ...on, [side]: on[side] + 1 }"
        >
          +
        </button>
      </div>
    </div>
  </div>
</template>
