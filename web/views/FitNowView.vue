<script setup lang="ts">
/**
 * Fit now: who it is, which collar, and the girth, each as one says it. The answer, its drawing and what it is sure of come while typing; what
 * could not change it is not asked. One press saves dog, screening, tape, collar and fit, and goes on to the check.
 */
import {
  Collar,
  COLLAR_KIND_NAMES,
  collarKind,
  Dog,
  type DogPage,
  fitAll,
  houseOf,
  placeOf,
  KennelBench,
  latestGirths,
  Plan,
  benchStock,
  RecordId,
  Screening,
  screenKind,
  stockByKind,
  suggestFor,
  sureNeck,
  takenTaping,
  Taping,
  z,
  type CollarFacts,
  type CollarKindName,
  type DogFacts,
  type NewPlan,
  type NewTaping,
} from '@banter/contract';
import { breedOf, capital, NOTHING_NOTED, SCREEN_ITEMS, TAPE_SITES, type TapeSite as SiteName } from '@banter/core';
import { refDebounced, whenever } from '@vueuse/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { readDogLine } from '../fit-now/dog-line.ts';
import HandPicture from '../drawings/HandPicture.vue';
import { tapePicture } from '../drawings/hand-pictures.ts';
import KnownDogs from '../fit-now/KnownDogs.vue';
import WhichCollar from '../fit-now/WhichCollar.vue';
import BenchPanel, { type BenchLeaf } from '../neck/shared/BenchPanel.vue';
import type { BenchMade } from '../neck/shared/bench.ts';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import { ageWords, todayIn } from '../parts/age.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import LawNote from '../parts/LawNote.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import PlacePick from '../parts/PlacePick.vue';
import ReadingPad from '../parts/ReadingPad.vue';
import ScreenNote from '../parts/ScreenNote.vue';
import TapeSite, { type SiteReading } from '../parts/TapeSite.vue';
import TextField from '../parts/TextField.vue';
import WeightField from '../parts/WeightField.vue';
import { useBenchDog } from '../stores/bench-dog.ts';
import { useDraft } from '../stores/draft.ts';
import { useDraftUnits } from '../stores/draft-units.ts';
import { useKeep } from '../stores/keep.ts';
import { useLoad } from '../stores/load.ts';
import { useReadingFields } from '../stores/reading-fields.ts';
import { SCREEN_ANSWERS, useScreeningAnswers } from '../stores/screening-answers.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import { withUnit } from '../parts/measure-units.ts';
import ActionBar from '../work/ActionBar.vue';
import SaveBar from '../work/SaveBar.vue';

const route = useRoute();
const router = useRouter();
const session = useSession();
const units = useUnits();
const keeping = useKeep();
const { data: kennelBench, state, sentence, load } = useLoad(() => '/api/bench', KennelBench);
const kennel = computed(() => session.kennel!);
const today = todayIn(kennel.value.timeZone);
/** A dog that is new has no house of its own. */
const rules = computed(() => houseOf(kennel.value, null).rules);

const ids = () => ({ dog: uuidv7(), screening: uuidv7(), plan: uuidv7() });
const Draft = z.object({
  ids: z.object({ dog: RecordId, screening: RecordId, plan: RecordId }),
  dogVersion: z.number().nullable(),
  line: z.string(),
  kind: z.enum(COLLAR_KIND_NAMES).nullable(),
  sites: z.record(z.enum(TAPE_SITES), z.object({ id: RecordId, readings: z.array(z.string()), settled: z.boolean() })),
  /** Of usual collars that could be bought, by kind: the ids they would be kept under. */
  usual: z.record(z.string(), z.array(RecordId)),
  weight: z.string(),
  pull: z.enum(['settled', 'pulls', 'drags']).nullable(),
  screened: z.record(z.string(), z.enum(['yes', 'no', 'unknown']).nullable()),
  placeId: z.string().nullable(),
  lengthUnit: z.enum(['in', 'cm']),
  massUnit: z.enum(['lb', 'kg']),
  at: z.string().nullable(),
});
type Draft = z.infer<typeof Draft>;
const asked = COLLAR_KIND_NAMES.find((name) => name === route.query.kind) ?? null;
const { draft, restored, discard } = useDraft('fit-now', Draft, (): Draft => ({
  ids: ids(),
  dogVersion: null,
  line: '',
  kind: asked,
  sites: Object.fromEntries(TAPE_SITES.map((site) => [site, { id: uuidv7(), readings: ['', '', ''], settled: false }])) as Draft['sites'],
  usual: Object.fromEntries(COLLAR_KIND_NAMES.map((name) => [name, collarKind(name).usual.map(() => uuidv7())])),
  weight: '',
  pull: null,
  screened: {},
  placeId: null,
  lengthUnit: units.length,
  massUnit: units.mass,
  at: null,
}));
useDraftUnits(
  draft,
  (now, say) => {
    for (const site of TAPE_SITES) now.sites[site].readings = now.sites[site].readings.map(say);
  },
  (now, say) => (now.weight = say(now.weight)),
);
if (asked) draft.value.kind = asked;

