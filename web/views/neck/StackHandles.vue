<script setup lang="ts">
/**
 * Bands that can be drawn up and down on the map itself, by mouse or finger: the band follows, and falls into the place it is
 * nearest to. A finger takes it at the grip by the throat, so that the page can be scrolled over the map; the list beside it does
 * the same with keys.
 */
import { computed, ref } from 'vue';

export type HandledBand = { id: string; name: string; topMm: number; widthMm: number };
// An element of a drawing is inline by default, and what is inline knows no touch-action: hence `block` on the grips.
const props = defineProps<{ bands: readonly HandledBand[]; halfMm: number; text: number }>();
const emit = defineEmits<{ move: [id: string, to: number] }>();
const dragged = ref<{ id: string; startMm: number; nowMm: number } | null>(null);

/** A pointer's height on the map, in mm. */
function heightOf(event: PointerEvent): number {
  const svg = (event.currentTarget as SVGElement).ownerSVGElement!;
  return new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()!.inverse()).y;
}
function take(event: PointerEvent, id: string) {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  const mm = heightOf(event);
  dragged.value = { id, startMm: mm, nowMm: mm };
}
function draw(event: PointerEvent) {
  if (dragged.value) dragged.value = { ...dragged.value, nowMm: heightOf(event) };
}
const ghost = computed(() => {
  const own = props.bands.find(({ id }) => id === dragged.value?.id);
  return own && dragged.value ? { ...own, topMm: own.topMm + dragged.value.nowMm - dragged.value.startMm } : null;
});
/** Where it would fall: below every band whose middle it has passed. */
const target = computed(() => {
  const own = ghost.value;
  if (!own) return null;
  const middle = own.topMm + own.widthMm / 2;
  return props.bands.filter((band) => band.id !== own.id && band.topMm + band.widthMm / 2 < middle).length;
});
function drop() {
  const own = dragged.value;
  const to = target.value;
  dragged.value = null;
  if (own && to !== null && to !== props.bands.findIndex(({ id }) => id === own.id)) emit('move', own.id, to);
}
</script>

<template>
  <g data-grip>
    <rect
      v-for="band in bands"
      :key="band.id"
      :data-band="band.id"
      :x="-halfMm"
      :y="band.topMm - 2"
      :width="2 * halfMm"
      :height="band.widthMm + 4"
      fill="transparent"
      :style="{ cursor: dragged ? 'grabbing' : 'grab' }"
      @pointerdown="$event.pointerType !== 'touch' && take($event, band.id)"
      @pointermove="draw"
      @pointerup="drop"
      @pointercancel="dragged = null"
    >
      <title>{{ band.name }}: draw it up or down</title>
    </rect>
    <g
      v-for="band in bands"
      :key="`grip ${band.id}`"
      class="block touch-none"
      :data-grip-of="band.id"
      :style="{ cursor: 'grab' }"
      @pointerdown="take($event, band.id)"
      @pointermove="draw"
      @pointerup="drop"
      @pointercancel="dragged = null"
    >
      <rect :x="-halfMm" :y="band.topMm - 2" :width="text * 3.4" :height="Math.max(band.widthMm + 4, text * 1.6)" fill="transparent" class="block touch-none" />
      <g fill="var(--felt)" stroke="var(--ink)" stroke-width="0.8">
        <circle
          v-for="dot in 6"
          :key="dot"
          :cx="-halfMm + text * (0.95 + 0.6 * (dot % 2))"
          :cy="band.topMm + band.widthMm / 2 + text * 0.55 * (Math.floor((dot - 1) / 2) - 1)"
          :r="text * 0.17"
        />
      </g>
    </g>
    <rect
      v-if="ghost"
      :x="-halfMm"
      :y="ghost.topMm"
      :width="2 * halfMm"
      :height="ghost.widthMm"
      fill="var(--tape)"
      opacity="0.35"
      stroke="var(--ink)"
      stroke-width="2"
      pointer-events="none"
    />
  </g>
</template>
