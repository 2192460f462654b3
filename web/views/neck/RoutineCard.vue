<script setup lang="ts">
/** The morning routine of a device, ticked by hand or told by the device itself; a step that was skipped stays visible. */
import { deviceOf, momentOn, type DressedContacts } from '@banter/contract';
import { lowestFelt, ROUTINE_STEPS, type RoutineStep, type RoutineStepId } from '@banter/core';
import { computed } from 'vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import type { VerdictTone } from '../../parts/verdict.ts';
import { useSession } from '../../stores/session.ts';
import type { Telling, EventToTell } from '../../stores/tell.ts';

const props = defineProps<{ contacts: DressedContacts; telling: Telling; now: number }>();
const session = useSession();
const collar = computed(() => props.contacts.fit.plan.inputs.collar);
const lowest = computed(() => lowestFelt(deviceOf({ kind: props.contacts.fit.plan.kind, numbers: collar.value.numbers })!.scale));
const TONES: Record<RoutineStep['state'], VerdictTone> = { done: 'good', late: 'mind', failed: 'stop', skipped: 'mind', open: 'open' };
const WORDS: Record<RoutineStep['state'], string> = { done: 'Done', late: 'Late', failed: 'Not right', skipped: 'Skipped', open: 'To do' };
const steps = computed(() => props.contacts.routine.map((step) => ({ ...step, ...ROUTINE_STEPS.find(({ id }) => id === step.id)!, at: step.at })));
/** What a hand tells of a step. */
function toldOfStep(id: RoutineStepId, right: boolean): EventToTell {
  const collarId = collar.value.id;
  const told: Record<RoutineStepId, EventToTell> = {
    charged: { event: 'charged', collarId, percent: right ? 100 : 0 },
    covers: { event: 'covers', collarId, shut: right },
    on: { event: 'switched', collarId, on: right },
    paired: { event: 'paired', collarId, paired: right },
    tried: { event: 'tried', collarId, level: lowest.value },
    contact: { event: 'contact', collarId, made: right },
  };
  return told[id];
}
function tick(id: RoutineStepId, right = true) {
  void props.telling.tell(`${ROUTINE_STEPS.find((step) => step.id === id)!.name}: ${right ? 'done' : 'not right'}.`, [toldOfStep(id, right)]);
}
/** What makes contact that was felt to be felt again, where it sits. */
const DISTURBED = [
  { button: 'Re-strapped', told: 'Re-strapped: check contacts.' },
  { button: 'Dog soaked', told: 'Soaked: check contacts.' },
] as const;
const disturbed = (told: string) => void props.telling.tell(told, [{ event: 'contact', collarId: collar.value.id, made: null }]);
const mayTick = (id: RoutineStepId) => id !== 'contact' || props.contacts.wear !== null;
/** What is done in the hand, before it goes on: one tap says all of it. Contact is felt on the dog. */
const inHand = computed(() => props.contacts.routine.filter(({ id, state }) => id !== 'contact' && AGAIN.has(state)).map(({ id }) => id));
const tickAll = () =>
  void props.telling.tell(
    'All steps done.',
    inHand.value.map((id) => toldOfStep(id, true)),
  );
/** What can be unticked again: a try is a try. */
const mayUntick = (id: RoutineStepId, state: RoutineStep['state']) => (state === 'done' || state === 'late') && id !== 'tried' && id !== 'contact';
const AGAIN = new Set<RoutineStep['state']>(['open', 'failed', 'skipped']);
</script>

<template>
  <section :aria-label="`Morning routine of ${collar.name}`">
    <h2>Morning routine of {{ collar.name }}</h2>
    <button v-if="inHand.length > 1" type="button" class="press press-main mt-2" @click="tickAll">Log all done</button>
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
        <button v-if="mayUntick(step.id, step.state)" type="button" class="press press-quiet" @click="tick(step.id, false)">
          Not right<span class="sr-only">: {{ step.name }}</span>
        </button>
        <span v-if="AGAIN.has(step.state) && mayTick(step.id)" class="flex gap-1">
          <button type="button" class="press press-plain" @click="tick(step.id)">
            {{ step.id === 'contact' ? 'Contact good' : 'Done' }}<span class="sr-only">: {{ step.name }}</span>
          </button>
          <button v-if="step.id === 'contact'" type="button" class="press press-quiet" @click="tick(step.id, false)">No contact</button>
        </span>
        <span v-if="step.id === 'contact' && contacts.wear && step.state === 'done'" class="flex flex-wrap gap-1">
          <button v-for="one in DISTURBED" :key="one.button" type="button" class="press press-quiet" @click="disturbed(one.told)">{{ one.button }}</button>
        </span>
      </li>
    </ol>
    <p class="mt-2 text-sm text-soft">No contact? First the strap, then the hair and the post. A higher level is never the cure.</p>
  </section>
</template>
