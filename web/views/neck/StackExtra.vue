<script setup lang="ts">
/** Adds what a dog wears beside its fits: an owner's own collar, a band against parasites, a harness. */
import { STACK_EXTRAS, type StackEntry } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import MeasureField from '../../parts/MeasureField.vue';
import TextField from '../../parts/TextField.vue';
import { useUnits } from '../../stores/units.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ dogId: string }>();
const emit = defineEmits<{ add: [entry: StackEntry] }>();
const units = useUnits();
const { open, what, name, width, holds, buckle } = useTyped(`stack-extra.${props.dogId}`, {
  open: false,
  what: 'flat collar' as (typeof STACK_EXTRAS)[number],
  name: '',
  width: '',
  holds: 'unknown' as 'yes' | 'no' | 'unknown',
  buckle: 'metal' as 'metal' | 'plastic',
});
const mm = ref<number | null>(null);
/** Usual widths, to begin with; mm. From memory. */
const USUAL_MM = { 'flat collar': 25, 'tag collar': 12, 'parasite band': 12, harness: 25, other: 20 } as const;
const widthMm = computed(() => (width.value.trim() === '' ? USUAL_MM[what.value] : mm.value));
function leave() {
  [open.value, what.value, name.value, width.value, holds.value, buckle.value] = [false, 'flat collar', '', '', 'unknown', 'metal'];
}
function add() {
  if (widthMm.value === null) return;
  emit('add', {
    as: 'extra',
    key: uuidv7().slice(-12),
    what: what.value,
    name: name.value.trim(),
    widthMm: widthMm.value,
    holds: what.value !== 'flat collar' || holds.value === 'unknown' ? null : holds.value === 'yes',
    plastic: what.value === 'flat collar' && buckle.value === 'plastic',
  });
  leave();
}
</script>

<template>
  <button v-if="!open" type="button" class="press press-quiet" @click="open = true">Add something else it wears</button>
  <form v-else class="w-full space-y-3 border-t border-line pt-3" novalidate @submit.prevent="add">
    <ChoiceRow v-model="what" label="What else does it wear?" :answers="STACK_EXTRAS.map((value) => ({ value, label: value }))" quiet />
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField v-model="name" label="Name (may be left empty)" />
      <MeasureField
        v-if="what !== 'harness'"
        v-model="width"
        label="Width"
        :guess="units.gap(USUAL_MM[what])"
        :expected="{ possibleMm: [3, 200], likelyMm: [5, 80] }"
        @read="(value) => (mm = value)"
      />
    </div>
    <template v-if="what === 'flat collar'">
      <ChoiceRow
        v-model="holds"
        label="Pulled forward, does it stay behind the ears?"
        :answers="[
          { value: 'yes', label: 'Yes' },
          { value: 'no', label: 'It comes off' },
          { value: 'unknown', label: 'Not tried' },
        ]"
        quiet
      />
      <ChoiceRow
        v-model="buckle"
        label="Its buckle"
        :answers="[
          { value: 'metal', label: 'Metal' },
          { value: 'plastic', label: 'Plastic' },
        ]"
        quiet
      />
    </template>
    <div class="flex gap-2">
      <button type="submit" class="press press-plain" :disabled="widthMm === null">Add it</button>
      <button type="button" class="press press-quiet" @click="leave">Cancel</button>
    </div>
  </form>
</template>
