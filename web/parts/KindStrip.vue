<script setup lang="ts">
/** The kinds of collar in a row, to go from one to the next on the bench; the one on it is marked. */
import { COLLAR_KIND_NAMES, collarKind, type CollarKindName } from '@banter/contract';

import KindMark from '../neck/KindMark.vue';

defineProps<{ dogId: string; kind: CollarKindName }>();
</script>

<template>
  <nav aria-label="Kinds of collar" class="-mt-2 mb-1 flex items-center gap-x-1 overflow-x-auto max-lg:-mx-4 max-lg:px-4" tabindex="-1">
    <RouterLink :to="`/dogs/${dogId}/bench`" class="press press-quiet min-h-10 shrink-0">← All side by side</RouterLink>
    <RouterLink
      v-for="name in COLLAR_KIND_NAMES"
      :key="name"
      :to="`/dogs/${dogId}/bench/${name}`"
      class="flex min-h-10 shrink-0 items-center rounded-[0.3rem] px-2.5 text-[0.95rem] no-underline hover:bg-felt"
      :class="name === kind ? 'bg-felt font-semibold underline decoration-tape decoration-4 underline-offset-8' : 'text-soft'"
      :aria-current="name === kind ? 'page' : undefined"
    >
      <KindMark :kind="name" class="mr-1.5 size-6!" />{{ collarKind(name).name }}
    </RouterLink>
  </nav>
</template>
