<script setup lang="ts">
/** The stack on the unrolled neck: what goes on in order from the ears down, put on and taken off with a tap; ring and side. */
import { drawnItems, neckTapeOf, type StackEntry } from '@banter/contract';
import { clockWords, isWrongOrder, rightOrder, schoolName, schoolSays, STACK_REASON_WORDS, WEAR_STATE_WORDS, wordReason, type WearState } from '@banter/core';
import { computed, ref } from 'vue';
import LetterDrawing from '../../neck/slip/LetterDrawing.vue';
import SideDrawing from '../../neck/SideDrawing.vue';
import UnrolledNeck from '../../neck/UnrolledNeck.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import ReasonList from '../../parts/ReasonList.vue';
import SaidBar from '../../parts/SaidBar.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import type { NeckOnScreen } from '../../stores/neck.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';
import ActionBar from '../../work/ActionBar.vue';
import WorkLeaves, { type Leaf } from '../../work/WorkLeaves.vue';
import WorkScreen from '../../work/WorkScreen.vue';
import { cautionOf, openWearOf, putOn, stackSentence, STATE_ANSWERS } from './dress-words.ts';
import StackHandles from './StackHandles.vue';
import StackList from './StackList.vue';
import StackOverlay from './StackOverlay.vue';

const props = defineProps<{ neck: NeckOnScreen }>();
const session = useSession();
const units = useUnits();
const dressed = computed(() => props.neck.dressed);
const dog = computed(() => props.neck.page.dog);
const tape = computed(() => neckTapeOf(props.neck.girths));
const said = computed(() => stackSentence(dressed.value, dog.value.name, units.speak));
const MARKS = { good: 'As it should lie', mind: 'Check', stop: 'Not like this', open: 'To do' };
/** Contacts are drawn where they sit, else where they go next. */
const clockOf = (kind: string) => {
  const contacts = dressed.value.contacts.find(({ fit }) => fit.plan.kind === kind);
  return contacts ? (contacts.at ?? contacts.rotation.next) : null;
};
const lying = computed(() => drawnItems(dressed.value.items, dog.value, session.kennel!, clockOf));

const onNow = computed(() => dressed.value.items.filter((item) => openWearOf(dressed.value, item)));
const offNow = computed(() => dressed.value.items.filter((item) => item.fit && !openWearOf(dressed.value, item)));
const stateNow = computed<WearState | null>(() => onNow.value.map((item) => openWearOf(dressed.value, item)!.states.at(-1)!.value)[0] ?? null);
const wanted = ref<WearState>('worked');
const state = computed<WearState | null>({
  get: () => stateNow.value ?? wanted.value,
  set: (value) => {
    if (value === null) return;
    if (onNow.value.length === 0) {
      wanted.value = value;
      return;
    }
    void props.neck.telling.tell(
      `${dog.value.name} is ${WEAR_STATE_WORDS[value].name} now.`,
      onNow.value.map((item) => ({ event: 'state' as const, dogId: dog.value.id, collarId: item.fit!.plan.inputs.collar.id, state: value })),
    );
  },
});
/** Whoever puts all on puts it on as it is drawn: that lays it out, where nobody has. */
const isLoose = computed(() => !dressed.value.laidOut && dressed.value.items.length > 1);
const layOut = () => relay(dressed.value.items.map(({ entry }) => entry));
function putAllOn() {
  if (isLoose.value) layOut();
  void props.neck.telling.tell(`${dog.value.name} is dressed.`, putOn(dog.value.id, dressed.value, offNow.value, state.value ?? 'worked'));
}
const takeAllOff = () =>
  props.neck.telling.tell(
    `Everything is off ${dog.value.name}.`,
    onNow.value.map((item) => ({ event: 'taken-off' as const, dogId: dog.value.id, collarId: item.fit!.plan.inputs.collar.id })),
  );

const relay = (stack: StackEntry[]) => props.neck.dressing.change({ ...props.neck.dressing.current.value, stack });
function moveOnMap(id: string, to: number) {
  const lying = dressed.value.items.filter(({ widthMm }) => widthMm > 0);
  const moved = lying.find((item) => item.id === id)!;
  const rest = lying.filter((item) => item !== moved);
  const behind = dressed.value.items.filter(({ widthMm }) => widthMm === 0);
  relay([...rest.slice(0, to), moved, ...rest.slice(to), ...behind].map(({ entry }) => entry));
}
const putInOrder = () => relay(rightOrder(dressed.value.items).map(({ entry }) => entry));
const wrongOrder = computed(() => dressed.value.stack.reasons.some(isWrongOrder));
const asksLength = computed(() => dressed.value.stack.reasons.some(({ code }) => code === 'length-unknown'));
const reasons = computed(() => dressed.value.stack.reasons.map((reason) => wordReason(STACK_REASON_WORDS, reason, units.speak)));
const cautions = computed(() => [...new Set(dressed.value.items.flatMap((item) => cautionOf(item) ?? []))]);
const ring = computed(() => dressed.value.ring?.ring ?? null);
const leaf = ref<'why' | 'watched' | 'ring'>('why');
const leaves = computed((): Leaf<'why' | 'watched' | 'ring'>[] => [
  { id: 'why', name: 'Why' },
  ...(dressed.value.items.some(({ fit }) => fit) ? [{ id: 'watched' as const, name: 'Watched' }] : []),
  ...(dressed.value.ring ? [{ id: 'ring' as const, name: 'Ring and side' }] : []),
]);
const otherRing = computed(() => (ring.value === 'live' ? 'both' : 'live'));
</script>

