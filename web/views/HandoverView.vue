<script setup lang="ts">
/** Handover: whether the dog is ready to go, the pages its owner gets, what changed since the last ones, and the owner's own link. */
import {
  Handover,
  handoverChanges,
  handoverMissing,
  handoverSheet,
  HandoversPage,
  latestGirths,
  currentFits,
  dressedDog,
  whereOften,
  whereWords,
  z,
  type NewHandover,
} from '@banter/contract';
import { countOf } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { dayWords } from '../parts/age.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { DogHeader } from '../shell/dog-header.ts';
import SaveBar from '../work/SaveBar.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import TextField from '../parts/TextField.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useDraft } from '../stores/draft.ts';
import { useKeep } from '../stores/keep.ts';
import { useLoad } from '../stores/load.ts';
import { useNow } from '../stores/now.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import ActionBar from '../work/ActionBar.vue';
import WorkLeaves, { type Leaf } from '../work/WorkLeaves.vue';
import WorkScreen from '../work/WorkScreen.vue';
import SheetDrawing from '../paper/SheetDrawing.vue';
import HandoverLook from './handover/HandoverLook.vue';
import HandoverPaper from './handover/HandoverPaper.vue';
import OwnerLinks from './handover/OwnerLinks.vue';
import ToolsWhere from './handover/ToolsWhere.vue';

const route = useRoute();
const session = useSession();
const units = useUnits();
const dogId = String(route.params.id);
const { data, state, sentence, load } = useLoad(() => `/api/dogs/${dogId}/handovers`, HandoversPage);
const { now } = useNow(60_000);
const kennel = computed(() => session.kennel!);
const last = computed(() => data.value?.handovers[0] ?? null);

const Form = z.object({ toWhom: z.string(), callWhom: z.string(), lengthUnit: z.enum(['in', 'cm']), massUnit: z.enum(['lb', 'kg']), note: z.string() });
const {
  draft: form,
  restored,
  settle,
} = useDraft(`handover.${dogId}`, Form, () => ({ toWhom: '', callWhom: '', lengthUnit: units.length, massUnit: units.mass, note: '' }));
/** What is known already fills the form in: the last handover’s, else the dog’s owner. */
const known = () => {
  const { toWhom, callWhom, lengthUnit, massUnit, note } = last.value ?? {
    toWhom: data.value!.neck.dog.owner,
    callWhom: '',
    lengthUnit: units.length,
    massUnit: units.mass,
    note: '',
  };
  return { toWhom, callWhom, lengthUnit, massUnit, note };
};
watch(data, (page, before) => {
  if (page && !before && !restored.value) settle(known());
});
const sheet = computed(() => handoverSheet(data.value!.neck, data.value!.levels, kennel.value, form.value, now.value));
const missing = computed(() => handoverMissing(data.value!.neck, kennel.value, now.value, units.speak));
/** Which tool where, before its trainer says otherwise. */
const dressed = computed(() => dressedDog(data.value!.neck, kennel.value, now.value, units.speak));
const workedOut = computed(() => whereWords(dressed.value, units.speak));
const often = computed(() => whereOften(dressed.value));
/** In the units of the last one, so that only what is otherwise is told as changed. */
const changes = computed(() => {
  if (!last.value) return [];
  const was = last.value.sheet;
  return handoverChanges(was, handoverSheet(data.value!.neck, data.value!.levels, kennel.value, was, now.value));
});
const heading = computed(() => {
  const { dogName } = sheet.value;
  const count = missing.value.length;
  if (count > 0) return `Before ${dogName} goes: ${countOf(count, 'thing')} to see to`;
  if (!last.value) return `${dogName} is ready to hand over`;
  const day = dayWords(last.value.at, kennel.value.timeZone);
  if (changes.value.length === 0) return `Handed over on ${day}; nothing has changed since`;
  return `${changes.value.length === 1 ? 'One line has' : `${changes.value.length} lines have`} changed since ${day}`;
});
const tone = computed(() => (missing.value.length > 0 ? 'mind' : last.value && changes.value.length === 0 ? 'good' : 'open'));
const MARKS = { mind: 'Not yet', open: 'To hand over', good: 'Handed over' };

