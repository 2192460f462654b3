<script setup lang="ts">
/** A high girth that may have been taken lower down: taped again, or settled by saying that it was behind the ears. */
import { Taping, type NewTaping } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { ref } from 'vue';
import { useYard } from '../stores/yard.ts';

const props = defineProps<{ taping: Taping }>();
const emit = defineEmits<{ settled: [] }>();
const keeping = useYard();
const id = ref(uuidv7());
/** The same readings, kept once more with the answer: it corrects the taping that lacked it. */
async function settle() {
  const { dogId, site, way, readingsMm, typed, overCoat, coatDepthMm, weightG, neckBuild, at } = props.taping;
  const sent: NewTaping = { dogId, site, way, readingsMm, typed, overCoat, coatDepthMm, weightG, neckBuild, at, correctsId: props.taping.id, settled: true };
  if (await keeping.keep('tapings', id.value, Taping, sent, 'taken behind the ears')) emit('settled');
}
</script>

<template>
  <div class="rounded bg-mind-wash p-3 text-mind">
    <p>The high girth may have been taken lower down: settle that before you trust this.</p>
    <p class="mt-1 flex flex-wrap gap-x-5">
      <RouterLink :to="`/dogs/${taping.dogId}/tape?corrects=${taping.id}`" class="flex min-h-11 items-center font-semibold underline">Tape it again</RouterLink>
      <button type="button" class="min-h-11 font-semibold underline" @click="settle">No, behind the ears</button>
    </p>
    <p v-if="keeping.sentence.value" role="alert">{{ keeping.sentence.value }}</p>
  </div>
</template>
