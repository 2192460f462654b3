<script setup lang="ts">
/**
 * A day as leashes: one for everybody who handles, time running along it from left to right, the sessions hanging from it as
 * tags, to scale. A tag is chosen with a tap, dragged by hand, or moved with the keys.
 */
import { timeOfDay, type DaySpan, type PlacedSession } from '@banter/core';
import { computed, ref } from 'vue';
import { along, hoursOf, minuteAt, type StripSpan } from './strip-geometry.ts';

export type StripTag = PlacedSession & { short: string; says: string; is: 'kept' | 'held' | 'missed' | 'changed' | 'clash'; faint: boolean };

const props = defineProps<{
  title: string;
  day: number;
  today: boolean;
  open: DaySpan | null;
  lanes: readonly { id: string; name: string; there: DaySpan | null }[];
  span: StripSpan;
  tags: readonly StripTag[];
  selected: string | null;
  /** Where now is, in minutes; null on other days. */
  minute: number | null;
}>();
const emit = defineEmits<{
  choose: [id: string];
  drag: [id: string, to: { day: number; from: number; handId: string }];
  drop: [id: string];
  key: [id: string, event: KeyboardEvent];
}>();

const hours = computed(() => hoursOf(props.span));
const left = (minute: number) => `${along(minute, props.span)}%`;
const width = (minutes: number) => `${(minutes / (props.span[1] - props.span[0])) * 100}%`;
const of = (laneId: string) => props.tags.filter(({ handId }) => handId === laneId);
const clamp = ([from, to]: DaySpan): DaySpan => [Math.max(from, props.span[0]), Math.min(to, props.span[1])];

/** A drag begins once the pointer has moved this far, so that a tap stays a tap; px. */
const DRAG_FROM = 6;
const drag = ref<{ id: string; x: number; y: number; grip: number; going: boolean } | null>(null);
function down(tag: StripTag, event: PointerEvent) {
  if (event.button !== 0 || tag.is === 'held' || tag.is === 'missed') return;
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
  drag.value = { id: tag.id, x: event.clientX, y: event.clientY, grip: event.clientX - box.left, going: false };
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}
function move(event: PointerEvent) {
  const { value } = drag;
  if (!value) return;
  if (!value.going && Math.hypot(event.clientX - value.x, event.clientY - value.y) < DRAG_FROM) return;
  value.going = true;
  const lane = document.elementsFromPoint(event.clientX, event.clientY).find((one) => one instanceof HTMLElement && one.dataset.lane);
  if (!(lane instanceof HTMLElement)) return;
  const box = lane.getBoundingClientRect();
  const from = minuteAt((event.clientX - value.grip - box.left) / box.width, props.span);
  emit('drag', value.id, { day: Number(lane.dataset.day), from, handId: lane.dataset.lane! });
}
function up(tag: StripTag) {
  const going = drag.value?.going ?? false;
  drag.value = null;
  if (going) emit('drop', tag.id);
}
</script>

