<script setup lang="ts">
/** A photo of skin: from this device as long as it waits to be sent, else from the kennel. `link` opens it whole. */
import { onScopeDispose, ref, watch } from 'vue';
import { useOutbox } from '../stores/outbox.ts';

const props = defineProps<{ id: string; alt: string; link?: boolean }>();
const outbox = useOutbox();
const address = ref<string | null>(null);
let own = '';
function letGo() {
  if (own) URL.revokeObjectURL(own);
  own = '';
}
watch(
  () => props.id,
  async (id) => {
    const here = await outbox.photos().of(id);
    if (id !== props.id) return;
    letGo();
    address.value = here ? (own = URL.createObjectURL(here)) : `/api/photos/${id}`;
  },
  { immediate: true },
);
onScopeDispose(letGo);
</script>

<template>
  <component :is="link ? 'a' : 'span'" v-if="address" :href="link ? address : undefined" :target="link ? '_blank' : undefined" rel="noopener">
    <img :src="address" :alt="alt" loading="lazy" />
  </component>
</template>
