<script setup lang="ts">
/** Where the contacts of an electronic collar sit, have been, and go next; moved with one tap; its routine and its stand-in. */
import { momentOn, type DressedContacts } from '@banter/contract';
import { clockWords, countOf, listWords, ROTATION_REASON_WORDS, schoolName, schoolSays, small, speakHours, unstopped, wordReason } from '@banter/core';
import { computed, ref } from 'vue';
import ContactClock from '../../neck/ContactClock.vue';
import ReasonList from '../../parts/ReasonList.vue';
import SaidBar from '../../parts/SaidBar.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import type { VerdictTone } from '../../parts/verdict.ts';
import type { NeckOnScreen } from '../../stores/neck.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';
import ActionBar from '../../work/ActionBar.vue';
import WorkLeaves from '../../work/WorkLeaves.vue';
import WorkScreen from '../../work/WorkScreen.vue';
import RoutineCard from './RoutineCard.vue';
import StandInPanel from './StandInPanel.vue';

const props = defineProps<{ neck: NeckOnScreen }>();
const session = useSession();
const units = useUnits();
const WARM_DAYS = 3;
const dog = computed(() => props.neck.page.dog);
const zone = computed(() => session.kennel!.timeZone);

function decision({ at, rotation, wear }: DressedContacts): { tone: VerdictTone; sentence: string } {
  const now = props.neck.now;
  const off = rotation.reasons.find(({ code }) => code === 'skin-off');
  if (off) return { tone: 'stop', sentence: wear ? 'Take it off, and ask a vet about the skin.' : 'It stays off: ask a vet about the skin.' };
  if (!wear)
    return rotation.next === null
      ? { tone: 'stop', sentence: 'It stays off: no place is free on this neck.' }
      : { tone: 'open', sentence: `It is off. Next it goes on at ${clockWords(rotation.next)}.` };
  if (at === null) return { tone: 'mind', sentence: 'It is on; tap the place where it sits.' };
  const over = rotation.moveBy !== null && rotation.moveBy <= now;
  const wrong = over || rotation.presentBar !== null;
  if (rotation.capacityHours <= 0 && rotation.wornHours > 0)
    return { tone: 'stop', sentence: `Take it off: worn ${speakHours(rotation.wornHours)} in the last 24 h.` };
  if (rotation.next === null)
    return wrong
      ? { tone: 'stop', sentence: `Take it off: ${clockWords(at)} must rest, and no other place is free.` }
      : { tone: 'good', sentence: `At ${clockWords(at)} until ${momentOn(rotation.moveBy!, now, zone.value)}; then it comes off.` };
  if (wrong) return { tone: 'stop', sentence: `Move it to ${clockWords(rotation.next)} now.` };
  return { tone: 'good', sentence: `At ${clockWords(at)}. Move it to ${clockWords(rotation.next)} by ${momentOn(rotation.moveBy!, now, zone.value)}.` };
}
const MARKS = { good: 'Good', mind: 'Due', stop: 'Now', open: 'Off' };
const shown = computed(() => props.neck.dressed.contacts.map((contacts) => ({ contacts, ...decision(contacts) })));
function place({ fit, wear }: DressedContacts, clock: number) {
  const { id, name } = fit.plan.inputs.collar;
  const where = { dogId: dog.value.id, collarId: id, clock };
  void props.neck.telling.tell(
    wear ? `${name} was moved to ${clockWords(clock)}.` : `${name} is on at ${clockWords(clock)}.`,
    wear ? [{ event: 'moved', ...where }] : [{ event: 'put-on', ...where, state: 'worked' }],
  );
}
function takeOff({ fit }: DressedContacts) {
  const { id, name } = fit.plan.inputs.collar;
  void props.neck.telling.tell(`${name} is off.`, [{ event: 'taken-off', dogId: dog.value.id, collarId: id }]);
}
/** What the other school of placement would say, and why they differ. */
function otherSays({ rotation, other }: DressedContacts): string {
  const allowed = (one: DressedContacts['rotation']) => one.places.filter((place) => place.allowed).map(({ clock }) => clock);
  const [own, theirs] = [allowed(rotation), allowed(other.rotation)];
  const more = theirs.filter((clock) => !own.includes(clock));
  const less = own.filter((clock) => !theirs.includes(clock));
  const name = schoolName('placementSchool', other.school);
  const says = schoolSays('placementSchool', other.school, props.neck.dressed.house.rules, units.speak);
  const differ =
    more.length > 0
      ? `would allow ${listWords(more.map(String))} besides`
      : less.length > 0
        ? `would not allow ${listWords(less.map(String))}`
        : 'would allow the same places here';
  const next =
    other.rotation.next === rotation.next ? '' : other.rotation.next === null ? '; it would find no place' : `; next would be ${other.rotation.next}`;
  return `The other school, ${name} (${small(unstopped(says))}), ${differ}${next}.`;
}
const LEAVES = [
  { id: 'routine', name: 'Routine' },
  { id: 'why', name: 'Why' },
  { id: 'device', name: 'Try without it' },
] as const;
const leaf = ref<(typeof LEAVES)[number]['id']>('routine');
const words = ({ rotation }: DressedContacts) => rotation.reasons.map((reason) => wordReason(ROTATION_REASON_WORDS, reason, units.speak));
</script>

