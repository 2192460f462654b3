<script setup lang="ts">
/** The cap: the highest level that this dog's trainer permits on this device. Decided, not measured; each one stays in the record. */
import { LevelCap, type DeviceLevels, type LevelsPage } from '@banter/contract';
import { levelWords } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useKeep } from '../../stores/keep.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ dogId: string; device: DeviceLevels; caps: LevelsPage['caps'] }>();
const emit = defineEmits<{ kept: [] }>();
const keeping = useKeep();
const { typed, note } = useTyped(`cap.${props.dogId}.${props.device.collar.id}`, { typed: '', note: '' });
// What was begun stands open.
const open = ref(typed.value !== '' || note.value !== '');
const latest = computed(() => props.caps.findLast(({ collarId }) => collarId === props.device.collar.id) ?? null);
const fault = computed(() => {
  const number = Number(typed.value.replace(',', '.'));
  const { min, max } = props.device.scale;
  if (typed.value.trim() === '') return '';
  return Number.isFinite(number) && number >= min && number <= max ? '' : `This device’s scale goes from ${levelWords(min)} to ${levelWords(max)}.`;
});
async function keep(cap: number | null) {
  const kept = await keeping.keep(`/api/level-caps/${uuidv7()}`, LevelCap, {
    dogId: props.dogId,
    collarId: props.device.collar.id,
    cap,
    note: note.value.trim(),
    at: new Date().toISOString(),
  });
  if (!kept) return;
  open.value = false;
  typed.value = note.value = '';
  emit('kept');
}
</script>

<template>
  <div>
    <p>
      <template v-if="latest && latest.cap !== null">
        Cap <strong>{{ levelWords(latest.cap) }}</strong>, set by {{ latest.personName }}<template v-if="latest.note">: {{ latest.note }}</template>
      </template>
      <template v-else>No cap is set.</template>
      <button type="button" class="press press-quiet" @click="open = !open">{{ latest?.cap != null ? 'Change it' : 'Set one' }}</button>
    </p>
    <form
      v-if="open"
      class="mt-1 grid gap-2 sm:grid-cols-[6rem_minmax(0,1fr)_auto]"
      @submit.prevent="typed.trim() && !fault && keep(Number(typed.replace(',', '.')))"
    >
      <label>
        <span class="text-sm font-semibold">Cap</span>
        <input v-model="typed" class="field" inputmode="decimal" :aria-invalid="fault !== ''" />
      </label>
      <label>
        <span class="text-sm font-semibold">Why</span>
        <input v-model="note" class="field" maxlength="500" />
      </label>
      <div class="flex items-end gap-2">
        <button type="submit" class="press press-main" :disabled="typed.trim() === '' || fault !== ''">Set it</button>
        <button v-if="latest?.cap != null" type="button" class="press press-plain" @click="keep(null)">Lift it</button>
      </div>
      <p v-if="fault || keeping.sentence.value" class="font-semibold text-stop sm:col-span-3" role="alert">{{ fault || keeping.sentence.value }}</p>
    </form>
  </div>
</template>
