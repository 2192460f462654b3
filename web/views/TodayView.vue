<script setup lang="ts">
/** Today: what is due in the order it matters, each with its reason and one tap to do it; live, and quiet when all is well. */
import { momentOn } from '@banter/contract';
import { clockWords } from '@banter/core';
import { computed, ref } from 'vue';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useNow } from '../stores/now.ts';
import { useSession } from '../stores/session.ts';
import { useToday } from '../stores/today.ts';
import { useUnsent } from '../stores/unsent.ts';
import { useWearing } from '../stores/wearing.ts';
import { todayParts, todaySentence, type ShownItem } from './today/today-words.ts';
import { useNarrower } from '../stores/widths.ts';

const session = useSession();
const { now } = useNow(15_000);
const { page, items, goesOn, fetching, more, state, sentence, live, again } = useToday();
const zone = computed(() => session.kennel!.timeZone);
const wearing = useWearing();
const unsent = useUnsent();
const shown = computed(() =>
  items.value.map((item): ShownItem => {
    const { says = null, isDone = false } = unsent.answering(item) ?? {};
    return { ...item, logged: says, isDone };
  }),
);
const parts = computed(() => (page.value ? todayParts(shown.value, page.value.counts) : []));
const first = computed(() => shown.value.find(({ isDone }) => !isDone) ?? null);
const tone = computed(() => first.value?.tone ?? 'good');
const word = computed(() => ({ stop: 'Stop', mind: 'To do', open: 'Due', good: 'All is well' })[tone.value]);
const when = (at: string) => momentOn(Date.parse(at), now.value, zone.value);
const dayWords = computed(() =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(page.value!.day)),
);
/** Under one thumb a part shows so many until more of it is wanted; what must not go on is shown whole. */
const AT_FIRST = 4;
const phone = useNarrower('lg');
const opened = ref<ReadonlySet<string>>(new Set());
const shownOf = ({ part, items: all }: { part: string; items: ShownItem[] }) =>
  phone.value && part !== 'first' && !opened.value.has(part) ? all.slice(0, AT_FIRST) : all;
const MARKS = { stop: 'Stop', mind: 'To do', open: '', good: '' } as const;
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="today" @again="again">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <VerdictMark :tone="tone" :word="word" />
      <p class="text-soft">
        {{ dayWords }}<template v-if="page!.sessions.planned > 0"> · {{ page!.sessions.held }} of {{ page!.sessions.planned }} sessions held</template>
        <template v-if="!live"> · not live just now: as of {{ when(page!.asOf) }}</template>
      </p>
    </div>
    <h1 class="mt-1">{{ todaySentence({ items: shown, sessions: page!.sessions }) }}</h1>
    <div class="mt-5 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
      <div class="space-y-6">
        <section v-if="parts.length === 0" class="sheet">
          <p>Nothing is due: no collar sits too long, no skin waits, no gear is due for inspection. It comes up here by itself.</p>
        </section>
        <section v-for="part in parts" :key="part.part" :aria-label="part.name">
          <h2>
            {{ part.name }}
            <span v-if="part.count > part.items.length" class="font-sans text-base font-normal text-soft">{{ part.items.length }} of {{ part.count }}</span>
          </h2>
          <ul class="mt-1 divide-y divide-line border-y border-line">
            <li v-for="item in shownOf(part)" :key="item.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5" :data-tone="item.tone">
              <div class="min-w-0 grow basis-72">
                <p class="font-semibold" :class="item.isDone ? 'text-soft' : item.tone === 'stop' ? 'text-stop' : ''">
                  <VerdictMark v-if="MARKS[item.tone] && !item.isDone" class="mr-2 text-sm" :tone="item.tone" :word="MARKS[item.tone]" />{{ item.title }}
                </p>
                <p v-if="!item.isDone" class="text-sm text-soft">{{ item.why }}</p>
                <p v-if="item.logged" class="text-sm"><strong>Logged here, not sent yet.</strong> {{ item.logged }}</p>
              </div>
              <RouterLink :to="item.to" class="press" :class="item.id === first?.id ? 'press-main' : item.isDone ? 'press-quiet' : 'press-plain'">
                {{ item.isDone ? 'See it' : item.does }}
                <span class="sr-only">: {{ item.title }}</span>
              </RouterLink>
            </li>
          </ul>
          <button v-if="shownOf(part).length < part.items.length" type="button" class="press press-quiet" @click="opened = new Set([...opened, part.part])">
            {{ part.items.length - shownOf(part).length }} more<span class="sr-only"> in {{ part.name }}</span>
          </button>
        </section>
        <button v-if="goesOn" type="button" class="press press-plain" :disabled="fetching" @click="more">
          {{ fetching ? 'Loading more …' : 'Show more' }}
        </button>
      </div>
      <section class="self-start" aria-labelledby="worn-now">
        <h2 id="worn-now">On a dog now</h2>
        <p v-if="wearing.wearing.length === 0" class="mt-1 text-soft">{{ wearing.ready ? 'Nothing logged.' : 'Loading …' }}</p>
        <ul v-else class="mt-1 divide-y divide-line border-y border-line">
          <li v-for="one in wearing.wearing" :key="one.collarId" class="py-2.5">
            <RouterLink :to="`/dogs/${one.dogId}/neck`" class="block no-underline">
              <span class="font-semibold">{{ one.dogName }}</span>
              · {{ one.collarName }}
              <span class="block text-sm text-soft">
                since {{ when(one.from) }}<template v-if="one.clock !== null">, contacts at {{ clockWords(one.clock) }}</template
                ><template v-if="one.moveBy">, moved by {{ when(one.moveBy) }}</template>
              </span>
            </RouterLink>
          </li>
        </ul>
      </section>
    </div>
  </LoadFrame>
</template>
