<script setup lang="ts">
/** The collar as it is on the dog while it is checked: cross-section, and what of its make-up is set right by hand. */
import { collarKind, type CollarKindName, type DrawnCollar, type FittingDog } from '@banter/contract';
import { computed } from 'vue';
import KnobRow from '../../parts/KnobRow.vue';
import { crossSection } from './cross-sections.ts';

const props = defineProps<{ kind: CollarKindName; collar: { id: string; name: string; numbers: Record<string, unknown> }; dog: FittingDog; ringAt: number }>();
const on = defineModel<Record<string, number>>({ required: true });
const Section = crossSection(props.kind);
const knobs = computed(() => collarKind(props.kind).knobs(collarKind(props.kind).numbers.parse(props.collar.numbers)));
const drawn = computed<DrawnCollar>(() => ({ kind: props.kind, collar: props.collar, setting: on.value, ringAt: props.ringAt }));
</script>

<template>
  <div>
    <component :is="Section" :drawn="drawn" :dog="dog" />
    <div v-if="knobs.length > 0" class="mt-3 space-y-3 border-t border-line pt-3">
      <KnobRow v-for="knob in knobs" :key="knob.id" :knob="knob" :model-value="on[knob.id]!" @update:model-value="(now) => (on = { ...on, [knob.id]: now })" />
    </div>
  </div>
</template>
