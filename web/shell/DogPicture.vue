<script setup lang="ts">
/** The neck of a dog in small, with what is decided for it. */
import { drawnFits, neckTapeOf } from '@banter/contract';
import { computed } from 'vue';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import type { DogHere } from './dog-here.ts';

const props = defineProps<{ here: DogHere }>();
const tape = computed(() => neckTapeOf(props.here.girths));
const lying = computed(() => drawnFits(props.here.fits, props.here.dog, props.here.kennel, props.here.dressing));
</script>

<template>
  <UnrolledNeck v-if="tape" :tape="tape" :name="here.dog.name" :breed="here.dog.breed" v-bind="lying" size="small" />
</template>
