<script setup lang="ts">
/** Big keys for readings on a phone, with the eighths where the kennel speaks inches; they type into the reading that has the cursor. */
import { useUnits } from '../stores/units.ts';

const props = defineProps<{ field: HTMLInputElement | null }>();
const units = useUnits();
const KEYS = ['1', '2', '3', '4', '5', '.', '6', '7', '8', '9', '0'] as const;
const EIGHTHS = [
  ['1/8', '⅛'],
  ['1/4', '¼'],
  ['3/8', '⅜'],
  ['1/2', '½'],
  ['5/8', '⅝'],
  ['3/4', '¾'],
  ['7/8', '⅞'],
] as const;
function put(text: string) {
  const { field } = props;
  if (!field) return;
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
const typed = () => props.field?.value ?? '';
const type = (key: string) => put(typed() + key);
const withEighth = (eighth: string) => put(`${/^\d+/.exec(typed())?.[0] ?? ''} ${eighth}`.trim());
</script>

<template>
  <!-- The cursor stays in its field. -->
  <div class="mb-2 space-y-1.5" role="group" aria-label="Keys for readings" @pointerdown.prevent>
    <div v-if="units.length === 'in'" class="grid grid-cols-7 gap-1.5">
      <button
        v-for="[eighth, sign] in EIGHTHS"
        :key="eighth"
        type="button"
        class="press press-plain min-h-12 p-0 text-xl"
        :aria-label="`${eighth} inch`"
        @click="withEighth(eighth)"
      >
        {{ sign }}
      </button>
    </div>
    <div class="grid grid-cols-6 gap-1.5">
      <button v-for="key in KEYS" :key="key" type="button" class="press press-plain min-h-12 p-0 text-xl" @click="type(key)">{{ key }}</button>
      <button type="button" class="press press-plain min-h-12 p-0 text-xl" aria-label="Delete last character" @click="put(typed().trim().slice(0, -1))">
        ⌫
      </button>
    </div>
  </div>
</template>