<template>
  <WorkScreen drawing="The neck" style="--drawing-column: 35rem">
    <template #decision>
      <VerdictMark :tone="said.tone" :word="MARKS[said.tone]" />
      <h1 class="mt-1">{{ said.sentence }}</h1>
    </template>
    <template #drawing>
      <UnrolledNeck v-if="tape" :tape="tape" :name="dog.name" :breed="dog.breed" :collars="lying.collars" :bands="lying.bands" size="large">
        <template #over="{ neck: map, text }">
          <StackOverlay :dressed="dressed" :map="map" :text="text" :collars="lying.collars" />
          <StackHandles :bands="lying.places" :half-mm="map.widthMm / 2" :text="text" @move="moveOnMap" />
        </template>
      </UnrolledNeck>
      <p v-else class="py-10 text-center text-soft">The neck is drawn here, to scale, once the high girth is taped.</p>
    </template>
    <section class="sheet" aria-label="From the ears down">
      <h2>From the ears down</h2>
      <StackList class="mt-1" :neck="neck" :state="state ?? 'worked'" @relay="relay" />
    </section>
    <WorkLeaves v-if="dressed.items.length > 0" v-model="leaf" :leaves="leaves" label="What belongs to it">
      <template #why>
        <ReasonList class="text-[0.95rem]" :reasons="reasons" />
        <RouterLink v-if="asksLength" :to="`/dogs/${neck.dogId}/tape?site=neck-length`" class="press press-plain mt-2">Tape neck length</RouterLink>
      </template>
      <template #watched>
        <ChoiceRow v-model="state" :label="onNow.length > 0 ? 'How is it watched now?' : 'How will it be watched?'" :answers="STATE_ANSWERS" quiet />
        <p v-if="state" class="mt-1 text-sm text-soft">{{ WEAR_STATE_WORDS[state].says }}</p>
        <p v-for="caution in cautions" :key="caution" class="mt-2 text-sm text-soft">{{ caution }}</p>
      </template>
      <template #ring>
        <div v-if="dressed.ring" class="grid grid-cols-[8.5rem_minmax(0,1fr)] items-start gap-4">
          <SideDrawing :ring="dressed.ring" :name="dog.name" :works-on="dog.worksOn" />
          <div class="space-y-1.5">
            <p class="font-semibold">
              <template v-if="ring">{{ ring === 'live' ? 'Live ring' : 'Both rings' }}, </template>at {{ clockWords(dressed.ring.clock) }}.
            </p>
            <p v-if="dressed.ring.travelMm !== null">Travel: the leash hand moves up to {{ units.gap(dressed.ring.travelMm) }} before it closes.</p>
            <p v-for="line in dressed.ring.see" :key="line" class="text-[0.95rem]">{{ line }}</p>
            <LetterDrawing v-if="dressed.ring.letter" :works-on="dog.worksOn" class="max-w-32" />
            <p v-if="ring" class="text-sm text-soft">
              School {{ schoolName('ringSchool', otherRing) }}: {{ schoolSays('ringSchool', otherRing, dressed.house.rules, units.speak) }}
            </p>
            <RouterLink v-if="ring" :to="`/dogs/${dog.id}/bench/${dressed.leads}`" class="text-sm underline">Change ring or place at the bench</RouterLink>
          </div>
        </div>
      </template>
    </WorkLeaves>
    <template #action>
      <ActionBar>
        <SaidBar :telling="neck.telling" />
        <div class="flex flex-wrap items-center gap-3">
          <RouterLink v-if="dressed.items.length === 0" :to="`/dogs/${dog.id}/bench`" class="press press-main">To the bench</RouterLink>
          <button v-else-if="wrongOrder" type="button" class="press press-main" @click="putInOrder">Fix order</button>
          <template v-if="offNow.length > 0">
            <button type="button" class="press" :class="wrongOrder ? 'press-plain' : 'press-main'" @click="putAllOn">
              {{ onNow.length === 0 ? 'Put all on' : 'Put rest on' }}
            </button>
            <button type="button" class="text-sm text-soft underline" @click="leaf = 'watched'">Will be {{ WEAR_STATE_WORDS[state ?? 'worked'].name }}</button>
          </template>
          <template v-if="onNow.length > 0 && offNow.length === 0 && !wrongOrder">
            <button v-if="isLoose" type="button" class="press press-main" @click="layOut">It lies like this</button>
            <RouterLink v-else :to="`/dogs/${dog.id}/door`" class="press press-main">To the door</RouterLink>
          </template>
          <button v-if="onNow.length > 0" type="button" class="press press-plain" @click="takeAllOff">Take all off</button>
        </div>
      </ActionBar>
    </template>
  </WorkScreen>
</template>
