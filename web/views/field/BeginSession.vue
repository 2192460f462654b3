<script setup lang="ts">
/** Who works, where, and who handles: three taps and it runs. What was chosen last is chosen again. */
import { FieldDogsFound, type FieldDog, type FieldSession } from '@banter/contract';
import { askWhetherEnded, houseRules, type SessionPurpose } from '@banter/core';
import { z } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { refDebounced } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
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
const setting = computed(() => (page.value.settings.some(({ id }) => id === last.value.setting) ? last.value.setting : page.value.settings[0]!.id));
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
function choose(one: FieldDog) {
  void log.want(one);
  last.value = { ...last.value, dogId: one.id };
  search.value = '';
}

function begin() {
  if (!dog.value) return;
  const sessionId = uuidv7();
  log.tell(sessionId, { event: 'begin', dogId: dog.value.id, setting: setting.value, handlerId: handlerId.value, purpose: purpose.value });
  emit('enter', sessionId);
}
function follow(one: FieldSession) {
  log.follow(one);
  emit('enter', one.id);
}
</script>

<template>
  <div class="max-w-[44rem]">
    <h1>Who works?</h1>

    <ul v-if="running.length > 0 || log.openElsewhere.length > 0" class="mt-4 grid gap-2" aria-label="Sessions that run">
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
      <li v-for="one in log.openElsewhere" :key="one.id" class="sheet flex flex-wrap items-center gap-x-4 gap-y-2 py-3!">
        <p class="grow">
          <span class="font-semibold">{{ log.dogOf(one.dogId)?.name }}</span> since {{ clock(Date.parse(one.begunAt)) }}, by {{ one.handlerName }}
          <span class="block text-sm text-soft">Begun on another phone.</span>
        </p>
        <button type="button" class="press press-plain" @click="follow(one)">Log on it, too</button>
      </li>
    </ul>

    <p v-if="page.dogs.length === 0 && page.here === 0" class="mt-4">No dog is here yet. <RouterLink to="/dogs/new" class="underline">Add one</RouterLink></p>
    <template v-else>
      <fieldset class="mt-5">
        <legend class="font-semibold">Dog</legend>
        <label v-if="page.here > page.dogs.length || search" class="mt-1.5 block">
          <span class="sr-only">Find a dog by its name</span>
          <input
            v-model="search"
            type="search"
            class="field min-h-14"
            :placeholder="`Name of any of ${page.here} dogs`"
            @keydown.enter.prevent="shown[0] && choose(shown[0])"
          />
        </label>
        <p v-if="notFound" role="status" class="mt-1.5 text-soft">{{ notFound }}</p>
        <div class="mt-1.5 grid grid-cols-2 gap-2 sm:grid-cols-3">
          <button
            v-for="one in shown"
            :key="one.id"
            type="button"
            class="min-h-14 rounded-[0.3rem] border-[1.5px] px-3 py-1.5 text-left leading-tight"
            :class="one.id === dog?.id ? 'border-deep bg-deep text-on-deep' : 'border-line bg-raised'"
            :aria-pressed="one.id === dog?.id"
            @click="choose(one)"
          >
            <span class="font-display text-lg font-semibold">{{ one.name }}</span>
            <span class="block truncate text-sm" :class="one.id === dog?.id ? '' : 'text-soft'">{{
              one.devices.length > 0 ? `with ${one.devices[0]!.name}` : one.breed
            }}</span>
          </button>
        </div>
      </fieldset>
      <ChoiceRow
        class="mt-5"
        label="Where"
        :model-value="setting"
        :answers="page.settings.map(({ id, name }) => ({ value: id, label: name }))"
        @update:model-value="(value) => value && (last = { ...last, setting: value })"
      />
      <ChoiceRow
        v-if="page.handlers.length > 1"
        class="mt-5"
        label="Who handles"
        :model-value="handlerId"
        :answers="page.handlers.map(({ id, name }) => ({ value: id, label: name }))"
        @update:model-value="(value) => value && (last = { ...last, handlerId: value })"
      />
      <ChoiceRow
        v-if="dog && dog.devices.length > 0"
        class="mt-5"
        label="What for"
        :model-value="purpose"
        :answers="[
          { value: 'work', label: 'Work' },
          { value: 'finding', label: 'Find the level it notices' },
        ]"
        @update:model-value="(value) => value && (last = { ...last, purpose: value as SessionPurpose })"
      />
      <button type="button" class="press press-main mt-6 min-h-16 w-full text-lg sm:w-auto sm:px-10" :disabled="!dog" @click="begin">
        {{ dog ? `Begin with ${dog.name}` : 'Choose a dog' }}
      </button>
    </template>
  </div>
</template>
