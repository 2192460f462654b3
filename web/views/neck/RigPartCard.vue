<script setup lang="ts">
/**
 * One part of the rig: how it fails, which piece of the locker it is, and of a tie its slack, mass and rating. Rating and mass of a
 * piece of ours are kept with the piece: they are asked once, in whichever rig it hangs.
 */
import { jointName } from '../../neck/rig-layout.ts';
import { Gear, gearFactsOf, piecesFor, RIG_CATALOGUE } from '@banter/contract';
import { type FittedRigPart, capital } from '@banter/core';
import { computed, ref, watch } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FieldFrame from '../../parts/FieldFrame.vue';
import SaveBar from '../../work/SaveBar.vue';
import MeasureField from '../../parts/MeasureField.vue';
import TextField from '../../parts/TextField.vue';
import { loadRatedOf, RATED_ANSWERS, ratedOf } from '../../parts/load-rating-words.ts';
import { longWords } from '../../parts/long-words.ts';
import { useKeep } from '../../stores/keep.ts';
import { useUnits } from '../../stores/units.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ part: FittedRigPart; dogId: string; gear: readonly Gear[] }>();
const emit = defineEmits<{ change: [part: FittedRigPart]; piece: []; remove: []; close: [] }>();
const keeping = useKeep();
const units = useUnits();
const kind = computed(() => RIG_CATALOGUE.parts[props.part.kind]!);
const tie = computed(
  () =>
    (kind.value.place === 'tie' && props.part.kind !== 'snap' && props.part.kind !== 'dead ring') ||
    (props.part.kind === 'slip lead' && props.part.from !== 'hand'),
);
const pieces = computed(() => piecesFor(props.part, props.gear));
const find = (id: string) => pieces.value.find((piece) => piece.id === id) ?? null;
/** What is known of the piece that hangs there: of ours from the locker, of another's from this rig. */
const knownOf = (id: string) => {
  const { massG, loadRated } = find(id) ?? props.part;
  return { mass: massG === null ? '' : String(massG), rated: ratedOf(loadRated) };
};
const { slack, mass, rated, gearId, settled } = useTyped(`rig-part.${props.dogId}.${props.part.id}`, {
  slack: props.part.slackMm === null ? '' : units.gap(props.part.slackMm),
  gearId: props.part.gearId ?? '',
  ...knownOf(props.part.gearId ?? ''),
});
watch(gearId, (id) => {
  const known = knownOf(id);
  mass.value = known.mass;
  rated.value = known.rated;
});
const piece = computed(() => find(gearId.value));
const sizeOf = ({ name, lengthMm, colour }: Gear) => [name, lengthMm === null ? '' : longWords(lengthMm, units.length), colour].filter(Boolean).join(', ');
const slackMm = ref<number | null>(props.part.slackMm);
const massG = computed(() => {
  const found = /^\s*(\d{1,4}(?:[.,]\d+)?)\s*g?\s*$/.exec(mass.value);
  return found ? Number(found[1]!.replace(',', '.')) : null;
});
const massFault = computed(() => (mass.value.trim() !== '' && (massG.value === null || massG.value > 2000) ? 'A mass in grams, such as 30, up to 2000.' : ''));
const unread = computed(() => (slack.value.trim() !== '' && slackMm.value === null) || massFault.value !== '');
async function keep() {
  if (unread.value) return;
  const own = {
    massG: mass.value.trim() === '' ? null : massG.value,
    loadRated: props.part.kind === 'carabiner' ? loadRatedOf(rated.value) : null,
  };
  const of = piece.value;
  if (of && tie.value && (of.massG !== own.massG || of.loadRated !== own.loadRated)) {
    if (!(await keeping.keep(`/api/gear/${of.id}`, Gear, { ...gearFactsOf(of), ...own }, of.version))) return;
    emit('piece');
  }
  emit('change', {
    ...props.part,
    ...(of ? { massG: null, loadRated: null } : own),
    slackMm: slack.value.trim() === '' ? null : slackMm.value,
    gearId: of?.id ?? null,
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
    <FieldFrame v-if="kind.gear" v-slot="{ id }" label="Which piece" :hint="pieces.length === 0 ? `No ${kind.gear} in the locker yet.` : ''">
      <select :id="id" v-model="gearId" class="field">
        <option value="">Not one of ours, or not logged</option>
        <option v-for="one in pieces" :key="one.id" :value="one.id">{{ sizeOf(one) }}</option>
      </select>
    </FieldFrame>
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
        :label="piece ? `Is ${piece.name} rated for load? Asked once` : 'Is it rated for load?'"
        :answers="RATED_ANSWERS"
        quiet
      />
    </template>
    <SaveBar v-if="tie || kind.gear" :keeping="keeping" label="Save" :disabled="unread" @newer="emit('piece')">
      <button type="button" class="press press-quiet" @click="emit('remove')">Take it out</button>
      <button type="button" class="press press-quiet" @click="emit('close')">Close</button>
    </SaveBar>
    <div v-else class="flex flex-wrap gap-2">
      <button type="button" class="press press-quiet" @click="emit('remove')">Take it out</button>
      <button type="button" class="press press-quiet" @click="emit('close')">Close</button>
    </div>
  </form>
</template>
