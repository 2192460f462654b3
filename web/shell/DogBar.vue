<script setup lang="ts">
/** Over every screen of a dog: who it is, and the places of the work with it; the screens of the place where one is stand open. */
import { computed, defineAsyncComponent, nextTick, onServerPrefetch, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { dogFacts } from '../parts/dog-facts.ts';
import { useScreenKeys } from '../stores/keys.ts';
import { useWearing } from '../stores/wearing.ts';
import { useUnits } from '../stores/units.ts';
import { useNarrower } from '../stores/widths.ts';
import { useDogHere } from './dog-here.ts';
import { DOG_PLACES, firstOf, placeAt } from './dog-places.ts';

const DogPicture = defineAsyncComponent(() => import('./DogPicture.vue'));
const props = defineProps<{ dogId: string }>();
const route = useRoute();
const router = useRouter();
const units = useUnits();
// On a phone the dog’s name stands above, and its picture nowhere.
const phone = useNarrower('sm');
const bar = useDogHere();
const wearing = useWearing();
// In the first picture, too.
onServerPrefetch(wearing.look);
const here = computed(() => bar.of(props.dogId));
const facts = computed(() => (here.value ? dogFacts(here.value.dog, here.value.kennel.timeZone, units.weight) : []));
const on = computed(() => wearing.on(props.dogId));
const place = computed(() => placeAt(route));
useScreenKeys(
  'This dog',
  DOG_PLACES.flatMap(({ screens }) =>
    screens.flatMap(({ key, label, to }) => (key === null ? [] : [{ key, does: label, run: () => void router.push(to(props.dogId)) }])),
  ),
);
/** On a narrow screen where one is stays in sight. */
const ways = ref<HTMLElement | null>(null);
watch(
  () => route.fullPath,
  async () => {
    await nextTick();
    const at = ways.value?.querySelector<HTMLElement>('[aria-current="page"]');
    if (ways.value && at) ways.value.scrollLeft = at.offsetLeft - ways.value.clientWidth / 2 + at.clientWidth / 2;
  },
  { immediate: true },
);
</script>

<template>
  <div class="no-print border-b border-line bg-felt">
    <div class="mx-auto flex h-[48px] max-w-[1240px] items-center gap-4 sm:h-[56px] sm:px-6">
      <div v-if="!phone" class="flex h-full min-w-44 grow items-center gap-3">
        <div class="w-16 shrink-0"><DogPicture v-if="here" :here="here" /></div>
        <p class="min-w-0 leading-tight">
          <span class="block truncate font-display text-lg font-bold">{{ here?.dog.name }}</span>
          <span class="block truncate text-sm text-soft"
            >{{ facts.join(' · ') }}<template v-if="on.length > 0"> · on now: {{ on.map(({ collarName }) => collarName).join(', ') }}</template></span
          >
        </p>
      </div>
      <nav ref="ways" aria-label="This dog’s screens" class="flex h-full min-w-0 items-stretch overflow-x-auto px-2 max-sm:w-full sm:px-0">
        <template v-for="one in DOG_PLACES" :key="one.label">
          <div v-if="one === place" class="flex items-stretch rounded-t bg-ground px-1">
            <span class="flex items-center pr-1 pl-2 font-display text-sm font-bold text-soft">{{ one.label }}</span>
            <RouterLink
              v-for="screen in one.screens"
              :key="screen.label"
              :to="screen.to(dogId)"
              class="flex items-center border-b-4 border-transparent px-2.5 whitespace-nowrap no-underline hover:border-line"
              :class="screen.isAt(route) && 'border-tape! font-semibold'"
              :aria-current="screen.isAt(route) ? 'page' : undefined"
              >{{ $spell(screen.label) }}</RouterLink
            >
          </div>
          <RouterLink
            v-else
            :to="firstOf(one).to(dogId)"
            class="flex items-center px-3 font-display font-bold whitespace-nowrap text-soft no-underline hover:text-ink"
          >
            {{ one.label }}
          </RouterLink>
        </template>
      </nav>
    </div>
  </div>
</template>
