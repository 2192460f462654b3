<script setup lang="ts">
/** The calendar once it is here: the weeks at a glance, the days of one of them as strips, and what is chosen. */
import { HANDS_AT_ONCE, type CalendarPage, type Kennel } from '@banter/contract';
import { isHardFault, timeOfDay, type PlacedSession } from '@banter/core';
import { defaultDocument, useEventListener, useSwipe } from '@vueuse/core';
import { group } from 'd3-array';
import { DateTime } from 'luxon';
import { computed, nextTick, ref, toRef, watch } from 'vue';
import { useNow } from '../../stores/now.ts';
import { useScreenKeys } from '../../stores/keys.ts';
import AddSession from './AddSession.vue';
import { useCalendarBoard } from './calendar-board.ts';
import DayList from './DayList.vue';
import DayStrip, { type StripTag } from './DayStrip.vue';
import HoursForm from './HoursForm.vue';
import PlanSessions from './PlanSessions.vue';
import SpanOfDays from './SpanOfDays.vue';
import { stripSpan, tagNames } from './strip-geometry.ts';
import TagRead from './TagRead.vue';
import WeekDays from './WeekDays.vue';
import WhoseHands from './WhoseHands.vue';
import { usePrinting } from '../../stores/printing.ts';
import { useAtLeast } from '../../stores/widths.ts';

const props = defineProps<{ page: CalendarPage; loads: number; kennel: Kennel; today: string; dogId: string }>();
const emit = defineEmits<{ again: []; hands: [ids: string[]]; dog: [id: string] }>();
const { now } = useNow(30_000);
const board = useCalendarBoard(toRef(props, 'page'), toRef(props, 'kennel'), now);
watch(
  () => props.loads,
  () => {
    board.adopt(props.page);
    // What was tried was tried on the calendar as it was.
    board.giveUp();
  },
);
const todayIndex = computed(() => board.days.value.indexOf(props.today));
/** The day that a phone shows, and whose week the desk does. */
const day = ref(todayIndex.value);
const week = computed({
  get: () => Math.floor(day.value / 7),
  set: (to) => (day.value = to === Math.floor(todayIndex.value / 7) ? todayIndex.value : to * 7),
});
const open = ref<'plan' | 'add' | 'hours' | 'whose' | null>(null);
const shownHands = computed(() => new Set(props.page.hands));
const whose = computed(() => {
  const [first, ...others] = props.page.hands.map(handName);
  return others.length === 0 ? `With ${first}` : `With ${first} and ${others.length} more`;
});
/** On a phone, what is seldom wanted is folded. */
const more = ref(props.dogId !== '');
const wide = useAtLeast('md');
/** On paper it is the whole week. */
const printing = usePrinting();
const only = ref(props.dogId);
const minute = computed(() => board.around.value.notBefore.minute);
const shorts = computed(() => tagNames(props.page.dogs.map(({ name }) => name)));
const handName = (id: string) => props.page.people.find((person) => person.id === id)?.name ?? '';
/** Said of every session: each day is put into words once. */
const dayTitles = computed(() => board.days.value.map((one) => DateTime.fromISO(one).toFormat('ccc d LLL')));
const dayTitle = (index: number) => dayTitles.value[index]!;
const isPast = (one: PlacedSession) =>
  one.day < todayIndex.value || (one.day === todayIndex.value && one.from + one.minutes <= minute.value && !board.trial.value?.changed.has(one.id));

