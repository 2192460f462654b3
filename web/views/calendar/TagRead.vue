<script setup lang="ts">
/** What a chosen session is, what speaks against where it lies, and every way to move it without a mouse. */
import { contractSpeaker, GRID_MINUTES, isHardFault, SESSION_FAULT_WORDS, timeOfDay, wordReason } from '@banter/core';
import { DateTime } from 'luxon';
import { computed } from 'vue';
import type { CalendarBoard } from './calendar-board.ts';

const props = defineProps<{ board: CalendarBoard; past: boolean }>();
const emit = defineEmits<{ close: [] }>();
const board = props.board;
const one = computed(() => board.shown.value.find(({ id }) => id === board.selected.value) ?? null);
const was = computed(() => (one.value ? (board.byId.value.get(one.value.id) ?? null) : null));
const dayWords = (day: number) => DateTime.fromISO(board.days.value[day]!).toFormat('ccc d LLL');
/** Who can be given it: who has left only as long as it is theirs. */
const mayHandle = computed(() => board.live.value.people.filter(({ id, left }) => !left || id === one.value?.handId));
const handName = (id: string) => board.live.value.people.find((person) => person.id === id)?.name ?? '';
const faults = computed(() => (one.value ? board.faultsOf(one.value) : []));
const held = computed(() => (one.value ? board.heldBy.value.get(one.value.id) : undefined));
const others = computed(() => {
  const { value } = board.trial;
  if (!value || !value.held) return [];
  return value.sessions
    .filter(({ id }) => id !== value.held && value.changed.has(id))
    .map((other) => `${board.dogName(other.dogId)} to ${timeOfDay(other.from)}${other.day === one.value?.day ? '' : ` on ${dayWords(other.day)}`}`);
});
const stuck = computed(() => (board.trial.value?.stuck ?? []).map((id) => board.dogName(board.byId.value.get(id)!.dogId)));
const moving = computed(() => board.trial.value?.held === one.value?.id);
const shift = (to: { day?: number; from?: number; handId?: string }) => one.value && board.tryMove(one.value.id, to);
</script>

<template>
  <section
    v-if="one"
    class="no-print sticky bottom-[var(--strip,0px)] z-20 -mx-4 border-t-4 bg-raised px-4 py-3 shadow-[0_-6px_18px_rgb(0_0_0/0.12)] sm:mx-0 sm:rounded-t-lg"
    :class="moving ? 'border-tape' : 'border-deep'"
    aria-label="The chosen session"
  >
    <div class="flex flex-wrap items-start gap-x-6 gap-y-2">
      <div class="min-w-64 grow" aria-live="polite">
        <p class="text-lg leading-tight">
          <strong>{{ board.dogName(one.dogId) }}</strong>{{ board.stageName(one) ? `, ${board.stageName(one)}` : '' }}
        </p>
        <p>
          {{ dayWords(one.day) }}, {{ timeOfDay(one.from) }} to {{ timeOfDay(one.from + one.minutes) }} with {{ handName(one.handId)
          }}<template v-if="one.aroundMinutes > 0">; collars on {{ one.aroundMinutes }} minutes before and after</template>.
          <span v-if="moving && was" class="text-soft">It was {{ DateTime.fromISO(was.day).toFormat('ccc d LLL') }}, {{ timeOfDay(was.from) }}.</span>
        </p>
        <p v-if="held" class="text-good">Held, says the field log.</p>
        <p v-else-if="past" class="text-soft">Not logged.</p>
        <ul v-else-if="faults.length > 0">
          <li v-for="fault in faults" :key="fault.code" class="font-semibold" :class="isHardFault(fault) ? 'text-stop' : 'text-mind'">
            {{ wordReason(SESSION_FAULT_WORDS, fault, contractSpeaker).text }}
          </li>
        </ul>
        <p v-if="others.length > 0" class="text-mind">Makes way: {{ others.join(', ') }}.</p>
        <p v-if="stuck.length > 0" class="font-semibold text-stop">No room is left for {{ stuck.join(', ') }}.</p>
      </div>
      <div v-if="!past && !held" class="grid grow grid-cols-2 items-center gap-1.5 sm:flex sm:grow-0">
        <button type="button" class="press press-plain px-3!" @click="shift({ from: one.from - GRID_MINUTES })">Earlier</button>
        <button type="button" class="press press-plain px-3!" @click="shift({ from: one.from + GRID_MINUTES })">Later</button>
        <button type="button" class="press press-plain px-3!" @click="shift({ day: one.day - 1 })">Day before</button>
        <button type="button" class="press press-plain px-3!" @click="shift({ day: one.day + 1 })">Day after</button>
        <label class="col-span-2">
          <span class="sr-only">With</span>
          <select class="field sm:w-auto!" :value="one.handId" @change="shift({ handId: ($event.target as HTMLSelectElement).value })">
            <option v-for="person in mayHandle" :key="person.id" :value="person.id">with {{ person.name }}{{ person.left ? ', left' : '' }}</option>
          </select>
        </label>
      </div>
      <div class="flex flex-wrap items-center gap-1.5">
        <template v-if="moving">
          <button
            type="button"
            class="press press-main"
            :disabled="board.cannot.value.length > 0 || stuck.length > 0 || board.keeping.state.value === 'sending'"
            @click="board.keepTrial()"
          >
            Save there
          </button>
          <button type="button" class="press press-quiet" @click="board.giveUp()">Cancel</button>
        </template>
        <template v-else>
          <RouterLink v-if="!past && !held" class="press press-main" :to="{ path: '/field', query: { dog: one.dogId, hand: one.handId } }">Log it</RouterLink>
          <button
            v-if="!past && !held"
            type="button"
            class="press press-quiet"
            @click="board.drop([one.id], `${board.dogName(one.dogId)} at ${timeOfDay(one.from)} dropped`)"
          >
            Drop it
          </button>
          <button type="button" class="press press-quiet" @click="emit('close')">Close</button>
        </template>
      </div>
    </div>
  </section>
</template>
