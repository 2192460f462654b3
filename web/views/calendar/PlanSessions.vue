<script setup lang="ts">
/** Which programmes are planned, from when, for how long, and by whom: tried on the calendar first, with what has no room and why. */
import { stageWish, type StagePlanned } from '@banter/contract';
import { contractSpeaker, houseRules, NO_ROOM_WORDS, placeSessions, wordReason, type NoRoom } from '@banter/core';
import { DateTime } from 'luxon';
import { computed, ref } from 'vue';
import { oftenWords } from '../../parts/often-words.ts';
import { useTyped } from '../../stores/draft.ts';
import { useSession } from '../../stores/session.ts';
import type { CalendarBoard } from './calendar-board.ts';

const props = defineProps<{ board: CalendarBoard; today: string }>();
const emit = defineEmits<{ done: [] }>();
const session = useSession();
const board = props.board;
const programmes = computed(() => board.programmes.value);
const until = ({ ahead }: StagePlanned) => (ahead.length === 0 ? 'nothing planned' : `planned to ${DateTime.fromISO(ahead.at(-1)!.day).toFormat('ccc d LLL')}`);
// What has nothing ahead, or what is planned for a stage it is no longer in, is what one comes here for.
const chosen = ref(
  new Set(programmes.value.filter((one) => !one.dealt && (one.ahead.length === 0 || one.stale.length > 0)).map(({ programme }) => programme.id)),
);
const toggle = (id: string) => {
  const now = new Set(chosen.value);
  if (!now.delete(id)) now.add(id);
  chosen.value = now;
};
const { from, weeks } = useTyped('sessions-to-plan', { from: DateTime.fromISO(props.today).plus({ days: 1 }).toISODate()!, weeks: 2 });
const hands = ref(new Set(board.hands.value.map(({ id }) => id)));
const toggleHand = (id: string) => {
  const now = new Set(hands.value);
  if (!now.delete(id)) now.add(id);
  hands.value = now;
};

function plan() {
  const first = Math.max(board.days.value.indexOf(from.value), board.around.value.notBefore.day);
  const last = Math.min(board.days.value.length, first + weeks.value * 7);
  const mine = programmes.value.filter(({ programme }) => chosen.value.has(programme.id));
  const ids = new Set(mine.map(({ programme }) => programme.id));
  const dropped = new Set(
    mine
      .flatMap(({ ahead }) => ahead)
      .filter(({ day }) => day >= from.value)
      .map(({ id }) => id),
  );
  const fixed = board.placed.value.filter(({ id }) => !dropped.has(id));
  const some = hands.value.size === board.hands.value.length ? null : [...hands.value];
  const { onAroundMinutes } = houseRules(session.kennel!.rules);
  const { placed, noRoom } = placeSessions({
    ...board.around.value,
    days: board.around.value.days.slice(0, last),
    notBefore: first > board.around.value.notBefore.day ? { day: first, minute: 0 } : board.around.value.notBefore,
    wishes: mine.map((one) => {
      const begins = board.days.value.indexOf(one.programme.startsOn);
      return stageWish(one, { fromDay: Math.max(first, begins), aroundMinutes: onAroundMinutes, hands: some });
    }),
    fixed,
  });
  board.tryPlan(`${placed.length} sessions of ${ids.size === 1 ? mine[0]!.dogName : `${ids.size} programmes`} planned`, placed, dropped, noRoom);
}
const tried = computed(() => (board.trial.value && board.trial.value.held === null ? board.trial.value : null));
/** Grouped by dog and by what stood in the way: how often, and the first time in words. */
const noRoom = computed(() => {
  const groups = new Map<string, NoRoom[]>();
  for (const one of tried.value?.noRoom ?? []) groups.set(`${one.dogName} ${one.why}`, [...(groups.get(`${one.dogName} ${one.why}`) ?? []), one]);
  return [...groups.values()].map((all) => ({
    key: `${all[0]!.dogName} ${all[0]!.why}`,
    dogName: all[0]!.dogName,
    times: all.length,
    says: wordReason(NO_ROOM_WORDS, all[0]!.reason, contractSpeaker).text,
  }));
});
async function keep() {
  if (await board.keepTrial()) emit('done');
}
function leave() {
  board.giveUp();
  emit('done');
}
</script>

