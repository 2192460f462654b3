<script setup lang="ts">
/** The dog on the scales: a weight and the day, kept as it happened. */
import { Weighing } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { ref } from 'vue';
import WeightField from '../../parts/WeightField.vue';
import FieldFrame from '../../parts/FieldFrame.vue';
import { useUnits } from '../../stores/units.ts';
import { useYard } from '../../stores/yard.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ dogId: string; today: string; name: string }>();
const emit = defineEmits<{ kept: [] }>();
const keeping = useYard();
const units = useUnits();
const { typed, day } = useTyped(`weighing.${props.dogId}`, { typed: '', day: props.today });
const grams = ref<number | null>(null);
let id = uuidv7();
async function keep() {
  if (grams.value === null) return;
  const at = day.value === props.today ? new Date().toISOString() : `${day.value}T12:00:00.000Z`;
  if (
    !(await keeping.keep(
      'weighings',
      id,
      Weighing,
      { dogId: props.dogId, weightG: grams.value, correctsId: null, note: '', at },
      `${props.name}, ${units.weight(grams.value)}`,
    ))
  )
    return;
  id = uuidv7();
  typed.value = '';
  day.value = props.today;
  emit('kept');
}
</script>

<template>
  <form class="flex flex-wrap items-end gap-3" :aria-label="`Weigh ${name}`" @submit.prevent="keep">
    <div class="w-40"><WeightField v-model="typed" label="Weight" :error="keeping.errorAt('weightG')" @read="(now) => (grams = now)" /></div>
    <div class="w-44">
      <FieldFrame v-slot="{ id: field, describedBy, invalid }" label="On" :error="keeping.errorAt('at')">
        <input :id="field" v-model="day" type="date" class="field" :max="today" :aria-describedby="describedBy" :aria-invalid="invalid" />
      </FieldFrame>
    </div>
    <button class="press press-main" :disabled="grams === null || !day || keeping.state.value === 'sending'">Save weight</button>
    <p v-if="keeping.sentence.value" role="alert" class="w-full text-stop">{{ keeping.sentence.value }}</p>
  </form>
</template>
