<script setup lang="ts">
/** Who works, where, and who handles: three taps and it runs. What was chosen last is chosen again. */
import { FieldDogsFound, type FieldDog, type FieldSession } from '@banter/contract';
import { askWhetherEnded, houseRules, leashSideOf, levelWords, type SessionPurpose } from '@banter/core';
import { z } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { refDebounced } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import SideDrawing from '../../neck/SideDrawing.vue';
import { OFFERED_WORDS } from '../../parts/level-standing-words.ts';
import ActionBar from '../../work/ActionBar.vue';
import LevelLine from './LevelLine.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { failureSentence } from '../../api/failure.ts';
import { send } from '../../api/request.ts';
import { useFieldLog } from '../../stores/field-log.ts';
import { useNow } from '../../stores/now.ts';
import { useSession } from '../../stores/session.ts';
import { stored } from '../../stores/stored.ts';

const emit = defineEmits<{ enter: [sessionId: string] }>();
const log = useFieldLog();
const session = useSession();
const { now } = useNow();
const page = computed(() => log.page!);
const last = stored(
  `banter.field-last.${session.kennel!.id}`,
  z.object({ dogId: z.string().nullable(), setting: z.string(), handlerId: z.string().nullable(), purpose: z.enum(['work', 'finding']) }),
  { dogId: null, setting: 'home', handlerId: null, purpose: 'work' },
);
// Come from the calendar: whom and with whom is known.
const route = useRoute();
if (typeof route.query.dog === 'string') last.value.dogId = route.query.dog;
if (last.value.dogId !== null) void log.want(last.value.dogId);
if (typeof route.query.hand === 'string') last.value.handlerId = route.query.hand;
const dog = computed(() => log.dogOf(last.value.dogId));
const handlerId = computed(() => {
  const me = session.me?.person.id;
  const known = (id: string | null | undefined) => page.value.handlers.find((one) => one.id === id)?.id ?? null;
  return known(last.value.handlerId) ?? known(me) ?? page.value.handlers[0]!.id;
});
/** Where it is worked: as was chosen here and now, else where this dog worked last, on this phone or by the kennel, else where this phone did. */
const picked = ref<string | null>(null);
const setting = computed(() => {
  const onPhone = log.sessions.find(({ dogId }) => dogId === dog.value?.id)?.settings.at(-1);
  const all = page.value.settings.map(({ id }) => id);
  const inKennel = dog.value ? page.value.lastSettings[dog.value.id] : undefined;
  return [picked.value, onPhone, inKennel, last.value.setting].find((one): one is string => one != null && all.includes(one)) ?? all[0]!;
});
function work(at: string) {
  picked.value = at;
  last.value = { ...last.value, setting: at };
}
const purpose = computed<SessionPurpose>(() => (dog.value?.devices.length ? last.value.purpose : 'work'));
const rules = computed(() => houseRules(session.kennel!.rules));

const clock = (at: number) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit', timeZone: session.kennel!.timeZone }).format(at);
const running = computed(() => log.sessions.filter(({ endedAt }) => endedAt === null));

/** In a large kennel the others are found by their names: among those on this phone at once, among all with a connection. */
const search = ref('');
const searched = refDebounced(search, 200);
const elsewhere = shallowRef<readonly FieldDog[]>([]);
const notFound = ref('');
const wanted = computed(() => search.value.trim().toLowerCase());
const shown = computed((): readonly FieldDog[] => {
  if (wanted.value === '') return page.value.dogs;
  const here = page.value.dogs.filter(({ name }) => name.toLowerCase().includes(wanted.value));
  return [...here, ...elsewhere.value.filter(({ id }) => !here.some((one) => one.id === id))];
});
watch(searched, async (text) => {
  elsewhere.value = [];
  notFound.value = '';
  if (text.trim() === '') return;
  try {
    const { dogs } = await send('GET', `/api/field/dogs?search=${encodeURIComponent(text.trim())}`, FieldDogsFound);
    if (searched.value !== text) return;
    elsewhere.value = dogs;
    notFound.value = shown.value.length === 0 ? `No dog here is called «${text.trim()}».` : '';
  } catch (failure) {
    if (searched.value === text) notFound.value = failureSentence(failure);
  }
});
/** Under one hand: those of today and that worked last, the chosen one among them; all of them by a press. */
const OFFERED = 6;
const all = ref(false);
const offered = computed(() => {
  if (all.value || shown.value.length <= OFFERED) return shown.value;
  const first = shown.value.slice(0, OFFERED);
  return dog.value && shown.value.includes(dog.value) && !first.includes(dog.value) ? [dog.value, ...first.slice(1)] : first;
});

