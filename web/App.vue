<script setup lang="ts">
import { computed, defineAsyncComponent, watch, type AsyncComponentLoader } from 'vue';
import { useRoute } from 'vue-router';
import { placeAt } from './shell/dog-places.ts';
import { useFinding } from './shell/finding.ts';
import { useIdleTurn, useOnceTrue } from './shell/idle.ts';
import TopBar from './shell/TopBar.vue';
import { useDrawings } from './stores/drawings.ts';
import { useKeys } from './stores/keys.ts';
import { useSession } from './stores/session.ts';
import { useNarrower } from './stores/widths.ts';

// The open pages come without what only somebody who is signed in sees.
const DogBar = defineAsyncComponent(() => import('./shell/DogBar.vue'));
const UnsentOf = defineAsyncComponent(() => import('./shell/UnsentOf.vue'));
const PhoneFoot = defineAsyncComponent(() => import('./shell/PhoneFoot.vue'));
const findDialog = () => import('./shell/FindDialog.vue');
/** Screens come first, ms. */
const FIND_AFTER_MS = 3000;
const session = useSession();
const route = useRoute();
// It is there before somebody asks for it, once nothing else is to do.
watch(
  () => session.me !== null && !import.meta.env.SSR,
  (isIn) => isIn && setTimeout(() => void findDialog().catch(() => {}), FIND_AFTER_MS),
  { immediate: true },
);
const finding = useFinding();
// Listened to from the first moment, whether what they open is here or not.
const keys = useKeys();
const drawings = useDrawings();
/** What opens over a screen; without its file it is shut again, and keeps no key from the screen. */
const opened = (loader: AsyncComponentLoader, shut: () => void) => defineAsyncComponent({ loader, onError: (_error, _again, fail) => (shut(), fail()) });
const FindDialog = opened(findDialog, () => (finding.open = false));
const KeysDialog = opened(() => import('./shell/KeysDialog.vue'), () => (keys.listed = false)); // prettier-ignore
const DrawingsDialog = opened(() => import('./parts/DrawingsDialog.vue'), () => (drawings.listed = false)); // prettier-ignore
const keysWanted = useOnceTrue(() => keys.listed);
const drawingsWanted = useOnceTrue(() => drawings.listed);
const phone = useNarrower('sm');
const unsentTurn = useIdleTurn();
/** The dog whose screen is open. */
const dogId = computed(() => (session.me && placeAt(route) ? String(route.params.id) : null));
/** Each address is a screen of its own; the parts of the neck are one, so that what was done on them can be undone from any. */
const screen = computed(() =>
  route.name === 'neck' ? `neck ${String(route.params.id)}` : route.name === 'field' || route.name === 'upkeep' ? route.name : route.fullPath,
);
</script>

<template>
  <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-tape focus:p-3 focus:text-on-tape">Skip to the work</a>
  <TopBar :dog-id="dogId" />
  <div v-if="dogId" class="no-print h-[49px] sm:h-[57px]"><DogBar :key="dogId" :dog-id="dogId" /></div>
  <UnsentOf v-if="dogId && unsentTurn" :dog-id="dogId" class="no-print mx-auto w-full max-w-[1240px] px-4 pt-2 sm:px-6" />
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-4 pb-[calc(var(--strip,0px)+6rem)] sm:px-6" tabindex="-1">
    <RouterView :key="screen" />
  </main>
  <PhoneFoot v-if="session.me && phone" :dog-id="dogId" />
  <FindDialog v-if="session.me && finding.open" />
  <KeysDialog v-if="keysWanted" />
  <DrawingsDialog v-if="session.me && drawingsWanted" />
</template>
