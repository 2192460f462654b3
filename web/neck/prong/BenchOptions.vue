<script setup lang="ts">
/** How a prong starts, which ring takes the leash, and where that ring sits. */
import { countOf, schoolAnswers, schoolSays } from '@banter/core';
import { computed, ref } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { useUnits } from '../../stores/units.ts';
import type { Bench } from '../shared/bench.ts';
import { useBenchProng } from './bench-prong.ts';

const props = defineProps<{ bench: Bench }>();
const units = useUnits();
const { choices, loose, startLoose } = useBenchProng(props.bench);
/** Wanted loose, though it could be that no more links go in without passing the head. */
const wantsLoose = ref(loose.value > 0);
const school = computed(() => (loose.value > 0 || wantsLoose.value ? 'start-loose' : 'start-fitted'));
const rules = computed(() => props.bench.house.rules);
const travel = computed(() => units.gap(choices.value.ring === 'live' ? rules.value.liveTravelMm : rules.value.bothTravelMm));
function start(now: string | null) {
  wantsLoose.value = now === 'start-loose';
  startLoose(wantsLoose.value ? 1 : 0);
}
</script>

<template>
  <ChoiceRow
    :model-value="school"
    label="First time in a prong"
    :hint="schoolSays('startSchool', school, rules, units.speak)"
    :answers="schoolAnswers('startSchool')"
    quiet
    @update:model-value="start"
  />
  <ChoiceRow
    v-if="school === 'start-loose'"
    :model-value="loose > 1 ? '2' : '1'"
    label="How much longer at first"
    :hint="choices.start ? `It goes on with ${countOf(choices.start.left + choices.start.right, 'link')}.` : 'Longer, it would pass over the head.'"
    :answers="[
      { value: '1', label: 'One link' },
      { value: '2', label: '2 links' },
    ]"
    quiet
    @update:model-value="(now) => startLoose(Number(now))"
  />
  <div class="flex flex-wrap gap-x-8 gap-y-4">
    <ChoiceRow
      :model-value="choices.ring"
      label="Leash on"
      :hint="`The hand moves up to ${travel} before it closes.`"
      :answers="schoolAnswers('ringSchool')"
      quiet
      @update:model-value="(ring) => bench.choose({ ring })"
    />
    <ChoiceRow
      :model-value="choices.ringPlace"
      label="The ring sits"
      :hint="`At ${bench.drawn.ringAt}, as it works on the ${bench.dog.worksOn}.`"
      :answers="schoolAnswers('ringPlace')"
      quiet
      @update:model-value="(ringPlace) => bench.choose({ ringPlace })"
    />
  </div>
</template>
