<script setup lang="ts">
/**
 * The remote on the screen: a stand-in that logs what the hand does. It opens at what this dog needs here and never moves to a
 * higher level by itself; what speaks against a press stands above it.
 */
import type { FieldDevice, UsualLevel } from '@banter/contract';
import {
  ASKED_GUARDS,
  levelSteps,
  levelWords,
  PRESS_GUARD_TONES,
  pressGuards,
  type DogResponse,
  type HouseRules,
  type PressFacts,
  type SessionStory,
} from '@banter/core';
import { type StimulationMode } from '@banter/core/collars/electronic';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import type { FieldEventToLog } from '../../stores/field-log.ts';
import { usePressClock } from '../../field/press-clock.ts';
import { OFFERED_WORDS } from '../../parts/level-standing-words.ts';
import LevelLine from './LevelLine.vue';
import GuardLines from './GuardLines.vue';
import NeedsMore from './NeedsMore.vue';
import ResponseRow from './ResponseRow.vue';

const props = defineProps<{
  device: FieldDevice;
  facts: PressFacts;
  story: SessionStory;
  usual: UsualLevel | null;
  /** Where nothing is known here: home's level, else the lowest that does anything. */
  begins: number;
  settingName: string;
  rules: HouseRules;
  tell: (told: FieldEventToLog, more?: { id?: string; at?: number }) => string;
}>();
/** What stands of it in this setting, where anything does. */
const here = computed(() => props.device.levels[props.story.settings.at(-1) ?? ''] ?? null);
const scale = computed(() => props.device.scale);
const mode = ref<StimulationMode>(props.device.modes[0]!);
const pressed = computed(() => props.story.presses.filter(({ collarId }) => collarId === props.device.collarId));
/** Where the hand left it; at first what is usual here, else where a run would begin. */
const level = ref(pressed.value.at(-1)?.level ?? props.usual?.level ?? props.begins);
const touched = ref(pressed.value.length > 0);
/** What is usual may be heard of late, or another setting be chosen: the level falls to it by itself, and rises only by a tap. */
watch(
  () => props.usual?.level ?? props.begins,
  (now) => {
    if (!touched.value && now < level.value) level.value = now;
  },
);
const usualAbove = computed(() => (!touched.value && props.usual && props.usual.level > level.value ? props.usual.level : null));
const step = (steps: number) => {
  touched.value = true;
  level.value = levelSteps(level.value, steps, scale.value);
};
/** What stands in the field while somebody types; the clock of the session draws this screen anew every second. */
const typed = ref(levelWords(level.value));
watch(level, (now) => (typed.value = levelWords(now)));
function settle() {
  const number = Number(typed.value.replace(',', '.'));
  if (typed.value.trim() !== '' && Number.isFinite(number)) [level.value, touched.value] = [number, true];
  else typed.value = levelWords(level.value);
}
const silent = computed(() => mode.value === 'tone' || mode.value === 'vibration');
/** What is said of a level says nothing of a tone. */
const OF_LEVELS: readonly string[] = ['off-scale', 'at-ceiling', 'above-cap', 'more-than-usual', 'level-jump', 'level-alarm'];
const guards = computed(() => pressGuards(level.value, props.facts, props.rules).filter(({ code }) => !silent.value || !OF_LEVELS.includes(code)));
/** Something is asked first: the press is a plain button then, and says that it is meant. */
const asked = computed(() => guards.value.some(({ code }) => ASKED_GUARDS.has(code)));
const barred = computed(() => guards.value.some(({ code }) => PRESS_GUARD_TONES[code] === 'stop'));
const offScale = computed(() => guards.value.some(({ code }) => code === 'off-scale'));
const looking = ref(false);

