<script lang="ts">
/** What a site's readings come to while they are being typed. */
/** `wide`: the readings lie further apart than the house allows. */
export type SiteReading = { readingsMm: number[]; girthMm: number | null; plusMinusMm: number | null; wide: boolean; lower: boolean; unsure: boolean };
</script>

<script setup lang="ts">
/** One site: one reading to ten, and at once their median, spread, technical error, the odd one, and what to do. */
import type { Taping } from '@banter/contract';
import {
  likelyGirth,
  settledDoubt,
  isGirthSite,
  POSSIBLE_TAPE_MM,
  TAPE_REASON_WORDS,
  TAPE_SITE_WORDS,
  taping,
  wordReason,
  type HouseRules,
  type NeckBuild,
  type TapeSite,
} from '@banter/core';
import { computed, ref, watch } from 'vue';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import { dayWords } from './age.ts';
import MeasureField from './MeasureField.vue';
import SmallChart from './SmallChart.vue';
import ReasonList from './ReasonList.vue';
import VerdictMark from './VerdictMark.vue';

const props = defineProps<{
  site: TapeSite;
  /** Whether another reading could still change an answer. */
  again: boolean;
  rules: HouseRules;
  coatDepthMm: number | null;
  onSkin: boolean;
  weightG: number | null;
  neckBuild: NeckBuild;
  before: Taping | null;
  history: readonly Taping[];
  error: string;
  /** Only what it comes to, and what is doubtful about it. */
  brief?: boolean;
}>();
const readings = defineModel<string[]>({ required: true });
/** «No, behind the ears» was answered to these readings. */
const settled = defineModel<boolean>('settled', { required: true });
const emit = defineEmits<{ read: [reading: SiteReading] }>();
const MOST = 10;
/** Readings that a median is made of. */
const ENOUGH = 3;

const session = useSession();
const units = useUnits();
const millimetres = ref<(number | null)[]>([]);
const likely = computed(() => (props.weightG === null ? null : likelyGirth(props.site, props.weightG / 1000, props.neckBuild)));
const expected = computed(() => ({ possibleMm: POSSIBLE_TAPE_MM[props.site], ...(likely.value ? { likelyMm: likely.value.spanMm } : {}) }));
const guess = computed(() => (props.before ? units.exact(props.before.tapedMm) : likely.value ? units.girth(likely.value.guessMm) : undefined));
/** Which field each good reading stands in. */
const fieldOf = computed(() => readings.value.map((_text, index) => index).filter((index) => millimetres.value[index] != null));
const good = computed(() => fieldOf.value.map((index) => millimetres.value[index]!));
const unsure = computed(() => readings.value.some((text, index) => text.trim() !== '' && millimetres.value[index] == null));
const result = computed(() =>
  good.value.length === 0
    ? null
    : taping(
        {
          site: props.site,
          readingsMm: good.value,
          coatDepthMm: props.coatDepthMm ?? undefined,
          weightKg: props.weightG === null ? undefined : props.weightG / 1000,
          neckBuild: props.neckBuild,
        },
        props.rules,
      ),
);
/** Earlier tapings of this site, and the one being typed at the end. */
const chart = computed(() =>
  props.history.map((one) => ({
    at: one.at,
    value: one.tapedMm,
    label: `${dayWords(one.at, session.kennel!.timeZone)} ${units.exact(one.tapedMm)}, ${one.personName}`,
  })),
);
const reasons = computed(() =>
  (result.value?.reasons ?? []).map((reason) => wordReason(TAPE_REASON_WORDS, settled.value ? settledDoubt(reason) : reason, units.speak)),
);
const lower = computed(() => reasons.value.some((reason) => reason.code === 'taken-lower'));
const wide = computed(() => result.value?.reasons.some(({ code }) => code === 'spread-too-large') ?? false);
const oddField = computed(() => (result.value?.oddIndex == null ? null : fieldOf.value[result.value.oddIndex]));
const verdict = computed(() => {
  if (!result.value) return null;
  if (lower.value) return { tone: 'mind', word: 'Taken lower down?' } as const;
  if (wide.value || (good.value.length < ENOUGH && props.again)) return { tone: 'mind', word: 'Another reading' } as const;
  return good.value.length === 1 ? ({ tone: 'good', word: 'One reading' } as const) : ({ tone: 'good', word: 'Taped' } as const);
});
watch(
  [good, result, unsure, lower, wide],
  () =>
    emit('read', {
      readingsMm: good.value,
      girthMm: result.value?.girthMm ?? null,
      plusMinusMm: result.value?.plusMinusMm ?? null,
      wide: wide.value,
      lower: lower.value,
      unsure: unsure.value,
    }),
  { immediate: true },
);
function change(index: number, text: string) {
  readings.value = readings.value.map((before, at) => (at === index ? text : before));
  settled.value = false;
}
</script>

