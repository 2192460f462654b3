<script setup lang="ts">
/** One part of the rig: how it fails, and of a tie its slack, mass and rating. */
import { jointName } from '../../neck/rig-layout.ts';
import { RIG_CATALOGUE } from '@banter/contract';
import { type FittedRigPart, capital } from '@banter/core';
import { computed, ref } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import MeasureField from '../../parts/MeasureField.vue';
import TextField from '../../parts/TextField.vue';
import { useUnits } from '../../stores/units.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ part: FittedRigPart; dogId: string }>();
const emit = defineEmits<{ change: [part: FittedRigPart]; remove: []; close: [] }>();
const units = useUnits();
const kind = computed(() => RIG_CATALOGUE.parts[props.part.kind]!);
const tie = computed(
  () =>
    (kind.value.place === 'tie' && props.part.kind !== 'snap' && props.part.kind !== 'dead ring') ||
    (props.part.kind === 'slip lead' && props.part.from !== 'hand'),
);
const { slack, mass, rated, settled } = useTyped(`rig-part.${props.dogId}.${props.part.id}`, {
  slack: props.part.slackMm === null ? '' : units.gap(props.part.slackMm),
  mass: props.part.massG === null ? '' : String(props.part.massG),
  rated: (props.part.loadRated === null ? 'unknown' : props.part.loadRated ? 'yes' : 'no') as 'yes' | 'no' | 'unknown',
});
const slackMm = ref<number | null>(props.part.slackMm);
const massG = computed(() => {
  const found = /^\s*(\d{1,4}(?:[.,]\d+)?)\s*g?\s*$/.exec(mass.value);
  return found ? Number(found[1]!.replace(',', '.')) : null;
});
const massFault = computed(() => (mass.value.trim() !== '' && (massG.value === null || massG.value > 2000) ? 'A mass in grams, such as 30, up to 2000.' : ''));
const unread = computed(() => (slack.value.trim() !== '' && slackMm.value === null) || massFault.value !== '');
function keep() {
  if (unread.value) return;
  emit('change', {
    ...props.part,
    slackMm: slack.value.trim() === '' ? null : slackMm.value,
    massG: mass.value.trim() === '' ? null : massG.value,
    loadRated: props.part.kind !== 'carabiner' || rated.value === 'unknown' ? null : rated.value === 'yes',
  });
  settled();
  emit('close');
}
</script>

<template>
  <form class="space-y-3 rounded border border-line bg-raised p-3" novalidate :aria-label="kind.name" @submit.prevent="keep">
    <p>
      <strong class="first-letter:uppercase">{{ capital(kind.name) }}</strong>
      from {{ jointName(part.from) }} to {{ jointName(part.to) }}. It {{ kind.fails }}.
    </p>
    <template v-if="tie">
      <div class="grid gap-3 sm:grid-cols-2">
        <MeasureField
          v-model="slack"
          label="Slack before it takes load"
          hint="Everything at rest on the dog: how far it can be drawn."
          :expected="{ possibleMm: [0, 3000], likelyMm: [0, 600] }"
          @read="(mm) => (slackMm = mm)"
        />
        <TextField v-model="mass" label="Its mass, g (may be left empty)" inputmode="decimal" :error="massFault" />
      </div>
      <ChoiceRow
        v-if="part.kind === 'carabiner'"
        v-model="rated"
        label="Is it rated for load?"
        :answers="[
          { value: 'yes', label: 'Yes, stamped on it' },
          { value: 'no', label: 'No, a key-ring one' },
          { value: 'unknown', label: 'Not known' },
        ]"
        quiet
      />
    </template>
    <div class="flex flex-wrap gap-2">
      <button v-if="tie" type="submit" class="press press-plain" :disabled="unread">Keep this</button>
      <button type="button" class="press press-quiet" @click="emit('remove')">Take it out</button>
      <button type="button" class="press press-quiet" @click="emit('close')">Close</button>
    </div>
  </form>
</template>
