<script setup lang="ts">
/**
 * The neck in cross-section seen from behind the dog, with the prong round it to scale: every link, the slack at the throat
 * as a clear gap, the closed collar as a dashed ring with the bite between. Links can be clicked to take them out.
 */
import { prongGirths, type LinkSplit, type ProngCollar } from '@banter/core/collars/prong';
import { tryOnScopeDispose } from '@vueuse/core';
import { computed, ref, useId } from 'vue';
import { useUnits } from '../../stores/units.ts';
import { ringSector } from '../ring-shapes.ts';
import { prongSection, type PlacedPiece } from './cross-section.ts';

const props = defineProps<{ collar: ProngCollar; split: LinkSplit; girthMm: number; ringAt: number; live?: boolean }>();
const emit = defineEmits<{ takeOut: [side: 'left' | 'right'] }>();

const units = useUnits();
const id = useId();
const section = computed(() => prongSection(props.collar, props.split, props.girthMm, props.ringAt));
const girths = computed(() => prongGirths(props.collar, props.split.left + props.split.right, props.girthMm));
const radius = computed(() => section.value.neckRadius);
/** How far a link stands off the skin, mm, by gauge. From memory. */
const reach = computed(() => 2 + props.collar.gaugeMm * 4.5);
const wire = computed(() => Math.max(1.6, props.collar.gaugeMm * 0.95));
const half = computed(() => {
  const { restRadius, centre } = section.value;
  const roundabout = Math.max(radius.value, restRadius + centre.y) + reach.value + radius.value * 0.34;
  return Math.max(roundabout, restRadius + reach.value * 2.4);
});
const text = computed(() => half.value / 13.5);
const label = computed(
  () =>
    `Cross-section seen from behind the dog: a neck of ${units.exact(props.girthMm)} with ${props.split.left} links on the dog’s left and ${props.split.right} on its right. ` +
    (girths.value.slackMm >= 0 ? `Slack ${units.gap(girths.value.slackMm)} at rest` : `It presses by ${units.gap(-girths.value.slackMm)} at rest`) +
    `, bite ${units.gap(girths.value.biteMm)} when pulled.`,
);
const hours = computed(() => {
  const at = radius.value * 0.8;
  return [
    { label: '12', x: 0, y: -at },
    { label: '3', x: at, y: 0 },
    { label: '6', x: 0, y: at },
    { label: '9', x: -at, y: 0 },
  ];
});
/** The live ring pulled home: the collar closes for a moment, as far as this one does, and opens again. */
const PULLED_MS = 1100;
const pulled = ref(false);
let timer: ReturnType<typeof setTimeout> | undefined;
function pull() {
  clearTimeout(timer);
  pulled.value = true;
  timer = setTimeout(() => (pulled.value = false), PULLED_MS);
}
tryOnScopeDispose(() => clearTimeout(timer));
const closing = computed(() => {
  const { centre, restRadius, closedRadius } = section.value;
  const share = closedRadius / restRadius;
  return `translate(${-share * centre.x}px, ${-share * centre.y}px) scale(${share})`;
});
const ring = computed(() => section.value.pieces.find((piece) => piece.kind === 'chain')!);
/** Where the two tips of a link stand, as a share of its length either side of its middle. */
const TIP_AT = 0.29;
/** A link from the side: two tips on the skin, joined by a rounded bar away from it. */
function staple(lengthMm: number): string {
  const x = lengthMm * TIP_AT;
  const round = Math.min(x, reach.value * 0.4);
  return `M${-x},${-wire.value * 0.4} V${-reach.value + round} Q${-x},${-reach.value} ${-x + round},${-reach.value} H${x - round} Q${x},${-reach.value} ${x},${-reach.value + round} V${-wire.value * 0.4}`;
}
/** What hooks a link to the next one, clockwise: a stretch of ring from its second tip to the neighbour’s first. */
function joint(from: number, to: number): string {
  const { centre, restRadius } = section.value;
  const radius = restRadius + reach.value * 0.5;
  const at = (angle: number) => `${centre.x + radius * Math.sin(angle)},${centre.y - radius * Math.cos(angle)}`;
  return `M${at(to - (to - from) * (0.5 - TIP_AT))} A${radius},${radius} 0 0 1 ${at(to + (to - from) * (0.5 - TIP_AT))}`;
}
const lastOfItsSide = (piece: PlacedPiece) => piece.kind === 'link' && (piece.side === 'right' ? piece.place === props.split.right : piece.place === 1);
</script>