<template>
  <fieldset class="sheet py-3!" :data-site="site">
    <legend class="float-left mb-1.5 w-full">
      <span class="flex flex-wrap items-baseline gap-x-3">
        <span class="font-display text-lg font-semibold">{{ TAPE_SITE_WORDS[site].name }}</span>
        <span class="text-soft">{{ TAPE_SITE_WORDS[site].where }}{{ before ? `, last ${units.exact(before.tapedMm)}` : '' }}</span>
      </span>
    </legend>
    <div class="clear-both grid grid-cols-3 gap-2 *:has-[[role=alert]]:max-sm:col-span-3 sm:gap-3">
      <MeasureField
        v-for="(text, index) in readings"
        :key="index"
        :model-value="text"
        :label="`Reading ${index + 1}`"
        :expected="expected"
        :guess="index === 0 ? guess : undefined"
        :flagged="oddField === index"
        in-row
        @update:model-value="(now) => change(index, now)"
        @read="(mm) => (millimetres[index] = mm)"
      />
      <button
        v-if="!brief && readings.length < MOST && fieldOf.length >= Math.min(3, readings.length)"
        type="button"
        class="press press-plain self-start px-2!"
        @click="readings = [...readings, '']"
      >
        Another reading
      </button>
    </div>
    <p v-if="brief && verdict?.tone === 'good'" class="mt-1 text-sm text-soft" aria-live="polite">
      {{ units.exact(result!.girthMm) }}, ± {{ units.gap(result!.plusMinusMm) }}
    </p>
    <div v-else-if="result && verdict" class="mt-3 border-t border-line pt-3" aria-live="polite">
      <div class="flex flex-wrap items-center gap-x-5 gap-y-1">
        <VerdictMark :tone="verdict.tone" :word="verdict.word" />
        <span>
          Median
          <strong class="text-lg">{{ units.exact(result.girthMm) }}</strong>
          {{ !isGirthSite(site) ? '' : onSkin ? 'on the skin' : 'over the coat' }}
        </span>
        <span class="text-soft">
          <template v-if="result.temPercent === null">one reading, ± {{ units.gap(result.plusMinusMm) }}</template>
          <template v-else>
            ± {{ units.gap(result.plusMinusMm) }} · spread {{ units.gap(result.spreadMm) }} · technical error {{ units.speak.fine(result.temMm!) }} ({{
              result.temPercent.toFixed(1)
            }}
            %)
          </template>
        </span>
      </div>
      <ReasonList class="mt-2" :reasons="reasons" />
      <button v-if="lower" type="button" class="press press-plain mt-2" @click="settled = true">No, behind the ears</button>
    </div>
    <details v-if="history.length > 1" class="mt-2 text-sm">
      <summary class="text-soft">Earlier</summary>
      <SmallChart class="mt-2" :points="chart" :name="`${TAPE_SITE_WORDS[site].name} so far`" />
    </details>
    <p v-if="error" class="mt-2 font-semibold text-stop" role="alert">{{ error }}</p>
  </fieldset>
</template>
