<script setup lang="ts">
/** A prong on the unrolled neck: links, plate, chain and both rings in their places, the band at its real width and height. */
import { asProngCollar, type DrawnCollar, ProngNumbers } from '@banter/contract';
import { girthAt, placeOnNeck, spansOnNeck, type UnrolledNeck } from '@banter/core';
import { prongPieces, prongWidthMm, type LinkSplit } from '@banter/core/collars/prong';
import { computed } from 'vue';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();

const collar = computed(() => asProngCollar({ ...props.drawn.collar, numbers: ProngNumbers.parse(props.drawn.collar.numbers) }));
const split = computed(() => props.drawn.setting as LinkSplit);
const ringAt = computed(() => props.drawn.ringAt);

const width = computed(() => prongWidthMm(collar.value.gaugeMm));
const down = computed(() => width.value / 2 + (props.drawn.topMm ?? 5));
const wire = computed(() => Math.max(2.6, collar.value.gaugeMm * 1.15));
const pieces = computed(() => prongPieces(collar.value, split.value));
const insideMm = computed(() => pieces.value.reduce((sum, piece) => sum + piece.lengthMm, 0));
const drawn = computed(() =>
  pieces.value.flatMap((piece) =>
    spansOnNeck(props.neck, { middleClock: ringAt.value, downMm: down.value, insideMm: insideMm.value }, piece.startMm, piece.lengthMm).map((span, part) => ({
      ...span,
      piece,
      key: `${piece.kind}${'place' in piece ? piece.side + piece.place : ''}${part}`,
    })),
  ),
);
const ring = computed(() => placeOnNeck(props.neck, ringAt.value, down.value));
const halfBand = computed(() => girthAt(props.neck.levels, down.value) / 2);
</script>

<template>
  <g>
    <rect :x="-halfBand" :y="down - width / 2" :width="2 * halfBand" :height="width" fill="var(--felt)" opacity="0.5" />
    <g v-for="part in drawn" :key="part.key" fill="none" stroke="var(--steel)" stroke-linecap="round">
      <template v-if="part.piece.kind === 'link'">
        <path :d="`M${part.fromX + wire},${down - width / 2 + wire} H${part.toX - wire}`" :stroke-width="wire" />
        <path :d="`M${part.fromX + wire},${down + width / 2 - wire} H${part.toX - wire}`" :stroke-width="wire" />
        <path :d="`M${(part.fromX + part.toX) / 2},${down - width / 2 + wire} V${down + width / 2 - wire}`" :stroke-width="wire" />
        <circle
          v-for="y in [down - width / 2 + wire, down + width / 2 - wire]"
          :key="y"
          :cx="part.toX - wire"
          :cy="y"
          :r="wire * 0.9"
          fill="var(--ink)"
          stroke="none"
        />
      </template>
      <rect
        v-else-if="part.piece.kind === 'plate'"
        :x="part.fromX + 1"
        :y="down - width * 0.36"
        :width="Math.max(1, part.toX - part.fromX - 2)"
        :height="width * 0.72"
        rx="3"
        fill="var(--steel-light)"
        :stroke-width="wire * 0.7"
      />
      <path
        v-else
        :d="`M${part.fromX},${down} H${part.toX}`"
        :stroke-width="wire * 1.1"
        :stroke-dasharray="`${wire * 1.1} ${wire * 1.2}`"
        stroke-linecap="butt"
      />
    </g>
    <circle :cx="ring.x" :cy="ring.y + width * 0.62" :r="width * 0.3" fill="none" stroke="var(--ink)" :stroke-width="wire * 0.9" />
    <circle :cx="ring.x" :cy="ring.y" :r="width * 0.2" fill="none" stroke="var(--steel)" :stroke-width="wire * 0.9" />
  </g>
</template>
