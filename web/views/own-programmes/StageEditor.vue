<script setup lang="ts">
/** One stage of a programme as it is written: what for, how, how much, and the marks by which a dog goes on or back. */
import { percent, type NotYet, type ProgrammeStage } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{
  index: number;
  last: boolean;
  /** The dog is in it: it cannot be taken out. */
  fixed?: boolean;
  errorAt: (path: string) => string;
}>();
defineEmits<{ up: []; down: []; out: [] }>();
type Stage = Omit<ProgrammeStage, 'how' | 'cautions' | 'notYet'> & { how: string[]; cautions: string[]; notYet: NotYet[] };
const NOT_YET_LABELS: Record<NotYet, string> = { press: 'Nothing pressed yet', leash: 'No leash yet' };
const stage = defineModel<Stage>({ required: true });
/** Lines of a text as a list, and back. */
const lines = (of: 'how' | 'cautions') =>
  computed({
    get: () => stage.value[of].join('\n'),
    set: (text: string) => (stage.value[of] = text.split('\n')),
  });
const how = lines('how');
const cautions = lines('cautions');
const error = (path: string) => props.errorAt(`stages[${props.index}].${path}`);
const COUNTS = [
  { key: 'minutes', label: 'Minutes a session', most: 240 },
  { key: 'sessionsPerDay', label: 'Sessions a day', most: 12 },
  { key: 'everyDays', label: 'Days from one to the next', most: 14 },
] as const;
const PASS = [
  { key: 'needed', label: 'Tries that go well', least: 1, most: 100 },
  { key: 'of', label: 'Out of', least: 1, most: 100 },
  { key: 'inRow', label: 'Sessions in a row', least: 1, most: 60 },
  { key: 'leastDays', label: 'At least days', least: 0, most: 120 },
] as const;
</script>

<template>
  <fieldset class="sheet">
    <legend class="sr-only">Stage {{ index + 1 }}</legend>
    <div class="flex flex-wrap items-end gap-3">
      <span class="grid size-11 place-items-center rounded-full border-2 border-line font-semibold" aria-hidden="true">{{ index + 1 }}</span>
      <label class="min-w-48 grow">
        <span class="text-sm font-semibold">Stage</span>
        <input v-model="stage.name" class="field" maxlength="60" required />
      </label>
      <div class="flex gap-1">
        <button type="button" class="press press-plain px-3!" :disabled="index === 0" :aria-label="`Stage ${index + 1} earlier`" @click="$emit('up')">↑</button>
        <button type="button" class="press press-plain px-3!" :disabled="last" :aria-label="`Stage ${index + 1} later`" @click="$emit('down')">↓</button>
        <span v-if="fixed" class="self-center text-sm text-soft">It is in this one.</span>
        <button v-else type="button" class="press press-quiet" @click="$emit('out')">
          Take out<span class="sr-only"> stage {{ index + 1 }}</span>
        </button>
      </div>
    </div>
    <div class="mt-3 grid gap-3 lg:grid-cols-2">
      <label>
        <span class="text-sm font-semibold">What for</span>
        <input v-model="stage.aim" class="field" maxlength="200" />
      </label>
      <label>
        <span class="text-sm font-semibold">Cautions, one a line</span>
        <textarea v-model="cautions" class="field" rows="2"></textarea>
      </label>
      <label class="lg:col-span-2">
        <span class="text-sm font-semibold">How, a step a line</span>
        <textarea v-model="how" class="field" rows="3"></textarea>
      </label>
    </div>
    <div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
      <label v-for="count in COUNTS" :key="count.key" class="flex flex-col justify-end">
        <span class="text-sm font-semibold">{{ count.label }}</span>
        <input v-model.number="stage[count.key]" type="number" min="1" :max="count.most" class="field" required />
      </label>
      <label class="flex min-h-12 items-center gap-2 self-end"><input v-model="stage.onAround" type="checkbox" class="size-5" /> Collars on around work</label>
      <label v-for="(label, what) in NOT_YET_LABELS" :key="what" class="flex min-h-12 items-center gap-2 self-end">
        <input v-model="stage.notYet" type="checkbox" :value="what" class="size-5" /> {{ label }}
      </label>
    </div>
    <div class="mt-4 grid gap-3 border-t border-line pt-3 sm:grid-cols-4">
      <label class="sm:col-span-4">
        <span class="text-sm font-semibold">On, when it</span>
        <input v-model="stage.pass.what" class="field" maxlength="120" required />
      </label>
      <label v-for="count in PASS" :key="count.key" class="flex flex-col justify-end">
        <span class="text-sm font-semibold">{{ count.label }}</span>
        <input v-model.number="stage.pass[count.key]" type="number" :min="count.least" :max="count.most" class="field" required />
      </label>
      <p v-if="error('pass.needed')" class="font-semibold text-stop sm:col-span-4" role="alert">{{ error('pass.needed') }}</p>
      <label class="sm:col-span-2">
        <span class="text-sm font-semibold">Back at once, when</span>
        <input v-model="stage.fallBack.setback" class="field" maxlength="120" required />
      </label>
      <label class="flex flex-col justify-end">
        <span class="text-sm font-semibold">or under {{ percent(stage.fallBack.below) }}</span>
        <input
          :value="Math.round(stage.fallBack.below * 100)"
          type="range"
          min="0"
          max="100"
          step="5"
          class="min-h-11"
          aria-label="Back when fewer go well, per cent"
          @input="stage.fallBack.below = Number(($event.target as HTMLInputElement).value) / 100"
        />
      </label>
      <label class="flex flex-col justify-end">
        <span class="text-sm font-semibold">times in a row</span>
        <input v-model.number="stage.fallBack.inRow" type="number" min="1" max="20" class="field" required />
      </label>
      <p v-if="error('fallBack.below')" class="font-semibold text-stop sm:col-span-4" role="alert">{{ error('fallBack.below') }}</p>
    </div>
  </fieldset>
</template>
