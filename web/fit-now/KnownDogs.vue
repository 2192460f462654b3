<script setup lang="ts">
/** Dogs that the kennel has by that name: one of them is fitted at its own bench. */
import type { CollarKindName } from '@banter/contract';
import { useDogsFound } from '../parts/dogs-found.ts';

const props = defineProps<{ name: string; kind: CollarKindName | null }>();
const found = useDogsFound(() => props.name);
</script>

<template>
  <p v-if="found.length > 0" class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
    <span class="text-soft">Here already:</span>
    <RouterLink v-for="dog in found" :key="dog.id" class="press press-plain min-h-10 py-0!" :to="`/dogs/${dog.id}/bench${kind ? `/${kind}` : ''}`">
      {{ dog.name }}
    </RouterLink>
  </p>
</template>
