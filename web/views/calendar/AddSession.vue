<script setup lang="ts">
/** One session by hand, for a dog in no programme or out of turn: tried first, like everything else. */
import { GRID_MINUTES } from '@banter/core';
import { computed, ref } from 'vue';
import { useDogsFound } from '../../parts/dogs-found.ts';
import type { CalendarBoard } from './calendar-board.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ board: CalendarBoard; today: string }>();
const emit = defineEmits<{ done: []; dog: [id: string] }>();
const board = props.board;
const page = computed(() => board.live.value);
const { dogId, handId, day, time, minutes } = useTyped('session-to-plan', {
  dogId: '',
  handId: board.hands.value[0]?.id ?? '',
  day: props.today,
  time: '10:00',
  minutes: 15,
});
// A hand that was chosen before may not be among those shown now.
if (!board.hands.value.some(({ id }) => id === handId.value)) handId.value = board.hands.value[0]?.id ?? '';
/** A dog that is not on offer: found by its name, and brought with what is planned of it. */
const name = ref('');
const found = useDogsFound(() => name.value);
function bring(id: string) {
  emit('dog', id);
  dogId.value = id;
  name.value = '';
}
// One that was being planned before a reload, and is not on offer, is brought again.
if (dogId.value !== '' && !page.value.dogs.some(({ id }) => id === dogId.value)) emit('dog', dogId.value);
const stages = computed(() => board.programmes.value.filter(({ programme }) => programme.dogId === dogId.value));
function tryIt() {
  const [hour, minute] = time.value.split(':').map(Number) as [number, number];
  const of = stages.value[0];
  const from = Math.round((hour * 60 + minute) / GRID_MINUTES) * GRID_MINUTES;
  const wishId = of ? `${of.programme.id} ${of.programme.stage.id}` : ' ';
  const one = {
    id: '',
    wishId,
    dogId: dogId.value,
    handId: handId.value,
    day: board.days.value.indexOf(day.value),
    from,
    minutes: minutes.value,
    aroundMinutes: 0,
  };
  board.tryPlan(`${board.dogName(dogId.value)} at ${time.value} planned`, [one], new Set(), []);
  board.selected.value = board.trial.value!.sessions.at(-1)!.id;
}
async function keep() {
  if (await board.keepTrial()) emit('done');
}
function leave() {
  board.giveUp();
  emit('done');
}
</script>

<template>
  <form class="sheet" aria-labelledby="add-session" @submit.prevent="board.trial.value ? keep() : tryIt()">
    <h2 id="add-session">One session</h2>
    <div class="mt-2 grid gap-3 sm:grid-cols-5">
      <label>
        <span class="text-sm font-semibold">Dog</span>
        <select v-model="dogId" class="field" required @change="board.giveUp()">
          <option value="" disabled>Choose</option>
          <option v-for="dog in page.dogs" :key="dog.id" :value="dog.id">{{ dog.name }}</option>
        </select>
      </label>
      <label>
        <span class="text-sm font-semibold">With</span>
        <select v-model="handId" class="field" required @change="board.giveUp()">
          <option v-for="person in board.hands.value" :key="person.id" :value="person.id">{{ person.name }}</option>
        </select>
      </label>
      <label>
        <span class="text-sm font-semibold">Day</span>
        <input v-model="day" type="date" class="field" :min="today" :max="board.days.value.at(-1)" required @change="board.giveUp()" />
      </label>
      <label>
        <span class="text-sm font-semibold">At</span>
        <input v-model="time" type="time" step="900" class="field" required @change="board.giveUp()" />
      </label>
      <label>
        <span class="text-sm font-semibold">Minutes</span>
        <input v-model.number="minutes" type="number" min="1" max="240" class="field" required @change="board.giveUp()" />
      </label>
    </div>
    <div v-if="page.moreDogs > 0" class="mt-2 flex flex-wrap items-end gap-2">
      <label class="w-56">
        <span class="text-sm font-semibold">Another dog, by name</span>
        <input v-model="name" type="search" class="field" autocomplete="off" />
      </label>
      <button v-for="dog in found" :key="dog.id" type="button" class="press press-plain" @click="bring(dog.id)">{{ dog.name }}</button>
    </div>
    <p v-if="stages[0]" class="mt-2 text-sm text-soft">
      For <span class="font-semibold">{{ stages[0].programme.stage.name }}</span> of {{ stages[0].programme.name }}.
    </p>
    <div class="mt-3 flex gap-2">
      <button type="submit" class="press press-main" :disabled="dogId === '' || board.cannot.value.length > 0">
        {{ board.trial.value ? 'Save' : 'Try it' }}
      </button>
      <button type="button" class="press press-quiet" @click="leave">{{ board.trial.value ? 'Cancel' : 'Close' }}</button>
    </div>
  </form>
</template>
