<script setup lang="ts">
import { ROLE_WORDS } from '@banter/contract';
import { computed, defineAsyncComponent } from 'vue';
import { useRoute } from 'vue-router';
import TopBar from './parts/TopBar.vue';
import { useKeys } from './stores/keys.ts';
import { useSession } from './stores/session.ts';

const KeysDialog = defineAsyncComponent(() => import('./parts/KeysDialog.vue'));
const DrawingsDialog = defineAsyncComponent(() => import('./parts/DrawingsDialog.vue'));
const DeviceStrip = defineAsyncComponent(() => import('./parts/DeviceStrip.vue'));
const AlarmStrip = defineAsyncComponent(() => import('./parts/AlarmStrip.vue'));
const session = useSession();
const route = useRoute();
// Keys are listened to from the first moment, whether their list is here or not.
useKeys();
/** Each address is a screen of its own; the parts of the neck are one, so that what was done on them can be undone from any. */
const screen = computed(() =>
  route.name === 'neck' ? `neck ${String(route.params.id)}` : route.name === 'field' || route.name === 'upkeep' ? route.name : route.fullPath,
);
</script>

<template>
  <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-tape focus:p-3 focus:text-on-tape">Skip to the work</a>
  <TopBar />
  <div role="status" aria-live="polite">
    <!-- What waits on this device is sent from whichever screen is open. -->
    <DeviceStrip v-if="session.me" />
    <p v-if="session.me && session.waitingRole" class="no-print bg-mind-wash px-4 py-2 text-center text-mind">
      You are {{ ROLE_WORDS[session.waitingRole].name.toLowerCase() }} now. Sign out and in again to work as one.
    </p>
  </div>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-5 pb-24 sm:px-6" tabindex="-1">
    <RouterView :key="screen" />
  </main>
  <!-- Today says the same, with all that is due. -->
  <AlarmStrip v-if="session.me && route.name !== 'today'" />
  <KeysDialog />
  <DrawingsDialog v-if="session.me" />
</template>
