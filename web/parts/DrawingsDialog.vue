<script setup lang="ts">
/** Every drawing and chart of the screen, each as a file: SVG to go on with, PNG to send. */
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';
import { useDebounceFn, useMutationObserver } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { drawingPng, fileName, shownDrawings, standaloneSvg, type ShownDrawing } from '../drawings/standalone-drawing.ts';
import { useDrawings } from '../stores/drawings.ts';

const drawings = useDrawings();
const all = shallowRef<(ShownDrawing & { small: string })[]>([]);
const busy = ref('');
const fault = ref('');
/** Lists what is drawn now; a later look counts where two overlap. */
let looks = 0;
async function look() {
  looks += 1;
  const own = looks;
  const shown = shownDrawings(document.querySelector('#main')!);
  const found = await Promise.all(
    shown.map(async (one) => ({ ...one, small: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(await standaloneSvg(one))}` })),
  );
  if (own === looks && drawings.listed) all.value = found;
}
watch(
  () => drawings.listed,
  (listed) => {
    all.value = [];
    fault.value = '';
    if (listed) void look();
  },
  // A key may have asked for them before this was here.
  { immediate: true },
);
// A screen's drawing may come a moment after its decision.
useMutationObserver(
  computed(() => (drawings.listed ? document.querySelector<HTMLElement>('#main') : null)),
  useDebounceFn(() => {
    if (drawings.listed && shownDrawings(document.querySelector('#main')!).length !== all.value.length) void look();
  }, 100),
  { childList: true, subtree: true },
);
function save(blob: Blob, name: string) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
async function take(one: ShownDrawing, as: 'svg' | 'png') {
  busy.value = `${one.name} ${as}`;
  fault.value = '';
  try {
    save(as === 'svg' ? new Blob([await standaloneSvg(one)], { type: 'image/svg+xml' }) : await drawingPng(one), fileName(one.name, as));
  } catch {
    fault.value = 'This drawing could not be made a file here.';
  } finally {
    busy.value = '';
  }
}
</script>

<template>
  <Dialog :open="drawings.listed" class="relative z-30" @close="drawings.listed = false">
    <div class="fixed inset-0 bg-black/50" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel class="sheet max-h-[85vh] w-full max-w-2xl overflow-y-auto">
        <DialogTitle as="h2">Drawings of this screen</DialogTitle>
        <p v-if="all.length === 0" class="mt-2 text-soft">Nothing is drawn here.</p>
        <ul class="mt-2 divide-y divide-line">
          <li
            v-for="(one, index) in all"
            :key="index"
            class="grid grid-cols-[6rem_minmax(0,1fr)] items-center gap-4 py-3 sm:grid-cols-[8rem_minmax(0,1fr)_auto]"
          >
            <img :src="one.small" alt="" class="max-h-24 w-full object-contain" />
            <p class="line-clamp-3 text-[0.95rem]">{{ one.name }}</p>
            <span class="flex gap-2 max-sm:col-start-2">
              <button type="button" class="press press-plain" :disabled="busy !== ''" :aria-label="`SVG of ${one.name}`" @click="take(one, 'svg')">SVG</button>
              <button type="button" class="press press-plain" :disabled="busy !== ''" :aria-label="`PNG of ${one.name}`" @click="take(one, 'png')">PNG</button>
            </span>
          </li>
        </ul>
        <p v-if="fault" role="alert" class="mt-2 text-stop">{{ fault }}</p>
        <button type="button" class="press press-plain mt-3" @click="drawings.listed = false">Close</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
