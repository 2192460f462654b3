<script setup lang="ts">
/** The bench, all kinds side by side for one dog: what fits from the locker and by which number, what speaks against it, and where the schools differ. */
import {
  collarKind,
  COLLAR_KIND_NAMES,
  placeOf,
  PURPOSES,
  Want,
  wornByKind,
  type CollarKindName,
  type KindFit,
  type Purpose,
  sureNeck,
  isGoodByHands,
  wornFitLine,
} from '@banter/contract';
import { SCREEN_LEVEL_WORDS, listWords, speakLimit, speakQuantity, type ScreenResult, adviceRank } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { DogHeader } from '../shell/dog-header.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import KindMark from '../neck/KindMark.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { toGet } from '../parts/missing.ts';
import { useChosen } from '../stores/chosen.ts';
import { useBenchDog } from '../stores/bench-dog.ts';
import { useDogPage } from '../stores/dog-page.ts';
import { useKeep } from '../stores/keep.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import type { ChooseRequest } from '../workers/choose.ts';
import { useAtLeast } from '../stores/widths.ts';

const route = useRoute();
const session = useSession();
const units = useUnits();
const keeping = useKeep();
const dogId = String(route.params.id);
const { data, state, sentence, load, girths, fits } = useDogPage(dogId, { locker: 'all' });
const { dog, house, stock, screen, law } = useBenchDog(data, girths);
const kennel = computed(() => session.kennel!);

const purpose = ref<Purpose | 'all'>('all');
const purposes = [{ value: 'all' as const, label: 'Anything' }, ...PURPOSES.map((value) => ({ value, label: value }))];

type Against = { tone: 'stop' | 'mind'; word: string };
/** Anything against a kind, in a word or two: the law first, then screening. */
function against(kind: CollarKindName, screened: ScreenResult): Against[] {
  const told: Against[] = [];
  const lawSays = law(kind, placeOf(data.value!));
  if (lawSays.status === 'not-allowed') told.push({ tone: 'stop', word: 'not allowed where it works' });
  else if (lawSays.status === 'never-checked') told.push({ tone: 'mind', word: 'local law not checked' });
  else if (lawSays.status === 'check-again') told.push({ tone: 'mind', word: 'check the law again' });
  if (screened.notScreened) told.push({ tone: 'mind', word: 'not screened yet' });
  for (const finding of screened.findings.filter(({ lifted }) => !lifted)) {
    const caution = finding.level === 'caution';
    told.push({
      tone: caution ? 'mind' : 'stop',
      word: `${finding.unknown ? 'not known' : SCREEN_LEVEL_WORDS[finding.level]}: ${finding.name.toLowerCase()}`,
    });
  }
  return told;
}
const order = { good: 0, mind: 1, open: 2, stop: 3 };
const request = computed<ChooseRequest | null>(() =>
  data.value && girths.value.high
    ? {
        dogName: data.value.dog.name,
        dog: dog.value,
        sure: sureNeck(dog.value, girths.value, house.value.rules),
        stock: stock.value,
        worn: wornByKind(fits.value),
        house: house.value,
        length: units.length,
        mass: units.mass,
      }
    : null,
);
const chosen = useChosen(request);
/** What a kind says of itself for this dog. */
const adviceOf = (kind: CollarKindName) =>
  collarKind(kind).traits.advice({ dog: dog.value, noted: data.value!.dog, rules: house.value.rules, schools: house.value.schools, speak: units.speak });
/** What of a kind is decided for the dog already. */
function wornOf(kind: CollarKindName) {
  const fit = fits.value.find(({ plan }) => plan.kind === kind);
  return fit && `${fit.plan.inputs.collar.name}, ${wornFitLine(fit, units.speak)}`;
}
/** What of a kind it wears, where hands have found it good. */
const goodOf = (kind: CollarKindName) =>
  fits.value.find((fit) => fit.plan.kind === kind && isGoodByHands(fit, data.value!.dog, girths.value, house.value.rules)) ?? null;
const rows = computed(() => {
  return (chosen.value?.fits ?? [])
    .filter((fit) => purpose.value === 'all' || collarKind(fit.kind).purposes.includes(purpose.value))
    .map((sized) => {
      const kind = collarKind(sized.kind);
      const good = goodOf(sized.kind);
      // What hands found good is what it wears, whatever the aim would be.
      const fit: KindFit = good
        ? {
            ...sized,
            verdict: 'Good on the dog',
            tone: 'good',
            collarName: good.plan.inputs.collar.name,
            line: wornFitLine(good, units.speak),
            wanted: null,
            deciding: null,
          }
        : sized;
      const screened = screen(fit.kind);
      const told = against(fit.kind, screened);
      const stopped = told.some(({ tone }) => tone === 'stop');
      const advice = adviceOf(fit.kind);
      return {
        fit,
        decided: good ? null : wornOf(fit.kind),
        kind,
        told,
        advice,
        stopped,
        differ: chosen.value?.differ[fit.kind] ?? [],
        rank: (stopped ? 4 : order[fit.tone]) * 10 + adviceRank(advice) * 11,
      };
    })
    .sort((a, b) => a.rank - b.rank || COLLAR_KIND_NAMES.indexOf(a.fit.kind) - COLLAR_KIND_NAMES.indexOf(b.fit.kind));
});
/** On a phone the best come first, and the others when they are wanted. */
const desk = useAtLeast('md');
const FIRST = 5;
const all = ref(false);
const shown = computed(() => (desk.value || all.value ? rows.value : rows.value.slice(0, FIRST)));
const fitting = computed(() => rows.value.filter(({ fit, stopped }) => !stopped && (fit.tone === 'good' || fit.tone === 'mind')));
/** So many are named in the heading, those that are advised first. */
const NAMED = 3;
const headline = computed(() => {
  const { name } = data.value!.dog;
  const what = purpose.value === 'all' ? '' : ` for ${purpose.value}`;
  if (!chosen.value) return `Sizing every collar for ${name} …`;
  if (fitting.value.length === 0) return `Nothing in the locker fits ${name}${what} yet.`;
  const named = fitting.value.slice(0, NAMED).map(({ kind, fit }) => fit.collarName ?? kind.name.toLowerCase());
  const count = fitting.value.length;
  if (count === 1) return `${named[0]} fits ${name}${what}.`;
  return `${count} kinds fit ${name}${what}: ${count > NAMED ? `${named.join(', ')} first` : listWords(named)}.`;
});