<template>
  <section class="strip" :class="today && 'strip-today'" :aria-label="title">
    <div class="flex items-baseline gap-3">
      <h3 class="w-28 shrink-0 sm:w-32">{{ title }}</h3>
      <div v-if="open" class="relative h-5 grow text-xs text-soft" aria-hidden="true">
        <span v-for="hour in hours" :key="hour" class="absolute -translate-x-1/2 tabular-nums" :style="{ left: left(hour) }">{{ hour / 60 }}</span>
      </div>
      <p v-else class="text-soft">Closed</p>
    </div>
    <div v-for="lane in lanes" v-show="open || of(lane.id).length > 0" :key="lane.id" class="flex items-stretch gap-3">
      <p class="w-28 shrink-0 truncate pt-0.5 text-sm sm:w-32" :class="lane.there ? '' : 'text-soft'">{{ lane.name }}</p>
      <div class="relative h-11 grow" :data-lane="lane.id" :data-day="day">
        <span v-for="hour in hours" :key="hour" class="absolute inset-y-0 w-px bg-line opacity-50" :style="{ left: left(hour) }" aria-hidden="true"></span>
        <span class="absolute top-2 right-0 left-0 h-0 border-t-2 border-dotted border-line" aria-hidden="true"></span>
        <span
          v-if="lane.there"
          class="leash absolute top-[0.36rem] h-1 rounded-full"
          :style="{ left: left(clamp(lane.there)[0]), width: width(clamp(lane.there)[1] - clamp(lane.there)[0]) }"
          aria-hidden="true"
        ></span>
        <span v-if="minute !== null" class="absolute inset-y-0 z-[1] w-0.5 bg-warm" :style="{ left: left(minute) }" aria-hidden="true"></span>
        <template v-for="tag in of(lane.id)" :key="tag.id">
          <span
            v-if="tag.aroundMinutes > 0"
            class="absolute top-[0.3rem] h-1.5 rounded-full bg-warm opacity-60"
            :style="{ left: left(tag.from - tag.aroundMinutes), width: width(tag.minutes + 2 * tag.aroundMinutes) }"
            aria-hidden="true"
          ></span>
          <button
            type="button"
            class="tag"
            :class="[`tag-${tag.is}`, tag.faint && 'opacity-35', selected === tag.id && 'tag-chosen']"
            :style="{ left: left(tag.from), width: width(Math.max(15, tag.minutes)) }"
            :aria-label="tag.says"
            :title="tag.says"
            :aria-pressed="selected === tag.id"
            :data-tag="tag.id"
            @click="emit('choose', tag.id)"
            @pointerdown="down(tag, $event)"
            @pointermove="move"
            @pointerup="up(tag)"
            @pointercancel="drag = null"
            @keydown="emit('key', tag.id, $event)"
          >
            <span class="tag-ring" aria-hidden="true"></span>
            <span class="block overflow-hidden whitespace-nowrap">{{ tag.short }}</span>
          </button>
        </template>
        <span class="sr-only">{{ lane.name }}: {{ lane.there ? `there ${timeOfDay(lane.there[0])} to ${timeOfDay(lane.there[1])}` : 'not there' }}</span>
      </div>
    </div>
  </section>
</template>

<style scoped>
.strip {
  padding: 0.5rem 0 0.4rem;
  border-top: 1px solid var(--line);
}
.strip-today {
  border-top: 4px solid var(--tape);
}
.leash {
  background: var(--hide-deep);
}
.tag {
  position: absolute;
  top: 0.62rem;
  z-index: 2;
  height: 1.9rem;
  padding: 0.32rem 0 0;
  border: 1.5px solid var(--steel);
  border-radius: 0.2rem 0.2rem 0.55rem 0.55rem;
  background: var(--raised);
  color: var(--ink);
  font-size: 0.7rem;
  letter-spacing: -0.01em;
  font-weight: 650;
  line-height: 1.35;
  text-align: center;
  touch-action: pan-y;
  user-select: none;
}
/* A finger finds more than is drawn of a short session. */
@media (pointer: coarse) {
  .tag::after {
    content: '';
    position: absolute;
    inset: -0.6rem -0.25rem -0.35rem;
  }
}
.tag-ring {
  position: absolute;
  top: -0.42rem;
  left: 50%;
  width: 0.5rem;
  height: 0.5rem;
  translate: -50% 0;
  border: 1.5px solid var(--steel);
  border-radius: 50%;
  background: var(--felt);
}
.tag-held {
  border-color: var(--deep);
  background: var(--deep);
  color: var(--on-deep);
}
.tag-missed {
  border-style: dashed;
  color: var(--soft);
  background: transparent;
}
.tag-changed {
  border-color: var(--on-tape);
  background: var(--tape);
  color: var(--on-tape);
}
.tag-clash {
  border-color: var(--stop);
  background: var(--stop-wash);
  color: var(--stop);
}
.tag-chosen {
  z-index: 4;
  outline: 3px solid var(--focus);
  outline-offset: 1px;
}
@media print {
  .strip {
    break-inside: avoid;
  }
  .tag {
    display: block !important;
  }
}
</style>
