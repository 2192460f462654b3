<script setup lang="ts">
/** All days that are planned at a glance: how much lies on each, as the height of a pile; a tap shows its week. */
import { DateTime } from 'luxon';
import { computed } from 'vue';

const props = defineProps<{
  days: readonly string[];
  counts: readonly { planned: number; changed: number; noRoom: number; closed: boolean }[];
  week: number;
  today: string;
}>();
const emit = defineEmits<{ week: [index: number] }>();
const weeks = computed(() =>
  Array.from({ length: Math.ceil(props.days.length / 7) }, (_week, week) => ({
    week,
    name: DateTime.fromISO(props.days[week * 7]!).toFormat('d LLL'),
    days: props.days.slice(week * 7, week * 7 + 7).map((day, index) => ({ day, ...props.counts[week * 7 + index]! })),
  })),
);
const most = computed(() => Math.max(1, ...props.counts.map(({ planned }) => planned)));
const says = ({ name, days }: (typeof weeks.value)[number]) => {
  const sum = (of: 'planned' | 'changed' | 'noRoom') => days.reduce((all, one) => all + one[of], 0);
  return `Week of ${name}: ${sum('planned')} sessions${sum('changed') ? `, ${sum('changed')} of them tried` : ''}${sum('noRoom') ? `, ${sum('noRoom')} without room` : ''}`;
};
</script>

<template>
  <div class="no-print flex gap-1.5 overflow-x-auto pb-1" role="group" aria-label="Weeks">
    <button
      v-for="one in weeks"
      :key="one.week"
      type="button"
      class="min-w-24 flex-1 rounded-[0.3rem] border-[1.5px] px-2 pt-1.5 pb-1 text-left"
      :class="one.week === week ? 'border-deep bg-felt' : 'border-transparent hover:border-line'"
      :aria-pressed="one.week === week"
      :aria-label="says(one)"
      @click="emit('week', one.week)"
    >
      <span class="flex h-9 items-end gap-[3px]" aria-hidden="true">
        <span v-for="day in one.days" :key="day.day" class="relative flex h-full flex-1 items-end" :class="day.closed && 'opacity-30'">
          <span
            class="w-full rounded-t-[2px]"
            :class="day.changed > 0 ? 'bg-tape' : day.day === today ? 'bg-deep' : 'bg-steel-light'"
            :style="{ height: `${Math.max(5, (day.planned / most) * 100)}%` }"
          ></span>
          <span v-if="day.noRoom > 0" class="absolute inset-x-0 top-0 h-1 rounded bg-stop"></span>
        </span>
      </span>
      <span class="mt-0.5 block text-sm" :class="one.week === week ? 'font-semibold' : 'text-soft'">{{ one.name }}</span>
    </button>
  </div>
</template>