const wantedKinds = ref<CollarKindName[]>([]);
async function want(fit: KindFit) {
  const kept = await keeping.keep(`/api/wants/${uuidv7()}`, Want, { what: `For ${data.value!.dog.name}: ${fit.wanted}`.slice(0, 300), dogId, boughtAt: null });
  if (kept) wantedKinds.value = [...wantedKinds.value, fit.kind];
}
/** Where it goes on from here: to the measure that is missing, or to the bench. */
const onward = ({ missing, kind }: KindFit) => (missing[0] ? toGet(missing[0], dogId, kind) : { to: `/dogs/${dogId}/bench/${kind}`, word: 'To the bench' });
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="girths" :fits="fits" :kennel="kennel" />
    <div v-if="!girths.high">
      <h1>Tape the high girth first.</h1>
      <p class="mt-2 text-lg">Then every kind of collar stands here side by side, sized from your own locker, with its reasons.</p>
      <RouterLink class="press press-main mt-4" :to="`/dogs/${dogId}/tape`">Tape</RouterLink>
    </div>
    <template v-else>
      <h1 aria-live="polite">{{ headline }}</h1>
      <ChoiceRow v-model="purpose" class="mt-3" label="For" :answers="purposes" quiet />
      <ul class="mt-5 divide-y divide-line border-y border-line">
        <li
          v-for="{ fit, decided, kind, told, advice, stopped, differ } in shown"
          :key="fit.kind"
          class="grid gap-x-6 gap-y-2 py-4 md:grid-cols-[11rem_minmax(0,1.35fr)_minmax(0,1fr)_auto]"
        >
          <div>
            <KindMark :kind="fit.kind" class="mr-2 align-middle" />
            <RouterLink :to="`/dogs/${dogId}/bench/${fit.kind}`" class="font-display text-lg font-bold no-underline hover:underline">{{
              kind.name
            }}</RouterLink>
            <p class="mt-1"><VerdictMark class="text-sm" :tone="stopped ? 'stop' : fit.tone" :word="stopped ? 'Stopped' : fit.verdict" /></p>
          </div>
          <div class="min-w-0">
            <p v-if="fit.missing.length > 0" class="font-semibold">{{ fit.missing[0]!.says }}</p>
            <template v-else>
              <p v-if="decided" class="text-soft">Decided: {{ decided }}</p>
              <p v-if="fit.line">
                <span class="font-semibold">{{ fit.collarName }}</span> {{ fit.line }}
              </p>
              <p v-if="fit.wanted">
                {{ fit.line ? 'It does not fit as it is. Look for' : 'None owned. Look for' }} {{ fit.wanted }}.
                <button v-if="!wantedKinds.includes(fit.kind)" type="button" class="underline" @click="want(fit)">Put it on the shopping list</button>
                <RouterLink v-else to="/locker?show=shopping" class="text-good">✓ On the shopping list</RouterLink>
              </p>
              <p v-if="fit.deciding" class="mt-0.5 text-soft">
                {{ fit.deciding.what }}
                <strong v-if="fit.deciding.measure" class="text-ink">{{ speakQuantity(fit.deciding.measure, units.speak) }}</strong>
                · {{ speakLimit(fit.deciding, units.speak) }}
              </p>
            </template>
            <p v-for="one in advice" :key="one.says" class="mt-1 text-soft">{{ one.says }}</p>
            <p v-for="one in told" :key="one.word" class="mt-1 font-semibold" :class="one.tone === 'stop' ? 'text-stop' : 'text-mind'">
              <span aria-hidden="true">{{ one.tone === 'stop' ? '■' : '◆' }}</span>
              {{ one.word }}
            </p>
          </div>
          <details class="min-w-0 text-[0.95rem] text-soft" :open="desk">
            <summary class="md:hidden">What it is for, and the schools</summary>
            <p>{{ kind.about }}</p>
            <p v-for="one in differ" :key="one" class="mt-1">{{ one }}</p>
          </details>
          <RouterLink :to="onward(fit).to" class="press press-plain self-start md:min-w-28">
            {{ onward(fit).word }}
            <span class="sr-only">for {{ kind.name }}</span>
          </RouterLink>
        </li>
      </ul>
      <button v-if="rows.length > shown.length" type="button" class="press press-quiet" @click="all = true">All {{ rows.length }} kinds</button>
      <p v-if="keeping.sentence.value" role="alert" class="mt-2 text-stop">{{ keeping.sentence.value }}</p>
    </template>
  </LoadFrame>
</template>