const theirs = computed(() =>
  // Those of others are in the way of theirs, and are not theirs.
  board.shown.value
    .filter(({ handId }) => shownHands.value.has(handId))
    .map((one) => {
      const changed = board.trial.value?.changed.has(one.id) ?? false;
      const clash = changed && (board.trial.value!.stuck.includes(one.id) || board.faultsOf(one).some(isHardFault));
      const is: StripTag['is'] = clash ? 'clash' : changed ? 'changed' : board.heldBy.value.has(one.id) ? 'held' : isPast(one) ? 'missed' : 'kept';
      return { ...one, is };
    }),
);
const byDay = computed(() => group(theirs.value, (one) => one.day));
const STATES = { clash: ', clashes', changed: ', tried', held: ', held', missed: ', not logged', kept: '' } as const;
/** The sessions of a day in words. */
function tagsOf(index: number) {
  return (byDay.value.get(index) ?? []).map((one) => {
    const [dog, stage, hand] = [board.dogName(one.dogId), board.stageName(one), handName(one.handId)];
    return {
      ...one,
      dog,
      stage,
      hand,
      short: one.minutes >= 45 ? dog : (shorts.value.get(dog) ?? dog),
      says: `${dog}${stage ? `, ${stage}` : ''}, ${dayTitle(index)}, ${timeOfDay(one.from)} to ${timeOfDay(one.from + one.minutes)} with ${hand}${STATES[one.is]}`,
      faint: only.value !== '' && one.dogId !== only.value,
    };
  });
}
const weekDays = computed(() => Array.from({ length: 7 }, (_day, index) => week.value * 7 + index));
const span = computed(() =>
  stripSpan(
    weekDays.value.map((day) => board.around.value.days[day]!),
    theirs.value.filter(({ day }) => Math.floor(day / 7) === week.value),
  ),
);
const lanesOf = (day: number) =>
  board.around.value.hands.map(({ id, name, hours }) => ({ id, name: hasLeft(id) ? `${name}, left` : name, there: hours[day] ?? null }));
const hasLeft = (id: string) => props.page.people.some((person) => person.id === id && person.left);
const daysOfWeek = computed(() =>
  weekDays.value.map((index) => {
    const date = DateTime.fromISO(board.days.value[index]!);
    const { planned, closed } = counts.value[index]!;
    return { index, closed, planned, weekday: date.toFormat('ccc'), date: date.toFormat('d'), says: `${dayTitle(index)}: ${closed ? 'closed' : planned}` };
  }),
);
const shownDays = ref<HTMLElement | null>(null);
const { direction } = useSwipe(shownDays, {
  threshold: 60,
  onSwipeEnd: () => {
    if (wide.value || !/^(?:left|right)$/.test(direction.value)) return;
    day.value = Math.min(Math.max(0, day.value + (direction.value === 'left' ? 1 : -1)), board.days.value.length - 1);
  },
});
const counts = computed(() =>
  board.days.value.map((_day, index) => {
    const lie = byDay.value.get(index) ?? [];
    return {
      planned: lie.length,
      changed: lie.filter(({ is }) => is === 'changed').length,
      noRoom: board.trial.value?.noRoom.filter(({ day }) => day === index).length ?? 0,
      closed: board.around.value.days[index]!.open === null,
    };
  }),
);
const todays = computed(() => byDay.value.get(todayIndex.value) ?? []);
const heading = computed(() => {
  const today = todays.value;
  const stale = board.programmes.value.filter((one) => one.stale.length > 0);
  if (stale.length > 0 && open.value === null)
    return `${stale.map(({ dogName }) => dogName).join(' and ')} moved to another stage: plan ${stale.length === 1 ? 'its' : 'their'} sessions again.`;
  const { length: over } = board.orphans.value;
  if (over > 0 && open.value === null) return `${over} ${over === 1 ? 'session is' : 'sessions are'} planned for programmes that are not running.`;
  if (theirs.value.length === 0) return board.programmes.value.length === 0 ? 'No programme runs yet.' : 'Nothing is planned yet.';
  const next = today.filter((one) => !isPast(one) && !board.heldBy.value.has(one.id)).sort((a, b) => a.from - b.from)[0];
  const held = today.filter(({ id }) => board.heldBy.value.has(id)).length;
  if (today.length === 0) return board.around.value.days[todayIndex.value]?.open ? 'Nothing is planned today.' : 'Closed today.';
  if (!next)
    return held === 0 ? `Today’s ${today.length} sessions are over; none was logged.` : `Today is done: ${held} of ${today.length} sessions were held.`;
  return `Next: ${board.dogName(next.dogId)} at ${timeOfDay(next.from)} with ${handName(next.handId)}.`;
});
const subline = computed(() => {
  const today = todays.value;
  return today.every((one) => isPast(one)) ? '' : `${today.filter(({ is }) => is === 'held').length} of ${today.length} sessions of today held so far.`;
});