const clock = usePressClock();
const last = computed(() => pressed.value.at(-1) ?? null);
function press() {
  const id = uuidv7();
  clock.begin(id);
  touched.value = true;
  props.tell({ event: 'press', collarId: props.device.collarId, level: silent.value ? 0 : level.value, mode: mode.value }, { id });
}
function respond(response: DogResponse) {
  if (last.value) props.tell({ event: 'response', pressId: last.value.id, response, latencyMs: clock.latency(last.value.id) });
}
</script>

<template>
  <section class="sheet mt-3" :aria-label="`Remote ${device.name}`">
    <div class="flex flex-wrap items-baseline gap-x-3">
      <h2>{{ device.name }}</h2>
      <p class="text-sm text-soft">
        <template v-if="usual">{{ OFFERED_WORDS[usual.how] }} {{ levelWords(usual.level) }} here ({{ settingName }})</template>
        <template v-else>{{ here ? 'no level is offered here' : 'not yet known in this setting' }}</template>
        <template v-if="device.cap !== null"> · cap {{ levelWords(device.cap) }}</template>
        <template v-if="facts.ceiling !== null"> · {{ levelWords(facts.ceiling) }} was too much</template>
      </p>
    </div>
    <LevelLine
      class="mt-1"
      :scale="scale"
      :at="silent ? null : level"
      :needs="usual && { level: usual.level, words: OFFERED_WORDS[usual.how] }"
      :cap="device.cap"
      :ceiling="facts.ceiling"
    />
    <div v-if="!silent" class="mt-2 grid grid-cols-[4.5rem_minmax(0,1fr)_4.5rem] items-stretch gap-2">
      <button type="button" class="press press-plain min-h-14 text-3xl" aria-label="A step down" @click="step(-1)">−</button>
      <label class="block">
        <span class="sr-only">Level</span>
        <input
          v-model="typed"
          class="field h-full text-center font-display text-4xl! font-bold"
          inputmode="decimal"
          :aria-invalid="offScale"
          @change="settle"
        />
      </label>
      <button type="button" class="press press-plain min-h-14 text-3xl" aria-label="A step up" @click="step(1)">+</button>
    </div>
    <button v-if="usualAbove !== null && !silent" type="button" class="press press-plain mt-2 min-h-12 w-full" @click="level = usualAbove">
      Set it to {{ levelWords(usualAbove) }}, {{ OFFERED_WORDS[usual!.how] }} here
    </button>
    <GuardLines :guards="guards" @contact="(made) => tell({ event: 'contact', collarId: device.collarId, made })" @more="looking = true" />
    <NeedsMore
      v-if="looking"
      :device="device"
      @found="(found) => (tell({ event: 'looked-through', collarId: device.collarId, found }), (looking = false))"
      @close="looking = false"
    />
    <button
      v-if="facts.contactMade === true"
      type="button"
      class="press press-quiet mt-2 min-h-12 w-full"
      @click="tell({ event: 'contact', collarId: device.collarId, made: null })"
    >
      Soaked or re-strapped
    </button>
    <div v-if="device.modes.length > 1" class="mt-2 flex gap-2" role="group" aria-label="What is pressed">
      <button
        v-for="one in device.modes"
        :key="one"
        type="button"
        class="press grow px-2!"
        :class="one === mode ? 'border-deep! bg-deep text-on-deep' : 'press-plain'"
        :aria-pressed="one === mode"
        @click="mode = one"
      >
        {{ one }}
      </button>
    </div>
    <Teleport v-if="last" defer to="#pad-answers"><ResponseRow class="mb-2" :press="last" @respond="respond" /></Teleport>
    <Teleport defer to="#pad-action">
      <button v-if="!barred" type="button" class="press min-h-14 w-full text-xl" :class="asked ? 'press-plain' : 'press-main'" @click="press">
        Press {{ silent ? mode : levelWords(level) }}{{ asked ? ' anyway' : '' }}
      </button>
      <button v-else-if="!offScale" type="button" class="press press-plain min-h-14 w-full" @click="press">Pressed anyway: log {{ levelWords(level) }}</button>
    </Teleport>
  </section>
</template>
