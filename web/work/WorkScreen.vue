<script setup lang="ts">
import AfterDecision from './AfterDecision.vue';

/**
 * A screen with one decision: its sentence, its drawing, what decides it, and at the foot the one thing to press, all in reach; everything else
 * stands in leaves under what decides. At a desk the drawing stays beside them; on a phone it stands above.
 */
defineProps<{ drawing: string }>();
</script>

<template>
  <div>
    <div aria-live="polite"><slot name="decision" /></div>
    <div v-if="$slots.notes" class="mt-2 space-y-2 empty:hidden"><slot name="notes" /></div>
    <AfterDecision>
      <div class="mt-3 grid gap-3 sm:gap-4 lg:grid-cols-[minmax(0,var(--drawing-column,27rem))_minmax(0,1fr)]">
        <section class="work-drawing sheet self-start p-3! sm:p-4! lg:sticky lg:top-3" :aria-label="drawing"><slot name="drawing" /></section>
        <div class="min-w-0 space-y-3 sm:space-y-4"><slot /></div>
      </div>
    </AfterDecision>
    <slot name="action" />
  </div>
</template>
