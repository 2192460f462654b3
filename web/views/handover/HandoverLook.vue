<script setup lang="ts">
/** What the pages of a handover say, to look at on a screen: a line a part, one open at a time. The paper itself is `HandoverPaper`. */
import { COLLAR_KIND_NAMES, collarKind, type HandoverSheet } from '@banter/contract';
import { breedOf, labelled } from '@banter/core';
import { computed, ref } from 'vue';
import PutOnSteps from '../../drawings/PutOnSteps.vue';
import KindMark from '../../neck/KindMark.vue';
import SheetDrawing from '../../paper/SheetDrawing.vue';

const props = defineProps<{ sheet: HandoverSheet; note: string; first: string; foldOthers?: boolean }>();
/** The part that stands open stands first. For an owner's phone the others are one line until they are wanted. */
const parts = computed(() => {
  const { sections } = props.sheet;
  return [...sections.filter(({ key }) => key === props.first), ...sections.filter(({ key }) => key !== props.first)];
});
const all = ref(!props.foldOthers);
const shown = computed(() => (all.value ? parts.value : parts.value.slice(0, 1)));
/** What the owner puts on: the collars that are drawn, as far as their kinds are still known. */
const kinds = computed(() => (props.sheet.drawings.neck?.collars ?? []).flatMap(({ kind }) => COLLAR_KIND_NAMES.filter((name) => name === kind)));
/** The drawing that belongs to a part. */
const DRAWN: Record<string, readonly ('side' | 'letter' | 'clock')[]> = { ring: ['side', 'letter'], contacts: ['clock'] };
const drawn = (key: string) => (DRAWN[key] ?? []).filter((which) => props.sheet.drawings[which]);
</script>

<template>
  <div>
    <details v-for="part in shown" :key="part.key" name="handover-part" :open="part.key === first" class="group/part border-b border-line">
      <summary class="flex min-h-12 cursor-pointer items-center gap-3">
        <span aria-hidden="true" class="w-3 text-soft group-open/part:rotate-90">▸</span>
        <span class="font-semibold">{{ part.title }}</span>
      </summary>
      <div class="space-y-1.5 pb-3 pl-6">
        <p v-for="line in part.lines" :key="line.key">
          <strong v-if="line.label">{{ labelled(line.label) }}</strong> {{ line.text }}
        </p>
        <div v-if="drawn(part.key).length > 0" class="flex gap-4">
          <SheetDrawing v-for="which in drawn(part.key)" :key="which" class="max-w-44 grow basis-0" :sheet="sheet" :which="which" />
        </div>
      </div>
    </details>
    <details v-for="kind in all ? kinds : []" :key="kind" name="handover-part" class="group/part border-b border-line">
      <summary class="flex min-h-12 cursor-pointer items-center gap-3">
        <span aria-hidden="true" class="w-3 text-soft group-open/part:rotate-90">▸</span>
        <KindMark :kind="kind" />
        <span class="font-semibold">How the {{ collarKind(kind).name.toLowerCase() }} goes on</span>
      </summary>
      <PutOnSteps class="pb-3" :kind="kind" :ears="breedOf(sheet.drawings.neck?.breed ?? '')?.ears ?? 'drop'" />
    </details>
    <button v-if="!all" type="button" class="press press-quiet" @click="all = true">All of the pages</button>
    <p v-if="note" class="mt-3 border-2 border-deep p-3 whitespace-pre-line">{{ note }}</p>
    <p class="mt-1.5 text-sm text-soft">{{ sheet.cautions.join(' ') }}</p>
  </div>
</template>