<template>
  <svg :viewBox="`${-half} ${-half} ${2 * half} ${2 * half}`" :role="live ? 'group' : 'img'" :aria-labelledby="`${id}-t`" class="block h-auto w-full">
    <title :id="`${id}-t`">{{ label }}</title>
    <circle :r="radius" fill="var(--hide)" stroke="var(--hide-deep)" :stroke-width="text * 0.14" />
    <path
      :d="ringSector({ x: 0, y: 0 }, radius * 0.08, radius * 0.17, 0, 6.283)"
      :transform="`translate(0 ${radius * 0.52})`"
      fill="var(--hide-deep)"
      opacity="0.8"
    />
    <text x="0" :y="radius * 0.52 - radius * 0.23" :font-size="text * 0.78" text-anchor="middle" fill="var(--hide-ink)">windpipe</text>
    <g v-if="girths.biteMm > 0">
      <path :d="ringSector({ x: 0, y: 0 }, Math.min(section.closedRadius, radius), radius, 0, 6.2831)" fill="var(--tape)" opacity="0.75" />
    </g>
    <circle :r="section.closedRadius" fill="none" stroke="var(--hide-ink)" :stroke-width="text * 0.13" :stroke-dasharray="`${text * 0.5} ${text * 0.4}`" />
    <text
      v-for="hour in hours"
      :key="hour.label"
      :x="hour.x"
      :y="hour.y + text * 0.35"
      :font-size="text"
      text-anchor="middle"
      font-weight="600"
      fill="var(--hide-ink)"
    >
      {{ hour.label }}
    </text>

    <g class="collar" :style="{ transform: pulled ? closing : undefined }">
      <circle
        :cx="section.centre.x"
        :cy="section.centre.y"
        :r="section.restRadius"
        fill="none"
        stroke="var(--steel)"
        :stroke-width="text * 0.06"
        opacity="0.8"
      />
      <TransitionGroup tag="g" name="link">
        <g
          v-for="piece in section.pieces"
          :key="piece.kind === 'link' ? piece.side + piece.place : piece.kind"
          :role="live && piece.kind === 'link' && piece.place === 1 ? 'button' : undefined"
          :tabindex="live && piece.kind === 'link' && piece.place === 1 ? 0 : undefined"
          :aria-label="live && piece.kind === 'link' && piece.place === 1 ? `Take out a link on the dog’s ${piece.side}` : undefined"
          :class="live && piece.kind === 'link' && 'piece-link'"
          @click="live && piece.kind === 'link' && emit('takeOut', piece.side)"
          @keydown.enter.space.prevent="live && piece.kind === 'link' && emit('takeOut', piece.side)"
        >
          <template v-if="piece.kind === 'link'">
            <path
              v-if="!lastOfItsSide(piece)"
              :d="joint(piece.from, piece.to)"
              fill="none"
              stroke="var(--steel)"
              stroke-linecap="round"
              :stroke-width="wire * 0.8"
              opacity="0.7"
            />
            <path
              :d="ringSector(section.centre, section.restRadius - 2, section.restRadius + reach + 2, piece.from, piece.to)"
              class="hit"
              fill="transparent"
            />
            <g
              :transform="`translate(${piece.middle.x} ${piece.middle.y}) rotate(${piece.degrees})`"
              fill="none"
              stroke="var(--steel)"
              stroke-linecap="round"
              stroke-linejoin="round"
              :stroke-width="wire"
            >
              <path :d="staple(piece.lengthMm)" />
              <circle
                v-for="side in [-1, 1]"
                :key="side"
                :cx="side * piece.lengthMm * TIP_AT"
                :cy="-wire * 0.4"
                :r="wire * 0.72"
                fill="var(--steel)"
                stroke="none"
              />
            </g>
          </template>
          <path
            v-else-if="piece.kind === 'plate'"
            :d="ringSector(section.centre, section.restRadius + wire, section.restRadius + wire * 2.6, piece.from, piece.to)"
            fill="var(--steel-light)"
            stroke="var(--steel)"
            :stroke-width="wire * 0.6"
          />
          <g v-else fill="none" stroke="var(--steel)">
            <path
              :d="`M${section.centre.x + (section.restRadius + reach * 0.5) * Math.sin(piece.from)},${section.centre.y - (section.restRadius + reach * 0.5) * Math.cos(piece.from)} L${section.centre.x + (section.restRadius + reach * 1.45) * Math.sin((piece.from + piece.to) / 2)},${section.centre.y - (section.restRadius + reach * 1.45) * Math.cos((piece.from + piece.to) / 2)} L${section.centre.x + (section.restRadius + reach * 0.5) * Math.sin(piece.to)},${section.centre.y - (section.restRadius + reach * 0.5) * Math.cos(piece.to)} Z`"
              :stroke-width="wire"
              :stroke-dasharray="`${wire * 1.3} ${wire}`"
            />
          </g>
        </g>
      </TransitionGroup>
      <g
        :transform="`translate(${section.centre.x} ${section.centre.y}) rotate(${ring.degrees})`"
        fill="none"
        :role="live ? 'button' : undefined"
        :tabindex="live ? 0 : undefined"
        :aria-label="live ? 'Pull the live ring' : undefined"
        :class="live && 'live-ring'"
        @click="live && pull()"
        @keydown.enter.space.prevent="live && pull()"
      >
        <circle v-if="live" cx="0" :cy="-(section.restRadius + reach * 1.75)" :r="reach" class="hit" fill="transparent" />
        <circle cx="0" :cy="-(section.restRadius + reach * 1.75)" :r="reach * 0.34" stroke="var(--ink)" :stroke-width="wire" />
        <circle cx="0" :cy="-(section.restRadius + reach * 0.5)" :r="reach * 0.24" stroke="var(--steel)" :stroke-width="wire" />
      </g>
    </g>

    <g :font-size="text" fill="var(--ink)">
      <g v-if="girths.slackMm > 0.5">
        <line :x1="0" :x2="half * 0.32" :y1="radius + section.centre.y" :y2="half - text * 1.15" stroke="var(--ink)" :stroke-width="text * 0.08" />
        <text :x="half * 0.34" :y="half - text * 0.8" font-weight="650">slack {{ units.gap(girths.slackMm) }}</text>
      </g>
      <text v-else-if="girths.slackMm < -0.5" :x="half * 0.3" :y="half - text * 0.8" font-weight="650" fill="var(--stop)">
        presses {{ units.gap(-girths.slackMm) }}
      </text>
      <g v-if="girths.biteMm > 0">
        <line :x1="-radius * 0.68" :x2="-half * 0.6" :y1="radius * 0.7" :y2="half - text * 1.9" stroke="var(--ink)" :stroke-width="text * 0.08" />
        <text :x="-half * 0.98" :y="half - text * 0.8" font-weight="650">bite {{ units.gap(girths.biteMm) }}</text>
      </g>
      <text :x="-half * 0.98" :y="-half + text * 1.4" fill="var(--soft)" :font-size="text * 0.9">from behind the dog</text>
      <text :x="-half * 0.98" :y="text * 0.3" fill="var(--soft)" :font-size="text * 0.9">left</text>
      <text :x="half * 0.98" :y="text * 0.3" fill="var(--soft)" :font-size="text * 0.9" text-anchor="end">right</text>
    </g>
  </svg>
</template>

<style scoped>
.piece-link {
  cursor: pointer;
}
.piece-link:hover .hit,
.piece-link:focus-visible .hit {
  fill: color-mix(in srgb, var(--tape), transparent 45%);
}
.piece-link:focus-visible {
  outline: none;
}
.piece-link:focus-visible .hit {
  stroke: var(--focus);
  stroke-width: 2;
}
.collar {
  transition: transform 260ms ease-in-out;
}
.live-ring {
  cursor: pointer;
}
.live-ring:hover .hit,
.live-ring:focus-visible .hit {
  fill: color-mix(in srgb, var(--tape), transparent 45%);
}
.live-ring:focus-visible {
  outline: none;
}
.live-ring:focus-visible .hit {
  stroke: var(--focus);
  stroke-width: 2;
}
/* A link goes out of the round as the hand takes it, and comes back the same way. */
.link-leave-active {
  transition:
    opacity 300ms ease-in,
    transform 300ms ease-in;
}
.link-leave-to,
.link-enter-from {
  opacity: 0;
  transform: scale(1.3);
}
.link-enter-active {
  transition:
    opacity 220ms ease-out,
    transform 220ms ease-out;
}
</style>
