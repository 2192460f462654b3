<script setup lang="ts">
/** The fit check on the dog: questions in the order the hands go, the answers as an interval of slack, and the next step. */
import { breedOf, questionsAsked } from '@banter/core';
import { COLLAR_KIND_NAMES, collarKind, FitCheck, houseOf, type NewFitCheck, RecordId, ringAtFor, z, nextStep } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { checkDrawing } from '../neck/drawings.ts';
import { momentWords, todayIn } from '../parts/age.ts';
import CheckQuestions from '../parts/CheckQuestions.vue';
import { DogHeader } from '../shell/dog-header.ts';
import PutOnSteps from '../drawings/PutOnSteps.vue';
import SaveBar from '../work/SaveBar.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import ReasonList from '../parts/ReasonList.vue';
import TextField from '../parts/TextField.vue';
import { CHECK_WORDS, checkTone } from '../parts/verdict.ts';
import VerdictMark from '../parts/VerdictMark.vue';
import { useDogPage } from '../stores/dog-page.ts';
import { useDraft } from '../stores/draft.ts';
import { BOXED, useYard } from '../stores/yard.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import ActionBar from '../work/ActionBar.vue';
import WorkLeaves, { type Leaf } from '../work/WorkLeaves.vue';
import WorkScreen from '../work/WorkScreen.vue';

const route = useRoute();
const session = useSession();
const units = useUnits();
const keeping = useYard();
const dogId = String(route.params.id);
const wantedKind = COLLAR_KIND_NAMES.find((name) => name === route.query.kind) ?? null;
const { data, state, sentence, load, girths, fits, plan, checks, check } = useDogPage(dogId, { kind: () => wantedKind });
const kennel = computed(() => session.kennel!);
const house = computed(() => houseOf(kennel.value, data.value?.dog ?? null));
const rules = computed(() => house.value.rules);
const kind = computed(() => collarKind(plan.value!.kind));
const Drawing = computed(() => defineAsyncComponent(checkDrawing(plan.value!.kind)));
const heading = ref<HTMLElement | null>(null);

const Draft = z.object({
  id: RecordId,
  planId: z.string(),
  answers: z.record(z.string(), z.string().nullable()),
  counts: z.record(z.string(), z.number().nullable()),
  on: z.record(z.string(), z.number()).nullable(),
  note: z.string(),
  at: z.string().nullable(),
});
const begin = (): z.infer<typeof Draft> => ({ id: uuidv7(), planId: '', answers: {}, counts: {}, on: null, note: '', at: null });
const { draft, restored, discard, settle } = useDraft(`check.${dogId}.${wantedKind ?? 'latest'}`, Draft, begin);

