<script setup lang="ts">
/** House rules: schools and limits, local law, screening, size charts and people, each on a page of its own. */
import { computed, defineAsyncComponent } from 'vue';
import { useRoute } from 'vue-router';
import { useSession } from '../stores/session.ts';

const session = useSession();
const route = useRoute();
const PAGES = {
  rules: { title: 'Schools and limits', page: defineAsyncComponent(() => import('./house/HouseRules.vue')) },
  law: { title: 'Local law', page: defineAsyncComponent(() => import('./house/LocalLaw.vue')) },
  screening: { title: 'Screening', page: defineAsyncComponent(() => import('./house/HouseScreening.vue')) },
  charts: { title: 'Size charts', page: defineAsyncComponent(() => import('./house/SizeCharts.vue')) },
  devices: { title: 'Devices', page: defineAsyncComponent(() => import('./house/HouseDevices.vue')) },
  calendars: { title: 'Calendars', page: defineAsyncComponent(() => import('./house/HouseCalendars.vue')) },
  people: { title: 'People', page: defineAsyncComponent(() => import('./house/HousePeople.vue')) },
  files: { title: 'Files', page: defineAsyncComponent(() => import('./house/HouseFiles.vue')) },
  deeds: { title: 'Who did what', page: defineAsyncComponent(() => import('./house/HouseDeeds.vue')) },
} as const;
type PageName = keyof typeof PAGES;
const shown = computed<PageName>(() => (Object.hasOwn(PAGES, String(route.query.show)) ? (String(route.query.show) as PageName) : 'rules'));
</script>

<template>
  <div>
    <h1>House rules</h1>
    <p class="mt-1 text-soft max-sm:hidden">The rules of {{ session.kennel!.name }}. Every verdict keeps the rules it was made by.</p>
    <nav aria-label="House rules" class="mt-2 -ml-3 flex overflow-x-auto border-b border-line">
      <RouterLink
        v-for="(one, name) in PAGES"
        :key="name"
        :to="{ path: '/house', query: name === 'rules' ? {} : { show: name } }"
        class="flex min-h-12 shrink-0 items-center border-b-4 border-transparent px-3 no-underline hover:border-line"
        :class="shown === name && 'border-tape! font-semibold'"
        :aria-current="shown === name ? 'page' : undefined"
      >
        {{ one.title }}
      </RouterLink>
    </nav>
    <div class="mt-5"><component :is="PAGES[shown].page" /></div>
  </div>
</template>
