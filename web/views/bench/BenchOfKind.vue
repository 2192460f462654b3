<script setup lang="ts">
/** The bench with one kind of collar on it: which one of the locker this dog gets, how it is made up, and why. What is decided is kept. */
import {
  benchStock,
  Collar,
  collarKind,
  isGoodByHands,
  isWorn,
  type CollarKindName,
  neckTapeOf,
  sureNeck,
  type NewPlan,
  placeOf,
  Plan,
  RecordId,
  z,
} from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { whenever } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ActionBar from '../../work/ActionBar.vue';
import BenchPanel, { type BenchLeaf } from '../../neck/shared/BenchPanel.vue';
import type { BenchMade } from '../../neck/shared/bench.ts';
import UnrolledNeck from '../../neck/UnrolledNeck.vue';
import { DogHeader } from '../../shell/dog-header.ts';
import SaveBar from '../../work/SaveBar.vue';
import KindStrip from '../../parts/KindStrip.vue';
import LawNote from '../../parts/LawNote.vue';
import LoadFrame from '../../parts/LoadFrame.vue';
import PlacePick from '../../parts/PlacePick.vue';
import ScreenNote from '../../parts/ScreenNote.vue';
import StockStart from '../../parts/StockStart.vue';
import TapedLower from '../../parts/TapedLower.vue';
import TextField from '../../parts/TextField.vue';
import { toGet } from '../../parts/missing.ts';
import { useBenchDog } from '../../stores/bench-dog.ts';
import { useDogPage } from '../../stores/dog-page.ts';
import { useDraft } from '../../stores/draft.ts';
import { useKeep } from '../../stores/keep.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';

const route = useRoute();
const router = useRouter();
const session = useSession();
const units = useUnits();
const keeping = useKeep();
const dogId = String(route.params.id);
const { data, state, sentence, load, girths, fits } = useDogPage(dogId, { locker: 'all' });
const { dog, house, screen, law, inBag, onCollar } = useBenchDog(data, girths);
const kennel = computed(() => session.kennel!);
const sure = computed(() => sureNeck(dog.value, girths.value, house.value.rules));
const kind = String(route.params.kind) as CollarKindName;

const missing = computed(() => collarKind(kind).missing(dog.value));
const stock = computed(() => benchStock(data.value!.collars, kind, data.value!.dog, worn.value?.collarId ?? null));
const made = shallowRef<BenchMade | null>(null);
const speaksAgainst = computed(() => screen(kind));
/** What was last found on the dog, so that the bench says what to do from there. */
const worn = computed(() => {
  const fit = fits.value.find(({ plan }) => plan.kind === kind);
  // Made up for another dog since, it is as the ledger has it.
  if (!fit || !isWorn(fit)) return null;
  const setting = fit.check!.on;
  const { wornChoices, notYetFitted, isLaterStep } = collarKind(kind);
  const choices = (isLaterStep(fit.check!.outcome.step) ? notYetFitted : wornChoices)(fit.plan.choices, setting) as Record<string, unknown>;
  return { collarId: fit.plan.collarId, setting, choices, good: isGoodByHands(fit, data.value!.dog, girths.value, house.value.rules) };
});
const onBench = computed(() => stock.value.find((collar) => collar.id === made.value?.collarId));
/** Another dog for which the collar on the bench is made up now: kept for this one and put on it, it no longer fits that one. */
const forAnother = computed(() => data.value?.setFor.find(({ collarId }) => collarId === made.value?.collarId) ?? null);
const unsound = computed(() => made.value?.unsound ?? null);
const unmeasured = computed(() => onBench.value?.measuredOn === null);
/** Typical sizes are what could be bought: nothing is planned on one before somebody has it in hand. */
const toBuy = computed(() => onBench.value?.owned === false);
const fetching = useKeep();
async function isHereNow() {
  const { id, version, against: _against, ...facts } = onBench.value!;
  if (await fetching.keep(`/api/collars/${id}`, Collar, { ...facts, owned: true }, version)) await load();
}
const lower = computed(() => girths.value.high?.reasons.some((reason) => reason.code === 'taken-lower') ?? false);
const onTheHair = computed(() => !throughCoat.value && girths.value.high?.overCoat === false && dog.value.coatDepthMm === null);
const throughCoat = computed(() => ['pinch', 'contacts'].some((hazard) => (collarKind(kind).hazards as readonly string[]).includes(hazard)));

