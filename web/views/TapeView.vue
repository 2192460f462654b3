<script setup lang="ts">
/** Measuring a dog: the sites in the order the hands go, readings as people say them, and what they come to at once. */
import type { NewTaping } from '@banter/contract';
import { COLLAR_KIND_NAMES, collarKind, RecordId, Taping, Weighing, z, type CollarKindName } from '@banter/contract';
import {
  breedOf,
  isGirthSite,
  TAPE_CONTRADICTION_WORDS,
  TAPE_SITE_WORDS,
  TAPE_SITES,
  tapeContradictions,
  wordReason,
  type TapeSite as SiteName,
} from '@banter/core';
import { whenever } from '@vueuse/core';
import { v7 as uuidv7 } from 'uuid';
import { useEventListener } from '@vueuse/core';
import { computed, nextTick, reactive, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import HandPicture from '../drawings/HandPicture.vue';
import { tapePicture } from '../drawings/hand-pictures.ts';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { DogHeader } from '../shell/dog-header.ts';
import SaveBar from '../work/SaveBar.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import { withUnit } from '../parts/measure-units.ts';
import MeasureField from '../parts/MeasureField.vue';
import ReadingPad from '../parts/ReadingPad.vue';
import TapeSite, { type SiteReading } from '../parts/TapeSite.vue';
import WeightField from '../parts/WeightField.vue';
import { useBenchDog } from '../stores/bench-dog.ts';
import { useDogPage } from '../stores/dog-page.ts';
import { useDraft } from '../stores/draft.ts';
import { useDraftUnits } from '../stores/draft-units.ts';
import { BOXED, useYard } from '../stores/yard.ts';
import { useLoad } from '../stores/load.ts';
import { useReadingFields } from '../stores/reading-fields.ts';
import { useSession } from '../stores/session.ts';
import { useTapeAsks } from '../stores/tape-asks.ts';
import { useUnits } from '../stores/units.ts';
import ActionBar from '../work/ActionBar.vue';
import WorkLeaves, { type Leaf } from '../work/WorkLeaves.vue';
import WorkScreen from '../work/WorkScreen.vue';

const route = useRoute();
const router = useRouter();
const session = useSession();
const units = useUnits();
const keeping = useYard();
const dogId = String(route.params.id);
const correctsId = RecordId.safeParse(route.query.corrects).data ?? null;
const { data, state, sentence, load, girths, fits } = useDogPage(dogId, { locker: 'all' });
const bench = useBenchDog(data, girths);
const kennel = computed(() => session.kennel!);
const { house } = bench;
const rules = computed(() => house.value.rules);
/** The taping that this one corrects, however long ago it was. */
const wrong = useLoad(() => `/api/tapings/${correctsId}`, Taping, { later: correctsId === null });
const corrected = computed(() => (correctsId === null ? null : wrong.data.value));
/** What is taped follows from the collars in question: what they need, and what could change what they come to. */
const USUAL_KINDS: readonly CollarKindName[] = COLLAR_KIND_NAMES.filter((name) => collarKind(name).traits.everyday);
const forKind = COLLAR_KIND_NAMES.find((name) => name === route.query.for);
/** Sites that decide nothing now and that somebody wants taped all the same: one alone, where the address names it. */
const also = ref<readonly SiteName[]>(TAPE_SITES.filter((site) => site === route.query.site));
const kinds = ref<readonly CollarKindName[]>(forKind ? [forKind] : also.value.length > 0 ? [] : USUAL_KINDS);
function toggle(name: CollarKindName) {
  const now = kinds.value.includes(name) ? kinds.value.filter((one) => one !== name) : [...kinds.value, name];
  if (now.length > 0) kinds.value = now;
}
const Draft = z.object({
  sites: z.record(z.enum(TAPE_SITES), z.object({ id: RecordId, readings: z.array(z.string()), settled: z.boolean().default(false) })),
  way: z.enum(['tape', 'string']),
  overCoat: z.enum(['parted', 'over']),
  coatDepth: z.string(),
  weight: z.string(),
  weighingId: RecordId.default(() => uuidv7()),
  lengthUnit: z.enum(['in', 'cm']),
  massUnit: z.enum(['lb', 'kg']),
  at: z.string().nullable(),
});
type Draft = z.infer<typeof Draft>;
const begin = (): Draft => ({
  sites: Object.fromEntries(TAPE_SITES.map((site) => [site, { id: uuidv7(), readings: ['', '', ''], settled: false }])) as Draft['sites'],
  way: 'tape',
  overCoat: 'parted',
  coatDepth: '',
  weight: '',
  weighingId: uuidv7(),
  lengthUnit: units.length,
  massUnit: units.mass,
  at: null,
});
const { draft, restored, discard } = useDraft(`tape.${dogId}.${correctsId ?? 'new'}`, Draft, begin);
useDraftUnits(
  draft,
  (now, say) => {
    for (const site of TAPE_SITES) now.sites[site].readings = now.sites[site].readings.map(say);
    now.coatDepth = say(now.coatDepth);
  },
  (now, say) => (now.weight = say(now.weight)),
);

const coatDepthMm = ref<number | null>(null);
const weighed = ref<number | null>(null);
const weightG = computed(() => weighed.value ?? data.value?.dog.weightG ?? null);
const read = reactive<Partial<Record<SiteName, SiteReading>>>({});
const depth = computed(() => (draft.value.overCoat === 'over' ? coatDepthMm.value : null));
const onSkin = computed(() => draft.value.overCoat === 'parted' || depth.value !== null);

const isTyped = (site: SiteName) => draft.value.sites[site].readings.some((text) => text.trim() !== '');
const asks = useTapeAsks(bench, { kinds, girths, fits, weightG, typed: (site) => read[site] });
/** One reading is enough where a surer one decides nothing. */
const ENOUGH = 3;
const againDecides = (site: SiteName) => asks.value.again.some((one) => one === site);
const decides = (site: SiteName) => asks.value.asks.find((one) => one.site === site)?.decides ?? '';
const asked = computed<readonly SiteName[]>(() => {
  if (corrected.value) return [corrected.value.site];
  // Over the coat its depth is asked for beside the hair. What was typed is never taken away again.
  return TAPE_SITES.filter(
    (site) => (decides(site) !== '' || also.value.includes(site) || isTyped(site)) && !(site === 'coat-depth' && draft.value.overCoat === 'over'),
  );
});
/** The first site is under the cursor; the others are a line each until somebody comes to them. What was typed stays open. */
const opened = ref<readonly SiteName[]>([]);
const isOpen = (site: SiteName) => site === asked.value[0] || opened.value.includes(site) || isTyped(site);
const form = ref<HTMLFormElement | null>(null);
/** Where the hands are: the site whose readings have the cursor, else the first. */
const handsAt = ref<SiteName | null>(null);
const atSite = computed<SiteName>(() => handsAt.value ?? asked.value[0] ?? 'high');
useEventListener('focusin', ({ target }) => {
  const site = (target as HTMLElement).closest<HTMLElement>('fieldset[data-site]')?.dataset.site;
  if (site) handsAt.value = site as SiteName;
});
async function openSite(site: SiteName) {
  opened.value = [...opened.value, site];
  await nextTick();
  form.value?.querySelector<HTMLElement>(`fieldset[data-site="${site}"] input`)?.focus();
}
/** After the last reading of a site the next one opens that is asked for. */
const fields = useReadingFields(form, {
  onLast: (field) => {
    const site = field.closest('fieldset')?.dataset.site as SiteName | undefined;
    const next = asked.value.slice(asked.value.indexOf(site!) + 1).find((one) => !isTyped(one));
    if (!next) return false;
    void openSite(next);
    return true;
  },
});
whenever(
  () => state.value === 'ready' && form.value !== null,
  () => fields.begin(),
  { flush: 'post' },
);
/** The reading that the keys on a phone type into. */
const pad = computed(() => (fields.phone.value ? fields.active.value : null));
type TapeLeaf = 'how' | 'collars' | 'others';
const leaf = ref<TapeLeaf>('how');
const leaves = computed<Leaf<TapeLeaf>[]>(() =>
  corrected.value
    ? [{ id: 'how', name: 'How it was taped' }]
    : [
        { id: 'how', name: 'How, weight' },
        { id: 'collars', name: 'For which collars' },
        { id: 'others', name: 'Other sites' },
      ],
);
function addSite(site: SiteName) {
  also.value = [...also.value, site];
  void openSite(site);
}
const notAsked = computed(() => TAPE_SITES.filter((site) => !asked.value.includes(site) && !(site === 'coat-depth' && draft.value.overCoat === 'over')));

/** The neck as drawn while taping: what is typed now over what was known before. */
const drawnTape = computed(() => {
  const girth = (site: SiteName) => read[site]?.girthMm ?? girths.value[site]?.result.girthMm;
  const high = girth('high');
  return high == null || high < 60
    ? null
    : { highMm: high, midMm: girth('mid') ?? undefined, baseMm: girth('base') ?? undefined, lengthMm: girth('neck-length') ?? undefined };
});
const ready = computed(() => asked.value.filter((site) => read[site]?.girthMm !== null && read[site]?.girthMm !== undefined));
const unread = computed(() => asked.value.filter((site) => read[site]?.unsure));
/** What is unusual together, of what is typed now over what was known before. */
const contradictions = computed(() => {
  if (ready.value.length === 0) return [];
  const taped = Object.fromEntries(TAPE_SITES.map((site) => [site, read[site]?.girthMm ?? girths.value[site]?.tapedMm]));
  return tapeContradictions(taped).map((one) => wordReason(TAPE_CONTRADICTION_WORDS, one, units.speak));
});
const nameOf = (site: SiteName) => TAPE_SITE_WORDS[site].name.toLowerCase();
const coatUnsure = computed(() => draft.value.overCoat === 'over' && draft.value.coatDepth.trim() !== '' && coatDepthMm.value === null);
const weightUnsure = computed(() => draft.value.weight.trim() !== '' && weighed.value === null);
const headline = computed(() => {
  if (correctsId) return `Tape the ${nameOf(asked.value[0]!)} again.`;
  if (ready.value.length === 0)
    return asked.value[0] === 'high' ? `Tape ${data.value!.dog.name}’s neck, high girth first.` : `Tape ${data.value!.dog.name}’s ${nameOf(asked.value[0]!)}.`;
  const again = ready.value.filter((site) => read[site]!.wide || (read[site]!.readingsMm.length < ENOUGH && againDecides(site)));
  const lower = read.high?.lower;
  if (lower) return 'Was the high girth taken lower down?';
  if (again.length > 0) return `Another reading of the ${again.map(nameOf).join(' and the ')}.`;
  const missing = asked.value.filter((site) => !ready.value.includes(site) && !girths.value[site]);
  return missing.length > 0 ? `Next, the ${nameOf(missing[0]!)}.` : 'All taped. Save it.';
});

async function keep() {
  if (ready.value.length === 0 || unread.value.length > 0 || coatUnsure.value || weightUnsure.value) return;
  // The time of the first try: the same request each time it is sent.
  draft.value.at ??= new Date().toISOString();
  const dog = data.value!.dog;
  let boxed = false;
  if (weighed.value !== null && weighed.value !== dog.weightG) {
    const weighing = { dogId, weightG: weighed.value, correctsId: null, note: '', at: draft.value.at };
    if (!(await keeping.keep('weighings', draft.value.weighingId, Weighing, weighing, dog.name))) return;
  }
  for (const site of ready.value) {
    const sent: NewTaping = {
      dogId,
      site,
      way: draft.value.way,
      readingsMm: read[site]!.readingsMm,
      typed: draft.value.sites[site].readings
        .map((text) => text.trim())
        .filter(Boolean)
        .map((text) => withUnit(text, units.length)),
      overCoat: isGirthSite(site) && draft.value.overCoat === 'over',
      coatDepthMm: isGirthSite(site) ? depth.value : null,
      weightG: weightG.value,
      neckBuild: dog.neckBuild,
      at: draft.value.at,
      correctsId,
      settled: draft.value.sites[site].settled,
    };
    const kept = await keeping.keep('tapings', draft.value.sites[site].id, Taping, sent, `${dog.name}, ${nameOf(site)}`);
    if (!kept) return;
    boxed ||= kept === BOXED;
  }
  discard();
  // It is sent by itself; a bench that does not know of it is no use.
  if (boxed) return;
  await router.push(correctsId || (!girths.value.high && !ready.value.includes('high')) ? `/dogs/${dogId}` : `/dogs/${dogId}/bench`);
}
</script>

<template>
  <LoadFrame v-if="correctsId && !corrected" :state="wrong.state.value" :sentence="wrong.sentence.value" thing="taping" @again="wrong.load" />
  <LoadFrame v-else :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="girths" :fits="fits" :kennel="kennel" />
    <form ref="form" novalidate @submit.prevent="keep">
      <WorkScreen drawing="The neck as taped" :style="{ '--beside-drawing': fields.keysStand.value ? '42.5rem' : '36rem' }">
        <template #decision>
          <h1>{{ headline }}</h1>
          <p class="mt-0.5 text-soft">
            {{
              draft.way === 'tape'
                ? 'Flat, touching, not pulled. Lift it between readings.'
                : 'String touching, not pulled. Pinch where it meets; lay it on a ruler.'
            }}
            <template v-if="restored">
              Picked up where you left off.
              <button type="button" class="underline" @click="discard">Start over</button>
            </template>
          </p>
        </template>
        <template #notes>
          <p v-if="corrected" class="rounded bg-mind-wash p-3 text-mind">
            This replaces {{ units.exact(corrected.result.girthMm) }} of {{ corrected.personName }}; the old one stays in the history, struck through.
          </p>
        </template>
        <template #drawing>
          <div class="grid grid-cols-2 items-center gap-2 lg:grid-cols-1">
            <HandPicture class="mx-auto max-w-64" :picture="tapePicture(atSite)" :ears="breedOf(data!.dog.breed)?.ears ?? 'drop'" />
            <template v-if="drawnTape">
              <UnrolledNeck class="lg:hidden" :tape="drawnTape" :name="data!.dog.name" :breed="data!.dog.breed" size="small" />
              <UnrolledNeck class="max-lg:hidden" :tape="drawnTape" :name="data!.dog.name" :breed="data!.dog.breed" size="large" />
            </template>
            <p v-else class="text-center text-sm text-soft">The neck is drawn here to scale as you type.</p>
          </div>
        </template>
        <template v-for="site in asked" :key="site">
          <button
            v-if="!isOpen(site)"
            type="button"
            class="sheet flex min-h-14 w-full flex-wrap items-baseline gap-x-3 py-3! text-left hover:bg-raised"
            :aria-label="`Tape the ${nameOf(site)}`"
            @click="openSite(site)"
          >
            <span class="font-display text-lg font-semibold">{{ TAPE_SITE_WORDS[site].name }}</span>
            <span class="text-soft">{{ decides(site) }}</span>
            <span class="ml-auto text-sm text-soft">{{ girths[site] ? `last ${units.exact(girths[site]!.tapedMm)}` : 'not taped' }}</span>
          </button>
          <TapeSite
            v-else
            v-model="draft.sites[site].readings"
            v-model:settled="draft.sites[site].settled"
            :site="site"
            :again="againDecides(site)"
            :rules="rules"
            :coat-depth-mm="depth"
            :on-skin="onSkin"
            :weight-g="weightG"
            :neck-build="data!.dog.neckBuild"
            :before="girths[site] ?? null"
            :history="data!.tapings.filter((one) => one.site === site && one.id !== correctsId)"
            :error="keeping.errorAt('readingsMm')"
            @read="(now) => (read[site] = now)"
          />
        </template>
        <p v-for="one in contradictions" :key="one.code" role="status" class="rounded bg-mind-wash p-3 text-mind">{{ one.text }}</p>
        <WorkLeaves v-model="leaf" :leaves="leaves" label="How and for what">
          <template #how>
            <div class="grid gap-4 sm:grid-cols-2">
              <ChoiceRow
                v-model="draft.way"
                label="Taken with"
                :answers="[
                  { value: 'tape', label: 'Soft tape' },
                  { value: 'string', label: 'String and ruler' },
                ]"
              />
              <ChoiceRow
                v-model="draft.overCoat"
                label="The hair"
                :answers="[
                  { value: 'parted', label: 'Parted, on the skin' },
                  { value: 'over', label: 'Taped over it' },
                ]"
              />
              <MeasureField
                v-if="draft.overCoat === 'over'"
                v-model="draft.coatDepth"
                label="Coat depth, flattened"
                hint="As a strap would flatten it."
                :expected="{ possibleMm: [0, 80], likelyMm: [0, 40] }"
                @read="(mm) => (coatDepthMm = mm)"
              />
              <WeightField
                v-model="draft.weight"
                label="Weight today"
                :hint="data!.dog.weightG ? `Last: ${units.weight(data!.dog.weightG)}. Leave empty if not weighed.` : 'Not weighed yet.'"
                @read="(grams) => (weighed = grams)"
              />
            </div>
          </template>
          <template #collars>
            <div class="flex flex-wrap gap-1.5" role="group" aria-label="For which collars">
              <button
                v-for="name in COLLAR_KIND_NAMES"
                :key="name"
                type="button"
                class="min-h-11 rounded-[0.3rem] border-[1.5px] px-3"
                :class="kinds.includes(name) ? 'border-deep bg-deep text-on-deep' : 'border-line bg-raised'"
                :aria-pressed="kinds.includes(name)"
                @click="toggle(name)"
              >
                {{ kinds.includes(name) ? '✓ ' : '' }}{{ collarKind(name).name }}
              </button>
            </div>
          </template>
          <template #others>
            <p v-if="notAsked.length === 0" class="text-soft">All sites are asked for.</p>
            <div v-else class="flex flex-wrap gap-2">
              <button v-for="site in notAsked" :key="site" type="button" class="press press-plain" @click="addSite(site)">
                {{ TAPE_SITE_WORDS[site].name }}
              </button>
            </div>
          </template>
        </WorkLeaves>
        <template #action>
          <ActionBar>
            <ReadingPad v-if="fields.keysStand.value" :field="pad" />
            <SaveBar
              :keeping="keeping"
              :label="correctsId ? 'Save correction' : 'Save and size'"
              :disabled="ready.length === 0 || unread.length > 0 || coatUnsure || weightUnsure"
              @newer="load"
            >
              <button v-if="fields.keysStand.value" type="button" class="press press-plain shrink-0" @pointerdown.prevent @click="pad && fields.goOn(pad)">
                Next
              </button>
              <RouterLink v-else :to="`/dogs/${dogId}`" class="press press-quiet max-sm:hidden">Cancel</RouterLink>
              <span v-if="ready.length === 0" class="text-soft max-sm:hidden">One reading can be saved; three are better.</span>
              <span v-else-if="unread.length > 0 || coatUnsure || weightUnsure" class="font-semibold text-stop">One reading cannot be read yet.</span>
            </SaveBar>
          </ActionBar>
        </template>
      </WorkScreen>
    </form>
  </LoadFrame>
</template>
