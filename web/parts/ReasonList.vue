<script setup lang="ts">
/** Why: each reason a plain sentence. */
import type { Reason } from '@banter/core';

defineProps<{ reasons: readonly Reason[] }>();
</script>

<template>
  <ul class="space-y-1.5">
    <li v-for="reason in reasons" :key="reason.code + reason.text" class="grid grid-cols-[0.8rem_1fr] gap-2">
      <span aria-hidden="true" class="mt-[0.62em] h-px bg-soft" />
      <span>{{ reason.text }}</span>
    </li>
  </ul>
</template>