const keeping = useKeep();
const kept = ref<Handover | null>(null);
async function handOver() {
  const sent: NewHandover = { dogId, ...form.value, toWhom: form.value.toWhom.trim(), callWhom: form.value.callWhom.trim(), at: new Date().toISOString() };
  const done = await keeping.keep(`/api/handovers/${uuidv7()}`, Handover, sent);
  if (!done) return;
  kept.value = done;
  await load();
  settle(known());
}
type LeafId = 'missing' | 'pages' | 'more' | 'tools' | 'changed' | 'link' | 'earlier';
const leaves = computed((): Leaf<LeafId>[] => [
  ...(missing.value.length > 0 ? [{ id: 'missing' as const, name: 'To do', mark: 'mind' as const }] : []),
  { id: 'pages', name: 'Pages' },
  { id: 'tools', name: 'Which tool where' },
  { id: 'more', name: 'Note and units' },
  { id: 'link', name: 'Owner’s link' },
  ...(changes.value.length > 0 ? [{ id: 'changed' as const, name: `Since ${dayWords(last.value!.at, kennel.value.timeZone)}` }] : []),
  ...(data.value!.handovers.length > 0 ? [{ id: 'earlier' as const, name: 'Handed over' }] : []),
]);
const leaf = ref<LeafId>('missing');
const print = () => window.print();
const lengths = [
  { value: 'in', label: 'inches, pounds' },
  { value: 'cm', label: 'centimetres, kilograms' },
] as const;
const unit = computed({
  get: () => form.value.lengthUnit,
  set: (value: 'in' | 'cm') => (form.value = { ...form.value, lengthUnit: value, massUnit: value === 'in' ? 'lb' : 'kg' }),
});
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <div class="no-print">
      <DogHeader
        :dog="data!.neck.dog"
        :girths="latestGirths(data!.neck.tapings)"
        :fits="currentFits(data!.neck)"
        :kennel="kennel"
        :dressing="data!.neck.dressing"
      />
      <WorkScreen drawing="The first page" style="--beside-drawing: 36rem">
        <template #decision>
          <VerdictMark :tone="tone" :word="MARKS[tone]" />
          <h1 class="mt-1">{{ heading }}</h1>
        </template>
        <template #drawing>
          <SheetDrawing v-if="sheet.drawings.neck" :sheet="sheet" which="neck" />
          <p v-else class="py-6 text-center text-soft">Nothing lies on its neck yet.</p>
          <p class="mt-2 max-sm:hidden">{{ sheet.lead }}</p>
        </template>
        <form id="hand-over" class="sheet grid gap-3 sm:grid-cols-2" novalidate @submit.prevent="handOver">
          <TextField v-model="form.toWhom" label="To whom" :error="keeping.errorAt('toWhom')" />
          <TextField v-model="form.callWhom" label="Whom they call" hint="A name and a number." :error="keeping.errorAt('callWhom')" />
        </form>
        <p v-if="kept" role="status" class="rounded bg-good-wash p-3 text-good">
          Saved. <a :href="`/api/handovers/${kept.id}/pages.pdf`" target="_blank" class="font-semibold underline">The pages (PDF)</a>
        </p>
        <WorkLeaves v-model="leaf" :leaves="leaves" label="What belongs to it">
          <template #missing>
            <ul class="list-disc space-y-1 pl-5">
              <li v-for="one in missing" :key="one">{{ one }}</li>
            </ul>
          </template>
          <template #pages><HandoverLook :sheet="sheet" :note="form.note" first="where" /></template>
          <template #more>
            <div class="space-y-4">
              <ChoiceRow v-model="unit" label="They think in" :answers="lengths" quiet />
              <TextField v-model="form.note" label="What else they should know" :rows="3" :error="keeping.errorAt('note')" />
            </div>
          </template>
          <template #tools>
            <ToolsWhere :key="data!.neck.dog.version" :dog="data!.neck.dog" :worked-out="workedOut" :often="often" @changed="load" />
          </template>
          <template #changed>
            <section :aria-label="`Since ${dayWords(last!.at, kennel.timeZone)}`">
              <dl class="mt-1 divide-y divide-line">
                <div v-for="(change, index) in changes" :key="index" class="py-2">
                  <dt class="font-semibold">{{ change.label || change.section }}</dt>
                  <dd v-if="change.was !== null" class="text-sm text-soft">
                    <span class="sr-only">was: </span><s>{{ change.was }}</s>
                  </dd>
                  <dd v-if="change.is !== null" class="text-[0.95rem]"><span class="sr-only">now: </span>{{ change.is }}</dd>
                  <dd v-else class="text-[0.95rem]">No longer.</dd>
                </div>
              </dl>
            </section>
          </template>
          <template #link>
            <OwnerLinks :dog-id="dogId" :dog-name="data!.neck.dog.name" :page="data!" :daily="last?.sheet.daily ?? []" @changed="load" />
          </template>
          <template #earlier>
            <ul class="mt-1 divide-y divide-line">
              <li v-for="one in data!.handovers" :key="one.id" class="flex flex-wrap items-center gap-x-3 py-2">
                <span class="min-w-0 grow">
                  <span class="font-semibold">{{ dayWords(one.at, kennel.timeZone) }}</span> to {{ one.toWhom }}
                  <span class="block text-sm text-soft">by {{ one.personName }}</span>
                </span>
                <a :href="`/api/handovers/${one.id}/pages.pdf`" target="_blank" class="press press-quiet"
                  >Pages (PDF)<span class="sr-only"> of {{ dayWords(one.at, kennel.timeZone) }}</span></a
                >
              </li>
            </ul>
          </template>
        </WorkLeaves>
        <template #action>
          <ActionBar>
            <SaveBar :keeping="keeping" form="hand-over" label="Save handover" :disabled="form.toWhom.trim() === '' || form.callWhom.trim() === ''">
              <button type="button" class="press press-plain" @click="print">Print</button>
              <span class="text-sm text-soft max-sm:hidden">A saved handover stays as it was. An owner’s link shows the latest one.</span>
            </SaveBar>
          </ActionBar>
        </template>
      </WorkScreen>
    </div>
    <HandoverPaper
      class="hidden print:block"
      :sheet="sheet"
      :to-whom="form.toWhom"
      :call-whom="form.callWhom"
      :note="form.note"
      :day="dayWords(new Date(now).toISOString(), kennel.timeZone)"
    />
  </LoadFrame>
</template>