// Answers belong to the collar they were given for: a new decision begins a new check.
watch(plan, (now) => {
  if (!now || draft.value.planId === now.id) return;
  if (draft.value.planId !== '') discard();
  settle({ ...draft.value, planId: now.id });
});
/** What is on the dog: as set here, else what the last check's step leads to, else as planned. */
const expectedOn = computed(
  () => (check.value ? kind.value.nextSetting(check.value.outcome) : kind.value.firstSetting(plan.value!.choices)) as Record<string, number>,
);
const on = computed<Record<string, number>>({
  get: () => draft.value.on ?? expectedOn.value,
  set: (now) => (draft.value = { ...draft.value, on: now }),
});
const asked = computed(() => questionsAsked(kind.value.questions, draft.value.answers));
/** Questions that may not be left out. */
const required = computed(() => asked.value.filter(({ optional }) => !optional));
const answered = computed(() => required.value.filter((question) => draft.value.answers[question.id]).length);
const complete = computed(() => answered.value === required.value.length);
const answers = computed(() => ({ ...draft.value.answers, ...Object.fromEntries(kind.value.counts.map(({ id }) => [id, draft.value.counts[id] ?? null])) }));
/** What the answers come to, before they are kept: the same computation that keeps them. */
const foreseen = computed(() => {
  if (!complete.value) return null;
  const parsed = kind.value.answers.safeParse(answers.value);
  if (!parsed.success) return null;
  const inputs = plan.value!.inputs;
  return kind.value.check(inputs.dog, inputs.collar, plan.value!.choices, on.value, parsed.data, checks.value, rules.value);
});
const fitHere = computed(() => fits.value.find(({ plan: own }) => own.id === plan.value!.id) ?? null);
/** Its collar has been made up for another dog since. */
const elsewhere = computed(() => fitHere.value?.elsewhere ?? null);
/** What this fit asks for now: a check that was good is no good mark on a plan that newer measures or answers have stopped. */
const standing = computed(() => {
  const fit = fitHere.value;
  if (!fit || !data.value) return null;
  const { dog, tapings, screenings, lifts } = data.value;
  return nextStep({ dog, girths: tapings, fits: [fit], screenings, lifts }, { kennel: kennel.value, today: todayIn(kennel.value.timeZone) }, units.speak);
});
const stands = computed(
  () =>
    standing.value === null ||
    standing.value.tone === 'good' ||
    (standing.value.goTo === 'check' && elsewhere.value === null && check.value?.outcome.verdict !== 'good'),
);
const againWord = computed(() => (elsewhere.value ? 'Set it again' : standing.value?.goTo === 'check' ? 'Check again' : 'Re-size'));
const settled = computed(() => check.value?.outcome.verdict === 'good' && answered.value === 0 && stands.value);
const marked = computed(() => {
  if (foreseen.value) return { tone: checkTone(foreseen.value.verdict), word: CHECK_WORDS[foreseen.value.verdict] };
  if (!stands.value) return { tone: standing.value!.tone, word: standing.value!.tone === 'stop' ? 'Stop' : againWord.value };
  return check.value && { tone: checkTone(check.value.outcome.verdict), word: CHECK_WORDS[check.value.outcome.verdict] };
});
const headline = computed(() => {
  if (settled.value) return `Good. ${data.value!.dog.name} is fitted.`;
  if (foreseen.value) return kind.value.checkSentence(foreseen.value, on.value);
  if (answered.value === 0 && !stands.value) return standing.value!.sentence;
  if (check.value && answered.value === 0) return kind.value.checkSentence(check.value.outcome, check.value.on);
  return answered.value === 0 ? `Put it on ${data.value!.dog.name} and check the fit.` : `${required.value.length - answered.value} left.`;
});

/** The collar and its setting; a name that only says what it is stands once. */
const wearing = computed(() => {
  const { name } = plan.value!.inputs.collar;
  const line = kind.value.describePlan(plan.value!.inputs.collar, kind.value.wornChoices(plan.value!.choices, on.value), plan.value!.outcome, units.speak);
  return line.startsWith(name) ? line : `${name}, ${line}`;
});
type CheckLeaf = 'why' | 'on' | 'before' | 'note';
const chosenLeaf = ref<CheckLeaf | null>(null);
/** Why, once the answers come to something; before that how it goes on, the first time. */
const leaf = computed<CheckLeaf>({
  get: () => leaves.value.find(({ id }) => id === chosenLeaf.value)?.id ?? leaves.value[0]!.id,
  set: (id) => (chosenLeaf.value = id),
});
const leaves = computed(() => {
  const all: (Leaf<CheckLeaf> & { there?: boolean })[] = [
    { id: 'why', name: 'Why', there: foreseen.value !== null },
    { id: 'before', name: 'So far', there: checks.value.length > 0 },
    { id: 'on', name: 'How it goes on' },
    { id: 'note', name: 'Note' },
  ];
  return all.filter(({ there }) => there !== false);
});

