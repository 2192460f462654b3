<script setup lang="ts">
/** What was done here with a dog and the kennel has not got yet, while it cannot be sent: not every screen of the dog knows of it. */
import { computed } from 'vue';
import { useUnsent } from '../stores/unsent.ts';

const props = defineProps<{ dogId: string }>();
const unsent = useUnsent();
const says = computed(() => unsent.of(props.dogId));
</script>

<template>
  <p v-if="says" class="text-sm text-mind">
    {{ says }}
    <RouterLink to="/outbox" class="relative font-semibold underline">See all<span class="sr-only"> that is not sent</span></RouterLink>
  </p>
</template>
