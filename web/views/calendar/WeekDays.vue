<script setup lang="ts">
/** The seven days of a week in a row, one of them shown under it: a press, or a swipe over what is shown, goes to another. */
defineProps<{ days: readonly { index: number; weekday: string; date: string; says: string; closed: boolean; planned: number }[]; today: number }>();
const day = defineModel<number>({ required: true });
</script>

<template>
  <div class="no-print grid grid-cols-7 gap-1" role="group" aria-label="Days">
    <button
      v-for="one in days"
      :key="one.index"
      type="button"
      class="min-h-14 rounded border-[1.5px] leading-tight"
      :class="[one.index === day ? 'border-deep bg-felt font-semibold' : 'border-transparent', one.closed && 'text-soft']"
      :aria-pressed="one.index === day"
      :aria-label="one.says"
      @click="day = one.index"
    >
      <span class="block text-sm">{{ one.weekday }}</span>
      <span class="block tabular-nums" :class="one.index === today && 'underline decoration-tape decoration-[3px] underline-offset-4'">{{ one.date }}</span>
      <span class="block text-xs text-soft">{{ one.closed ? '–' : one.planned }}</span>
    </button>
  </div>
</template>
