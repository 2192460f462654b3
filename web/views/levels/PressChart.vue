<script setup lang="ts">
/**
 * Every press of a device in a setting over time. Many are put together by the server; a span is chosen by brushing the strip
 * below, by dragging, or with the arrow keys (plus and minus narrow and widen it), and read out one by one.
 */
import { PressesPage, type DeviceLevels, type LevelsPage, type SettingLevels } from '@banter/contract';
import { levelWords, RESPONSE_WORDS, DAY_MS } from '@banter/core';
import { bisectCenter } from 'd3-array';
import { brushX, type D3BrushEvent } from 'd3-brush';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { select } from 'd3-selection';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { failureSentence } from '../../api/failure.ts';
import { send } from '../../api/request.ts';
import { barPath, dotPath, pressMarks } from './press-marks.ts';

const props = defineProps<{ dogId: string; device: DeviceLevels; setting: SettingLevels; presses: LevelsPage['presses']; timeZone: string }>();
const emit = defineEmits<{ span: [span: [number, number] | null] }>();
const W = 1160;
const H = 230;
const LEFT = 44;
const STRIP = 46;
const held = computed(() => props.presses.find(({ collarId, setting }) => collarId === props.device.collar.id && setting === props.setting.id) ?? null);
const whole = computed((): [number, number] | null => {
  if (!held.value) return null;
  const [first, last] = [Date.parse(held.value.firstAt), Date.parse(held.value.lastAt) + 1];
  const air = Math.max(60_000, (last - first) * 0.01);
  return [first - air, last + air];
});
const span = ref<[number, number] | null>(null);
const shown = computed(() => span.value ?? whole.value);
const data = shallowRef<PressesPage | null>(null);
const overview = shallowRef<PressesPage | null>(null);
const sentence = ref('');
let latest = 0;
async function fetchSpan([from, to]: [number, number], most: number): Promise<PressesPage | null> {
  const query = new URLSearchParams({
    collar: props.device.collar.id,
    setting: props.setting.id,
    from: new Date(from).toISOString(),
    to: new Date(to).toISOString(),
    most: String(most),
  });
  try {
    sentence.value = '';
    return await send('GET', `/api/dogs/${props.dogId}/presses?${query}`, PressesPage);
  } catch (failure) {
    sentence.value = failureSentence(failure);
    return null;
  }
}
async function look() {
  if (!shown.value) return;
  latest += 1;
  const own = latest;
  const got = await fetchSpan(shown.value, 580);
  if (got && own === latest) data.value = got;
}
let timer: ReturnType<typeof setTimeout> | undefined;
watch(span, (now) => {
  emit('span', now);
  clearTimeout(timer);
  timer = setTimeout(() => void look(), 120);
});