function choose(id: string) {
  if (board.trial.value?.held && board.trial.value.held !== id) board.giveUp();
  board.selected.value = board.selected.value === id && !board.trial.value ? null : id;
}
async function follow(id: string) {
  const one = board.shown.value.find((other) => other.id === id);
  if (one) day.value = one.day;
  await nextTick();
  document.querySelector<HTMLElement>(`[data-tag="${id}"]`)?.focus();
}
/** Arrows go from tag to tag; with shift they move the tag: a quarter of an hour, a day. */
function key(id: string, event: KeyboardEvent) {
  const one = board.shown.value.find((other) => other.id === id);
  if (!one) return;
  const fixed = isPast(one) || board.heldBy.value.has(id);
  const moves: Record<string, { day?: number; from?: number }> = {
    ArrowLeft: { from: one.from - 15 },
    ArrowRight: { from: one.from + 15 },
    ArrowUp: { day: one.day - 1 },
    ArrowDown: { day: one.day + 1 },
  };
  if (event.shiftKey && moves[event.key] && !fixed) {
    event.preventDefault();
    board.selected.value = id;
    board.tryMove(id, moves[event.key]!);
    void follow(id);
  } else if (!event.shiftKey && moves[event.key]) {
    event.preventDefault();
    const order = [...theirs.value].sort((a, b) => a.day - b.day || a.from - b.from);
    const at = order.findIndex((other) => other.id === id);
    const step = event.key === 'ArrowLeft' || event.key === 'ArrowUp' ? -1 : 1;
    const next = event.key.endsWith('Left') || event.key.endsWith('Right') ? order[at + step] : order.filter(({ day }) => day === one.day + step)[0];
    if (next) void follow(next.id);
  } else if (event.key === 'Enter' && board.trial.value?.held === id) {
    event.preventDefault();
    void board.keepTrial();
  } else if (event.key === 'Delete' && !fixed) {
    event.preventDefault();
    void board.drop([id], `${board.dogName(one.dogId)} at ${timeOfDay(one.from)} dropped`);
  }
}
async function dropped(id: string) {
  if (board.trial.value?.held !== id) return;
  if (board.cannot.value.length === 0 && board.trial.value.stuck.length === 0) await board.keepTrial();
}
useEventListener(defaultDocument, 'keydown', (event: KeyboardEvent) => {
  if (event.key === 'Escape' && board.trial.value?.held) board.giveUp();
  const typing = event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
  if (typing || !(event.ctrlKey || event.metaKey)) return;
  if (event.key.toLowerCase() === 'z') {
    event.preventDefault();
    void (event.shiftKey ? board.redo() : board.undo());
  }
});
useScreenKeys('Programme', [
  { key: 'p', does: 'Plan sessions', run: () => (open.value = 'plan') },
  { key: 'n', does: 'One more session', run: () => (open.value = 'add') },
  { key: '[', does: 'The week before', run: () => (week.value = Math.max(0, week.value - 1)) },
  { key: ']', does: 'The week after', run: () => (week.value = Math.min(board.days.value.length / 7 - 1, week.value + 1)) },
]);
const selectedOne = computed(() => board.shown.value.find(({ id }) => id === board.selected.value) ?? null);
// Moved to another day, it is shown there.
watch(
  () => selectedOne.value?.day,
  (to) => to !== undefined && (day.value = to),
);
</script>

