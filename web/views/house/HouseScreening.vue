<script setup lang="ts">
/** What each screening question means for each thing a collar does, with the house's own levels. */
import {
  HAZARD_WORDS,
  HAZARDS,
  levelOf,
  SCREEN_ITEMS,
  SCREEN_LEVEL_WORDS,
  SCREEN_LEVELS,
  type Hazard,
  type ScreenItem,
  type ScreenItemId,
  type ScreenLevel,
} from '@banter/core';
import SaveBar from '../../work/SaveBar.vue';
import { useKennelForm } from '../../stores/kennel-form.ts';

const { form, saved, changed, restored, discard, keeping, keep, showTheirs } = useKennelForm('screening');
const byDefault = (item: ScreenItem, hazard: Hazard): ScreenLevel => item.levels[hazard] ?? 'none';
function set(id: ScreenItemId, item: ScreenItem, hazard: Hazard, level: ScreenLevel) {
  const own = { ...(form.value.screen[id] ?? {}) };
  if (level === byDefault(item, hazard)) delete own[hazard];
  else own[hazard] = level;
  const screen = { ...form.value.screen };
  if (Object.keys(own).length === 0) delete screen[id];
  else screen[id] = own;
  form.value = { ...form.value, screen };
}
</script>

<template>
  <form novalidate @submit.prevent="keep">
    <p class="max-w-[46rem]">
      A stop blocks the plan of every collar that does it, until somebody lifts it with a note; a vet to be asked does the same. What differs from the default
      is marked.
    </p>
    <div class="sheet mt-4 overflow-x-auto" tabindex="0" role="region" aria-label="Screening levels">
      <table class="w-full min-w-[58rem] border-collapse text-left">
        <thead>
          <tr class="align-bottom text-sm text-soft">
            <th scope="col" class="py-2 pr-4">A yes to</th>
            <th v-for="hazard in HAZARDS" :key="hazard" scope="col" class="px-1 py-2 font-semibold">{{ HAZARD_WORDS[hazard] }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="item in SCREEN_ITEMS" :key="item.id" class="border-t border-line">
            <th scope="row" class="py-2 pr-4 font-semibold">{{ item.name }}?</th>
            <td v-for="hazard in HAZARDS" :key="hazard" class="px-1 py-2">
              <select
                class="field px-1! text-sm"
                :class="levelOf(item.id, hazard, form.screen) !== byDefault(item, hazard) && 'border-tape! border-2!'"
                :aria-label="`${item.name}? A collar that ${HAZARD_WORDS[hazard]}`"
                :value="levelOf(item.id, hazard, form.screen)"
                @change="(event) => set(item.id, item, hazard, (event.target as HTMLSelectElement).value as ScreenLevel)"
              >
                <option v-for="level in SCREEN_LEVELS" :key="level" :value="level">{{ SCREEN_LEVEL_WORDS[level] }}</option>
              </select>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="restored && changed" role="status" class="text-sm text-soft">
      Your unsaved changes are back. <button type="button" class="underline" @click="discard">Start over</button>
    </p>
    <SaveBar by="lead" class="mt-4" :keeping="keeping" label="Save levels" :disabled="!changed" @newer="showTheirs">
      <span v-if="saved && !changed" class="text-good" role="status">✓ Saved</span>
    </SaveBar>
  </form>
</template>
