<script setup lang="ts">
/** A collar of any kind but the prong, by the numbers of its kind, as its row of the registry lists them; doubts are asked about. */
import { Collar, collarKind, METALS, RecordId, z, type CollarFacts, type CollarKindName, type NumberField } from '@banter/contract';
import { CONDITIONS } from '@banter/core';
import { computed, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { send } from '../../api/request.ts';
import { todayIn } from '../../parts/age.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { CONDITION_ANSWERS } from '../../parts/condition-words.ts';
import SaveBar from '../../work/SaveBar.vue';
import MeasureField from '../../parts/MeasureField.vue';
import { rulerDrawing } from '../../neck/drawings.ts';
import { withUnit } from '../../parts/measure-units.ts';
import TextField from '../../parts/TextField.vue';
import { useDraft } from '../../stores/draft.ts';
import { useKeep } from '../../stores/keep.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';

const props = defineProps<{ kind: CollarKindName; collar: Collar | null }>();
const route = useRoute();
const router = useRouter();
const session = useSession();
const units = useUnits();
const keeping = useKeep();
const kind = collarKind(props.kind);
const id = RecordId.parse(route.params.id);

const Form = z.object({
  version: z.number().nullable(),
  name: z.string(),
  typed: z.record(z.string(), z.string()),
  several: z.record(z.string(), z.array(z.string())),
  metal: z.enum(METALS).nullable(),
  /** Measured and sound counts as looked over: nobody's «sound» is filled in. */
  condition: z.enum(CONDITIONS).nullable(),
  note: z.string(),
  /** Whether a ruler was laid on it today. Nobody's answer is filled in: null until somebody gives one. */
  measured: z.enum(['today', 'not']).nullable().default(null),
  lengthUnit: z.enum(['in', 'cm']),
  retiredAt: z.string().nullable(),
});
type Form = z.infer<typeof Form>;
/** A number of the kind as it is written on the form. */
function written(field: NumberField, value: unknown): string {
  if (value === null || value === undefined) return '';
  if (field.as === 'length') return units.typed(value as number);
  if (field.as === 'lengths') return (value as number[]).map((mm) => Math.round(mm * 10) / 10).join(', ');
  if (field.as === 'yes-no') return value ? 'yes' : 'no';
  return String(value);
}
/** What a ruler would read of numbers: themselves, for most kinds. */
const readOf = (numbers: Record<string, unknown>): Record<string, unknown> => kind.ruler?.readOf(numbers) ?? numbers;
const drawing = rulerDrawing(props.kind);
const fill = (numbers: Record<string, unknown>) => ({
  typed: Object.fromEntries(kind.fields.filter(({ as }) => as !== 'several').map((field) => [field.id, written(field, numbers[field.id])])),
  several: Object.fromEntries(kind.fields.filter(({ as }) => as === 'several').map(({ id: name }) => [name, (numbers[name] as string[] | undefined) ?? []])),
});
const firstAnswers: Record<string, unknown> = {};
for (const field of kind.fields) {
  if (field.as === 'choice') firstAnswers[field.id] = field.options![0]!.value;
  if (field.as === 'yes-no') firstAnswers[field.id] = false;
}
const begin = (): Form => ({
  version: props.collar?.version ?? null,
  name: props.collar?.name ?? '',
  ...fill(props.collar ? readOf(props.collar.numbers) : firstAnswers),
  metal: props.collar?.metal ?? null,
  condition: props.collar && props.collar.condition !== 'sound' ? props.collar.condition : null,
  note: props.collar?.note ?? '',
  measured: null,
  lengthUnit: units.length,
  retiredAt: props.collar?.retiredAt ?? null,
});
const { draft, restored, discard } = useDraft(`collar.${id}`, Form, begin);
if (draft.value.lengthUnit !== units.length)
  for (const field of kind.fields) if (field.as === 'length') draft.value.typed[field.id] = withUnit(draft.value.typed[field.id] ?? '', draft.value.lengthUnit);
watch(
  () => units.length,
  (unit) => (draft.value.lengthUnit = unit),
  { immediate: true },
);

const before = props.collar ? readOf(props.collar.numbers) : firstAnswers;
const lengths = reactive<Record<string, number | null>>({});
const plainNumber = (text: string) => (/^\s*\d+([.,]\d+)?\s*$/.test(text) ? Number(text.replace(',', '.')) : NaN);
/** What a field comes to, for the schema of the kind to judge. */
function valueOf(field: NumberField): unknown {
  const text = draft.value.typed[field.id] ?? '';
  switch (field.as) {
    case 'length':
      if (text.trim() === '' && field.optional) return null;
      // A field that nobody has touched stands for the very number it was filled from, whatever its unit shows of it.
      return text === written(field, before[field.id]) ? before[field.id] : (lengths[field.id] ?? NaN);
    case 'lengths':
      return text
        .split(/[,;]\s*|\s+/)
        .filter(Boolean)
        .map((part) => plainNumber(part.replace(/mm$/i, '')));
    case 'mass':
      return plainNumber(text.replace(/g(rams?)?$/i, ''));
    case 'yes-no':
      return text === 'yes';
    case 'several':
      return draft.value.several[field.id] ?? [];
    case 'choice':
      return text;
    default:
      return plainNumber(text);
  }
}
const parsed = computed(() => {
  const read = Object.fromEntries(kind.fields.map((field) => [field.id, valueOf(field)]));
  return kind.numbers.safeParse(kind.ruler ? kind.ruler.numbersOf(read) : read);
});
const doubts = computed(() => (parsed.value.success ? kind.doubts(parsed.value.data, units.speak) : []));
/** What is wrong with a number, as a sentence; another number that it is held against is said by its label. */
function faultWords(issue: z.core.$ZodIssue): string {
  if (issue.code === 'invalid_type') return 'This is missing, or cannot be read yet.';
  const below: unknown = issue.code === 'custom' ? issue.params?.below : undefined;
  const other = kind.fields.find(({ id: field }) => field === below);
  return other ? `This must not be below «${other.label}».` : issue.message;
}
const tried = ref(false);
/** Other numbers than it had, or a first set of them: somebody says where they come from. A name alone measures nothing. */
const numbersAreNew = computed(() => !props.collar || kind.fields.some((field) => JSON.stringify(valueOf(field)) !== JSON.stringify(before[field.id])));
const measuredAnswers = [
  { value: 'today', label: 'Measured today' },
  { value: 'not', label: props.collar?.measuredOn ? 'Measured before' : 'Typical, not measured' },
] as const;
const faults = computed<Record<string, string>>(() => ({
  ...(numbersAreNew.value && draft.value.measured === null ? { measured: 'Say whether these numbers were measured: typical ones are only about right.' } : {}),
  ...(draft.value.measured === 'today' && draft.value.condition === null
    ? { condition: 'Say how it is: a collar that is measured and sound counts as inspected today.' }
    : {}),
  ...(draft.value.name.trim() === ''
    ? { name: 'A collar needs a name, so that it can be told from the others.' }
    : draft.value.name.length > 60
      ? { name: 'This is too long: at most 60 characters.' }
      : {}),
  ...(parsed.value.success
    ? {}
    : Object.fromEntries(parsed.value.error.issues.map((issue) => [kind.ruler?.fieldOf[String(issue.path[0])] ?? String(issue.path[0]), faultWords(issue)]))),
}));
const error = (field: string) => (tried.value ? faults.value[field] : undefined) || keeping.errorAt(`numbers.${field}`) || undefined;
const back = computed(() => (/^\/(?![/\\])/.test(String(route.query.back ?? '')) ? String(route.query.back) : '/locker'));

async function keep(retire = false) {
  tried.value = true;
  // What is scrapped or brought back claims nothing about its numbers.
  const unclaimed = retire && Object.keys(faults.value).join() === 'measured';
  if ((Object.keys(faults.value).length > 0 && !unclaimed) || !parsed.value.success) return;
  const measured = draft.value.measured === 'today';
  const facts: CollarFacts = {
    kind: props.kind,
    name: draft.value.name.trim(),
    metal: draft.value.metal,
    condition: draft.value.condition ?? props.collar?.condition ?? 'sound',
    numbers: parsed.value.data as Record<string, unknown>,
    note: draft.value.note.trim(),
    measuredOn: measured ? todayIn(session.kennel!.timeZone) : (props.collar?.measuredOn ?? null),
    // What has been measured is in hand.
    owned: measured || (props.collar?.owned ?? true),
    retiredAt: retire ? (draft.value.retiredAt ? null : new Date().toISOString()) : draft.value.retiredAt,
  };
  if (!(await keeping.keep(`/api/collars/${id}`, Collar, facts, draft.value.version))) return;
  discard();
  await router.push(back.value);
}
async function showTheirs() {
  const theirs = await send('GET', `/api/collars/${id}`, Collar).catch(() => null);
  if (!theirs) return;
  draft.value = { ...draft.value, ...theirs, ...fill(readOf(theirs.numbers)), version: theirs.version };
  keeping.state.value = 'still';
  keeping.conflict.value = null;
}
function toggle(field: string, value: string) {
  const now = draft.value.several[field] ?? [];
  draft.value.several = { ...draft.value.several, [field]: now.includes(value) ? now.filter((one) => one !== value) : [...now, value] };
}
const yesNo = [
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
] as const;
</script>

<template>
  <form novalidate class="mx-auto max-w-4xl" @submit.prevent="keep()">
    <h1>{{ collar ? `Measure ${collar.name}` : `Add a ${kind.traits.noun}, ruler in hand` }}</h1>
    <p class="mt-1 text-soft">
      {{ kind.about }}
      <template v-if="restored">Picked up where you left off.</template>
    </p>
    <div class="sheet mt-4 grid gap-x-6 gap-y-5 sm:grid-cols-2">
      <TextField v-model="draft.name" label="Name" hint="As you call it on the hook." :error="(tried ? faults.name : undefined) ?? keeping.errorAt('name')" />
      <template v-for="field in kind.fields" :key="field.id">
        <MeasureField
          v-if="field.as === 'length'"
          :model-value="draft.typed[field.id] ?? ''"
          :label="field.label"
          :hint="field.hint"
          :expected="{ possibleMm: field.possibleMm!, ...(field.likelyMm ? { likelyMm: field.likelyMm } : {}) }"
          :error="error(field.id)"
          @update:model-value="(text) => (draft.typed = { ...draft.typed, [field.id]: text })"
          @read="(mm) => (lengths[field.id] = mm)"
        >
          <template v-if="field.drawn && drawing" #drawing><component :is="drawing" :what="field.id" /></template>
          <template v-if="field.tells?.(lengths, units.speak)" #tells>{{ field.tells(lengths, units.speak) }}</template>
        </MeasureField>
        <ChoiceRow
          v-else-if="field.as === 'choice' || field.as === 'yes-no'"
          :model-value="draft.typed[field.id] ?? null"
          :label="field.label"
          :hint="field.hint"
          :answers="field.options ?? yesNo"
          :error="error(field.id)"
          @update:model-value="(value) => (draft.typed = { ...draft.typed, [field.id]: value ?? '' })"
        />
        <fieldset v-else-if="field.as === 'several'">
          <legend class="font-semibold">{{ field.label }}</legend>
          <label v-for="option in field.options" :key="option.value" class="flex min-h-11 items-center gap-3">
            <input type="checkbox" class="size-5" :checked="draft.several[field.id]?.includes(option.value)" @change="toggle(field.id, option.value)" />
            {{ option.label }}
          </label>
          <p v-if="error(field.id)" class="font-semibold text-stop" role="alert">{{ error(field.id) }}</p>
        </fieldset>
        <TextField
          v-else
          :model-value="draft.typed[field.id] ?? ''"
          :label="`${field.label}${field.as === 'mass' ? ', in grams' : field.as === 'lengths' ? ', in mm' : ''}`"
          :hint="field.hint"
          inputmode="decimal"
          :error="error(field.id)"
          @update:model-value="(text) => (draft.typed = { ...draft.typed, [field.id]: text })"
        />
      </template>
      <ChoiceRow v-model="draft.metal" label="Metal, where it has some" :answers="METALS.map((metal) => ({ value: metal, label: metal }))" />
      <ChoiceRow v-model="draft.condition" label="Condition" :answers="CONDITION_ANSWERS" :error="tried ? faults.condition : undefined" />
    </div>
    <ul v-if="doubts.length > 0" class="mt-4 rounded bg-mind-wash p-3 text-mind" role="status">
      <li v-for="doubt in doubts" :key="doubt.code">{{ doubt.text }}</li>
    </ul>
    <div class="sheet mt-4 space-y-3">
      <TextField v-model="draft.note" label="Note" />
      <ChoiceRow v-model="draft.measured" label="These numbers" :answers="measuredAnswers" :error="tried ? faults.measured : undefined" />
    </div>
    <SaveBar class="mt-4" :keeping="keeping" label="Save numbers" @newer="showTheirs">
      <RouterLink :to="back" class="press press-quiet">Cancel</RouterLink>
      <button v-if="collar" type="button" class="press press-quiet ml-auto" @click="keep(true)">{{ draft.retiredAt ? 'Bring back' : 'Scrap it' }}</button>
    </SaveBar>
    <p v-if="collar" class="mt-2 text-sm text-soft">Earlier fits keep the numbers they were made with.</p>
  </form>
</template>
