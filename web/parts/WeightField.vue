<script setup lang="ts">
/** A dog's weight as people write it. Emits grams, or null while nothing sure is written. */
import { readMass } from '@banter/core';
import { computed, watch } from 'vue';
import { useUnits } from '../stores/units.ts';
import FieldFrame from './FieldFrame.vue';
import { keepUnitOf } from './measure-units.ts';
import { massFault } from './measure-words.ts';

defineProps<{ label: string; hint?: string; error?: string }>();
const typed = defineModel<string>({ required: true });
const emit = defineEmits<{ read: [grams: number | null] }>();

const units = useUnits();
keepUnitOf(typed, 'mass');
const reading = computed(() => readMass(typed.value, units.mass));
const fault = computed(() => massFault(reading.value, units.mass));
watch(reading, (now) => emit('read', now.kind === 'read' ? now.grams : null), { immediate: true });
</script>

<template>
  <FieldFrame v-slot="{ id, describedBy, invalid }" :label="label" :hint="hint" :error="fault || error">
    <div class="relative">
      <input
        :id="id"
        v-model="typed"
        class="field"
        :class="invalid && 'border-stop!'"
        autocomplete="off"
        maxlength="40"
        :aria-describedby="describedBy"
        :aria-invalid="invalid"
      />
      <span class="pointer-events-none absolute top-2.5 right-3 text-soft">{{ units.mass }}</span>
    </div>
  </FieldFrame>
</template>
