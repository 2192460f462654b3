<script setup lang="ts">
/** Finding the level a dog notices: an up-down run with its rule shown, from the lowest, never to a ceiling or past a cap. */
import type { FieldDevice } from '@banter/contract';
import {
  ENOUGH_REVERSALS,
  levelWords,
  lowestFelt,
  noticedBy,
  PRESS_GUARD_TONES,
  pressGuards,
  STAIRCASE_RULE_WORDS,
  STAIRCASE_RULES,
  staircase,
  WORKING_LEVEL_REASON_WORDS,
  workingLevel,
  wordReason,
  type DogResponse,
  type HouseRules,
  type PressFacts,
  type SessionStory,
  type StaircaseRule,
} from '@banter/core';
import { z } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { usePressClock } from '../../field/press-clock.ts';
import { stored } from '../../stores/stored.ts';
import type { FieldEventToLog } from '../../stores/field-log.ts';
import LevelLine from './LevelLine.vue';
import GuardLines from './GuardLines.vue';
import ResponseRow from './ResponseRow.vue';
import StairDrawing from './StairDrawing.vue';
import { useUnits } from '../../stores/units.ts';

const props = defineProps<{
  device: FieldDevice;
  facts: PressFacts;
  story: SessionStory;
  /** The level with which the run begins. */
  begins: number;
  rules: HouseRules;
  tell: (told: FieldEventToLog, more?: { id?: string; at?: number }) => string;
}>();
const units = useUnits();
const rule = stored('banter.stair-rule', z.enum(STAIRCASE_RULES), 'up-down');
const pressed = computed(() => props.story.presses.filter(({ collarId }) => collarId === props.device.collarId));
const answered = computed(() => pressed.value.filter(({ response }) => response !== null));
const trials = computed(() => answered.value.map(({ level, response }) => ({ level, noticed: noticedBy(response!) })));
const limits = computed(() => ({ scale: props.device.scale, below: props.facts.ceiling, atMost: props.facts.cap }));
const stairs = computed(() => staircase(trials.value, { rule: rule.value, from: props.begins, ...limits.value }));
const open = computed(() => pressed.value.find(({ response }) => response === null) ?? null);
const working = computed(() =>
  workingLevel([{ trials: answered.value.map(({ level, response }) => ({ level, noticed: noticedBy(response!), tooMuch: response === 'too-much' })) }], {
    scale: props.device.scale,
    ceiling: props.facts.ceiling,
    cap: props.facts.cap,
    target: props.rules.workingChance,
    rules: props.rules,
  }),
);
/** More than usual is no question here: the run goes by its rule. Contact must have been felt before it begins. */
const guards = computed(() =>
  stairs.value.next === null ? [] : pressGuards(stairs.value.next, { ...props.facts, usual: null, lastNeeded: null }, props.rules),
);
const contactFirst = computed(() => props.facts.contactMade !== true);
const barred = computed(() => contactFirst.value || guards.value.some(({ code }) => PRESS_GUARD_TONES[code] === 'stop'));
const why = computed(() => {
  const last = trials.value.at(-1);
  if (!last) return props.begins > lowestFelt(props.device.scale) ? 'Under what it needs here, and up.' : 'From the lowest that does anything.';
  if (last.noticed) return stairs.value.inARow > 0 ? `Once more at the same level: ${STAIRCASE_RULE_WORDS[rule.value].name}.` : 'A step down after a sign.';
  return 'A step up after no sign.';
});
const clock = usePressClock();
function press() {
  if (stairs.value.next === null) return;
  const id = uuidv7();
  clock.begin(id);
  props.tell(
    {
      event: 'press',
      collarId: props.device.collarId,
      level: stairs.value.next,
      mode: props.device.modes.includes('momentary') ? 'momentary' : props.device.modes[0]!,
    },
    { id },
  );
}
function respond(response: DogResponse) {
  if (open.value) props.tell({ event: 'response', pressId: open.value.id, response, latencyMs: clock.latency(open.value.id) });
}
</script>

<template>
  <section class="sheet mt-3" aria-label="Level finding">
    <h2>
      <template v-if="stairs.over === 'turned-enough'">{{ ENOUGH_REVERSALS }} turns: that is a run.</template>
      <template v-else-if="stairs.over === 'limit'">Stop here: contact first.</template>
      <template v-else-if="contactFirst">Feel the contact first.</template>
      <template v-else>Next: {{ levelWords(stairs.next!) }}</template>
    </h2>
    <p class="text-soft">
      <template v-if="stairs.over === 'turned-enough'"
        >Its turning levels average {{ levelWords(stairs.estimate!) }}. Another run on another day sharpens it.</template
      >
      <template v-else-if="stairs.over === 'limit'"
        >The next step of the rule would reach the ceiling, the cap or the end of the scale. Check contact, skin, place, battery and distraction.</template
      >
      <template v-else>{{ why }}</template>
    </p>
    <LevelLine v-if="answered.length === 0" class="mt-2" :scale="device.scale" :at="stairs.next" :needs="null" :cap="facts.cap" :ceiling="facts.ceiling" />
    <StairDrawing v-else class="mt-3" :trials="trials" :reversals="stairs.reversals.length" :next="stairs.next" :scale="device.scale" />
    <GuardLines :guards="guards" @contact="(made) => tell({ event: 'contact', collarId: device.collarId, made })" />
    <Teleport v-if="open" defer to="#pad-answers"><ResponseRow class="mb-2" :press="open" @respond="respond" /></Teleport>
    <Teleport v-else defer to="#pad-action">
      <button v-if="stairs.next !== null && !barred" type="button" class="press press-main min-h-14 w-full text-xl" @click="press">
        Press {{ levelWords(stairs.next) }}
      </button>
    </Teleport>
    <p v-if="answered.length > 2" class="mt-3">{{ wordReason(WORKING_LEVEL_REASON_WORDS, working.reasons[0]!, units.speak).text }}</p>
    <ChoiceRow
      v-if="answered.length === 0"
      class="mt-4"
      quiet
      label="Rule"
      :hint="STAIRCASE_RULE_WORDS[rule].says"
      :model-value="rule"
      :answers="STAIRCASE_RULES.map((one) => ({ value: one, label: STAIRCASE_RULE_WORDS[one].name }))"
      @update:model-value="(value) => value && (rule = value as StaircaseRule)"
    />
    <p v-else class="mt-3 text-sm text-soft">Rule: {{ STAIRCASE_RULE_WORDS[rule].name }}. {{ STAIRCASE_RULE_WORDS[rule].says }}</p>
  </section>
</template>
