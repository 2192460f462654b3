<script setup lang="ts">
/** Finds a dog, a collar, a house rule or a screen by a part of its name: typed, chosen with the arrows, gone to with Enter. */
import { Combobox, ComboboxInput, ComboboxLabel, ComboboxOption, ComboboxOptions, Dialog, DialogPanel } from '@headlessui/vue';
import { collarKind, Found } from '@banter/contract';
import { watchDebounced } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { failureSentence } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { DOG_PLACES, placeAt } from './dog-places.ts';
import { useFinding } from './finding.ts';
import { localFinds, type Find } from './local-finds.ts';

/** A pause in the typing after which it is looked for, ms. */
const PAUSE_MS = 120;
const finding = useFinding();
const router = useRouter();
const route = useRoute();
const text = ref(finding.typedEarly);
function takeOver(event: FocusEvent) {
  if (finding.isReady) return;
  finding.isReady = true;
  const field = event.target as HTMLInputElement;
  text.value = field.value = finding.typedEarly;
}
const found = shallowRef<Found>({ dogs: [], collars: [] });
const fault = ref('');
/** For which text that was found. */
const foundFor = ref('');
watchDebounced(
  text,
  async (now) => {
    const asked = now.trim();
    fault.value = '';
    if (asked === '') {
      found.value = { dogs: [], collars: [] };
      foundFor.value = '';
      return;
    }
    try {
      const answer = await send('GET', `/api/found?text=${encodeURIComponent(asked)}`, Found);
      if (asked !== text.value.trim()) return;
      found.value = answer;
      foundFor.value = asked;
    } catch (failure) {
      if (asked !== text.value.trim()) return;
      fault.value = failureSentence(failure);
      found.value = { dogs: [], collars: [] };
      foundFor.value = asked;
    }
  },
  { debounce: PAUSE_MS, immediate: true },
);
const dogScreens = computed((): Find[] =>
  placeAt(route) === null
    ? []
    : DOG_PLACES.flatMap(({ screens }) => screens).map(({ label, to }) => ({ sort: 'This dog', name: label, more: '', to: to(String(route.params.id)) })),
);
const finds = computed((): Find[] => [
  ...found.value.dogs.map(({ id, name, breed, away }) => ({
    sort: 'Dog',
    name,
    more: [breed, away && 'put away'].filter(Boolean).join(', '),
    to: `/dogs/${id}`,
  })),
  ...localFinds(text.value, dogScreens.value),
  ...found.value.collars.map(({ id, name, kind }) => ({ sort: 'Collar', name, more: collarKind(kind).name, to: `/locker/${id}` })),
]);
const isSettled = computed(() => text.value.trim() === foundFor.value);
/** Who is quicker than the answer goes to the first of what is found once it is there. */
const goesTo = ref('');
function enter(event: KeyboardEvent) {
  if (isSettled.value) return;
  // What is listed still was found for less of the name.
  event.preventDefault();
  event.stopPropagation();
  goesTo.value = text.value.trim();
}
watch(isSettled, (settled) => {
  if (settled && goesTo.value !== '' && goesTo.value === foundFor.value) goTo(finds.value[0] ?? null);
  goesTo.value = '';
});
function goTo(one: Find | null) {
  // The list itself, as it goes, chooses what was marked in it.
  if (!one || !finding.open) return;
  finding.open = false;
  void router.push(one.to);
}
</script>

<template>
  <Dialog :open="finding.open" class="relative z-40" aria-label="Find" @close="finding.open = false">
    <div class="fixed inset-0 bg-black/50" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center p-2 pt-[8vh]">
      <DialogPanel class="sheet flex max-h-[80vh] w-full max-w-xl flex-col p-0!" @keydown.enter.capture="enter">
        <Combobox :model-value="null" as="div" class="flex min-h-0 flex-col" @update:model-value="goTo">
          <ComboboxLabel class="sr-only">Find a dog, a collar, a house rule or a screen</ComboboxLabel>
          <ComboboxInput
            class="min-h-14 w-full rounded-t-lg border-b border-line bg-raised px-4 text-lg"
            placeholder="Dog, collar, house rule or screen"
            autocomplete="off"
            :display-value="() => text"
            @focus="takeOver"
            @change="text = $event.target.value"
          />
          <p v-if="fault" role="alert" class="px-4 py-3 text-mind">{{ fault }}</p>
          <ComboboxOptions static class="min-h-0 overflow-y-auto py-1">
            <ComboboxOption v-for="one in finds" :key="one.sort + one.to" v-slot="{ active }" :value="one" as="template">
              <li class="flex min-h-12 cursor-pointer items-baseline gap-3 px-4 py-3" :class="active && 'bg-deep text-on-deep'">
                <span class="font-semibold">{{ one.name }}</span>
                <span class="min-w-0 grow truncate text-sm" :class="!active && 'text-soft'">{{ one.more }}</span>
                <span class="text-sm" :class="!active && 'text-soft'">{{ one.sort }}</span>
              </li>
            </ComboboxOption>
          </ComboboxOptions>
          <p v-if="finds.length === 0 && text.trim() !== '' && isSettled && fault === ''" role="status" class="px-4 pb-4 text-soft">Nothing found.</p>
        </Combobox>
      </DialogPanel>
    </div>
  </Dialog>
</template>
