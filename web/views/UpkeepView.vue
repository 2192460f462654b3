<script setup lang="ts">
/** Upkeep: what to look at next and why, piece by piece, with what good and bad look like; and how gear is hung. */
import { UpkeepPage, upkeepPieces, type UpkeepPiece } from '@banter/contract';
import { houseRules, IF_IT_BREAKS, GROWING_LINKS } from '@banter/core';
import { computed, nextTick, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { dayWords } from '../parts/age.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useLoad } from '../stores/load.ts';
import { useNow } from '../stores/now.ts';
import { useSession } from '../stores/session.ts';
import InspectPiece from './upkeep/InspectPiece.vue';
import { dueWords, lastWords, upkeepSentence } from './upkeep/upkeep-words.ts';

const route = useRoute();
const router = useRouter();
const session = useSession();
const { now } = useNow(60_000);
const { data, state, sentence, load } = useLoad(() => '/api/upkeep', UpkeepPage);
const kennel = computed(() => session.kennel!);
const rules = computed(() => houseRules(kennel.value.rules));
const pieces = computed(() => upkeepPieces(data.value!, now.value, rules.value));
const here = computed(() => pieces.value.filter(({ scrapped }) => !scrapped));
const due = computed(() => here.value.filter((piece) => piece.due.why !== null));
const later = computed(() => here.value.filter((piece) => piece.due.why === null));
const scrapped = computed(() => pieces.value.filter((piece) => piece.scrapped));
/** How everything that the kennel owns is hung, each way once. */
const storing = computed(() => [...new Set(here.value.map(({ inspection }) => inspection.storing))]);
const day = (at: string) => dayWords(at, kennel.value.timeZone);

const open = computed<UpkeepPiece | null>(() => pieces.value.find(({ id }) => id === route.query.piece) ?? null);
async function look(id: string | null) {
  await router.replace({ query: id === null ? {} : { piece: id } });
  await nextTick();
  document.getElementById('inspect')?.scrollIntoView({ block: 'start' });
}
const said = ref('');
async function kept(piece: UpkeepPiece, outcome: 'ok' | 'mend' | 'scrap') {
  const dogs = [...new Set(piece.worn.map(({ dogName }) => dogName))];
  said.value = {
    ok: `«${piece.name}» is sound.`,
    mend: `«${piece.name}» is to be mended; it stays first here until it has been looked at again.`,
    scrap: `«${piece.name}» is scrapped${dogs.length > 0 ? `: ${dogs.join(' and ')} ${dogs.length === 1 ? 'needs' : 'need'} another` : ''}.`,
  }[outcome];
  await look(null);
  await load();
}
const groups = [
  { name: 'To look at', pieces: due },
  { name: 'Later', pieces: later },
] as const;
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the gear" @again="load">
    <VerdictMark :tone="due.length === 0 ? 'good' : due[0]!.due.why === 'mend' ? 'mind' : 'open'" :word="due.length === 0 ? 'Good' : 'To do'" />
    <h1 class="mt-1">{{ upkeepSentence(pieces) }}</h1>
    <p class="text-soft">
      Looked at whole every {{ rules.inspectDays }} days or after {{ rules.inspectWears }} wears (house rules); quickly at every wear. What a growing dog wears:
      every day at a buckle, every {{ GROWING_LINKS.everyDays }} days at links.
    </p>
    <p v-if="said" role="status" class="mt-3 rounded bg-good-wash p-3 text-good">{{ said }}</p>
    <div id="inspect" class="scroll-mt-4">
      <InspectPiece v-if="open" :key="open.id" class="mt-4" :piece="open" @close="look(null)" @kept="(outcome) => kept(open!, outcome)" />
    </div>
    <div class="mt-5 grid gap-6 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
      <div class="space-y-6">
        <section v-for="group in groups" :key="group.name" :aria-label="group.name">
          <details v-if="group.pieces.value.length > 0" :open="group.name === 'To look at' || due.length === 0">
            <summary class="font-display text-xl font-bold">
              {{ group.name }}
              <span class="font-sans text-base font-normal text-soft">{{ group.pieces.value.length }}</span>
            </summary>
            <ul class="mt-1 divide-y divide-line border-y border-line">
              <li v-for="piece in group.pieces.value" :key="piece.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
                <div class="min-w-0 grow basis-64">
                  <p>
                    <span class="font-semibold">«{{ piece.name }}»</span>
                    <span class="text-soft">
                      · {{ piece.what }}<template v-if="piece.worn.length > 0"> on {{ piece.worn.map(({ dogName }) => dogName).join(', ') }}</template></span
                    >
                  </p>
                  <p class="text-sm text-soft">
                    <span v-if="dueWords(piece, now)" class="font-semibold text-mind">{{ dueWords(piece, now) }}</span>
                    <template v-if="dueWords(piece, now)"> · </template>{{ lastWords(piece, day) }}
                    <template v-if="piece.due.why === null"> · again by {{ day(new Date(piece.due.at).toISOString()) }}</template>
                  </p>
                </div>
                <button type="button" class="press" :class="piece.id === due[0]?.id ? 'press-main' : 'press-plain'" @click="look(piece.id)">
                  {{ piece.due.why === 'mend' ? 'Mended: look' : 'Look' }}
                  <span class="sr-only">at «{{ piece.name }}»</span>
                </button>
              </li>
            </ul>
          </details>
        </section>
        <section v-if="scrapped.length > 0" aria-labelledby="scrapped">
          <h2 id="scrapped">Scrapped</h2>
          <ul class="mt-1 divide-y divide-line border-y border-line">
            <li v-for="piece in scrapped" :key="piece.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2 text-soft">
              <span class="grow">«{{ piece.name }}» · {{ piece.what }} · {{ lastWords(piece, day) }}</span>
              <button type="button" class="underline" @click="look(piece.id)">
                Look again
                <span class="sr-only">at «{{ piece.name }}»</span>
              </button>
            </li>
          </ul>
        </section>
      </div>
      <aside class="space-y-6 self-start">
        <section class="sheet" aria-labelledby="storing">
          <h2 id="storing">How it hangs</h2>
          <ul class="mt-2 space-y-1.5">
            <li v-for="text in storing" :key="text">{{ text }}</li>
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
