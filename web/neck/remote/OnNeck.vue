<script setup lang="ts">
/** A remote collar on the unrolled neck. */
import type { UnrolledNeck } from '@banter/core';
import type { DrawnCollar } from '@banter/contract';
import ReceiverOnNeck from '../shared/ReceiverOnNeck.vue';

defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();
</script>

<template>
  <ReceiverOnNeck :neck="neck" :drawn="drawn" />
</template>
