<script setup lang="ts">
/** A session as it runs: the remote, what the dog does, corrections, tension, rewards; each with one tap, each taken back with one. */
import { pressFacts, usualHere, type FieldDog } from '@banter/contract';
import { houseRules, lowestFelt, sessionTally, type SessionStory } from '@banter/core';
import { useIntervalFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useFieldLog, type FieldEventToLog } from '../../stores/field-log.ts';
import { useNow } from '../../stores/now.ts';
import { useScreenKeys } from '../../stores/keys.ts';
import { useSession } from '../../stores/session.ts';
import { spanWords } from '../../field/span-words.ts';
import ActionBar from '../../work/ActionBar.vue';
import CorrectionPad from './CorrectionPad.vue';
import FindingGuide from './FindingGuide.vue';
import LogTail from './LogTail.vue';
import RemotePad from './RemotePad.vue';
import SessionEnd from './SessionEnd.vue';
import TensionBar from './TensionBar.vue';

const props = defineProps<{ story: SessionStory; dog: FieldDog }>();
const emit = defineEmits<{ leave: [] }>();
const log = useFieldLog();
const session = useSession();
const { now } = useNow(1000);

// What another phone or a device tells of the same session is heard while it runs.
const HEAR_MS = 4000;
useIntervalFn(() => props.story.endedAt === null && !document.hidden && void log.hear(props.story.sessionId), HEAR_MS, { immediateCallback: true });
const twin = computed(() => log.twinOf(props.story));
const clockWords = (at: number) => new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: session.kennel!.timeZone }).format(at);

const rules = computed(() => houseRules(session.kennel!.rules));
/** Other sessions of this dog on this phone, sent or not. */
const earlier = computed(() => log.sessions.filter(({ dogId, sessionId }) => dogId === props.dog.id && sessionId !== props.story.sessionId));
const setting = computed(() => props.story.settings.at(-1) ?? '');
const settingName = computed(() => log.page!.settings.find(({ id }) => id === setting.value)?.name ?? setting.value);
const chosen = ref(props.dog.devices[0]?.collarId ?? null);
const device = computed(() => props.dog.devices.find(({ collarId }) => collarId === chosen.value) ?? null);
const facts = computed(() =>
  device.value
    ? pressFacts(props.dog, device.value, {
        setting: setting.value,
        now: now.value,
        timeZone: session.kennel!.timeZone,
        session: props.story,
        earlier: earlier.value,
      })
    : null,
);
/** What a phone knew before it was told where runs begin is the lowest that does anything. */
const begins = computed(() => (device.value ? (device.value.runBegins[setting.value] ?? lowestFelt(device.value.scale)) : 0));
const usual = computed(() => (device.value ? usualHere(device.value, setting.value, earlier.value) : null));
const tally = computed(() => sessionTally(props.story));
const lasted = computed(() => spanWords((props.story.endedAt ?? now.value) - props.story.begunAt));

const tell = (told: FieldEventToLog, more?: { id?: string; at?: number }) => log.tell(props.story.sessionId, told, more);
/** The last tap that stands and can be taken back. */
const lastTap = computed(() => props.story.events.filter(({ event }) => event !== 'begin').at(-1) ?? null);
function undo() {
  if (lastTap.value) tell({ event: 'void', eventId: lastTap.value.id });
}
/** It was not over after all. */
function goOn() {
  for (const event of props.story.events) if (event.event === 'end') tell({ event: 'void', eventId: event.id });
}
const TAPS = [
  { event: 'cue', label: 'Cue', key: 'c' },
  { event: 'marker', label: 'Marker', key: 'm' },
  { event: 'reward', label: 'Reward', key: 'r' },
  { event: 'pushed-up', label: 'Collar pushed up', key: 'p' },
] as const;
const counts = computed(() => ({ cue: tally.value.cues, marker: tally.value.markers, reward: tally.value.rewards, 'pushed-up': tally.value.pushedUp }));
useScreenKeys('Field log', [
  ...TAPS.map(({ event, label, key }) => ({ key, does: label, run: () => void tell({ event }) })),
  { key: 'z', does: 'Undo the last tap', run: undo },
]);
</script>