async function keep() {
  if (!complete.value) return;
  draft.value.at ??= new Date().toISOString();
  const sent: NewFitCheck = {
    dogId,
    planId: plan.value!.id,
    kind: plan.value!.kind,
    on: { ...on.value },
    answers: answers.value,
    note: draft.value.note.trim(),
    at: draft.value.at,
  };
  const comesTo = foreseen.value!;
  const kept = await keeping.keep('fit-checks', draft.value.id, FitCheck, sent, data.value!.dog.name);
  if (!kept) return;
  const doubtful = new Set(kind.value.contradicted((kept === BOXED ? comesTo : kept.outcome) as never));
  // Of answers that cannot both be so these two are asked again; the others stand.
  const unopposed = <Answer,>(given: Record<string, Answer>) =>
    Object.fromEntries(Object.entries(given).filter(([id]) => doubtful.size > 0 && !doubtful.has(id)));
  settle({ ...begin(), planId: plan.value!.id, answers: unopposed(draft.value.answers), counts: unopposed(draft.value.counts) });
  await load();
  await nextTick();
  heading.value?.focus();
  heading.value?.scrollIntoView({ block: 'start' });
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="girths" :fits="fits" :kennel="kennel" />
    <div v-if="!plan">
      <h1>Nothing to check yet.</h1>
      <p class="mt-2 text-lg">Choose a collar at the bench first; then check it on the dog.</p>
      <RouterLink class="press press-main mt-4" :to="`/dogs/${dogId}/bench`">To the bench</RouterLink>
    </div>
    <form v-else novalidate @submit.prevent="keep">
      <nav v-if="fits.length > 1" aria-label="Fits of this dog" class="-mt-2 mb-1 flex flex-wrap gap-1">
        <RouterLink
          v-for="one in fits"
          :key="one.plan.id"
          :to="{ path: `/dogs/${dogId}/check`, query: { kind: one.plan.kind } }"
          class="flex min-h-10 items-center rounded-[0.3rem] px-3 no-underline hover:bg-felt"
          :class="one.plan.id === plan.id ? 'bg-felt font-semibold' : 'text-soft'"
          :aria-current="one.plan.id === plan.id ? 'page' : undefined"
        >
          {{ collarKind(one.plan.kind).name }}
        </RouterLink>
      </nav>
      <WorkScreen drawing="On the dog now" style="--beside-drawing: 38.5rem">
        <template #decision>
          <h1 ref="heading" class="outline-none" tabindex="-1">{{ headline }}</h1>
          <div class="mt-1.5 flex flex-wrap items-center gap-x-4 gap-y-1">
            <VerdictMark v-if="marked" :tone="marked.tone" :word="marked.word" />
            <span class="text-soft">
              {{ wearing }}
            </span>
            <span v-if="restored && answered > 0" class="text-soft">
              Picked up where you left off.
              <button type="button" class="underline" @click="discard">Start over</button>
            </span>
          </div>
        </template>
        <template #drawing>
          <component
            :is="Drawing"
            v-model="on"
            :collar="plan.inputs.collar"
            :kind="plan.kind"
            :dog="plan.inputs.dog"
            :ring-at="ringAtFor(plan.kind, plan.choices, house, data!.dog.worksOn)"
          />
        </template>
        <CheckQuestions
          v-model:answers="draft.answers"
          v-model:counts="draft.counts"
          :kind="kind"
          :error-at="keeping.errorAt"
          :ears="breedOf(data!.dog.breed)?.ears ?? 'drop'"
        />
        <WorkLeaves v-model="leaf" :leaves="leaves" label="Beside the check">
          <template #why><ReasonList v-if="foreseen" :reasons="kind.checkReasons(foreseen, units.speak, rules)" /></template>
          <template #on>
            <PutOnSteps :kind="plan.kind" :ears="breedOf(data!.dog.breed)?.ears ?? 'drop'" />
          </template>
          <template #before>
            <ol class="space-y-2" aria-label="Checks so far">
              <li v-for="one in [...checks].reverse()" :key="one.id" class="border-l-2 border-line pl-3">
                <VerdictMark class="text-sm" :tone="checkTone(one.outcome.verdict)" :word="`${one.attempt}: ${CHECK_WORDS[one.outcome.verdict]}`" />
                <span class="block">{{ kind.checkSentence(one.outcome, one.on) }}</span>
                <span class="text-sm text-soft"
                  >{{ kind.describeSetting(one.on, units.speak) }} · {{ one.personName }}, {{ momentWords(one.at, kennel.timeZone) }}</span
                >
              </li>
            </ol>
            <RouterLink v-if="checks[0] && checks[0].attempt > 1" :to="`/dogs/${dogId}`" class="press press-quiet mt-2"
              >Earlier checks are in the record</RouterLink
            >
          </template>
          <template #note><TextField v-model="draft.note" label="Note" :rows="2" :error="keeping.errorAt('note')" /></template>
        </WorkLeaves>
        <template #action>
          <ActionBar>
            <div v-if="settled && keeping.state.value === 'still'" class="flex flex-wrap items-center gap-3">
              <RouterLink :to="`/dogs/${dogId}/neck`" class="press press-main">Put it on</RouterLink>
              <RouterLink :to="`/dogs/${dogId}`" class="press press-plain">Record</RouterLink>
            </div>
            <SaveBar v-else :keeping="keeping" label="Save check" :disabled="!complete">
              <span v-if="!complete" class="shrink-0 text-soft">{{ answered }} of {{ required.length }} answered</span>
            </SaveBar>
          </ActionBar>
        </template>
      </WorkScreen>
    </form>
  </LoadFrame>
</template>
