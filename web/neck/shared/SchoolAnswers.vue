<script lang="ts">
/** One answer that schools give: `line` the collar and its setting, `detail` from which, `holders` those who give it with what each holds. */
export type SchoolAnswer = {
  key: string;
  line: string;
  detail: string;
  mark?: { tone: VerdictTone; word: string };
  holders: readonly { name: string; says: string; house: boolean }[];
  why?: readonly string[];
  take?: () => void;
};
</script>

<script setup lang="ts">
/** What the schools would do, by what they come to: those that say the same are one line. Any of it can be taken onto the bench. */
import VerdictMark from '../../parts/VerdictMark.vue';
import type { VerdictTone } from '../../parts/verdict.ts';

defineProps<{ answers: readonly SchoolAnswer[] }>();
</script>

<template>
  <ul class="divide-y divide-line" aria-label="What the schools would do">
    <li v-for="answer in answers" :key="answer.key" class="py-2.5 first:pt-0">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
        <button
          v-if="answer.take"
          type="button"
          class="min-h-10 text-left font-semibold underline decoration-line underline-offset-4 hover:decoration-ink"
          @click="answer.take()"
        >
          {{ answer.line }}
        </button>
        <span v-else class="font-semibold">{{ answer.line }}</span>
        <span class="text-soft">{{ answer.detail }}</span>
        <VerdictMark v-if="answer.mark" class="text-sm" :tone="answer.mark.tone" :word="answer.mark.word" />
      </div>
      <p>
        <template v-if="answers.length === 1">All schools. </template>
        <template v-else>
          <span v-for="(holder, index) in answer.holders" :key="holder.name"
            >{{ index > 0 ? ', ' : '' }}<span :class="holder.house && 'font-semibold'">{{ holder.name }}{{ holder.house ? ' (house)' : '' }}</span></span
          >
        </template>
      </p>
      <details class="mt-1 text-sm">
        <summary class="text-soft">What they hold</summary>
        <p v-for="holder in answer.holders" :key="holder.name" class="mt-1">
          <strong class="first-letter:uppercase">{{ holder.name }}:</strong> {{ holder.says }}
        </p>
        <p v-for="line in answer.why ?? []" :key="line" class="mt-1">{{ line }}</p>
      </details>
    </li>
  </ul>
</template>