<template>
  <div>
    <h1>{{ $spell(heading) }}</h1>
    <p v-if="subline" class="mt-1 text-lg text-soft">{{ subline }}</p>
    <p v-if="board.orphans.value.length > 0" class="no-print mt-2">
      <button
        type="button"
        class="press press-plain"
        @click="
          board.drop(
            board.orphans.value.map(({ id }) => id),
            `${board.orphans.value.length} dropped`,
          )
        "
      >
        Drop {{ board.orphans.value.length === 1 ? 'it' : 'them' }}
      </button>
    </p>
    <div class="no-print mt-3 flex flex-wrap items-center gap-2">
      <button type="button" class="press" :class="open === 'plan' ? 'press-plain' : 'press-main'" @click="open = open === 'plan' ? null : 'plan'">
        Plan sessions
      </button>
      <button type="button" class="press press-plain" @click="open = open === 'add' ? null : 'add'">One more</button>
      <button
        v-if="page.people.length > HANDS_AT_ONCE"
        type="button"
        class="press press-plain"
        :aria-expanded="open === 'whose'"
        @click="open = open === 'whose' ? null : 'whose'"
      >
        {{ whose }}
      </button>
      <button v-if="!wide" type="button" class="press press-quiet" :aria-expanded="more" @click="more = !more">More</button>
      <template v-if="wide || more">
        <button type="button" class="press press-plain" @click="open = open === 'hours' ? null : 'hours'">Hours</button>
        <RouterLink to="/programme/own" class="press press-quiet">{{ $spell('Own programmes') }}</RouterLink>
        <RouterLink to="/house?show=calendars" class="press press-quiet">Calendar links</RouterLink>
        <RouterLink to="/programme/drill" class="press press-quiet">Handling drill</RouterLink>
        <span class="grow"></span>
        <label class="flex items-center gap-2">
          <span class="text-sm text-soft">Show</span>
          <select v-model="only" class="field w-auto!">
            <option value="">all dogs</option>
            <option v-for="dog in page.dogs" :key="dog.id" :value="dog.id">{{ dog.name }}</option>
          </select>
        </label>
      </template>
      <button v-if="board.done.value.length > 0" type="button" class="press press-plain" @click="board.undo()">
        Undo: {{ board.done.value.at(-1)!.title }}
      </button>
      <button v-if="board.undone.value.length > 0" type="button" class="press press-quiet" @click="board.redo()">Redo</button>
    </div>
    <div v-if="board.keeping.sentence.value" class="mt-2 rounded bg-stop-wash p-3 font-semibold text-stop" role="alert">
      {{
        board.keeping.state.value === 'waiting'
          ? board.keeping.sentence.value
          : `Not saved. ${board.keeping.errors.value[0]?.message ?? board.keeping.sentence.value}`
      }}
      <button type="button" class="underline" @click="emit('again')">Load it as it is now</button>
    </div>
    <PlanSessions v-if="open === 'plan'" class="mt-4" :board="board" :today="today" @done="open = null" />
    <AddSession v-else-if="open === 'add'" class="mt-4" :board="board" :today="today" @done="open = null" @dog="(id) => emit('dog', id)" />
    <WhoseHands
      v-else-if="open === 'whose'"
      class="mt-4"
      :people="page.people"
      :hands="page.hands"
      @hands="(ids) => ((open = null), emit('hands', ids))"
      @done="open = null"
    />
    <HoursForm
      v-else-if="open === 'hours'"
      class="mt-4"
      :hours="page.hours"
      :people="board.hands.value"
      :kennel="kennel"
      :today="today"
      @changed="emit('again')"
      @done="open = null"
    />

    <SpanOfDays class="mt-4" :days="board.days.value" :counts="counts" :week="week" :today="today" @week="(index) => (week = index)" />
    <WeekDays v-if="!wide" v-model="day" class="mt-1" :days="daysOfWeek" :today="todayIndex" />
    <div ref="shownDays" class="mt-3" :class="wide ? '' : 'sheet px-3!'">
      <template v-if="wide">
        <DayStrip
          v-for="index in weekDays"
          :key="index"
          :title="dayTitle(index)"
          :day="index"
          :today="index === todayIndex"
          :open="board.around.value.days[index]!.open"
          :lanes="lanesOf(index)"
          :span="span"
          :tags="tagsOf(index)"
          :selected="board.selected.value"
          :minute="index === todayIndex && minute >= span[0] && minute <= span[1] ? minute : null"
          @choose="choose"
          @drag="(id, to) => ((board.selected.value = id), board.tryMove(id, to))"
          @drop="dropped"
          @key="key"
        />
      </template>
      <template v-else>
        <DayList
          v-for="index in printing ? weekDays : [day]"
          :key="index"
          :title="dayTitle(index)"
          :today="index === todayIndex"
          :closed="board.around.value.days[index]!.open === null"
          :tags="tagsOf(index).sort((a, b) => a.from - b.from)"
          :selected="board.selected.value"
          @choose="choose"
        />
      </template>
    </div>
    <p v-if="wide" class="no-print mt-3 text-sm text-soft">
      Dark: held. Dashed: not logged. Yellow: not saved yet. Drag a tag, or move it with Shift and the arrows; Enter saves, Esc cancels.
    </p>
    <TagRead v-if="selectedOne" :board="board" :past="isPast(selectedOne)" @close="board.selected.value = null" />
  </div>
</template>