/** What is on the bench and not kept yet. Its id and time hold until something about it changes, so that it is kept once. */
const Draft = z.object({
  id: RecordId,
  at: z.string().nullable(),
  note: z.string(),
  placeId: z.string().nullable(),
  /** `basis`: the dog's measures and the collar's numbers it was made up for. */
  made: z.object({ collarId: z.string(), choices: z.record(z.string(), z.unknown()), basis: z.string().default('') }).nullable(),
});
const { draft, restored, discard } = useDraft(`bench.${dogId}.${kind}`, Draft, () => ({ id: uuidv7(), at: null, note: '', placeId: null, made: null }));
const placeId = computed<string | null>({
  get: () => draft.value.placeId ?? (data.value ? placeOf(data.value) : null),
  set: (id) => (draft.value = { ...draft.value, placeId: id }),
});
/** The leaf beside the decision that is open. */
const leaf = ref<BenchLeaf>('why');
const fitsAsItIs = computed(() => made.value?.outcome.keep ?? true);
const lawSays = computed(() => law(kind, placeId.value));
const placeMark = computed(() => (lawSays.value.blocked ? 'stop' : ['never-checked', 'check-again'].includes(lawSays.value.status) ? 'mind' : undefined));
/** What something made up by hand was made for: with other measures of the dog, or a collar that is gone or has other numbers, it no longer stands. */
const basisOf = (collarId: string) => JSON.stringify([{ ...dog.value, ageDays: null }, stock.value.find(({ id }) => id === collarId)?.numbers ?? null]);
const dropped = ref(false);
const begun = ref(0);
function dropStale() {
  const { made: begunWith } = draft.value;
  if (begunWith === null || begunWith.basis === basisOf(begunWith.collarId)) return;
  draft.value = { ...draft.value, made: null };
  dropped.value = true;
  begun.value += 1;
}
// At each load: the page kept on this device may come before that of the server.
whenever(data, dropStale, { immediate: true });
/** Only what somebody made by hand is remembered: what is recommended is worked out afresh. */
function took(now: BenchMade) {
  made.value = now;
  const byHand = now.chosen ? null : { collarId: now.collarId, choices: now.choices, basis: basisOf(now.collarId) };
  if (JSON.stringify(byHand) !== JSON.stringify(draft.value.made)) draft.value = { ...draft.value, made: byHand };
}
watch(
  [() => JSON.stringify(draft.value.made), () => draft.value.note, () => draft.value.placeId],
  () => (draft.value = { ...draft.value, id: uuidv7(), at: null }),
);

/** Puts the bench back to what is recommended, with an empty note. */
function startAfresh() {
  discard();
  begun.value += 1;
}

