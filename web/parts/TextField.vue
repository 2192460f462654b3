<script setup lang="ts">
/** One line or several lines of text. `options` are suggestions; anything may be typed. */
import { useId } from 'vue';
import FieldFrame from './FieldFrame.vue';

defineProps<{
  label: string;
  hint?: string;
  error?: string;
  type?: string;
  autocomplete?: string;
  inputmode?: 'text' | 'numeric' | 'decimal' | 'email';
  rows?: number;
  options?: readonly string[];
  required?: boolean;
  hideLabel?: boolean;
  placeholder?: string | undefined;
}>();
const text = defineModel<string>({ required: true });
const list = useId();
</script>

<template>
  <FieldFrame v-slot="{ id, describedBy, invalid }" :label="label" :hide-label="hideLabel" :hint="hint" :error="error">
    <textarea v-if="rows" :id="id" v-model="text" :rows="rows" class="field" :aria-describedby="describedBy" :aria-invalid="invalid" />
    <input
      v-else
      :id="id"
      v-model="text"
      :type="type ?? 'text'"
      class="field"
      :class="invalid && 'border-stop!'"
      :autocomplete="autocomplete ?? 'off'"
      :inputmode="inputmode"
      :list="options ? list : undefined"
      :required="required"
      :placeholder="placeholder"
      :aria-describedby="describedBy"
      :aria-invalid="invalid"
    />
    <datalist v-if="options" :id="list"><option v-for="option in options" :key="option" :value="option" /></datalist>
  </FieldFrame>
</template>
