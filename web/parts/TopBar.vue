<script setup lang="ts">
/** The name, the screens, and what can be switched on the spot: units, light and dark, the way out. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { CircleUserRound } from '@lucide/vue';
import { useRouter } from 'vue-router';
import { useDrawings } from '../stores/drawings.ts';
import { useKeys, useScreenKeys } from '../stores/keys.ts';
import { useSession } from '../stores/session.ts';
import { useTheme } from '../stores/theme.ts';
import { useUnits } from '../stores/units.ts';
import BanterMark from './BanterMark.vue';

const session = useSession();
const units = useUnits();
const theme = useTheme();
const keys = useKeys();
const drawings = useDrawings();
const router = useRouter();

const screens = [
  { to: '/today', label: 'Today' },
  { to: '/dogs', label: 'Dogs' },
  { to: '/programme', label: 'Programme' },
  { to: '/field', label: 'Field log' },
  { to: '/locker', label: 'Locker' },
  { to: '/upkeep', label: 'Upkeep' },
  { to: '/house', label: 'House rules' },
];
const themes = [
  { value: 'system', label: 'As the system' },
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
] as const;

async function leave() {
  // What this device has not sent yet stays on it for whoever signs in to this kennel next: look first.
  const { useOutbox } = await import('../stores/outbox.ts');
  const outbox = useOutbox();
  if (outbox.waiting > 0) await outbox.trySend();
  if (outbox.waiting + outbox.refused.length > 0 && router.currentRoute.value.name !== 'outbox') {
    await router.push({ path: '/outbox', query: { leaving: '1' } });
    return;
  }
  await session.signOut().catch(() => {});
  if (!session.me) await router.push('/');
}

useScreenKeys('Everywhere', [
  { key: 'h', does: 'Today', run: () => void router.push('/today') },
  { key: 'd', does: 'Dogs', run: () => void router.push('/dogs') },
  { key: 'g', does: 'Programme of the kennel', run: () => void router.push('/programme') },
  { key: 'f', does: 'Field log', run: () => void router.push('/field') },
  { key: 'k', does: 'Upkeep', run: () => void router.push('/upkeep') },
  { key: 'l', does: 'Locker', run: () => void router.push('/locker') },
  { key: 'x', does: 'Drawings of this screen, as files', run: () => (drawings.listed = true) },
  { key: 'u', does: 'Switch between inches and centimetres', run: () => units.switchOver() },
]);
</script>

<template>
  <header class="top no-print border-b border-line">
    <div class="mx-auto flex max-w-[1240px] flex-wrap items-center gap-x-5 gap-y-1 px-4 py-2 sm:px-6">
      <RouterLink :to="session.me ? '/today' : '/'" class="flex items-center gap-2 no-underline" aria-label="Banter, to the start">
        <BanterMark class="size-8" />
        <span class="font-display text-xl font-bold tracking-tight">Banter</span>
      </RouterLink>
      <nav v-if="session.me" aria-label="Screens" class="order-3 -mx-3 flex w-[calc(100%+1.5rem)] overflow-x-auto sm:order-none sm:mx-0 sm:w-auto">
        <RouterLink
          v-for="screen in screens"
          :key="screen.to"
          :to="screen.to"
          class="flex min-h-12 items-center border-b-4 border-transparent px-2.5 whitespace-nowrap no-underline hover:border-line sm:px-3"
          active-class="border-tape! font-semibold"
        >
          {{ screen.label }}
        </RouterLink>
      </nav>
      <div class="ml-auto flex items-center gap-1">
        <button
          v-if="session.me"
          type="button"
          class="press press-quiet"
          :aria-label="`Units: ${units.length} and ${units.mass}. Switch`"
          @click="units.switchOver()"
        >
          {{ units.length }} · {{ units.mass }}
        </button>
        <Menu v-slot="{ open }" as="div" class="relative">
          <MenuButton class="press min-w-12" :aria-label="session.me ? `${session.me.person.name}, ${session.me.kennel.name}: menu` : 'Menu'">
            <CircleUserRound aria-hidden="true" :size="24" />
          </MenuButton>
          <MenuItems v-if="open" static class="absolute right-0 z-10 mt-1 w-64 rounded-md border border-line bg-raised p-2 shadow-lg">
            <div v-if="session.me" class="px-3 py-2 text-soft">
              <span class="block font-semibold text-ink">{{ session.me.person.name }}</span>
              {{ session.me.kennel.name }}
            </div>
            <MenuItem v-for="one in themes" :key="one.value" v-slot="{ active }">
              <button
                type="button"
                class="flex min-h-11 w-full items-center gap-3 rounded px-3 text-left"
                :class="active && 'bg-ground'"
                @click="theme.chosen = one.value"
              >
                <span aria-hidden="true" class="w-4">{{ theme.chosen === one.value ? '✓' : '' }}</span>
                {{ one.label }}
                <span v-if="theme.chosen === one.value" class="sr-only">(chosen)</span>
              </button>
            </MenuItem>
            <MenuItem v-slot="{ active }">
              <button
                type="button"
                class="mt-1 flex min-h-11 w-full items-center gap-3 rounded border-t border-line px-3 text-left"
                :class="active && 'bg-ground'"
                @click="keys.listed = true"
              >
                <span class="w-4" aria-hidden="true">?</span>
                Keys
              </button>
            </MenuItem>
            <MenuItem v-if="session.me" v-slot="{ active }">
              <button
                type="button"
                class="flex min-h-11 w-full items-center rounded px-3 pl-10 text-left"
                :class="active && 'bg-ground'"
                @click="drawings.listed = true"
              >
                Drawings of this screen
              </button>
            </MenuItem>
            <MenuItem v-if="session.me" v-slot="{ active }">
              <RouterLink to="/me" class="flex min-h-11 w-full items-center rounded px-3 pl-10 text-left no-underline" :class="active && 'bg-ground'"
                >My account</RouterLink
              >
            </MenuItem>
            <MenuItem v-if="session.me" v-slot="{ active }">
              <button type="button" class="flex min-h-11 w-full items-center rounded px-3 pl-10 text-left" :class="active && 'bg-ground'" @click="leave">
                Sign out
              </button>
            </MenuItem>
          </MenuItems>
        </Menu>
      </div>
    </div>
  </header>
</template>
