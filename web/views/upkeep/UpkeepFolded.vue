<script setup lang="ts">
/** A list of Upkeep that is folded away: it is asked for once somebody opens it, and anew whenever something was inspected. */
import { UpkeepPage, type UpkeepList, type UpkeepPiece } from '@banter/contract';
import type { HouseRules } from '@banter/core';
import { watch } from 'vue';
import { useLongList } from '../../stores/long-list.ts';
import UpkeepRows from './UpkeepRows.vue';

const props = defineProps<{ list: UpkeepList; now: number; rules: HouseRules; round: number }>();
const emit = defineEmits<{ look: [id: string] }>();
const source = useLongList<UpkeepPiece, UpkeepPage>(() => `/api/upkeep?list=${props.list}`, UpkeepPage);
const { state, sentence } = source;
watch(
  () => props.round,
  () => void source.load(),
);
</script>

<template>
  <p v-if="state === 'loading'" role="status" class="py-2 text-soft">Loading the gear …</p>
  <p v-else-if="state !== 'ready'" role="alert" class="py-2">{{ sentence }}</p>
  <UpkeepRows v-else :list="list" :source="source" :now="now" :rules="rules" :first-id="null" @look="(id) => emit('look', id)" />
</template>
