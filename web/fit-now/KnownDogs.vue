<script setup lang="ts">
/** Dogs that the kennel has by that name: one of them is fitted at its own bench. */
import { Found, type CollarKindName } from '@banter/contract';
import { ref, watch } from 'vue';
import { send } from '../api/request.ts';

const props = defineProps<{ name: string; kind: CollarKindName | null }>();
const found = ref<{ id: string; name: string }[]>([]);
let asked = 0;
watch(
  () => props.name,
  async (name) => {
    const mine = (asked += 1);
    if (name.length < 2) found.value = [];
    else {
      const page = await send('GET', `/api/found?text=${encodeURIComponent(name)}`, Found).catch(() => null);
      // What comes late tells of what was typed before.
      if (mine === asked && page) found.value = page.dogs.filter(({ away }) => !away).slice(0, 4);
    }
  },
);
</script>

<template>
  <p v-if="found.length > 0" class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
    <span class="text-soft">Here already:</span>
    <RouterLink v-for="dog in found" :key="dog.id" class="press press-plain min-h-10 py-0!" :to="`/dogs/${dog.id}/bench${kind ? `/${kind}` : ''}`">
      {{ dog.name }}
    </RouterLink>
  </p>
</template>
