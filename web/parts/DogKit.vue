<script setup lang="ts">
/** Kit for this dog: what it needs beside its collars, by hand and grown size, and what of it is in the locker. */
import { LockerPage, Want, type DogPage, type FittingDog } from '@banter/contract';
import { breedOf, guessedWeightKg, kitFor, MM_PER_UNIT, pieceWillDo } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useKeep } from '../stores/keep.ts';
import { useLoad } from '../stores/load.ts';
import { useUnits } from '../stores/units.ts';

const props = defineProps<{ page: DogPage; dog: FittingDog }>();
const units = useUnits();
const keeping = useKeep();
const { data: locker } = useLoad(() => '/api/locker?shelf=gear', LockerPage);
/** Grown at about a year; a younger dog is reckoned as its breed, where the guide knows it, and never lighter than it is. */
const GROWN_DAYS = 365;
const grown = computed(() => {
  const now = props.dog.weightKg;
  const { ageDays } = props.dog;
  if (ageDays === null || ageDays >= GROWN_DAYS) return { kg: now, guess: false };
  const breed = breedOf(props.page.dog.breed);
  return { kg: breed ? Math.max(now ?? 0, guessedWeightKg(breed, props.page.dog.sex)) : now, guess: true };
});
/** Nobody cuts a bed to the millimetre: whole centimetres or inches. */
const bedWords = (mm: number) => `${Math.ceil(mm / MM_PER_UNIT[units.length])} ${units.length}`;
const pieces = computed(() =>
  kitFor(props.dog, grown.value.kg).map((piece) => ({
    piece,
    sizes: [
      piece.lengthMm && (piece.what === 'raised bed' || piece.what === 'mat') && `From ${bedWords(piece.lengthMm[0])} by ${bedWords(piece.widthMm![0])}`,
    ].filter(Boolean),
    owned: (locker.value?.gear ?? []).filter((one) => one.what === piece.what && one.retiredAt === null && one.condition !== 'worn' && pieceWillDo(piece, one)),
  })),
);
const listed = ref<string[]>([]);
async function want(what: string, says: string) {
  if (
    await keeping.keep(`/api/wants/${uuidv7()}`, Want, {
      what: `${what} for ${props.page.dog.name}: ${says}`.slice(0, 300),
      dogId: props.page.dog.id,
      boughtAt: null,
    })
  )
    listed.value = [...listed.value, what];
}
</script>

<template>
  <section class="sheet" aria-label="Kit">
    <h2>Kit for {{ page.dog.name }}</h2>
    <p v-if="grown.guess && grown.kg" class="text-sm text-soft">
      Beds for the grown dog, at about {{ units.weight(grown.kg * 1000) }}: a guess until it is grown.
    </p>
    <dl class="mt-2 divide-y divide-line">
      <div v-for="{ piece, sizes, owned } in pieces" :key="piece.what" class="grid gap-x-4 py-2 sm:grid-cols-[6.5rem_minmax(0,1fr)]">
        <dt class="font-semibold first-letter:uppercase">{{ piece.what }}</dt>
        <dd>
          {{ piece.says }}
          <template v-if="sizes.length > 0">{{ sizes.join(', ') }}.</template>
          <span v-if="owned.length > 0" class="block text-good"
            >✓ {{ owned[0]!.name }}{{ owned.length > 1 ? ` and ${owned.length - 1} more` : '' }} in the locker</span
          >
          <span v-else-if="listed.includes(piece.what)" class="block text-good">✓ On the shopping list</span>
          <button
            v-else-if="piece.what !== 'snap' && piece.what !== 'pouch'"
            type="button"
            class="block text-left text-soft underline"
            @click="want(piece.what, piece.says)"
          >
            None in the locker: put it on the shopping list
          </button>
        </dd>
      </div>
    </dl>
  </section>
</template>
