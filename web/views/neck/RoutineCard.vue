<script setup lang="ts">
/** The morning routine of a device, ticked by hand or told by the device itself; a step that was skipped stays visible. */
import { momentOn, type DressedContacts } from '@banter/contract';
import { ROUTINE_STEPS, type RoutineStep, type RoutineStepId } from '@banter/core';
import { computed } from 'vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import type { VerdictTone } from '../../parts/verdict.ts';
import { useSession } from '../../stores/session.ts';
import type { Telling, ToldNow } from '../../stores/tell.ts';

const props = defineProps<{ contacts: DressedContacts; telling: Telling; now: number }>();
const session = useSession();
const collar = computed(() => props.contacts.fit.plan.inputs.collar);
const lowest = computed(() => (collar.value.numbers as { scaleMin: number }).scaleMin);
const TONES: Record<RoutineStep['state'], VerdictTone> = { done: 'good', late: 'mind', failed: 'stop', skipped: 'mind', open: 'open' };
const WORDS: Record<RoutineStep['state'], string> = { done: 'Done', late: 'Late', failed: 'Not right', skipped: 'Skipped', open: 'To do' };
const steps = computed(() => props.contacts.routine.map((step) => ({ ...step, ...ROUTINE_STEPS.find(({ id }) => id === step.id)!, at: step.at })));
/** What a hand tells by ticking a step. */
function tick(id: RoutineStepId, right = true) {
  const collarId = collar.value.id;
  const told: Record<RoutineStepId, ToldNow> = {
    charged: { event: 'charged', collarId, percent: right ? 100 : 0 },
    covers: { event: 'covers', collarId, shut: right },
    on: { event: 'switched', collarId, on: right },
    paired: { event: 'paired', collarId, paired: right },
    tried: { event: 'tried', collarId, level: lowest.value },
    contact: { event: 'contact', collarId, made: right },
  };
  void props.telling.tell(`${ROUTINE_STEPS.find((step) => step.id === id)!.name}: ${right ? 'done' : 'not right'}.`, [told[id]]);
}
const mayTick = (id: RoutineStepId) => id !== 'contact' || props.contacts.wear !== null;
const AGAIN = new Set<RoutineStep['state']>(['open', 'failed', 'skipped']);
</script>

<template>
  <section class="sheet" :aria-label="`Morning routine of ${collar.name}`">
    <h2>Morning routine of «{{ collar.name }}»</h2>
    <ol class="mt-1 divide-y divide-line">
      <li v-for="step in steps" :key="step.id" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
        <VerdictMark class="text-sm" :tone="TONES[step.state]" :word="WORDS[step.state]" />
        <span class="min-w-0 grow basis-28">
          <span class="block font-semibold">{{ step.name }}</span>
          <span class="block text-sm text-soft">
            {{ step.how }}
            <template v-if="step.at !== null">{{ momentOn(step.at, now, session.kennel!.timeZone) }}.</template>
          </span>
        </span>
        <span v-if="AGAIN.has(step.state) && mayTick(step.id)" class="flex gap-1">
          <button type="button" class="press press-plain" @click="tick(step.id)">
            {{ step.id === 'contact' ? 'Both touch' : 'Done' }}<span class="sr-only">: {{ step.name }}</span>
          </button>
          <button v-if="step.id === 'contact'" type="button" class="press press-quiet" @click="tick(step.id, false)">They do not</button>
        </span>
      </li>
    </ol>
    <p class="mt-2 text-sm text-soft">No contact? First the strap, then the hair and the post. A higher level is never the cure.</p>
  </section>
</template>