<template>
  <section class="sheet" aria-labelledby="plan-sessions">
    <h2 id="plan-sessions">Plan sessions</h2>
    <p v-if="programmes.length === 0" class="mt-1">
      No {{ $spell('programme') }} runs yet: one is begun on a dog’s own page. <RouterLink to="/dogs" class="underline">To the dogs</RouterLink>
    </p>
    <form v-else class="mt-2 grid gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]" @submit.prevent="plan">
      <fieldset>
        <legend class="text-sm font-semibold">{{ $spell('Of which programmes') }}</legend>
        <label
          v-for="one in programmes"
          :key="one.programme.id"
          class="flex min-h-12 items-center gap-3 border-b border-line"
          :class="one.dealt && 'text-soft'"
        >
          <input type="checkbox" class="size-5 shrink-0" :checked="chosen.has(one.programme.id)" :disabled="one.dealt" @change="toggle(one.programme.id)" />
          <span class="w-24 shrink-0 font-semibold">{{ one.dogName }}</span>
          <span class="grow leading-tight">
            {{ one.programme.stage.name }}
            <span class="block text-sm text-soft">{{
              one.dealt ? 'dealt by chance on its own page' : `${oftenWords(one.programme.stage)}; ${until(one)}`
            }}</span>
            <span v-if="one.stale.length > 0" class="block text-sm font-semibold text-mind">{{ one.stale.length }} planned are of another stage.</span>
          </span>
        </label>
        <p v-if="board.live.value.moreUnplanned > 0" class="mt-2 text-sm text-soft">
          {{ board.live.value.moreUnplanned }} more run with nothing planned; they come here once these are.
        </p>
      </fieldset>
      <div class="grid content-start gap-3">
        <div class="grid grid-cols-2 gap-3">
          <label>
            <span class="text-sm font-semibold">From</span>
            <input v-model="from" type="date" class="field" :min="today" :max="board.days.value.at(-1)" required />
          </label>
          <label>
            <span class="text-sm font-semibold">Weeks</span>
            <select v-model.number="weeks" class="field">
              <option v-for="count in 5" :key="count" :value="count">{{ count }}</option>
            </select>
          </label>
        </div>
        <fieldset>
          <legend class="text-sm font-semibold">By whom</legend>
          <label v-for="person in board.hands.value" :key="person.id" class="mr-5 inline-flex min-h-11 items-center gap-2">
            <input type="checkbox" class="size-5" :checked="hands.has(person.id)" @change="toggleHand(person.id)" />
            {{ person.name }}
          </label>
        </fieldset>
        <p class="text-sm text-soft">From that day on these are planned again; everything else stays.</p>
        <div class="flex flex-wrap gap-2">
          <button type="submit" class="press" :class="tried ? 'press-plain' : 'press-main'" :disabled="chosen.size === 0 || hands.size === 0">
            {{ tried ? 'Try it again' : 'Try it' }}
          </button>
          <button v-if="!tried" type="button" class="press press-quiet" @click="leave">Close</button>
        </div>
      </div>
    </form>
    <div v-if="tried" class="mt-4 border-t border-line pt-3" role="status">
      <p class="text-lg">
        <strong>{{ tried.changed.size }}</strong> {{ tried.changed.size === 1 ? 'session has' : 'sessions have' }} a place<template
          v-if="tried.dropped.size > 0"
          >, in place of {{ tried.dropped.size }} planned before</template
        ><template v-if="tried.noRoom.length > 0"
          >; <strong class="text-stop">{{ tried.noRoom.length }} {{ tried.noRoom.length === 1 ? 'has' : 'have' }} none</strong></template
        >.
      </p>
      <ul v-if="noRoom.length > 0" class="mt-1 grid gap-1">
        <li v-for="one in noRoom" :key="one.key">
          <strong>{{ one.dogName }}</strong>, {{ one.times === 1 ? 'once' : `${one.times} times` }}: {{ one.says }}
        </li>
      </ul>
      <div class="mt-3 flex flex-wrap gap-2">
        <button
          type="button"
          class="press press-main"
          :disabled="(tried.changed.size === 0 && tried.dropped.size === 0) || board.keeping.state.value === 'sending'"
          @click="keep"
        >
          Save {{ tried.changed.size === 1 ? 'this session' : `these ${tried.changed.size}` }}
        </button>
        <button type="button" class="press press-quiet" @click="leave">Cancel</button>
      </div>
    </div>
  </section>
</template>
