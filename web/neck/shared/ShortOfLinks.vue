<script setup lang="ts">
/** A make-up that takes more links than the bag holds. */
import { countOf } from '@banter/core';
import { gaugeName } from '@banter/core/collars/prong';

defineProps<{ gaugeMm: number; wanted: number; held: number }>();
</script>

<template>
  <p class="rounded bg-mind-wash p-3 text-mind">
    It takes {{ countOf(wanted, 'link') }} of {{ gaugeName(gaugeMm) }} from the bag, and
    {{ held === 0 ? 'there is none' : `there ${held === 1 ? 'is' : 'are'} ${countOf(held, 'link')}` }}.
    <RouterLink to="/locker?show=links" class="font-semibold underline">To the bag</RouterLink>
  </p>
</template>
