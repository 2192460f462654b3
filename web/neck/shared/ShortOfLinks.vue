<script setup lang="ts">
/** A make-up that takes more links than the bag holds. */
import { countOf } from '@banter/core';
import { gaugeName } from '@banter/core/collars/prong';

defineProps<{ gaugeMm: number; wanted: number; held: number }>();
</script>

<template>
  <p class="rounded bg-mind-wash p-3 text-mind">
    Buy {{ countOf(wanted - held, 'link') }} of {{ gaugeName(gaugeMm) }}: it takes {{ wanted }}, and the bag has {{ held === 0 ? 'none' : held }}. Once this fit
    is saved, they stand on the shopping list.
    <RouterLink to="/locker?show=shopping" class="font-semibold underline">Shopping list</RouterLink>
  </p>
</template>
