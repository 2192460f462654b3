<script setup lang="ts">
/** One list of Upkeep, a part at a time: each piece, why it is looked at or when it was, and the button that does it. */
import { pieceDue, pieceWord, type UpkeepList, type UpkeepPage, type UpkeepPiece } from '@banter/contract';
import type { HouseRules } from '@banter/core';
import { dayWords } from '../../parts/age.ts';
import LongList from '../../parts/LongList.vue';
import type { LongListSource } from '../../stores/long-list.ts';
import { useSession } from '../../stores/session.ts';
import { dueWords, lastWords } from './upkeep-words.ts';

const props = defineProps<{
  list: UpkeepList;
  source: LongListSource<UpkeepPiece, UpkeepPage>;
  now: number;
  rules: HouseRules;
  /** The piece that is first of all: its button is the main one. */
  firstId: string | null;
}>();
const emit = defineEmits<{ look: [id: string] }>();
const session = useSession();
const day = (at: string) => dayWords(at, session.kennel!.timeZone);
const due = (piece: UpkeepPiece) => pieceDue(piece, props.now, props.rules);
</script>

<template>
  <LongList class="mt-1" :source="source" :key-of="({ id }) => id" :row-px="66">
    <template #default="{ row: piece }">
      <div class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5" :class="list === 'scrapped' && 'text-soft'">
        <div class="min-w-0 grow basis-64">
          <p>
            <span class="font-semibold">{{ piece.name }}</span>
            <span class="text-soft">
              · {{ pieceWord(piece) }}<template v-if="piece.worn.length > 0"> on {{ piece.worn.map(({ dogName }) => dogName).join(', ') }}</template></span
            >
          </p>
          <p class="text-sm text-soft">
            <span v-if="list === 'due'" class="font-semibold text-mind">{{ dueWords(piece, due(piece), now) }}</span>
            <template v-if="list === 'due'"> · </template>{{ lastWords(piece, day) }}
            <template v-if="list === 'later'"> · again by {{ day(new Date(due(piece).at).toISOString()) }}</template>
          </p>
        </div>
        <button
          type="button"
          class="press"
          :class="piece.id === firstId ? 'press-main' : list === 'scrapped' ? 'press-quiet' : 'press-plain'"
          @click="emit('look', piece.id)"
        >
          {{ list === 'scrapped' ? 'Inspect again' : due(piece).why === 'mend' ? 'Mended: inspect' : 'Inspect' }}
          <span class="sr-only">{{ piece.name }}</span>
        </button>
      </div>
    </template>
  </LongList>
</template>
