<script setup lang="ts">
/** The rig: put together from its parts or from a usual one, drawn with its single points, judged, and with what would mend it. */
import { partName } from '../../neck/rig-layout.ts';
import { RIG_CATALOGUE } from '@banter/contract';
import {
  freshId,
  layIn,
  listWords,
  RIG_REASON_WORDS,
  rigReasonTone,
  rigOfTemplate,
  rigPart,
  rigProposals,
  templatesFor,
  wordReason,
  type FittedRigPart,
} from '@banter/core';
import { computed, onMounted, ref } from 'vue';
import RigDiagram from '../../neck/RigDiagram.vue';
import FieldFrame from '../../parts/FieldFrame.vue';
import ReasonList from '../../parts/ReasonList.vue';
import SaidBar from '../../parts/SaidBar.vue';
import ActionBar from '../../work/ActionBar.vue';
import WorkLeaves, { type Leaf } from '../../work/WorkLeaves.vue';
import WorkScreen from '../../work/WorkScreen.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import type { NeckOnScreen } from '../../stores/neck.ts';
import { useUnits } from '../../stores/units.ts';
import { wearsSomething } from './dress-words.ts';
import RigPartCard from './RigPartCard.vue';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ neck: NeckOnScreen }>();
/** The longest a heading is, characters. */
const HEADING_MOST = 60;
const units = useUnits();
onMounted(props.neck.lookAtGear);
const parts = computed(() => props.neck.dressing.current.value.rig);
const judged = computed(() => props.neck.dressed.rig);
const wornRoles = computed(() => props.neck.dressed.wornRoles);
/** What rigs are made of, with the collars of this dog as they are. */
const catalogue = computed(() => props.neck.dressed.catalogue);
const chosen = ref<string | null>(null);
const chosenPart = computed(() => parts.value.find(({ id }) => id === chosen.value) ?? null);
const nameOf = (id: string, list: readonly FittedRigPart[] = parts.value) => partName(list.find((part) => part.id === id)!.kind);
const relay = (rig: FittedRigPart[]) => props.neck.dressing.change({ ...props.neck.dressing.current.value, rig });

/** What the dog hangs on: by name as far as a heading holds them, else how many. */
function looseIf(names: readonly string[]): string {
  const named = `If the ${listWords(names, 'or')} fails, ${props.neck.page.dog.name} is loose.`;
  return named.length <= HEADING_MOST ? named : `If one of ${names.length} parts fails, ${props.neck.page.dog.name} is loose.`;
}
const said = computed(() => {
  const rig = judged.value;
  if (!rig) return { tone: 'open' as const, word: 'To do', sentence: 'What is between the hand and the dog?' };
  if (!rig.connected) return { tone: 'stop' as const, word: 'Not joined', sentence: 'Nothing leads from the hand to the dog.' };
  if (rig.tone === 'stop') {
    const worst = rig.reasons.find((reason) => rigReasonTone(reason) === 'stop')!;
    return { tone: 'stop' as const, word: 'Not like this', sentence: wordReason(RIG_REASON_WORDS, worst, units.speak).text };
  }
  if (rig.sound)
    return { tone: rig.tone, word: rig.tone === 'good' ? 'Sound' : 'Sound, with care', sentence: 'Sound: whichever part fails, the dog is still held.' };
  const backedUp = rig.reasons.find(({ code }) => code === 'one-backup');
  if (backedUp) return { tone: rig.tone, word: 'Backed up', sentence: 'One backup: the dog is held if the collar opens.' };
  const names = rig.singlePoints.map((id) => nameOf(id));
  return {
    tone: 'mind' as const,
    word: 'Single points',
    sentence: looseIf(names),
  };
});
const reasons = computed(() => (judged.value?.reasons ?? []).map((reason) => wordReason(RIG_REASON_WORDS, reason, units.speak)));
const routes = computed(() => (judged.value?.routes ?? []).map((route) => route.map((id) => nameOf(id)).join(' → ')));
const proposals = computed(() => rigProposals(parts.value, wornRoles.value, catalogue.value));
const templates = computed(() => templatesFor(wornRoles.value, RIG_CATALOGUE));
const roleWords = (id: string) => RIG_CATALOGUE.roles.find((role) => role.id === id)?.words ?? id;
const wantsWords = (wants: readonly string[]) => (wants.length === 0 ? '' : `It needs ${listWords(wants.map((one) => roleWords(one)))} on the neck, too.`);

