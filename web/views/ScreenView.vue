<script setup lang="ts">
/** Screening: what speaks against a collar, asked before one is chosen; what a yes means for each kind; and lifting a stop with a note. */
import { COLLAR_KIND_NAMES, collarKind, Lift, RecordId, Screening, screenKind, z, type NewLift, type NewScreening } from '@banter/contract';
import { SCREEN_ITEM_IDS, SCREEN_ITEMS, SCREEN_LEVEL_WORDS, type ScreenItemId } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { momentWords } from '../parts/age.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { DogHeader } from '../shell/dog-header.ts';
import FoldedOnPhone from '../parts/FoldedOnPhone.vue';
import ActionBar from '../work/ActionBar.vue';
import SaveBar from '../work/SaveBar.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import TextField from '../parts/TextField.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useBenchDog } from '../stores/bench-dog.ts';
import { useDogPage } from '../stores/dog-page.ts';
import { useDraft } from '../stores/draft.ts';
import { useKeep } from '../stores/keep.ts';
import { SCREEN_ANSWERS, useScreeningAnswers } from '../stores/screening-answers.ts';
import { useSession } from '../stores/session.ts';

const route = useRoute();
const router = useRouter();
const session = useSession();
const keeping = useKeep();
const lifting = useKeep();
const dogId = String(route.params.id);
const { data, state, sentence, load, girths, fits } = useDogPage(dogId);
const { dog, house, screening } = useBenchDog(data, girths);
const kennel = computed(() => session.kennel!);

const Draft = z.object({
  id: RecordId,
  answers: z.record(z.string(), z.enum(['yes', 'no', 'unknown']).nullable()),
  note: z.string(),
  at: z.string().nullable(),
});
const { draft, restored, discard } = useDraft(`screen.${dogId}`, Draft, () => ({ id: uuidv7(), answers: {}, note: '', at: null }));
const latest = computed(() => data.value?.screenings.at(-1) ?? null);
const written = computed(() => data.value?.dog.breed ?? '');
const { answerOf, risks, items, hintOf, open, passable, given, noneOfThese } = useScreeningAnswers({
  answers: computed(() => draft.value.answers),
  dog,
  breed: written,
  rules: computed(() => house.value.rules),
  latest,
});
const changed = computed(() => Object.values(draft.value.answers).some((answer) => answer !== null) || draft.value.note.trim() !== '');
const answerNone = () => (draft.value = { ...draft.value, answers: { ...draft.value.answers, ...noneOfThese.value } });
const foreseen = computed(() => ({
  done: true,
  answers: given(),
  lifted: screening.value.lifted,
}));
const kinds = computed(() =>
  COLLAR_KIND_NAMES.map((name) => {
    const result = screenKind(collarKind(name).hazards, foreseen.value, kennel.value.screen);
    const asked = open.value.length === 0;
    const tone = result.blocked ? ('stop' as const) : result.level === 'caution' ? ('mind' as const) : asked ? ('good' as const) : ('open' as const);
    return {
      name,
      title: collarKind(name).name,
      tone,
      word: result.level !== 'none' ? SCREEN_LEVEL_WORDS[result.level] : asked ? 'Nothing against it' : 'Not asked yet',
      findings: result.findings,
    };
  }),
);
const blocked = computed(() => kinds.value.filter(({ tone }) => tone === 'stop').length);
const headline = computed(() => {
  if (open.value.length === SCREEN_ITEM_IDS.length) return `Anything against a collar on ${data.value!.dog.name}?`;
  if (open.value.length > 0) return `${open.value.length} more to answer.`;
  if (blocked.value > 0) return `${blocked.value === 1 ? 'One kind is' : `${blocked.value} kinds are`} stopped for ${data.value!.dog.name}.`;
  return `Nothing stops a collar on ${data.value!.dog.name}.`;
});
async function keep() {
  if (open.value.length > 0) return;
  draft.value.at ??= new Date().toISOString();
  const sent: NewScreening = { dogId, answers: foreseen.value.answers, note: draft.value.note.trim(), at: draft.value.at };
  if (!(await keeping.keep(`/api/screenings/${draft.value.id}`, Screening, sent))) return;
  discard();
  if (girths.value.high) await load();
  else await router.push(`/dogs/${dogId}/tape`);
}

