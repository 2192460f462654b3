<script setup lang="ts">
/** At the foot of a phone, under the thumb: the screens of the kennel. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { Ellipsis } from '@lucide/vue';
import { MORE_SCREENS, SCREENS } from './screens.ts';
</script>

<template>
  <nav aria-label="Screens" class="flex h-[60px] items-stretch border-t border-line bg-felt">
    <RouterLink
      v-for="screen in SCREENS"
      :key="screen.to"
      :to="screen.to"
      class="flex min-w-0 flex-1 items-center justify-center border-t-4 border-transparent px-1 whitespace-nowrap no-underline"
      active-class="border-tape! font-semibold"
    >
      {{ $spell(screen.short ?? screen.label) }}
    </RouterLink>
    <Menu as="div" class="relative flex">
      <MenuButton class="flex w-14 items-center justify-center border-t-4 border-transparent" aria-label="More screens">
        <Ellipsis aria-hidden="true" :size="24" />
      </MenuButton>
      <MenuItems class="absolute right-1 bottom-full z-30 mb-1 w-52 rounded-md border border-line bg-raised p-2 shadow-lg">
        <MenuItem v-for="screen in MORE_SCREENS" :key="screen.to" v-slot="{ active }">
          <RouterLink :to="screen.to" class="flex min-h-12 items-center rounded px-3 no-underline" :class="active && 'bg-ground'">{{
            screen.label
          }}</RouterLink>
        </MenuItem>
      </MenuItems>
    </Menu>
  </nav>
</template>
