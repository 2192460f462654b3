<script setup lang="ts">
/** What the kennel owns: collars, links, leads and the rest, and what is to be bought. */
import { LockerPage } from '@banter/contract';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import LoadFrame from '../parts/LoadFrame.vue';
import { useLoad } from '../stores/load.ts';
import LockerCollars from './locker/LockerCollars.vue';
import LockerGear from './locker/LockerGear.vue';
import LockerLinks from './locker/LockerLinks.vue';
import LockerShopping from './locker/LockerShopping.vue';

const route = useRoute();
const PAGES = {
  collars: { title: 'Collars', page: LockerCollars },
  links: { title: 'Links', page: LockerLinks },
  gear: { title: 'Leads and the rest', page: LockerGear },
  shopping: { title: 'Shopping', page: LockerShopping },
} as const;
type PageName = keyof typeof PAGES;
const shown = computed<PageName>(() => (Object.hasOwn(PAGES, String(route.query.show)) ? (String(route.query.show) as PageName) : 'collars'));
const { data, state, sentence, load } = useLoad(() => `/api/locker?shelf=${shown.value}`, LockerPage);
const toBuy = computed(() => data.value?.toBuy ?? 0);
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the locker" @again="load">
    <h1>Locker</h1>
    <p class="text-soft">
      The bench sizes from these: each collar by its own measured numbers, every link counted.
      <RouterLink to="/class" class="underline">Kit up a class</RouterLink>
    </p>
    <nav aria-label="Locker" class="mt-2 -ml-3 flex flex-wrap border-b border-line">
      <RouterLink
        v-for="(one, name) in PAGES"
        :key="name"
        :to="{ path: '/locker', query: name === 'collars' ? {} : { show: name } }"
        class="flex min-h-12 items-center border-b-4 border-transparent px-3 no-underline hover:border-line"
        :class="shown === name && 'border-tape! font-semibold'"
        :aria-current="shown === name ? 'page' : undefined"
      >
        {{ one.title }}{{ name === 'shopping' && toBuy > 0 ? ` (${toBuy})` : '' }}
      </RouterLink>
    </nav>
    <component :is="PAGES[shown].page" class="mt-5" :locker="data!" @changed="load" />
  </LoadFrame>
</template>