/** What is known of the chosen dog here: what it needs on its device, else on which side it works. */
const device = computed(() => dog.value?.devices[0] ?? null);
const needs = computed(() => {
  const known = device.value?.levels[setting.value]?.offered ?? null;
  return known && { level: known.level, words: OFFERED_WORDS[known.how] };
});
const pictured = computed(() => {
  if (!device.value) return [`Works on your ${dog.value!.worksOn}.`, dog.value!.heelLine && `Heel line: ${dog.value!.heelLine}.`].filter(Boolean).join(' ');
  const known = needs.value === null ? 'no level known here' : `${needs.value.words} ${levelWords(needs.value.level)} here`;
  return `${device.value.name}: ${known}.`;
});
const besides = computed(() => ({ clock: 12, leashSide: leashSideOf(dog.value!.worksOn) }));

function choose(one: FieldDog) {
  void log.want(one);
  last.value = { ...last.value, dogId: one.id };
  search.value = '';
}

function begin() {
  if (!dog.value) return;
  // One session of a dog runs at a time on a phone: it goes on.
  const runs = running.value.find(({ dogId }) => dogId === dog.value!.id);
  if (runs) return emit('enter', runs.sessionId);
  const sessionId = uuidv7();
  log.tell(sessionId, { event: 'begin', dogId: dog.value.id, setting: setting.value, handlerId: handlerId.value, purpose: purpose.value });
  emit('enter', sessionId);
}
// Come from Today, from the door or from what is on a dog: it runs with that press, as was planned or as the last one.
if (route.query.begin === '1') watch(dog, (known) => known && begin(), { immediate: true });
function follow(one: FieldSession) {
  log.follow(one);
  emit('enter', one.id);
}
</script>

