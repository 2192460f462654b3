<script setup lang="ts">
/** Measure your prong: its three numbers with a ruler, step by step, with doubts asked about. Also adds one, or scraps it. */
import { Collar, CONDITIONS, METALS, ProngNumbers, RecordId, z, type CollarFacts } from '@banter/contract';
import { COLLAR_DOUBT_WORDS, collarDoubts, gaugeName, TYPICAL_PITCH_MM, TYPICAL_PRONGS, wordReason } from '@banter/core';
import { computed, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { send } from '../../api/request.ts';
import { todayIn } from '../../parts/age.ts';
import { CONDITION_ANSWERS } from '../../parts/condition-words.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import KeepBar from '../../parts/KeepBar.vue';
import LoadFrame from '../../parts/LoadFrame.vue';
import MeasureField from '../../parts/MeasureField.vue';
import { withUnit } from '../../parts/measure-units.ts';
import RulerDrawing from '../../parts/RulerDrawing.vue';
import TextField from '../../parts/TextField.vue';
import { useDraft } from '../../stores/draft.ts';
import { useKeep } from '../../stores/keep.ts';
import { useLoad } from '../../stores/load.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';

const route = useRoute();
const router = useRouter();
const session = useSession();
const units = useUnits();
const keeping = useKeep();
const id = RecordId.safeParse(route.params.id).data ?? '';
const isNew = route.query.new === '1';
const GAUGES = TYPICAL_PITCH_MM.map(({ gaugeMm, name }) => ({ value: String(gaugeMm), label: name }));
const PITCHES_MEASURED = 5;

const Form = z.object({
  version: z.number().nullable(),
  name: z.string(),
  gauge: z.string(),
  links: z.string(),
  inside: z.string(),
  acrossFive: z.string(),
  closed: z.string(),
  metal: z.enum(METALS).nullable(),
  condition: z.enum(CONDITIONS),
  note: z.string(),
  lengthUnit: z.enum(['in', 'cm']),
  retiredAt: z.string().nullable(),
});
type Form = z.infer<typeof Form>;
const empty = (): Form => ({
  version: null,
  name: '',
  gauge: '2.25',
  links: '',
  inside: '',
  acrossFive: '',
  closed: '',
  metal: null,
  condition: 'sound',
  note: '',
  lengthUnit: units.length,
  retiredAt: null,
});
const { draft, restored, discard } = useDraft(`collar.${id}`, Form, empty);
if (draft.value.lengthUnit !== units.length)
  for (const field of ['inside', 'acrossFive', 'closed'] as const) draft.value[field] = withUnit(draft.value[field], draft.value.lengthUnit);
watch(
  () => units.length,
  (unit) => (draft.value.lengthUnit = unit),
  { immediate: true },
);

const loaded = isNew ? null : useLoad(() => `/api/collars/${id}`, Collar);
const mm = reactive<{ inside: number | null; acrossFive: number | null; closed: number | null }>({ inside: null, acrossFive: null, closed: null });
function fill(collar: Collar) {
  const numbers = ProngNumbers.parse(collar.numbers);
  const said = (length: number) => `${Math.round(length * 10) / 10} mm`;
  draft.value = {
    version: collar.version,
    name: collar.name,
    gauge: String(numbers.gaugeMm),
    links: String(numbers.links),
    inside: said(numbers.insideGirthMm),
    acrossFive: said(numbers.pitchMm * PITCHES_MEASURED),
    closed: said(numbers.insideGirthMm - numbers.closingMm),
    metal: collar.metal,
    condition: collar.condition,
    note: collar.note,
    lengthUnit: units.length,
    retiredAt: collar.retiredAt,
  };
}
if (loaded) watch(loaded.data, (collar) => collar && !restored.value && fill(collar));

const measured = ref(true);
const numbers = computed(() => {
  if (mm.inside === null || mm.acrossFive === null || mm.closed === null) return null;
  const rounded = (value: number) => Math.round(value * 100) / 100;
  const parsed = ProngNumbers.safeParse({
    gaugeMm: Number(draft.value.gauge),
    pitchMm: rounded(mm.acrossFive / PITCHES_MEASURED),
    insideGirthMm: rounded(mm.inside),
    links: /^\s*\d{1,3}\s*$/.test(draft.value.links) ? Number(draft.value.links) : NaN,
    closingMm: rounded(mm.inside - mm.closed),
  });
  return parsed.success ? parsed.data : null;
});
const doubts = computed(() => (numbers.value ? collarDoubts(numbers.value).map((doubt) => wordReason(COLLAR_DOUBT_WORDS, doubt, units.speak)) : []));
const tried = ref(false);
const faults = computed<Record<string, string>>(() => ({
  ...(draft.value.name.trim() === ''
    ? { name: 'A collar needs a name, so that it can be told from the others.' }
    : draft.value.name.length > 60
      ? { name: 'This is too long: at most 60 characters.' }
      : {}),
  ...(!/^\s*\d{1,3}\s*$/.test(draft.value.links) || Number(draft.value.links) < 1 || Number(draft.value.links) > 100
    ? { links: 'Count the removable links: a whole number from 1 to 100.' }
    : {}),
  ...(mm.inside === null ? { inside: 'The inside girth is missing.' } : {}),
  ...(mm.acrossFive === null ? { acrossFive: 'Measure across five links.' } : {}),
  ...(mm.closed === null
    ? { closed: 'Pull it home and measure the inside again.' }
    : mm.inside !== null && mm.closed > mm.inside
      ? { closed: 'Pulled home it cannot be longer than at rest.' }
      : {}),
}));
const error = (field: string) => (tried.value ? faults.value[field] : undefined);
const typical = computed(() => TYPICAL_PRONGS.find((prong) => String(prong.gaugeMm) === draft.value.gauge));
const back = computed(() => (/^\/(?![/\\])/.test(String(route.query.back ?? '')) ? String(route.query.back) : '/locker'));

async function keep(retire = false) {
  tried.value = true;
  if (Object.keys(faults.value).length > 0 || !numbers.value) return;
  const before = loaded?.data.value;
  const facts: CollarFacts = {
    kind: 'prong',
    name: draft.value.name.trim(),
    metal: draft.value.metal,
    condition: draft.value.condition,
    numbers: numbers.value,
    note: draft.value.note.trim(),
    measuredOn: measured.value ? todayIn(session.kennel!.timeZone) : (before?.measuredOn ?? null),
    retiredAt: retire ? (draft.value.retiredAt ? null : new Date().toISOString()) : draft.value.retiredAt,
  };
  if (!(await keeping.keep(`/api/collars/${id}`, Collar, facts, draft.value.version))) return;
  discard();
  await router.push(back.value);
}
async function showTheirs() {
  const theirs = await send('GET', `/api/collars/${id}`, Collar).catch(() => null);
  if (!theirs) return;
  fill(theirs);
  keeping.state.value = 'still';
  keeping.conflict.value = null;
}
</script>

<template>
  <LoadFrame :state="loaded ? loaded.state.value : 'ready'" :sentence="loaded?.sentence.value ?? ''" thing="collar" @again="loaded?.load()">
    <form novalidate class="mx-auto max-w-4xl" @submit.prevent="keep()">
      <h1>{{ isNew ? 'Add a collar, ruler in hand' : `Measure «${loaded?.data.value?.name}»` }}</h1>
      <p class="mt-1 text-soft">
        Three numbers make every fit exact: the inside, a link, and how much it closes.
        <template v-if="restored">Picked up where you left off.</template>
      </p>
      <div class="sheet mt-4 grid gap-x-6 gap-y-5 sm:grid-cols-2">
        <TextField v-model="draft.name" label="Name" hint="As you call it on the hook." :error="error('name') ?? keeping.errorAt('name')" />
        <ChoiceRow v-model="draft.gauge" label="Wire" :answers="GAUGES" />
        <TextField v-model="draft.links" label="Removable links in it" hint="The centre plate is not counted." inputmode="numeric" :error="error('links')" />
        <ChoiceRow v-model="draft.metal" label="Metal" :answers="METALS.map((metal) => ({ value: metal, label: metal }))" />
      </div>
      <div class="mt-4 grid gap-4 md:grid-cols-3">
        <section class="sheet">
          <RulerDrawing what="inside" />
          <MeasureField
            v-model="draft.inside"
            class="mt-2"
            label="1 · Inside, at rest"
            hint="Close it to a circle and run a string round the inside of the tips."
            :expected="{ possibleMm: [60, 1500], likelyMm: [150, 900] }"
            :guess="typical && units.girth(typical.insideGirthMm)"
            :error="error('inside')"
            @read="(value) => (mm.inside = value)"
          />
        </section>
        <section class="sheet">
          <RulerDrawing what="pitch" />
          <MeasureField
            v-model="draft.acrossFive"
            class="mt-2"
            label="2 · Five links in a row"
            hint="From one tip to the same tip five links on. Banter divides."
            :expected="{ possibleMm: [25, 500], likelyMm: [60, 300] }"
            :error="error('acrossFive')"
            @read="(value) => (mm.acrossFive = value)"
          />
          <p v-if="mm.acrossFive" class="mt-1">
            One link:
            <strong>{{ (mm.acrossFive / PITCHES_MEASURED).toFixed(1) }} mm</strong>
          </p>
        </section>
        <section class="sheet">
          <RulerDrawing what="closed" />
          <MeasureField
            v-model="draft.closed"
            class="mt-2"
            label="3 · Inside, pulled home"
            hint="Pull the live ring as far as it goes and measure again."
            :expected="{ possibleMm: [30, 1500], likelyMm: [120, 900] }"
            :error="error('closed')"
            @read="(value) => (mm.closed = value)"
          />
          <p v-if="mm.inside && mm.closed && mm.closed <= mm.inside" class="mt-1">
            It closes by
            <strong>{{ units.gap(mm.inside - mm.closed) }}</strong>
          </p>
        </section>
      </div>
      <ul v-if="doubts.length > 0" class="mt-4 rounded bg-mind-wash p-3 text-mind" role="status">
        <li v-for="doubt in doubts" :key="doubt.code">{{ doubt.text }}</li>
      </ul>
      <div class="sheet mt-4 space-y-3">
        <ChoiceRow v-model="draft.condition" label="Condition" :answers="CONDITION_ANSWERS" />
        <TextField v-model="draft.note" label="Note" />
        <label class="flex min-h-12 items-center gap-3">
          <input v-model="measured" type="checkbox" class="size-5" />
          I laid a ruler on it today
        </label>
      </div>
      <KeepBar class="mt-4" :keeping="keeping" label="Keep the numbers" @newer="showTheirs">
        <RouterLink :to="back" class="press press-quiet">Leave it</RouterLink>
        <button v-if="!isNew" type="button" class="press press-quiet ml-auto" @click="keep(true)">{{ draft.retiredAt ? 'Bring back' : 'Scrap it' }}</button>
      </KeepBar>
      <p v-if="!isNew" class="mt-2 text-sm text-soft">Earlier fits keep the numbers they were made with. {{ gaugeName(Number(draft.gauge)) }} wire.</p>
    </form>
  </LoadFrame>
</template>