const { adding, kind, from, to } = useTyped(`rig-part.${props.neck.dogId}`, {
  adding: false,
  kind: 'leash',
  from: 'hand',
  to: 'leash end',
});
function add() {
  relay([...parts.value, rigPart(freshId(kind.value.replaceAll(' ', '-'), parts.value), kind.value, from.value, to.value)]);
  adding.value = false;
}
/** What lies on the neck but is not in the rig yet. */
const missing = computed(() =>
  catalogue.value.roles
    .filter(({ id, leashJoint }) => leashJoint !== null && wornRoles.value.includes(id))
    .filter((role) => !role.parts.every((one) => parts.value.some((part) => part.kind === one.kind)))
    .map(({ id }) => id),
);
type LeafId = 'mend' | 'usual' | 'why' | 'parts' | 'missing';
const leaf = ref<LeafId>('mend');
const leaves = computed((): Leaf<LeafId>[] => [
  ...(proposals.value.length > 0 ? [{ id: 'mend' as const, name: 'Mend it' }] : []),
  { id: 'usual', name: 'Usual rigs' },
  ...(reasons.value.length > 0 ? [{ id: 'why' as const, name: 'Why' }] : []),
  ...(parts.value.length > 0 ? [{ id: 'parts' as const, name: 'Parts' }] : []),
  ...(parts.value.length > 0 && missing.value.length > 0 ? [{ id: 'missing' as const, name: 'Not in it', mark: 'mind' as const }] : []),
]);
/** The one thing to press: the usual rig where there is none, else what mends most of what is not sound. */
const best = computed(() => {
  const usual = templates.value[0]?.template;
  if (parts.value.length === 0) return usual ? { does: 'Take usual rig', says: usual.name, rig: rigOfTemplate(usual, catalogue.value) } : null;
  const [mend] = proposals.value;
  // What loads too early or holds nothing is put right at the part itself, not by one more.
  return mend && judged.value !== null && !judged.value.sound && judged.value.tone !== 'stop'
    ? { does: 'Mend it', says: mend.says, rig: [...parts.value, ...mend.parts] }
    : null;
});
function change(part: FittedRigPart) {
  relay(parts.value.map((one) => (one.id === part.id ? part : one)));
}
function remove(id: string) {
  chosen.value = null;
  relay(parts.value.filter((part) => part.id !== id));
}
</script>