/** Items of the latest kept screening that can be lifted, with who has lifted them when. */
const liftable = computed(() => {
  const yes = SCREEN_ITEMS.filter(({ id }) => screening.value.answers[id] === 'yes');
  return yes.map((item) => ({
    item,
    lifted: screening.value.lifted.includes(item.id),
    last: data.value!.lifts.findLast((lift) => lift.item === item.id) ?? null,
  }));
});
const liftNote = ref<Record<string, string>>({});
async function lift(item: ScreenItemId, lifted: boolean) {
  const sent: NewLift = { dogId, item, lifted, note: (liftNote.value[item] ?? '').trim(), at: new Date().toISOString() };
  if (!(await lifting.keep(`/api/lifts/${uuidv7()}`, Lift, sent))) return;
  liftNote.value = { ...liftNote.value, [item]: '' };
  await load();
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="girths" :fits="fits" :kennel="kennel" />
    <h1 aria-live="polite">{{ headline }}</h1>
    <p class="mt-1 text-soft">
      <template v-if="latest">Last screened {{ momentWords(latest.at, kennel.timeZone) }} by {{ latest.personName }}.</template>
      <template v-else>Before a collar is chosen. Banter does not diagnose: what you do not know, ask a vet.</template>
      <template v-if="restored">
        Picked up where you left off.
        <button type="button" class="underline" @click="discard">Start over</button>
      </template>
    </p>
    <div class="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
      <form class="space-y-4" novalidate @submit.prevent="keep">
        <section class="sheet divide-y divide-line" aria-label="Questions">
          <div v-for="item in items" :key="item.id" class="py-3 first:pt-0 last:pb-0">
            <ChoiceRow
              :model-value="answerOf(item.id)"
              :label="`${item.name}?`"
              :hint="hintOf(item)"
              :answers="SCREEN_ANSWERS"
              @update:model-value="(answer) => (draft.answers = { ...draft.answers, [item.id]: answer })"
            />
          </div>
        </section>
        <TextField v-model="draft.note" label="Note (may be left empty)" :error="keeping.errorAt('note')" />
        <ActionBar>
          <SaveBar :keeping="keeping" label="Save screening" :disabled="open.length > 0 || (latest !== null && !changed)">
            <button v-if="passable.length > 0" type="button" class="press press-plain" @click="answerNone">
              {{ risks.length > 0 ? 'None of the others' : 'None of these' }}
            </button>
          </SaveBar>
        </ActionBar>
      </form>
      <aside class="space-y-5 self-start">
        <FoldedOnPhone name="What it means">
          <ul class="mt-2 divide-y divide-line">
            <li v-for="kind in kinds" :key="kind.name" class="py-2">
              <div class="flex items-center gap-3">
                <span class="grow font-semibold">{{ kind.title }}</span>
                <VerdictMark class="text-sm" :tone="kind.tone" :word="kind.word" />
              </div>
              <p v-for="finding in kind.findings" :key="finding.id" class="text-sm text-soft">{{ finding.name }}{{ finding.lifted ? ', lifted' : '' }}</p>
            </li>
          </ul>
        </FoldedOnPhone>
        <section v-if="liftable.length > 0" class="sheet" aria-label="Lifting">
          <h2>Lifting a stop</h2>
          <p class="text-sm text-soft">With a note that says why, in your name; it stays in the record.</p>
          <div v-for="{ item, lifted, last } in liftable" :key="item.id" class="mt-3 border-t border-line pt-3">
            <p class="font-semibold">{{ item.name }}{{ lifted ? ': lifted' : '' }}</p>
            <p v-if="last" class="text-sm text-soft">
              {{ last.lifted ? 'Lifted' : 'Put back' }} by {{ last.personName }}, {{ momentWords(last.at, kennel.timeZone) }}: {{ last.note }}
            </p>
            <TextField
              :model-value="liftNote[item.id] ?? ''"
              class="mt-2"
              :label="lifted ? 'Why it counts again' : 'Why it may be lifted'"
              :error="lifting.errorAt('note')"
              @update:model-value="(text) => (liftNote = { ...liftNote, [item.id]: text })"
            />
            <button type="button" class="press press-plain mt-2" :disabled="!(liftNote[item.id] ?? '').trim()" @click="lift(item.id, !lifted)">
              {{ lifted ? 'Put the stop back' : 'Lift it' }}
            </button>
          </div>
          <p v-if="lifting.sentence.value" role="alert" class="mt-2 text-stop">{{ lifting.sentence.value }}</p>
        </section>
      </aside>
    </div>
  </LoadFrame>
</template>