<template>
  <div class="max-w-[44rem]">
    <header class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <h1 class="text-[1.6rem]!">{{ dog.name }}</h1>
      <p class="tabular-nums">{{ lasted }}</p>
      <label class="ml-auto flex items-center gap-2">
        <span class="sr-only">Where</span>
        <select
          class="field w-auto!"
          :value="setting"
          :disabled="story.endedAt !== null"
          @change="tell({ event: 'setting', setting: ($event.target as HTMLSelectElement).value })"
        >
          <option v-for="one in log.page!.settings" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
    </header>

    <p v-if="dog.heelLine && story.endedAt === null" class="text-sm text-soft">Heel line: {{ dog.heelLine }}</p>
    <section v-if="twin" class="mt-3 rounded bg-mind-wash p-3 text-mind" aria-label="Two sessions at a time">
      <p class="font-semibold">{{ dog.name }} is also logged by {{ twin.handlerName }}, since {{ clockWords(twin.begunAt) }}. Is that this session?</p>
      <div class="mt-2 flex flex-wrap gap-2">
        <button type="button" class="press press-main" @click="log.decideTwin(story, twin, true)">Yes, make them one</button>
        <button type="button" class="press press-plain" @click="log.decideTwin(story, twin, false)">No, two</button>
      </div>
    </section>
    <SessionEnd v-if="story.endedAt !== null" :tally="tally" :dog="dog" :story="story" :tell="tell" @again="emit('leave')" @undo="goOn" />
    <template v-else>
      <div v-if="dog.devices.length > 1" class="mt-3 flex gap-2" role="group" aria-label="Device">
        <button
          v-for="one in dog.devices"
          :key="one.collarId"
          type="button"
          class="press"
          :class="one.collarId === chosen ? 'border-deep! bg-deep text-on-deep' : 'press-plain'"
          :aria-pressed="one.collarId === chosen"
          @click="chosen = one.collarId"
        >
          {{ one.name }}
        </button>
      </div>
      <FindingGuide
        v-if="story.purpose === 'finding' && device && facts"
        :key="`finding ${device.collarId}`"
        :device="device"
        :facts="facts"
        :story="story"
        :begins="begins"
        :rules="rules"
        :tell="tell"
      />
      <RemotePad
        v-else-if="device && facts"
        :key="device.collarId"
        :device="device"
        :facts="facts"
        :story="story"
        :usual="usual"
        :begins="begins"
        :setting-name="settingName"
        :rules="rules"
        :tell="tell"
      />
      <section class="mt-4 grid grid-cols-2 gap-2 sm:grid-cols-4" aria-label="What happened">
        <button
          v-for="one in TAPS"
          :key="one.event"
          type="button"
          class="press press-plain min-h-14 justify-between! text-left"
          @click="tell({ event: one.event })"
        >
          {{ one.label }}
          <span class="text-soft tabular-nums" :aria-label="`${counts[one.event]} so far`">{{ counts[one.event] }}</span>
        </button>
      </section>
      <CorrectionPad class="mt-4" :dog="dog" :directions="tally.directions" @correct="(direction) => tell({ event: 'correction', direction })" />
      <TensionBar
        class="mt-4"
        :story="story"
        :now="now"
        :held-seconds="rules.heldSeconds"
        @hold="tell({ event: 'hold' })"
        @let-go="tell({ event: 'let-go' })"
      />
    </template>
    <LogTail class="mt-5" :story="story" @note="(text) => tell({ event: 'note', text })" />
    <template v-if="story.endedAt === null">
      <button type="button" class="press press-quiet mt-3" @click="emit('leave')">Another dog meanwhile</button>
      <ActionBar>
        <div id="pad-answers"></div>
        <div class="flex items-end gap-2">
          <div id="pad-action" class="min-w-0 grow"></div>
          <button type="button" class="press press-plain min-h-14 px-3!" :disabled="lastTap === null" @click="undo">Undo</button>
          <button type="button" class="press press-plain min-h-14 px-3!" @click="tell({ event: 'end' })">End</button>
        </div>
      </ActionBar>
    </template>
  </div>
</template>
