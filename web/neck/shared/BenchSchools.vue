<script setup lang="ts">
/** What each side of each school that bears on this kind would do, from the same collars. Any of it can be taken onto the bench. */
import { schoolName, schoolSays } from '@banter/core';
import { useUnits } from '../../stores/units.ts';
import type { Bench } from './bench.ts';

defineProps<{ bench: Bench }>();
const units = useUnits();
</script>

<template>
  <section class="sheet" aria-label="Schools">
    <h2>What the schools would do</h2>
    <ul class="mt-1 divide-y divide-line">
      <li v-for="one in bench.says" :key="one.school + one.option" class="grid gap-x-4 py-2.5 sm:grid-cols-2">
        <div>
          <span class="font-semibold first-letter:uppercase">{{ schoolName(one.school, one.option) }}</span>
          <span v-if="one.house" class="ml-2 rounded bg-tape px-1.5 py-0.5 text-sm font-semibold text-on-tape">house</span>
          <span class="block text-sm text-soft">{{ schoolSays(one.school, one.option, bench.house.rules, units.speak) }}</span>
        </div>
        <div>
          <button
            v-if="one.fit.collarId"
            type="button"
            class="text-left font-semibold underline decoration-line underline-offset-4 hover:decoration-ink"
            @click="bench.take(one.fit.collarId, one.fit.choices)"
          >
            {{ one.fit.line }}
          </button>
          <span v-if="one.fit.collarName" class="block text-sm text-soft">{{ one.fit.collarName }} · {{ one.fit.verdict }}</span>
          <span v-if="one.fit.wanted" class="block text-sm text-soft">Look for {{ one.fit.wanted }}.</span>
        </div>
      </li>
    </ul>
  </section>
</template>