// Who it is.
const said = computed(() => readDogLine(draft.value.line, today));
const breed = computed(() => breedOf(said.value.breed));
const weighed = ref<number | null>(null);
const weightG = computed(() => said.value.weightG ?? weighed.value);
const facts = computed<DogFacts>(() => ({
  name: said.value.name,
  breed: said.value.breed,
  sex: said.value.sex ?? 'unknown',
  neckBuild: breed.value?.neckBuild ?? 'average',
  pull: said.value.pull ?? draft.value.pull ?? 'pulls',
  worksOn: 'left',
  ...NOTHING_NOTED,
  heelLine: '',
  toolsWhere: null,
  owner: '',
  notes: '',
  placeId: null,
  house: null,
  archivedAt: null,
  bornOn: said.value.bornOn,
  bornGuessed: said.value.bornOn !== null,
  weightG: weightG.value,
}));
const heard = computed(() =>
  [said.value.name, said.value.breed, said.value.bornOn && ageWords(said.value.bornOn, today), weightG.value && units.weight(weightG.value), said.value.pull]
    .filter(Boolean)
    .join(' · '),
);

// What it measures.
const read = reactive<Partial<Record<SiteName, SiteReading>>>({});
const sites = computed<readonly SiteName[]>(() => (draft.value.kind ? collarKind(draft.value.kind).needs : ['high']));
const tapingOf = (site: SiteName): NewTaping => ({
  dogId: draft.value.ids.dog,
  site,
  way: 'tape',
  readingsMm: read[site]!.readingsMm,
  typed: draft.value.sites[site].readings
    .map((text) => text.trim())
    .filter(Boolean)
    .map((text) => withUnit(text, units.length)),
  overCoat: false,
  coatDepthMm: null,
  weightG: weightG.value,
  neckBuild: facts.value.neckBuild,
  at: draft.value.at ?? new Date().toISOString(),
  correctsId: null,
  settled: draft.value.sites[site].settled,
});
const taped = computed(() => sites.value.filter((site) => read[site]?.girthMm != null));

/** The dog as the kennel would have it, so that its bench is the bench of every dog. */
const page = computed<DogPage | null>(() => {
  if (!kennelBench.value) return null;
  const by = { personName: session.me!.person.name, byId: session.me!.person.id };
  const dog = { ...facts.value, id: draft.value.ids.dog, version: 1 } as unknown as Dog;
  const tapings = taped.value.map((site) => {
    const sent = tapingOf(site);
    return { ...sent, ...by, id: draft.value.sites[site].id, ...takenTaping(sent, rules.value) } as unknown as Taping;
  });
  const none = { plans: [], checks: [], endings: [], screenings: [], lifts: [], unreadable: [], madeUp: [], setFor: [] };
  return { ...none, ...kennelBench.value, dog, tapings };
});
const girths = computed(() => latestGirths(page.value?.tapings ?? []));
const { dog, house, law, inBag, onCollar } = useBenchDog(page, girths);
const sure = computed(() => sureNeck(dog.value, girths.value, house.value.rules));

// Which collar.
const usualOf = (kind: CollarKindName): Collar[] =>
  collarKind(kind).usual.map(
    ({ name, numbers }, index) => ({ ...newCollar(kind, name, numbers), id: draft.value.usual[kind]![index]!, version: 0 }) as unknown as Collar,
  );