async function keep() {
  if (!made.value) return;
  draft.value = { ...draft.value, at: draft.value.at ?? new Date().toISOString() };
  const sent: NewPlan = {
    dogId,
    collarId: made.value.collarId,
    kind,
    choices: made.value.choices,
    placeId: placeId.value,
    note: draft.value.note.trim(),
    at: draft.value.at!,
  };
  if (!(await keeping.keep(`/api/plans/${draft.value.id}`, Plan, sent))) return;
  discard();
  await router.push(`/dogs/${dogId}/check?kind=${kind}`);
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="girths" :fits="fits" :kennel="kennel" />
    <KindStrip :dog-id="dogId" :kind="kind" />
    <div v-if="missing.length > 0">
      <h1>{{ missing[0]!.says }}</h1>
      <p class="mt-2 text-lg">{{ collarKind(kind).about }} The bench sizes it from the tape, and shows its reasons.</p>
      <RouterLink class="press press-main mt-4" :to="toGet(missing[0]!, dogId, kind).to">{{ toGet(missing[0]!, dogId, kind).word }}</RouterLink>
    </div>
    <StockStart v-else-if="stock.length === 0" :kind="kind" @made="load" />
    <form v-else novalidate @submit.prevent="keep">
      <BenchPanel
        :key="begun"
        v-model:leaf="leaf"
        :kind="kind"
        :dog="dog"
        :name="data!.dog.name"
        :sure="sure"
        :stock="stock"
        :house="house"
        :begin="draft.made"
        :worn="worn"
        :on-collar="onCollar"
        :in-bag="inBag"
        :place-mark="placeMark"
        @made="took"
      >
        <template #notes>
          <ScreenNote :screen="speaksAgainst" :dog-id="dogId" :kind="collarKind(kind).name.toLowerCase()" />
          <TapedLower v-if="lower" :taping="girths.high!" @settled="load" />
          <p v-else-if="throughCoat && dog.skinGirthMm === null" class="rounded bg-mind-wash p-3 text-mind">
            Taped over the coat, depth not known: tips go through the hair, so it may hang looser than shown.
          </p>
          <p v-else-if="onTheHair" class="text-soft">
            Taped on the skin, coat depth not known: a strap lies on the hair and may need more.
            <RouterLink :to="`/dogs/${dogId}/tape?for=${kind}`" class="underline">Tape over the coat</RouterLink>
          </p>
          <p v-if="dropped" class="text-soft" role="status">What was set up here no longer fits the newer records. This is recommended now.</p>
          <p v-else-if="restored" class="text-soft">
            Picked up where you left off.
            <button type="button" class="underline" @click="startAfresh">Start over</button>
          </p>
          <p v-if="toBuy" class="rounded bg-mind-wash p-3 text-mind">
            To buy: not in the locker yet.
            <button type="button" class="press press-plain ml-1" @click="isHereNow">It is here</button>
          </p>
          <p v-else-if="unmeasured" class="rounded bg-mind-wash p-3 text-mind">
            Typical numbers: nobody has measured this collar.
            <RouterLink :to="{ path: `/locker/${made!.collarId}`, query: { back: route.fullPath } }" class="font-semibold underline">
              Measure your collar
            </RouterLink>
          </p>
          <p v-if="unsound" class="rounded bg-stop-wash p-3 text-stop">
            It goes on no dog until somebody inspects it as sound.
            <RouterLink :to="{ path: '/upkeep', query: { piece: onBench!.id } }" class="font-semibold underline">Inspect it</RouterLink>
          </p>
          <p v-else-if="onBench?.against === 'plated'" class="rounded bg-mind-wash p-3 text-mind">
            {{ onBench.name }} is plated, and {{ data!.dog.name }} reacts to nickel: take stainless or nickel-free.
          </p>
          <p v-if="forAnother" class="rounded bg-mind-wash p-3 text-mind">
            {{ onBench!.name }} is set for {{ forAnother.dogName }} now: {{ collarKind(kind).describeSetting(forAnother.on, units.speak) }}. Set for
            {{ data!.dog.name }}, it no longer fits {{ forAnother.dogName }}.
          </p>
          <LawNote :law="lawSays" @place="leaf = 'place'" />
        </template>
        <template #neck>
          <UnrolledNeck :tape="neckTapeOf(girths)!" :name="data!.dog.name" :breed="data!.dog.breed" :collar="made?.drawn ?? null" size="large" />
        </template>
        <template #place>
          <PlacePick v-model="placeId" :kind="kind" :places="data!.places" :law="law" :error="keeping.errorAt('placeId')" @added="load" />
          <TextField v-if="fitsAsItIs" v-model="draft.note" class="mt-3" label="Note" :rows="2" :error="keeping.errorAt('note')" />
        </template>
        <template #action>
          <ActionBar>
            <p v-if="made?.outcome.blocked" class="py-2 font-semibold text-stop">Stop: it must not be worn like this. Change it to save.</p>
            <template v-else>
              <TextField v-if="!fitsAsItIs" v-model="draft.note" class="mb-2" label="It does not fit. Why save it anyway?" :error="keeping.errorAt('note')" />
              <SaveBar
                :keeping="keeping"
                label="Save fit"
                :disabled="!made || toBuy || unsound !== null || speaksAgainst.blocked || lawSays.blocked || (!fitsAsItIs && draft.note.trim() === '')"
              >
                <span v-if="toBuy" class="text-soft">Once it is here.</span>
                <span v-else-if="unsound" class="text-stop">It {{ unsound }}.</span>
                <span v-else-if="speaksAgainst.blocked" class="text-stop">
                  {{ speaksAgainst.notScreened ? 'Screen the dog first.' : 'Stopped by the screening.' }}
                </span>
                <span v-else class="text-sm text-soft max-sm:hidden">{{ collarKind(kind).caution }}</span>
              </SaveBar>
            </template>
          </ActionBar>
        </template>
      </BenchPanel>
      <p class="mt-3 border-l-4 border-mind pl-3 text-sm sm:hidden">{{ collarKind(kind).caution }}</p>
    </form>
  </LoadFrame>
</template>
