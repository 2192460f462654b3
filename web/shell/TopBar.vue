<script setup lang="ts">
/** The name or, on a phone, the dog; the screens; find, alerts, and what can be switched on the spot: units, light and dark, the way out. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { ChevronLeft, CircleUserRound, Search } from '@lucide/vue';
import { computed, defineAsyncComponent, onServerPrefetch } from 'vue';
import { useRouter } from 'vue-router';
import { useDrawings } from '../stores/drawings.ts';
import { useKeys, useScreenKeys } from '../stores/keys.ts';
import { useSession } from '../stores/session.ts';
import { useTheme } from '../stores/theme.ts';
import { useUnits } from '../stores/units.ts';
import { useNarrower } from '../stores/widths.ts';
import BanterMark from '../parts/BanterMark.vue';
import { useDogHere } from './dog-here.ts';
import { useFinding } from './finding.ts';
import { useIdleTurn } from './idle.ts';
import { MORE_SCREENS, SCREENS } from './screens.ts';

const AlertsButton = defineAsyncComponent(() => import('./AlertsButton.vue'));
const NowButton = defineAsyncComponent(() => import('./NowButton.vue'));
const props = defineProps<{ dogId: string | null }>();
const session = useSession();
const finding = useFinding();
const dogHere = useDogHere();
// In a picture it stands before the screen that knows the dog: it is drawn a moment after it.
onServerPrefetch(() => (props.dogId ? new Promise<void>((done) => setTimeout(done)) : undefined));
const dogName = computed(() => (props.dogId ? (dogHere.of(props.dogId)?.dog.name ?? 'Dog') : ''));
const units = useUnits();
const theme = useTheme();
const keys = useKeys();
const drawings = useDrawings();
const router = useRouter();
// What a phone has no room for is not made there.
const phone = useNarrower('sm');
const nowTurn = useIdleTurn();
const alertsTurn = useIdleTurn();

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
  { key: '/', does: 'Find a dog, a collar, a rule', run: () => (finding.open = true) },
  { key: 's', does: 'Fit now', run: () => void router.push('/fit') },
  { key: 'h', does: 'Today', run: () => void router.push('/today') },
  { key: 'd', does: 'Dogs', run: () => void router.push('/dogs') },
  { key: 'g', does: 'Calendar', run: () => void router.push('/programme') },
  { key: 'f', does: 'Field log', run: () => void router.push('/field') },
  { key: 'k', does: 'Upkeep', run: () => void router.push('/upkeep') },
  { key: 'l', does: 'Locker', run: () => void router.push('/locker') },
  { key: 'x', does: 'Drawings of this screen, as files', run: () => (drawings.listed = true) },
  { key: 'u', does: 'Switch between inches and centimetres', run: () => units.switchOver() },
]);
</script>

<template>
  <header class="top no-print border-b border-line">
    <div class="mx-auto flex h-[52px] max-w-[1240px] items-center gap-x-3 px-2 sm:px-6">
      <!-- On a phone the dog stands here, and the way back to all of them. -->
      <RouterLink v-if="dogId" to="/dogs" class="flex min-h-12 min-w-0 items-center gap-1 no-underline sm:hidden" :aria-label="`${dogName}: back to all dogs`">
        <ChevronLeft aria-hidden="true" :size="24" class="shrink-0" />
        <span class="truncate font-display text-xl font-bold">{{ dogName }}</span>
      </RouterLink>
      <RouterLink
        :to="session.me ? '/today' : '/'"
        class="flex min-h-12 items-center gap-2 no-underline"
        :class="dogId && 'max-sm:hidden'"
        aria-label="Banter, to the start"
      >
        <BanterMark class="size-8" />
        <span class="font-display text-xl font-bold tracking-tight" :class="session.me && 'max-lg:hidden'">Banter</span>
      </RouterLink>
      <nav v-if="session.me && !phone" aria-label="Screens" class="flex h-full min-w-0 items-stretch overflow-x-auto">
        <RouterLink
          v-for="screen in [...SCREENS, ...MORE_SCREENS]"
          :key="screen.to"
          :to="screen.to"
          class="flex items-center border-b-4 border-transparent px-2.5 whitespace-nowrap no-underline hover:border-line"
          active-class="border-tape! font-semibold"
        >
          {{ screen.label }}
        </RouterLink>
      </nav>
      <div class="ml-auto flex shrink-0 items-center">
        <RouterLink
          v-if="session.me && !dogId"
          to="/fit"
          class="press press-main min-h-10! px-3! whitespace-nowrap"
          aria-keyshortcuts="s"
          active-class="hidden"
        >
          Fit now
        </RouterLink>
        <button v-if="session.me" type="button" class="press min-w-12 gap-2 px-2!" aria-label="Find" aria-keyshortcuts="/" @click="finding.open = true">
          <Search aria-hidden="true" :size="20" />
          <kbd class="hidden rounded border border-line px-1.5 font-sans text-sm text-soft lg:inline" aria-hidden="true">/</kbd>
        </button>
        <NowButton v-if="session.me && nowTurn && !phone" />
        <div class="flex min-w-12 justify-center"><AlertsButton v-if="session.me && alertsTurn" /></div>
        <button
          v-if="session.me && !phone"
          type="button"
          class="press min-w-12 px-2!"
          :aria-label="`Units: ${units.length} and ${units.mass}. Switch`"
          @click="units.switchOver()"
        >
          {{ units.length }}
        </button>
        <Menu v-slot="{ open }" as="div" class="relative">
          <MenuButton class="press min-w-12" :aria-label="session.me ? `${session.me.person.name}, ${session.me.kennel.name}: menu` : 'Menu'">
            <CircleUserRound aria-hidden="true" :size="24" />
          </MenuButton>
          <MenuItems v-if="open" static class="absolute right-0 z-30 mt-1 w-64 rounded-md border border-line bg-raised p-2 shadow-lg">
            <div v-if="session.me" class="px-3 py-2 text-soft">
              <span class="block font-semibold text-ink">{{ session.me.person.name }}</span>
              {{ session.me.kennel.name }}
            </div>
            <MenuItem v-if="session.me" v-slot="{ active }">
              <button
                type="button"
                class="mb-1 flex min-h-11 w-full items-center gap-3 rounded border-b border-line px-3 pl-10 text-left"
                :class="active && 'bg-ground'"
                @click="units.switchOver()"
              >
                {{ units.length === 'cm' ? 'Inches and pounds' : $spell('Centimetres and kilograms') }}
              </button>
            </MenuItem>
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