const newCollar = (kind: CollarKindName, name: string, numbers: unknown): CollarFacts => ({
  kind,
  name,
  metal: null,
  condition: 'sound',
  numbers: numbers as Record<string, unknown>,
  measuredOn: null,
  owned: false,
  note: '',
  retiredAt: null,
});
/** Of the kennel's own and what it has noted to buy; where that is none, the usual sizes. */
const stockOf = (kind: CollarKindName) => {
  const ours = benchStock(kennelBench.value?.collars ?? [], kind, facts.value);
  return ours.length > 0 ? ours : benchStock(usualOf(kind), kind, facts.value);
};
const stock = computed(() => (draft.value.kind ? stockOf(draft.value.kind) : []));
const missing = computed(() => (draft.value.kind ? collarKind(draft.value.kind).missing(dog.value) : []));
const needsWeight = computed(
  () => said.value.weightG === null && (draft.value.weight !== '' || (girths.value.high !== undefined && missing.value.some(({ by }) => by === 'scales'))),
);
/** How it pulls is asked only where it could change the collar or its setting. */
const pullMatters = computed(() => {
  const { kind } = draft.value;
  if (!kind || said.value.pull !== null || missing.value.length > 0) return false;
  const collars = stock.value.map(({ id, name, numbers, owned, against }) => ({ id, name, numbers: collarKind(kind).numbers.parse(numbers), owned, against }));
  const came = (['settled', 'pulls', 'drags'] as const).map((pull) =>
    JSON.stringify(suggestFor(kind, { ...dog.value, pull }, collars as never, house.value, null).choice),
  );
  return new Set(came).size > 1;
});
const ready = computed(() => draft.value.kind !== null && girths.value.high !== undefined && missing.value.length === 0);
const every = computed(() =>
  draft.value.kind === null && girths.value.high
    ? fitAll(
        facts.value.name || 'it',
        dog.value,
        stockByKind(
          COLLAR_KIND_NAMES.flatMap(stockOf).map((one) => ({ ...one, owned: true })),
          facts.value,
        ),
        house.value,
        units.speak,
      )
    : [],
);
const made = shallowRef<BenchMade | null>(null);
const leaf = ref<BenchLeaf>('why');
const onBench = computed(() => stock.value.find(({ id }) => id === made.value?.collarId) ?? null);

// Anything against it.
const screening = useScreeningAnswers({
  answers: computed(() => draft.value.screened),
  dog,
  breed: computed(() => facts.value.breed),
  rules,
  latest: ref(null),
});
const answers = computed(() => screening.given(screening.noneOfThese.value));
const risky = computed(() => screening.items.value.filter(({ id }) => screening.risks.value.includes(id)));
const others = computed(() => SCREEN_ITEMS.filter(({ id }) => screening.passable.value.includes(id)).map(({ name }) => name.toLowerCase()));
const against = (kind: CollarKindName) =>
  screenKind(
    collarKind(kind).hazards,
    { done: risky.value.every(({ id }) => screening.answerOf(id) !== null), answers: answers.value, lifted: [] },
    kennel.value.screen,
  );
const speaksAgainst = computed(() => against(draft.value.kind!));
/** The kennel's only place counts without being chosen, as at every bench. */
const placeId = computed<string | null>({
  get: () => draft.value.placeId ?? (page.value ? placeOf(page.value) : null),
  set: (id) => (draft.value.placeId = id),
});
const lawSays = computed(() => law(draft.value.kind!, placeId.value));

const headline = computed(() => {
  if (draft.value.line.trim() === '') return 'Which dog?';
  if (!girths.value.high) return `Tape ${said.value.name || 'the dog'}, high behind the ears.`;
  if (draft.value.kind === null) return 'Which collar?';
  return missing.value[0]?.says ?? '';
});

