<script setup lang="ts">
/** The two weeks in which what is worn tells nothing: dealt by chance on the kennel's calendar, next thing first, measured by what happened. */
import {
  CalendarChanged,
  CalendarPage,
  currentFits,
  dayOf,
  dealTellTale,
  Programme,
  tellTaleStory,
  type DealtPlan,
  type Kennel,
  type ProgrammesPage,
} from '@banter/contract';
import { timeOfDay } from '@banter/core';
import { DateTime } from 'luxon';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { failureSentence } from '../../api/failure.ts';
import { send } from '../../api/request.ts';
import { useKeep } from '../../stores/keep.ts';
import TellTaleDays from './TellTaleDays.vue';
import TellTaleTold from './TellTaleTold.vue';

const props = defineProps<{ page: ProgrammesPage; programme: Programme; kennel: Kennel; now: number }>();
const emit = defineEmits<{ changed: [] }>();
const keeping = useKeep();
const offered = computed(() => {
  const fits = currentFits(props.page);
  return [...new Map(fits.map(({ plan }) => [plan.collarId, props.page.collars.find(({ id }) => id === plan.collarId)])).values()].filter(
    (collar) => collar !== undefined,
  );
});
const MOST = 3;
const chosen = ref(new Set(props.programme.tellTale?.collars ?? offered.value.slice(0, MOST).map(({ id }) => id)));
const toggle = (id: string) => {
  const now = new Set(chosen.value);
  if (!now.delete(id) && now.size < MOST) now.add(id);
  chosen.value = now;
};
const nameOf = (id: string) => props.page.collars.find((collar) => collar.id === id)?.name ?? 'a collar';
const named = computed(() => (props.programme.tellTale?.collars ?? []).map((id) => ({ id, name: nameOf(id) })));
const story = computed(() => tellTaleStory(props.programme, props.page, props.kennel, props.now));
const at = computed(() => DateTime.fromMillis(props.now, { zone: props.kennel.timeZone }));
const next = computed(() => {
  const today = at.value.toISODate()!;
  const minute = at.value.hour * 60 + at.value.minute;
  const times = [...(props.programme.tellTale?.times ?? [])].sort((a, b) => (a.day === b.day ? a.minute - b.minute : a.day < b.day ? -1 : 1));
  return times.find((time) => time.day > today || (time.day === today && time.minute + time.minutes > minute)) ?? null;
});
const nextWords = computed(() => {
  const time = next.value;
  if (!time) return 'Its two weeks are over: what it gave away is told below.';
  const when =
    time.day === at.value.toISODate() ? `At ${timeOfDay(time.minute)}` : `${DateTime.fromISO(time.day).toFormat('ccc d LLL')} at ${timeOfDay(time.minute)}`;
  const session = props.page.sessions.find(({ id }) => id === time.sessionId);
  const what = time.worn.length === 0 ? 'leave it bare' : `put ${time.worn.map(nameOf).join(' and ')} on`;
  const until = time.worn.length === 0 ? '' : `, off at ${timeOfDay(time.minute + time.minutes)}`;
  return `${when}: ${what}; ${session ? `work at ${timeOfDay(session.from)} with ${props.page.people.find(({ id }) => id === session.personId)?.name ?? ''}` : 'nothing follows'}${until}.`;
});

/** While it is sent: what is tried again for want of a connection is the same plan. */
const dealt = ref<DealtPlan | null>(null);
const sentence = ref('');
const dealing = ref(false);
const noWork = ref<string[]>([]);
async function deal() {
  sentence.value = '';
  dealing.value = true;
  try {
    if (!dealt.value) {
      const from = dayOf(props.now, props.kennel.timeZone) < props.programme.startsOn ? props.programme.startsOn : dayOf(props.now, props.kennel.timeZone);
      const calendar = await send('GET', `/api/calendar?from=${from}&days=28&dog=${props.programme.dogId}`, CalendarPage);
      const how = { collars: [...chosen.value], seed: Math.random(), newId: uuidv7 };
      dealt.value = dealTellTale(props.programme, how, calendar, props.kennel, Date.now());
    }
  } catch (failure) {
    sentence.value = failureSentence(failure);
    dealing.value = false;
    return;
  }
  const plan = dealt.value;
  const placed = plan.sessions.length === 0 || (await keeping.keep('/api/calendar-changes', CalendarChanged, { sessions: plan.sessions }, null, 'POST'));
  const { id, version, ...facts } = props.programme;
  const kept = placed && (await keeping.keep(`/api/programmes/${id}`, Programme, { ...facts, tellTale: plan.tellTale }, version));
  dealing.value = false;
  // Refused: something lies there by now; it is dealt anew the next time.
  dealt.value = null;
  if (!kept) return;
  noWork.value = plan.noWork;
  emit('changed');
}
</script>

<template>
  <div class="grid gap-5">
    <section class="sheet" aria-labelledby="tell-tale">
      <h2 id="tell-tale">{{ programme.tellTale ? 'Two weeks, dealt by chance' : 'Deal two weeks' }}</h2>
      <p v-if="programme.tellTale" class="mt-1 text-lg font-semibold">{{ nextWords }}</p>
      <RouterLink v-if="next" class="press press-main no-print mt-2" :to="`/dogs/${programme.dogId}/neck/contacts`">Put on or take off</RouterLink>
      <p v-if="!programme.tellTale" class="mt-1">
        2 or 3 times a day something goes on; half the time work follows, half the time nothing, in an order that no dog can guess.
      </p>
      <TellTaleDays
        v-if="programme.tellTale"
        class="mt-4"
        :times="programme.tellTale.times"
        :sessions="page.sessions"
        :collars="named"
        :now="at.toISODate()!"
      />
      <details class="no-print mt-4" :open="!programme.tellTale">
        <summary class="min-h-11 py-2 font-semibold">{{ programme.tellTale ? 'Deal the rest again' : 'Which collars' }}</summary>
        <p v-if="offered.length === 0" class="text-mind">No collar is fitted yet; what goes on and off is fitted at the bench.</p>
        <label v-for="collar in offered" :key="collar.id" class="mr-6 inline-flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            class="size-5"
            :checked="chosen.has(collar.id)"
            :disabled="!chosen.has(collar.id) && chosen.size >= MOST"
            @change="toggle(collar.id)"
          />
          {{ collar.name }}
        </label>
        <p class="text-sm text-soft">The electronic one goes on as a dummy. Always on 30 minutes before and after work is the stage that follows.</p>
        <button
          type="button"
          class="press mt-2"
          :class="programme.tellTale ? 'press-plain' : 'press-main'"
          :disabled="chosen.size === 0 || dealing"
          @click="deal"
        >
          {{ dealing ? 'Dealing …' : 'Deal two weeks' }}
        </button>
      </details>
      <p v-if="noWork.length > 0" class="mt-2 text-mind">
        Nobody was free for work on {{ noWork.map((day) => DateTime.fromISO(day).toFormat('ccc d LLL')).join(', ') }}: nothing follows there instead.
      </p>
      <p v-if="sentence || keeping.sentence.value" class="mt-2 font-semibold text-stop" role="alert">
        {{ sentence || keeping.errors.value[0]?.message || keeping.sentence.value }}
      </p>
    </section>
    <TellTaleTold v-if="programme.tellTale" :story="story" :collars="named" />
  </div>
</template>
