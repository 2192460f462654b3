<script setup lang="ts">
/** The rule of link stops for the prong on the bench. */
import { slackWindow } from '@banter/core/collars/prong';
import { computed } from 'vue';
import type { Bench } from '../shared/bench.ts';
import { useBenchProng } from './bench-prong.ts';
import { linkStops } from './link-stops.ts';
import LinkRule from './LinkRule.vue';

const props = defineProps<{ bench: Bench }>();
const { choices, collar, neck, outcome, makeUp } = useBenchProng(props.bench);
const rules = computed(() => props.bench.house.rules);
const stops = computed(() => linkStops(collar.value, choices.value.split, neck.value, rules.value, 2));
const headRoomMm = computed(() => (neck.value.headGirthMm === undefined ? null : neck.value.headGirthMm - neck.value.girthMm));
</script>

<template>
  <LinkRule
    :stops="stops"
    :now="outcome.judgement.links"
    :window="slackWindow(collar, rules)"
    :aim-mm="rules.slackAimMm"
    :head-room-mm="headRoomMm"
    @choose="makeUp"
  />
</template>