// Saved in one press, each part under an id of its own, so that a second try saves nothing twice.
async function keepDog(): Promise<boolean> {
  draft.value.at ??= new Date().toISOString();
  const kept = await keeping.keep(`/api/dogs/${draft.value.ids.dog}`, Dog, facts.value, draft.value.dogVersion);
  if (!kept) return false;
  draft.value.dogVersion = kept.version;
  for (const site of taped.value) {
    if (!(await keeping.keep(`/api/tapings/${draft.value.sites[site].id}`, Taping, tapingOf(site)))) return false;
  }
  return true;
}
async function keepCollar(): Promise<boolean> {
  const collar = onBench.value!;
  if (collar.owned) return true;
  const { id, version, against: _against, ...all } = collar;
  return (await keeping.keep(`/api/collars/${id}`, Collar, { ...all, owned: true }, version === 0 ? null : version)) !== null;
}
async function keep() {
  const { kind } = draft.value;
  if (!may.value || !kind || !made.value) return;
  if (!(await keepDog())) return;
  const { ids: own, at } = draft.value;
  if (!(await keeping.keep(`/api/screenings/${own.screening}`, Screening, { dogId: own.dog, answers: answers.value, note: '', at }))) return;
  if (!(await keepCollar())) return;
  const plan: NewPlan = { dogId: own.dog, collarId: made.value.collarId, kind, choices: made.value.choices, placeId: placeId.value, note: '', at: at! };
  if (!(await keeping.keep(`/api/plans/${own.plan}`, Plan, plan))) return;
  // What stands on the bench goes with the screen, not before it.
  await router.push(`/dogs/${own.dog}/check?kind=${kind}`);
  discard();
}
async function screenFirst() {
  const { dog: dogId } = draft.value.ids;
  if (said.value.name === '' || !(await keepDog())) return;
  await router.push(`/dogs/${dogId}/screen`);
  discard();
}
const fault = computed(() => {
  if (said.value.name === '') return 'Say which dog.';
  if (speaksAgainst.value.notScreened) return `Answer for this breed: ${risky.value.find(({ id }) => screening.answerOf(id) === null)!.name.toLowerCase()}.`;
  if (speaksAgainst.value.blocked) return 'Stopped by the screening.';
  if (pullMatters.value && draft.value.pull === null) return 'Say how it goes on the leash.';
  if (lawSays.value.blocked) return 'Not allowed there.';
  if (made.value?.outcome.blocked) return 'It must not be worn like this.';
  if (!made.value?.outcome.keep) return 'It does not fit.';
  return '';
});
const may = computed(() => ready.value && made.value !== null && fault.value === '');
/** What is changed after a try that was not saved whole is another tape, screening and fit: records are never changed under their ids. */
function renew() {
  if (draft.value.at === null || keeping.state.value === 'sending' || keeping.state.value === 'waiting') return;
  const { dog: same } = draft.value.ids;
  const sitesAnew = Object.fromEntries(TAPE_SITES.map((site) => [site, { ...draft.value.sites[site], id: uuidv7() }])) as Draft['sites'];
  draft.value = { ...draft.value, at: null, ids: { ...ids(), dog: same }, sites: sitesAnew };
}
watch(() => {
  const { line, kind, weight, pull, screened, placeId: place } = draft.value;
  return JSON.stringify([line, kind, weight, pull, screened, place, TAPE_SITES.map((site) => draft.value.sites[site].readings)]);
}, renew);
watch(made, (now, before) => now && before && JSON.stringify([now.collarId, now.choices]) !== JSON.stringify([before.collarId, before.choices]) && renew());
const known = refDebounced(
  computed(() => said.value.name),
  250,
);
const form = ref<HTMLFormElement | null>(null);
const fields = useReadingFields(form, { onLast: () => false });
const pad = computed(() => (fields.phone.value ? fields.active.value : null));
whenever(form, (now) => now.querySelector('input')?.focus({ preventScroll: true }), { flush: 'post' });
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="locker" @again="load">
    <form ref="form" novalidate style="--beside-drawing-desk: 35rem" @submit.prevent="keep">
      <section class="sheet mb-3 space-y-2 py-3!" aria-label="Dog, girth and collar">
        <div class="grid gap-3 lg:grid-cols-2">
          <div>
            <TextField
              v-model="draft.line"
              label="Dog"
              placeholder="Bracken, Labrador Retriever, 2 years, 29 kg, drags"
              :error="keeping.errorAt('name')"
              @keydown.enter.prevent="fields.begin()"
            />
            <p class="mt-1 text-sm text-soft">{{ heard || 'Name first; breed, age and weight as you would say them.' }}</p>
            <KnownDogs :name="known" :kind="draft.kind" />
          </div>
          <TapeSite
            v-for="site in sites"
            :key="site"
            v-model="draft.sites[site].readings"
            v-model:settled="draft.sites[site].settled"
            class="bg-transparent! p-0!"
            :site="site"
            :again="false"
            :rules="rules"
            :coat-depth-mm="null"
            on-skin
            :weight-g="weightG"
            :neck-build="facts.neckBuild"
            :before="null"
            :history="[]"
            brief
            :error="keeping.errorAt('readingsMm')"
            @read="(now) => (read[site] = now)"
          />
        </div>
        <WhichCollar v-model="draft.kind" :every="every" :against="against" :to-buy="(kind) => !stockOf(kind).some(({ owned }) => owned)" />
        <div v-if="needsWeight || pullMatters" class="grid gap-3 sm:grid-cols-2">
          <WeightField v-if="needsWeight" v-model="draft.weight" label="Weight" hint="Decides the gauge." @read="(grams) => (weighed = grams)" />
          <ChoiceRow
            v-if="pullMatters"
            v-model="draft.pull"
            label="On the leash"
            hint="Could change the collar."
            :answers="[
              { value: 'settled', label: 'Settled' },
              { value: 'pulls', label: 'Pulls' },
              { value: 'drags', label: 'Drags' },
            ]"
          />
        </div>
        <p v-if="restored && draft.line" class="text-soft">
          Picked up where you left off.
          <button type="button" class="underline" @click="discard">Start over</button>
        </p>
      </section>
      <template v-if="ready">
        <BenchPanel
          :key="draft.kind!"
          v-model:leaf="leaf"
          :kind="draft.kind!"
          :dog="dog"
          :name="said.name || 'the dog'"
          :sure="sure"
          :stock="stock"
          :house="house"
          :begin="null"
          :worn="null"
          :on-collar="onCollar"
          :in-bag="inBag"
          unsaved
          @made="(now) => (made = now)"
        >
          <template #notes>
            <LawNote :law="lawSays" @place="leaf = 'place'" />
            <ScreenNote
              v-if="!speaksAgainst.notScreened"
              :screen="speaksAgainst"
              :dog-id="draft.ids.dog"
              :kind="collarKind(draft.kind!).name.toLowerCase()"
              unsaved
            />
            <ChoiceRow
              v-for="item in risky"
              :key="item.id"
              :model-value="draft.screened[item.id] ?? null"
              :label="`${item.name}?`"
              :hint="screening.hintOf(item)"
              :answers="SCREEN_ANSWERS"
              beside
              @update:model-value="(answer) => (draft.screened = { ...draft.screened, [item.id]: answer })"
            />
          </template>
          <template #neck
            ><UnrolledNeck
              :tape="{ highMm: girths.high!.result.girthMm }"
              :name="said.name"
              :breed="said.breed ?? ''"
              :collar="made?.drawn ?? null"
              size="large"
          /></template>
          <template #place>
            <PlacePick v-model="placeId" :kind="draft.kind!" :places="page!.places" :law="law" :error="keeping.errorAt('placeId')" @added="load" />
          </template>
        </BenchPanel>
        <p class="mt-3 border-l-4 border-mind pl-3 text-sm lg:hidden">{{ collarKind(draft.kind!).caution }}</p>
      </template>
      <template v-else>
        <h1>{{ headline }}</h1>
        <!-- What the hands do next is drawn: where the tape lies, then the neck to scale. -->
        <UnrolledNeck
          v-if="girths.high"
          class="mt-3 max-w-2xl"
          :tape="{ highMm: girths.high.result.girthMm }"
          :name="said.name"
          :breed="said.breed ?? ''"
          size="large"
        />
        <HandPicture v-else class="mx-auto mt-3 max-w-72 lg:mx-0" :picture="tapePicture('high')" :ears="breed?.ears ?? 'drop'" />
      </template>
      <ActionBar v-if="ready || pad">
        <!-- What comes with the answer stands over the keys, which stay where they are under the thumb. -->
        <template v-if="ready">
          <p class="mb-1 font-semibold sm:hidden">{{ made?.line }}</p>
          <p v-if="others.length > 0" class="mb-1 text-sm">
            Any of these? {{ capital(others.join('; ')) }}.
            <button v-if="pad" type="button" class="font-semibold underline" @click="screenFirst">Some: screen first</button>
          </p>
        </template>
        <ReadingPad v-if="pad" :field="pad" />
        <SaveBar v-if="ready" :keeping="keeping" :label="others.length > 0 ? 'None: save fit' : 'Save fit'" :disabled="!may">
          <button v-if="pad" type="button" class="press press-plain" @pointerdown.prevent @click="fields.goOn(pad)">Next</button>
          <button v-else-if="others.length > 0" type="button" class="press press-plain" @click="screenFirst">Some: screen first</button>
          <span v-if="fault" class="text-stop">{{ fault }}</span>
          <span v-else-if="draft.kind" class="text-sm text-soft max-lg:hidden">
            {{ onBench && !onBench.owned ? `Saving puts the ${onBench.name} in your locker. ` : '' }}{{ collarKind(draft.kind).caution }}
          </span>
        </SaveBar>
        <button v-else-if="pad" type="button" class="press press-main w-full" @pointerdown.prevent @click="fields.goOn(pad)">Next</button>
      </ActionBar>
    </form>
  </LoadFrame>
</template>