<template>
  <div>
    <h1>Who works?</h1>

    <ul v-if="running.length > 0" class="mt-3 grid gap-2" aria-label="Sessions that run">
      <li v-for="one in running" :key="one.sessionId" class="sheet flex flex-wrap items-center gap-x-4 gap-y-2 py-3!">
        <p class="grow">
          <span class="font-semibold">{{ log.dogOf(one.dogId)?.name }}</span> since {{ clock(one.begunAt) }}
          <span v-if="askWhetherEnded(one, now, rules)" class="block text-mind">Nothing since {{ clock(one.lastAt) }}: is it over?</span>
        </p>
        <button
          v-if="askWhetherEnded(one, now, rules)"
          type="button"
          class="press press-plain"
          @click="log.tell(one.sessionId, { event: 'end' }, { at: one.lastAt })"
        >
          It ended then
        </button>
        <button type="button" class="press press-main" @click="emit('enter', one.sessionId)">Go on</button>
      </li>
    </ul>

    <p v-if="page.dogs.length === 0 && page.here === 0" class="mt-4">No dog is here yet. <RouterLink to="/dogs/new" class="underline">Add one</RouterLink></p>
    <div v-else class="mt-3 gap-x-6 lg:grid lg:grid-cols-2">
      <fieldset>
        <legend class="sr-only">Dog</legend>
        <label v-if="page.here > OFFERED || search" class="block">
          <span class="sr-only">Find a dog by its name</span>
          <input
            v-model="search"
            type="search"
            class="field min-h-12"
            :placeholder="`Name of any of ${page.here} dogs`"
            @keydown.enter.prevent="shown[0] && choose(shown[0])"
          />
        </label>
        <p v-if="notFound" role="status" class="mt-1.5 text-soft">{{ notFound }}</p>
        <div class="mt-1.5 grid grid-cols-3 gap-1.5 sm:gap-2">
          <button
            v-for="one in offered"
            :key="one.id"
            type="button"
            class="min-h-13 min-w-0 rounded-[0.3rem] border-[1.5px] px-2 py-1 text-left leading-tight sm:px-3"
            :class="one.id === dog?.id ? 'border-deep bg-deep text-on-deep' : 'border-line bg-raised'"
            :aria-pressed="one.id === dog?.id"
            @click="choose(one)"
          >
            <span class="block truncate font-display text-lg font-semibold">{{ one.name }}</span>
            <span class="block truncate text-sm" :class="one.id === dog?.id ? '' : 'text-soft'">{{
              one.devices.length > 0 ? `with ${one.devices[0]!.name}` : one.breed
            }}</span>
          </button>
        </div>
        <button v-if="shown.length > offered.length" type="button" class="press press-quiet" @click="all = true">All {{ shown.length }} dogs</button>
      </fieldset>
      <div class="space-y-3">
        <div v-if="dog" class="work-drawing sheet p-3! max-lg:mt-2" style="--beside-drawing: 38rem; --beside-drawing-desk: 34rem">
          <p class="text-sm">{{ pictured }}</p>
          <LevelLine v-if="device" class="mt-1" :scale="device.scale" :at="null" :needs="needs" :cap="device.cap" :ceiling="device.ceiling" />
          <SideDrawing v-else class="mx-auto" :ring="besides" :name="dog.name" :works-on="dog.worksOn" />
        </div>
        <ChoiceRow
          label="Where"
          :model-value="setting"
          :answers="page.settings.map(({ id, name }) => ({ value: id, label: name }))"
          @update:model-value="(value) => value && work(value)"
        />
        <ChoiceRow
          v-if="dog && dog.devices.length > 0"
          label="What for"
          beside
          :model-value="purpose"
          :answers="[
            { value: 'work', label: 'Work' },
            { value: 'finding', label: 'Find its level' },
          ]"
          @update:model-value="(value) => value && (last = { ...last, purpose: value as SessionPurpose })"
        />
        <ChoiceRow
          v-if="page.handlers.length > 1"
          label="Who handles"
          quiet
          :model-value="handlerId"
          :answers="page.handlers.map(({ id, name }) => ({ value: id, label: name }))"
          @update:model-value="(value) => value && (last = { ...last, handlerId: value })"
        />
      </div>
    </div>
    <details v-if="log.openElsewhere.length > 0" class="mt-3" :open="log.openElsewhere.length < 3">
      <summary class="min-h-11 font-semibold">Running on other phones ({{ log.openElsewhere.length }})</summary>
      <ul class="grid gap-2" aria-label="Sessions on other phones">
        <li v-for="one in log.openElsewhere" :key="one.id" class="sheet flex flex-wrap items-center gap-x-4 gap-y-2 py-3!">
          <p class="grow">
            <span class="font-semibold">{{ log.dogOf(one.dogId)?.name }}</span> since {{ clock(Date.parse(one.begunAt)) }}, by {{ one.handlerName }}
            <span class="block text-sm text-soft">Begun on another phone.</span>
          </p>
          <button type="button" class="press press-plain" @click="follow(one)">Log on it, too</button>
        </li>
      </ul>
    </details>
    <ActionBar v-if="page.dogs.length > 0 || page.here > 0">
      <button type="button" class="press press-main min-h-14 w-full text-lg sm:w-auto sm:px-10" :disabled="!dog" @click="begin">
        {{ dog ? `Begin with ${dog.name}` : 'Choose a dog' }}
      </button>
    </ActionBar>
  </div>
</template>
