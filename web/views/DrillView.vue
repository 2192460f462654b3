<script setup lang="ts">
/** Handling drill: a drawn dog does what dogs do, and a hand answers; judged by the one-second rule, the way, and letting go. */
import { Drill, DrillsPage, CORRECTION_WAYS, correctionWays } from '@banter/contract';
import { countOf, DRILL_PACES, drillWords, HAPPENING_WORDS, houseRules, SCENE_REASON_WORDS, WORK_ON_WORDS, wordReason, type DrillPace } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { tryOnScopeDispose } from '@vueuse/core';
import { computed, effectScope, ref, shallowRef, watch, type EffectScope } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceRow from '../parts/ChoiceRow.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import { useKeep } from '../stores/keep.ts';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';
import { useDrillRun, type DrillRun } from './drill/drill-run.ts';
import DrillPad from './drill/DrillPad.vue';
import DrillResults from './drill/DrillResults.vue';
import DrillScene from './drill/DrillScene.vue';
import { useUnits } from '../stores/units.ts';

const units = useUnits();

const session = useSession();
const route = useRoute();
const keeping = useKeep();
const rules = computed(() => houseRules(session.kennel!.rules));
const { data, state, sentence, load } = useLoad(() => '/api/drills', DrillsPage);
const COUNT = 10;
const PACE_NAMES: Record<DrillPace, string> = { calm: 'Calm', brisk: 'Brisk' };
const collar = ref(CORRECTION_WAYS[0]!.id);
const pace = ref<DrillPace>('calm');
const run = shallowRef<DrillRun | null>(null);
let scope: EffectScope | null = null;
let seed = 0;
function begin() {
  scope?.stop();
  scope = effectScope();
  // The same scenes again where an address asks for them.
  seed = route.query.seed === undefined ? Math.floor(Math.random() * 99_991) : Number(route.query.seed) % 99_991;
  run.value = scope.run(() => useDrillRun({ seed, pace: pace.value, ways: correctionWays(collar.value), count: COUNT }, rules.value))!;
  run.value.begin();
}
function stop() {
  scope?.stop();
  run.value = null;
}
tryOnScopeDispose(stop);
const running = computed(() => run.value !== null && run.value.state.value !== 'over');
const told = (index: number) => run.value!.judged.value[index]!.reasons.map((reason) => wordReason(SCENE_REASON_WORDS, reason, units.speak).text);
const last = computed(() => (run.value && run.value.judged.value.length > 0 ? told(run.value.judged.value.length - 1).join(' ') : ''));
const good = (index: number) => {
  const { inTime, rightWay, letGo, forNothing } = run.value!.judged.value[index]!;
  return inTime !== false && rightWay !== false && letGo !== false && forNothing === 0;
};
watch(
  () => run.value?.state.value,
  async (now) => {
    if (now !== 'over' || !run.value) return;
    const sent = { seed, pace: pace.value, collar: collar.value, answers: run.value.answers.value, at: new Date().toISOString() };
    if (await keeping.keep(`/api/drills/${uuidv7()}`, Drill, sent)) await load();
  },
);
const heading = computed(() => {
  if (!run.value) return 'Walk a drawn dog.';
  if (run.value.state.value === 'over') return drillWords(run.value.score.value);
  return `Scene ${run.value.index.value + 1} of ${COUNT}`;
});
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the drills" @again="load">
    <h1>{{ heading }}</h1>
    <p v-if="!run" class="mt-1 text-lg">
      10 scenes. The dog forges, swings wide, lags, or another dog passes. Correct in the right direction within
      {{ countOf(rules.tellWithinSeconds, 'second') }}, release when it yields, reward when it is back. In position: do nothing.
    </p>
    <p v-else-if="run.state.value === 'over' && run.score.value.workOn" class="mt-1 text-lg">{{ WORK_ON_WORDS[run.score.value.workOn] }}</p>
    <p v-else-if="run.state.value === 'over'" class="mt-1 text-lg">4 of 5 or better throughout: walk faster, or go on with a real dog.</p>
    <p v-else class="mt-1 min-h-7 text-soft" aria-live="polite">{{ last }}</p>

    <template v-if="!running">
      <div class="mt-4 flex flex-wrap items-end gap-5">
        <ChoiceRow v-model="collar" label="On a" :answers="CORRECTION_WAYS.map(({ id, name }) => ({ value: id, label: name }))" />
        <ChoiceRow v-model="pace" label="Pace" :answers="DRILL_PACES.map((value) => ({ value, label: PACE_NAMES[value] }))" />
        <button type="button" class="press press-main" @click="begin">{{ run ? 'Once more' : 'Begin' }}</button>
      </div>
    </template>

    <div v-if="run && running" class="mt-3 max-w-[52rem]">
      <ol class="mb-2 flex gap-1.5" aria-label="Scenes so far">
        <li
          v-for="index in COUNT"
          :key="index"
          class="h-2.5 flex-1 rounded-full"
          :class="index - 1 < run.judged.value.length ? (good(index - 1) ? 'bg-good' : 'bg-warm') : index - 1 === run.index.value ? 'bg-tape' : 'bg-line'"
        >
          <span v-if="index - 1 < run.judged.value.length" class="sr-only">{{ good(index - 1) ? 'good' : 'to work on' }}</span>
        </li>
      </ol>
      <DrillScene :run="run" :paid="run.paidAt.value !== null" />
      <div v-if="run.state.value === 'paused'" class="mt-3"><button type="button" class="press press-main" @click="run.begin()">Go on</button></div>
      <DrillPad v-else class="mt-3" :run="run" />
      <button type="button" class="press press-quiet mt-2" @click="stop">Stop</button>
    </div>

    <ol v-if="run && run.state.value === 'over'" class="mt-5 divide-y divide-line border-y border-line">
      <li v-for="(scene, index) in run.scenes" :key="index" class="grid gap-x-4 py-2 sm:grid-cols-[3rem_14rem_minmax(0,1fr)]">
        <span class="font-semibold" :class="good(index) ? 'text-good' : 'text-mind'">{{ good(index) ? '✓' : '!' }} {{ index + 1 }}</span>
        <span>It {{ HAPPENING_WORDS[scene.happening].name }}</span>
        <span>{{ told(index).join(' ') }}</span>
      </li>
    </ol>
    <p v-if="keeping.sentence.value" class="mt-2 font-semibold text-mind" role="alert">{{ keeping.sentence.value }}</p>
    <p v-if="!running" class="mt-3 text-sm text-soft">Directions and marks: common practice. Limits: House rules.</p>
    <DrillResults v-if="!running" class="mt-6" :page="data!" :time-zone="session.kennel!.timeZone" :limit="rules.tellWithinSeconds" />
  </LoadFrame>
</template>