<template>
  <div v-if="shown.length === 0">
    <VerdictMark tone="open" word="Nothing with contacts" />
    <h1 class="mt-1">No electronic collar is fitted on {{ dog.name }}.</h1>
    <p class="mt-2 text-lg">Where its contacts go, for how long and where next stands here once one is decided at the bench.</p>
    <RouterLink :to="`/dogs/${dog.id}/bench/remote`" class="press press-plain mt-3">To the bench</RouterLink>
  </div>
  <div v-else class="space-y-8">
    <WorkScreen v-for="{ contacts, tone, sentence } in shown" :key="contacts.fit.plan.id" drawing="The clock of the neck">
      <template #decision>
        <VerdictMark :tone="tone" :word="`${contacts.fit.plan.inputs.collar.name}: ${MARKS[tone].toLowerCase()}`" />
        <h1 class="mt-1">{{ sentence }}</h1>
      </template>
      <template #drawing>
        <ContactClock
          :contacts="contacts"
          :flags="neck.dressed.skin.flags"
          :now="neck.now"
          :days="WARM_DAYS"
          :verb="contacts.wear ? 'Moved to' : 'Put on at'"
          @place="(clock) => place(contacts, clock)"
        />
      </template>
      <p>
        <strong class="font-display text-2xl">{{ speakHours(contacts.rotation.capacityHours) }}</strong>
        of wear left today on {{ countOf(contacts.rotation.distinct.length, 'place') }}. Tap another place that is allowed; never on the windpipe, 5 to 7.
      </p>
      <WorkLeaves v-model="leaf" :leaves="LEAVES" label="What belongs to it">
        <template #routine><RoutineCard :contacts="contacts" :telling="neck.telling" :now="neck.now" /></template>
        <template #why>
          <ReasonList :reasons="words(contacts)" />
          <p class="mt-2 text-sm text-soft">{{ otherSays(contacts) }}</p>
        </template>
        <template #device>
          <StandInPanel :contacts="contacts" :dressed="neck.dressed" :telling="neck.telling" :now="neck.now" />
        </template>
      </WorkLeaves>
      <template #action>
        <ActionBar>
          <SaidBar :telling="neck.telling" />
          <div class="flex flex-wrap items-center gap-3">
            <button v-if="contacts.rotation.next !== null" type="button" class="press press-main" @click="place(contacts, contacts.rotation.next)">
              {{ contacts.wear ? 'Moved to' : 'Put on at' }} {{ contacts.rotation.next }}
            </button>
            <button v-if="contacts.wear" type="button" class="press press-plain" @click="takeOff(contacts)">Off</button>
            <RouterLink v-if="contacts.wear" :to="`/dogs/${neck.dogId}/door`" class="press press-quiet">To the door</RouterLink>
          </div>
        </ActionBar>
      </template>
    </WorkScreen>
  </div>
</template>