const x = computed(() => scaleUtc(shown.value ?? [0, 1], [LEFT, W - 10]));
const xWhole = computed(() => scaleUtc(whole.value ?? [0, 1], [LEFT, W - 10]));
const top = computed(() => {
  const all = [...(data.value?.bins?.map(({ high }) => high) ?? []), ...(data.value?.presses?.map(({ level }) => level) ?? [])];
  return Math.max(props.device.scale.min + props.device.scale.step * 4, props.device.ceiling ?? 0, props.device.cap ?? 0, ...all);
});
const y = computed(() => scaleLinear([props.device.scale.min, top.value], [H - 24, 10]).nice(5));
const marks = computed(() => (data.value ? pressMarks(data.value, x.value, y.value) : null));
const day = computed(() => {
  const days = ((shown.value?.[1] ?? 0) - (shown.value?.[0] ?? 0)) / DAY_MS;
  return new Intl.DateTimeFormat('en-GB', {
    timeZone: props.timeZone,
    ...(days > 3 ? { day: 'numeric', month: 'short' } : { weekday: 'short', hour: '2-digit', minute: '2-digit' }),
  });
});
const exact = computed(
  () => new Intl.DateTimeFormat('en-GB', { timeZone: props.timeZone, day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', second: '2-digit' }),
);

// Reading out
const read = ref<number | null>(null);
const spots = computed(
  () =>
    data.value?.presses?.map(({ at }) => x.value(Date.parse(at))) ??
    data.value?.bins?.map(({ from, to }) => (x.value(Date.parse(from)) + x.value(Date.parse(to))) / 2) ??
    [],
);
const says = computed(() => {
  if (read.value === null || !data.value) return '';
  const press = data.value.presses?.[read.value];
  if (press) {
    const response = press.response ? RESPONSE_WORDS[press.response].name : 'no answer logged';
    return `${exact.value.format(new Date(press.at))}: ${levelWords(press.level)}, ${response}${press.latencyMs === null ? '' : `, after ${(press.latencyMs / 1000).toFixed(1)} s`}`;
  }
  const bin = data.value.bins?.[read.value];
  return bin
    ? `${exact.value.format(new Date(bin.from))} on: ${bin.count} presses, ${levelWords(bin.low)} to ${levelWords(bin.high)}, mean ${levelWords(bin.mean)}; ${bin.none} no sign, ${bin.small} small sign, ${bin.did} did it, ${bin.tooMuch} too much`
    : '';
});
/** Keeps a span within the whole, and no narrower than ten seconds. */
function settle([from, to]: [number, number]): [number, number] | null {
  const [first, last] = whole.value!;
  const width = Math.min(last - first, Math.max(10_000, to - from));
  const begins = Math.min(Math.max(first, from), last - width);
  return width >= last - first ? null : [begins, begins + width];
}
const svg = ref<SVGSVGElement | null>(null);
let dragged: { at: number; span: [number, number] } | null = null;
const perPixel = () => (shown.value![1] - shown.value![0]) / (((W - LEFT - 10) / W) * svg.value!.getBoundingClientRect().width);
function grab(event: PointerEvent) {
  if (!shown.value) return;
  dragged = { at: event.clientX, span: [...shown.value] };
  svg.value!.setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent) {
  if (dragged) {
    const by = (dragged.at - event.clientX) * perPixel();
    span.value = settle([dragged.span[0] + by, dragged.span[1] + by]);
    return;
  }
  const box = svg.value!.getBoundingClientRect();
  read.value = spots.value.length === 0 ? null : bisectCenter(spots.value, ((event.clientX - box.left) / box.width) * W);
}
function move(event: KeyboardEvent) {
  if (!shown.value) return;
  const [from, to] = shown.value;
  const width = to - from;
  const last = spots.value.length - 1;
  const done = (work: () => void) => (event.preventDefault(), work());
  if (event.key === '+' || event.key === '=') done(() => (span.value = settle([from + width / 4, to - width / 4])));
  else if (event.key === '-') done(() => (span.value = settle([from - width / 2, to + width / 2])));
  else if (event.key === 'PageUp' || event.key === 'PageDown')
    done(() => (span.value = settle(event.key === 'PageUp' ? [from - width / 2, to - width / 2] : [from + width / 2, to + width / 2])));
  // Nothing is read out before it is here.
  else if (last >= 0 && event.key === 'ArrowLeft') done(() => (read.value = Math.max(0, (read.value ?? last + 1) - 1)));
  else if (last >= 0 && event.key === 'ArrowRight') done(() => (read.value = Math.min(last, (read.value ?? -1) + 1)));
  else if (event.key === 'Escape') done(() => (span.value = null));
}

// The strip below: the whole record, brushed to a span.
const strip = ref<SVGGElement | null>(null);
const brush = brushX<unknown>()
  .extent([
    [LEFT, 2],
    [W - 10, STRIP - 4],
  ])
  .on('brush end', (event: D3BrushEvent<unknown>) => {
    if (!event.sourceEvent) return;
    const chosen = event.selection as [number, number] | null;
    span.value = chosen ? settle([+xWhole.value.invert(chosen[0]), +xWhole.value.invert(chosen[1])]) : null;
  });
watch([span, strip], () => {
  if (!strip.value) return;
  const group = select(strip.value as SVGGElement) as never;
  brush.move(group, span.value ? [xWhole.value(span.value[0]), xWhole.value(span.value[1])] : null);
});
onMounted(async () => {
  if (!whole.value) return;
  if (strip.value) brush(select(strip.value) as never);
  await look();
  overview.value = data.value;
});
const stripMarks = computed(() => (overview.value ? pressMarks(overview.value, xWhole.value, scaleLinear(y.value.domain(), [STRIP - 6, 4])) : null));
</script>

<template>
  <section v-if="held" aria-labelledby="presses">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <h2 id="presses" class="grow">{{ data ? data.total.toLocaleString('en') : '' }} presses in {{ setting.name }}</h2>
      <button v-if="span" type="button" class="press press-plain" @click="span = null">Whole record</button>
    </div>
    <p v-if="sentence" class="mt-1 text-stop" role="alert">{{ sentence }} <button type="button" class="underline" @click="look">Try again</button></p>
    <svg
      ref="svg"
      :viewBox="`0 0 ${W} ${H}`"
      class="mt-2 block h-auto w-full cursor-grab touch-pan-y active:cursor-grabbing"
      role="group"
      tabindex="0"
      :aria-label="
        data ? 'Presses over time: arrow keys read them out, plus and minus narrow and widen the span, page keys move it' : 'Presses are on their way'
      "
      @pointerdown="grab"
      @pointermove="drag"
      @pointerup="dragged = null"
      @pointercancel="dragged = null"
      @pointerleave="read = null"
      @keydown="move"
    >
      <g v-for="tick in y.ticks(5)" :key="tick">
        <path :d="`M${LEFT} ${y(tick)}H${W - 10}`" stroke="var(--line)" />
        <text :x="LEFT - 8" :y="y(tick) + 5" font-size="15" text-anchor="end" fill="var(--soft)">{{ levelWords(tick) }}</text>
      </g>
      <path v-if="device.cap !== null" :d="`M${LEFT} ${y(device.cap)}H${W - 10}`" stroke="var(--ink)" stroke-width="2" />
      <path v-if="device.ceiling !== null" :d="`M${LEFT} ${y(device.ceiling)}H${W - 10}`" stroke="var(--stop)" stroke-width="2" stroke-dasharray="7 4" />
      <template v-if="marks">
        <path :d="barPath(marks.bars)" stroke="var(--steel-light)" stroke-width="2" />
        <path :d="dotPath(marks.quiet, 2.2)" fill="var(--soft)" />
        <path :d="dotPath(marks.noticed, 3)" fill="var(--deep)" />
        <path :d="dotPath(marks.much, 5)" fill="var(--stop)" />
      </template>
      <path v-if="read !== null && spots[read] !== undefined" :d="`M${spots[read]} 6V${H - 22}`" stroke="var(--ink)" stroke-dasharray="2 3" />
      <text v-for="tick in x.ticks(8)" :key="+tick" :x="x(tick)" :y="H - 3" font-size="14" text-anchor="middle" fill="var(--soft)">{{ day.format(tick) }}</text>
    </svg>
    <svg :viewBox="`0 0 ${W} ${STRIP}`" class="block h-auto w-full" aria-hidden="true">
      <rect :x="LEFT" y="2" :width="W - 10 - LEFT" :height="STRIP - 6" rx="4" fill="var(--ground)" />
      <path
        v-if="stripMarks"
        :d="`${barPath(stripMarks.bars)}${dotPath(stripMarks.noticed, 1.2)}${dotPath(stripMarks.quiet, 1.2)}`"
        stroke="var(--steel)"
        stroke-width="1.4"
      />
      <g ref="strip" class="span-brush" />
    </svg>
    <p class="min-h-6 text-sm" aria-live="polite">{{ says }}</p>
    <p class="text-sm text-soft">
      Dark: noticed. {{ $spell('Grey') }}: no sign, or no answer logged. Red: too much. Bars span the levels where many presses stand together.
    </p>
  </section>
</template>

<style scoped>
.span-brush :deep(.selection) {
  fill: var(--tape);
  fill-opacity: 0.35;
  stroke: var(--ink);
}
</style>
