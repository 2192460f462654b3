<script setup lang="ts">
/** Upkeep: what to look at next and why, piece by piece, with what good and bad look like; and how gear is hung. */
import { UpkeepPage, pieceDue, type UpkeepPiece } from '@banter/contract';
import { houseRules, IF_IT_BREAKS, GROWING_LINKS } from '@banter/core';
import { computed, nextTick, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { send } from '../api/request.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useLongList } from '../stores/long-list.ts';
import { useNow } from '../stores/now.ts';
import { useSession } from '../stores/session.ts';
import InspectPiece from './upkeep/InspectPiece.vue';
import UpkeepFolded from './upkeep/UpkeepFolded.vue';
import UpkeepRows from './upkeep/UpkeepRows.vue';
import { upkeepSentence } from './upkeep/upkeep-words.ts';

const route = useRoute();
const router = useRouter();
const session = useSession();
const { now } = useNow(60_000);
const due = useLongList<UpkeepPiece, UpkeepPage>(() => '/api/upkeep?list=due', UpkeepPage);
const { data, state, sentence, load } = due;
const kennel = computed(() => session.kennel!);
const rules = computed(() => houseRules(kennel.value.rules));
const counts = computed(() => data.value!.counts);
const first = computed(() => data.value!.rows[0] ?? null);
const tone = computed(() => (first.value === null ? 'good' : pieceDue(first.value, now.value, rules.value).why === 'mend' ? 'mind' : 'open'));

/** The piece that is being looked at, whichever list it is in. */
const open = shallowRef<UpkeepPiece | null>(null);
watch(
  () => route.query.piece,
  async (id) => {
    open.value = null;
    if (typeof id !== 'string' || !/^[\da-f-]{36}$/i.test(id)) return;
    const page = await send('GET', `/api/upkeep?piece=${id}`, UpkeepPage).catch(() => null);
    if (route.query.piece === id) open.value = page?.rows[0] ?? null;
    await nextTick();
    document.getElementById('inspect')?.scrollIntoView({ block: 'start' });
  },
  { immediate: true },
);
const look = (id: string | null) => void router.replace({ query: id === null ? {} : { piece: id } });
const said = ref('');
const round = ref(0);
async function kept(piece: UpkeepPiece, outcome: 'ok' | 'mend' | 'scrap') {
  const dogs = [...new Set(piece.worn.map(({ dogName }) => dogName))];
  said.value = {
    ok: `${piece.name} is sound.`,
    mend: `${piece.name} is to be mended; it stays first here until it is inspected again.`,
    scrap: `${piece.name} is scrapped${dogs.length > 0 ? `: ${dogs.join(' and ')} ${dogs.length === 1 ? 'needs' : 'need'} another` : ''}.`,
  }[outcome];
  look(null);
  round.value += 1;
  await load();
}
/** Lists that somebody has opened; what is folded is not asked for. */
const opened = ref({ later: false, scrapped: false });
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the gear" @again="load">
    <VerdictMark :tone="tone" :word="first === null ? 'Good' : 'To do'" />
    <h1 class="mt-1">{{ upkeepSentence(data!, now, rules) }}</h1>
    <p class="text-soft">
      Inspect every {{ rules.inspectDays }} days or {{ rules.inspectWears }} wears; quick look each time. What a growing dog wears: every day at a buckle, every
      {{ GROWING_LINKS.everyDays }} days at links.
    </p>
    <p v-if="said" role="status" class="mt-3 rounded bg-good-wash p-3 text-good">{{ said }}</p>
    <div id="inspect" class="scroll-mt-4">
      <InspectPiece v-if="open" :key="open.id" class="mt-4" :piece="open" @close="look(null)" @kept="(outcome) => kept(open!, outcome)" />
    </div>
    <div class="mt-5 grid gap-6 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
      <div class="space-y-6">
        <section v-if="counts.due > 0" aria-label="Due for inspection">
          <h2>
            Due for inspection <span class="font-sans text-base font-normal text-soft">{{ counts.due }}</span>
          </h2>
          <UpkeepRows list="due" :source="due" :now="now" :rules="rules" :first-id="first?.id ?? null" @look="look" />
        </section>
        <section
          v-for="list in (['later', 'scrapped'] as const).filter((one) => counts[one] > 0)"
          :key="list"
          :aria-label="list === 'later' ? 'Later' : 'Scrapped'"
        >
          <details :open="list === 'later' && counts.due === 0" @toggle="opened[list] ||= ($event.target as HTMLDetailsElement).open">
            <summary class="font-display text-xl font-bold">
              {{ list === 'later' ? 'Later' : 'Scrapped' }}
              <span class="font-sans text-base font-normal text-soft">{{ counts[list] }}</span>
            </summary>
            <UpkeepFolded v-if="opened[list]" :list="list" :now="now" :rules="rules" :round="round" @look="look" />
          </details>
        </section>
      </div>
      <aside class="space-y-6 self-start">
        <section class="sheet" aria-labelledby="storing">
          <h2 id="storing">How it hangs</h2>
          <ul class="mt-2 space-y-1.5">
            <li v-for="text in data!.storing" :key="text">{{ text }}</li>
          </ul>
        </section>
        <section class="sheet" aria-labelledby="breaks">
          <h2 id="breaks">If a collar breaks</h2>
          <p class="mt-1">{{ IF_IT_BREAKS }}</p>
        </section>
      </aside>
    </div>
  </LoadFrame>
</template>
