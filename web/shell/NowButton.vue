<script setup lang="ts">
/** At a desk: how many collars are on dogs now; it opens to each, with what is done to it in one tap. */
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import SaidBar from '../parts/SaidBar.vue';
import { useTell } from '../stores/tell.ts';
import { useWearing } from '../stores/wearing.ts';
import NowList from './NowList.vue';
import { useNowActs } from './now-acts.ts';

const wearing = useWearing();
const telling = useTell(wearing.look);
const acts = useNowActs(telling);
</script>

<template>
  <Popover v-if="wearing.wearing.length > 0 || telling.said.value" class="relative">
    <PopoverButton class="press gap-1.5 px-2! whitespace-nowrap">
      <svg viewBox="0 0 20 20" class="size-5 shrink-0" aria-hidden="true">
        <circle cx="10" cy="10" r="6" fill="var(--hide)" />
        <circle cx="10" cy="10" r="8" fill="none" stroke="currentColor" stroke-width="2.4" />
      </svg>
      {{ wearing.wearing.length }} on
    </PopoverButton>
    <PopoverPanel class="absolute top-full right-0 z-30 w-[27rem] rounded-md border border-line bg-raised shadow-lg">
      <NowList :shown="wearing.pressing" :acts="acts" />
      <div class="px-2"><SaidBar :telling="telling" /></div>
    </PopoverPanel>
  </Popover>
</template>
