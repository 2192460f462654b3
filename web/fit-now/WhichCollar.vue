<script setup lang="ts">
/** Which collar: one that is named, or what fits this dog, best first, with what each comes to. */
import { COLLAR_KIND_NAMES, collarKind, type CollarKindName, type KindFit } from '@banter/contract';
import { SCREEN_LEVEL_WORDS, type ScreenResult } from '@banter/core';
import { computed } from 'vue';
import KindMark from '../neck/KindMark.vue';
import VerdictMark from '../parts/VerdictMark.vue';

const props = defineProps<{ every: readonly KindFit[]; against: (kind: CollarKindName) => ScreenResult; toBuy: (kind: CollarKindName) => boolean }>();
const kind = defineModel<CollarKindName | null>({ required: true });
const RANK = { good: 0, mind: 1, open: 2, stop: 3 } as const;
/** What screening stops is no advice, however well it would fit. */
const ranked = computed(() =>
  props.every
    .map((fit) => {
      const { level, findings } = props.against(fit.kind);
      const worst = findings.find((finding) => finding.level === level);
      const stopped = worst !== undefined && level !== 'caution';
      return {
        ...fit,
        tone: stopped ? ('stop' as const) : worst && fit.tone === 'good' ? ('mind' as const) : fit.tone,
        verdict: worst ? `${SCREEN_LEVEL_WORDS[level]}: ${worst.name.toLowerCase()}` : fit.verdict,
      };
    })
    .sort((a, b) => RANK[a.tone] - RANK[b.tone]),
);
</script>

<template>
  <div>
    <div class="flex items-center gap-1.5 overflow-x-auto" role="group" aria-label="Collar">
      <button
        v-for="name in COLLAR_KIND_NAMES"
        :key="name"
        type="button"
        class="min-h-12 shrink-0 rounded-[0.3rem] border-[1.5px] px-2.5 text-[0.95rem]"
        :class="kind === name ? 'border-deep bg-deep font-semibold text-on-deep' : 'border-line bg-raised hover:border-soft'"
        :aria-pressed="kind === name"
        @click="kind = name"
      >
        <KindMark :kind="name" class="mr-1 size-6!" />{{ collarKind(name).name }}
      </button>
      <button type="button" class="press press-quiet min-h-12 shrink-0 max-sm:order-first" :aria-pressed="kind === null" @click="kind = null">
        What would you use?
      </button>
    </div>
    <ul v-if="kind === null && ranked.length > 0" class="mt-2 divide-y divide-line" aria-label="What fits">
      <li v-for="fit in ranked" :key="fit.kind">
        <button type="button" class="flex min-h-12 w-full flex-wrap items-center gap-x-3 py-1.5 text-left" @click="kind = fit.kind">
          <KindMark :kind="fit.kind" />
          <strong class="min-w-32">{{ collarKind(fit.kind).name }}</strong>
          <span class="text-soft">{{ fit.line ?? fit.missing[0]?.says ?? '' }}</span>
          <span v-if="toBuy(fit.kind)" class="rounded border border-line px-1.5 text-sm font-semibold">buy</span>
          <VerdictMark class="ml-auto text-sm" :tone="fit.tone" :word="fit.verdict" />
        </button>
      </li>
    </ul>
  </div>
</template>