<template>
  <WorkScreen drawing="The rig" style="--beside-drawing: 27rem; --beside-drawing-desk: 24rem; --drawing-column: 31rem">
    <template #decision>
      <VerdictMark :tone="said.tone" :word="said.word" />
      <h1 class="mt-1">{{ said.sentence }}</h1>
    </template>
    <template #drawing>
      <template v-if="parts.length > 0">
        <RigDiagram :parts="parts" :chosen="chosen" @choose="(id) => (chosen = chosen === id ? null : id)" />
        <p class="mt-2 flex flex-wrap gap-x-5 text-sm text-soft">
          <span><span aria-hidden="true" class="mr-1 inline-block h-1 w-6 bg-stop align-middle"></span>everything hangs on it</span>
          <span>Tap a part to describe it or take it out.</span>
        </p>
        <RigPartCard
          v-if="chosenPart"
          :key="chosenPart.id"
          :dog-id="neck.dogId"
          class="mt-3"
          :part="chosenPart"
          :gear="neck.page.gear"
          @piece="neck.load"
          @change="change"
          @remove="remove(chosenPart.id)"
          @close="chosen = null"
        />
      </template>
      <p v-else class="py-10 text-center text-soft">The rig is drawn here, from the hand to the dog.</p>
    </template>
    <WorkLeaves v-model="leaf" :leaves="leaves" label="The rig and what would mend it">
      <template #mend>
        <section aria-label="What would mend it">
          <ul class="mt-1 divide-y divide-line">
            <li v-for="one in proposals" :key="one.id" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2.5">
              <span class="min-w-0 grow basis-44">
                <span class="block font-semibold">{{ one.says }}</span>
                <span class="block text-sm text-soft">
                  Mends {{ listWords(one.fixes.map((id) => nameOf(id)))
                  }}{{ one.left.length === 0 ? '; then it is sound.' : `; leaves ${listWords(one.left.map((id) => nameOf(id, [...parts, ...one.parts])))}.` }}
                  {{ wantsWords(one.wants) }}
                </span>
              </span>
              <button type="button" class="press press-plain" @click="relay([...parts, ...one.parts])">
                Add<span class="sr-only">: {{ one.says }}</span>
              </button>
            </li>
          </ul>
        </section>
      </template>
      <template #usual>
        <p v-if="templates.length === 0" class="mt-1">
          Nothing that a leash goes to lies on this neck yet.
          <RouterLink :to="`/dogs/${neck.dogId}/bench`" class="underline">To the bench</RouterLink>
        </p>
        <ul class="mt-1 divide-y divide-line">
          <li v-for="{ template, wants } in templates" :key="template.id" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2.5">
            <span class="min-w-0 grow basis-44">
              <span class="block font-semibold">{{ template.name }}</span>
              <span class="block text-sm text-soft">{{ template.says }} {{ wantsWords(wants) }}</span>
            </span>
            <button
              type="button"
              class="press"
              :class="parts.length === 0 && template === templates[0]?.template ? 'press-main' : 'press-plain'"
              @click="relay(rigOfTemplate(template, catalogue))"
            >
              Take<span class="sr-only">: {{ template.name }}</span>
            </button>
          </li>
        </ul>
      </template>
      <template #why>
        <ReasonList :reasons="reasons" />
        <template v-if="routes.length > 0">
          <h3 class="mt-3">{{ routes.length === 1 ? 'One route' : 'Routes that share no part' }}</h3>
          <ol class="mt-1 list-decimal pl-5 text-[0.95rem]">
            <li v-for="route in routes" :key="route">{{ route }}</li>
          </ol>
        </template>
      </template>
      <template #parts>
        <div class="mt-3 flex flex-wrap gap-2">
          <button v-if="!adding" type="button" class="press press-plain" @click="adding = true">Add a part</button>
          <button type="button" class="press press-quiet" @click="relay([])">Start over</button>
        </div>
        <form v-if="adding" class="mt-3 grid items-end gap-3 border-t border-line pt-3 sm:grid-cols-3" novalidate @submit.prevent="add">
          <FieldFrame v-slot="{ id }" label="Part">
            <select :id="id" v-model="kind" class="field">
              <option v-for="(part, name) in RIG_CATALOGUE.parts" :key="name" :value="name">{{ part.name }}</option>
            </select>
          </FieldFrame>
          <FieldFrame v-slot="{ id }" label="From">
            <select :id="id" v-model="from" class="field">
              <option v-for="(joint, name) in RIG_CATALOGUE.joints" :key="name" :value="name">{{ joint.name }}</option>
            </select>
          </FieldFrame>
          <FieldFrame v-slot="{ id }" label="To">
            <select :id="id" v-model="to" class="field">
              <option v-for="(joint, name) in RIG_CATALOGUE.joints" :key="name" :value="name">{{ joint.name }}</option>
            </select>
          </FieldFrame>
          <p v-if="from === to" class="text-mind sm:col-span-3">A part from a joint back to itself holds nothing.</p>
          <div class="flex gap-2 sm:col-span-3">
            <button type="submit" class="press press-plain">Add it</button>
            <button type="button" class="press press-quiet" @click="adding = false">Cancel</button>
          </div>
        </form>
      </template>
      <template #missing>
        <ul class="mt-1 divide-y divide-line">
          <li v-for="collar in missing" :key="collar" class="flex items-center gap-3 py-2">
            <span class="grow first-letter:uppercase">{{ roleWords(collar) }}</span>
            <button type="button" class="press press-quiet" @click="relay(layIn(parts, collar, catalogue))">
              Lay it in<span class="sr-only">: {{ roleWords(collar) }}</span>
            </button>
          </li>
        </ul>
        <p class="mt-1 text-sm text-soft">Without a tie it holds nothing: add what joins it.</p>
      </template>
    </WorkLeaves>
    <template #action>
      <ActionBar v-if="best || neck.dressing.canUndo.value || wearsSomething(neck.dressed)">
        <SaidBar :telling="neck.telling" />
        <div class="flex flex-wrap items-center gap-3">
          <button v-if="best" type="button" class="press press-main" @click="relay(best.rig)">{{ best.does }}</button>
          <RouterLink
            v-if="parts.length > 0 && wearsSomething(neck.dressed)"
            :to="`/dogs/${neck.dogId}/door`"
            class="press"
            :class="best ? 'press-plain' : 'press-main'"
            >To the door</RouterLink
          >
          <button v-if="neck.dressing.canUndo.value" type="button" class="press press-plain" @click="neck.dressing.undo()">Undo</button>
          <span v-if="best" class="text-sm text-soft max-sm:hidden">{{ best.says }}</span>
        </div>
      </ActionBar>
    </template>
  </WorkScreen>
</template>
