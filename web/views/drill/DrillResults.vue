<script setup lang="ts">
/** How everybody's hands get on: their last drill, and how soon they told the dog from drill to drill. */
import type { DrillsPage } from '@banter/contract';
import { drillWords } from '@banter/core';
import { computed } from 'vue';
import { momentWords } from '../../parts/age.ts';
import SmallChart from '../../parts/SmallChart.vue';

const props = defineProps<{ page: DrillsPage; timeZone: string; limit: number }>();
const people = computed(() => {
  const ids = [...new Set(props.page.drills.map(({ personId }) => personId))];
  return ids.map((id) => {
    const own = props.page.drills.filter(({ personId }) => personId === id);
    const last = own.at(-1)!;
    const points = own.flatMap(({ at, score, pace }) =>
      score.medianSeconds === null
        ? []
        : [{ at, value: score.medianSeconds, label: `${momentWords(at, props.timeZone)}, ${pace}: told after ${score.medianSeconds.toFixed(1)} s` }],
    );
    return { id, name: last.personName, count: own.length, last, points };
  });
});
</script>

<template>
  <section class="sheet" aria-labelledby="drill-results">
    <h2 id="drill-results">From drill to drill</h2>
    <p v-if="people.length === 0" class="text-soft">No drill logged yet.</p>
    <ul v-else class="mt-1 divide-y divide-line">
      <li v-for="person in people" :key="person.id" class="grid items-center gap-x-5 gap-y-1 py-3 sm:grid-cols-[10rem_minmax(0,1fr)_18rem]">
        <div>
          <p class="font-semibold">{{ person.name }}</p>
          <p class="text-sm text-soft">{{ person.count }} {{ person.count === 1 ? 'drill' : 'drills' }}</p>
        </div>
        <p class="text-sm">
          {{ drillWords(person.last.score) }}
          <span class="block text-soft">{{ momentWords(person.last.at, timeZone) }}, {{ person.last.pace }}</span>
        </p>
        <SmallChart
          v-if="person.points.length > 0"
          :points="person.points"
          :limit="limit"
          :from-zero="true"
          :name="`Seconds until ${person.name} told the dog`"
        />
      </li>
    </ul>
  </section>
</template>
