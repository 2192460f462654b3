<script setup lang="ts">
/** Collars that are on dogs now, a row each, with what is done to each in one tap. */
import type { WearingNow } from '@banter/contract';
import KindMark from '../neck/KindMark.vue';
import NowActions from './NowActions.vue';
import type { NowActs } from './now-acts.ts';
import { useNowWords } from './now-words.ts';

defineProps<{ shown: readonly WearingNow[]; acts: NowActs }>();
const words = useNowWords();
const PLACES = [12, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11];
</script>

<template>
  <div>
    <div
      v-if="acts.asking.value"
      role="group"
      :aria-label="`Where is it pink under ${acts.called(acts.asking.value)}?`"
      class="grid grid-cols-6 gap-1 border-b border-line p-2"
    >
      <p class="col-span-6 flex items-center justify-between text-sm">
        Pink where? 12 is the nape, 9 the dog’s left.
        <button type="button" class="press press-quiet" @click="acts.leave()">Cancel</button>
      </p>
      <button v-for="clock in PLACES" :key="clock" type="button" class="press press-plain min-h-12 px-0!" @click="acts.pink(acts.asking.value, clock)">
        {{ clock }}
      </button>
    </div>
    <ul class="max-h-[50vh] divide-y divide-line overflow-y-auto">
      <li v-for="one in shown" :key="one.dogId + one.collarId" class="flex min-h-[52px] items-stretch pl-3">
        <KindMark :kind="one.kind" class="mr-2 size-6! self-center" />
        <span class="min-w-0 grow self-center text-sm leading-tight">
          <span class="block truncate"
            ><strong>{{ one.dogName }}</strong> {{ one.collarName }}</span
          >
          <span class="block truncate text-soft">{{ words(one) }}</span>
        </span>
        <NowActions :one="one" :acts="acts" />
      </li>
    </ul>
  </div>
</template>
