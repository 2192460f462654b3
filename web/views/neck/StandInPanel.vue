<script setup lang="ts">
/**
 * The stand-in for a transmitter and receiver, drawn, with their switches. It tells the same events as a bridge to a real one
 * would; what it refuses it says why.
 */
import { deviceOf, type DressedContacts, type DressedDog } from '@banter/contract';
import {
  lowestFelt,
  contactQuality,
  deviceAt,
  fingerSlack,
  LOCK_OUT_SECONDS,
  LONG_PRESS_SECONDS,
  STAND_IN_REFUSALS,
  standIn,
  type StandInCommand,
  type StandInProfile,
} from '@banter/core';
import { computed, ref } from 'vue';
import type { Telling, EventToTell } from '../../stores/tell.ts';

const props = defineProps<{ contacts: DressedContacts; dressed: DressedDog; telling: Telling; now: number }>();
const collar = computed(() => props.contacts.fit.plan.inputs.collar);
const setting = computed(() => (props.contacts.fit.check?.on ?? (props.contacts.fit.plan.choices as { on: object }).on) as { strapMm: number; postMm: number });
const profile = computed<StandInProfile>(() => {
  const { scale } = deviceOf({ kind: props.contacts.fit.plan.kind, numbers: collar.value.numbers })!;
  const { hairGirthMm, coatDepthMm, finger } = props.dressed.dog;
  return {
    // A scale that begins at 0 is tried at its first level that does anything.
    scaleMin: lowestFelt(scale),
    scaleMax: scale.max,
    scaleStep: scale.step,
    postMm: setting.value.postMm,
    coatDepthMm,
    strapSlackMm: props.contacts.wear === null || hairGirthMm === null ? null : setting.value.strapMm - hairGirthMm,
    twoFingersMm: hairGirthMm === null ? null : fingerSlack(hairGirthMm, 2, finger),
  };
});
const device = computed(() => deviceAt(props.contacts.device, props.now));
const refused = ref('');
async function doIt(command: StandInCommand, sentence: string) {
  const answer = standIn(deviceAt(props.contacts.device, Date.now()), command, Date.now(), profile.value, props.dressed.house.rules);
  refused.value = 'refused' in answer ? STAND_IN_REFUSALS[answer.refused] : '';
  if ('events' in answer && answer.events.length > 0)
    await props.telling.tell(
      sentence,
      answer.events.map((event) => ({ ...event, collarId: collar.value.id }) as EventToTell),
      { source: 'stand-in' },
    );
}
const percent = computed(() => (device.value.percent === null ? null : Math.round(device.value.percent)));
const touch = computed(() => contactQuality(profile.value, props.dressed.house.rules));
const TOUCH = { made: 'both contacts touch', poor: 'they touch now and then', none: 'they do not touch' } as const;
const WHY = {
  'posts-short': 'the posts are no longer than the coat',
  'posts-just-reach': 'the posts only just reach the skin',
  'strap-loose': 'the strap is loose',
  'coat-unknown': 'the coat’s depth is not taped',
} as const;
const described = computed(
  () =>
    `Transmitter and receiver: ${device.value.on ? 'on' : 'off'}, ${device.value.paired ? 'paired' : 'not paired'}, covers ${device.value.coversShut ? 'shut' : 'open or not known'}, battery ${percent.value === null ? 'not known' : `${percent.value} %`}.`,
);
const lamp = computed(() => (device.value.on !== true ? 'var(--line)' : device.value.paired ? 'var(--good)' : 'var(--tape)'));
</script>

<template>
  <section :aria-label="`Stand-in device for ${collar.name}`">
    <h2>Stand-in device for {{ collar.name }}</h2>
    <p class="mt-1 text-sm text-soft">
      Not the real one: a machine that behaves like it, to learn and try the routine with. A real device can tell the same through a bridge; see House rules,
      Devices.
    </p>
    <svg viewBox="0 0 300 120" class="mt-2 block h-auto w-full max-w-md" role="img" :aria-label="described">
      <rect x="18" y="14" width="74" height="96" rx="12" fill="var(--steel)" />
      <rect x="30" y="26" width="50" height="26" rx="4" fill="var(--felt)" />
      <text x="55" y="45" font-size="16" font-weight="700" text-anchor="middle" fill="var(--ink)">{{ device.on ? profile.scaleMin : '—' }}</text>
      <circle cx="55" cy="78" r="15" fill="var(--steel-light)" />
      <path d="M55 14 V2" stroke="var(--steel)" stroke-width="6" stroke-linecap="round" />
      <path
        v-if="device.on && device.paired"
        d="M106 40 q10 10 0 20 M116 32 q18 18 0 36 M126 24 q26 26 0 52"
        fill="none"
        stroke="var(--deep)"
        stroke-width="3"
        stroke-linecap="round"
      />
      <path v-else d="M108 40 l24 24 M132 40 l-24 24" stroke="var(--line)" stroke-width="3" stroke-linecap="round" />
      <path d="M150 70 H296" stroke="var(--deep)" stroke-width="15" />
      <rect x="176" y="42" width="94" height="56" rx="8" fill="var(--ink)" />
      <circle cx="258" cy="54" r="4.5" :fill="lamp" />
      <g fill="none" stroke="var(--steel-light)" stroke-width="2">
        <rect x="186" y="52" width="40" height="16" rx="2" />
        <rect x="226" y="56" width="4" height="8" />
      </g>
      <rect
        v-if="percent !== null"
        x="188"
        y="54"
        :width="0.36 * percent"
        height="12"
        :fill="percent >= dressed.house.rules.chargePercent ? 'var(--good)' : 'var(--stop)'"
      />
      <rect x="186" y="76" width="34" height="13" rx="3" :fill="device.coversShut ? 'var(--steel)' : 'none'" stroke="var(--steel)" stroke-width="2" />
      <path d="M206 98 v9 M240 98 v9" stroke="var(--steel-light)" stroke-width="6" stroke-linecap="round" />
    </svg>
    <p class="text-sm">
      {{ percent === null ? 'Battery not known' : `Battery ${percent} %` }} · covers
      {{ device.coversShut === null ? 'not known' : device.coversShut ? 'shut' : 'open' }} · {{ device.on ? 'on' : 'off' }} ·
      {{ device.paired ? 'paired' : 'not paired' }}
      <template v-if="contacts.wear"> · {{ TOUCH[touch.quality] }}{{ touch.why ? `: ${WHY[touch.why]}` : '' }}</template>
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="press press-plain" @click="doIt({ do: 'open-covers' }, 'Covers open.')">Open covers</button>
      <button type="button" class="press press-plain" @click="doIt({ do: 'charge' }, 'Charged.')">Charge</button>
      <button type="button" class="press press-plain" @click="doIt({ do: 'shut-covers' }, 'Covers shut.')">Shut covers</button>
      <button
        type="button"
        class="press press-plain"
        @click="doIt({ do: device.on ? 'switch-off' : 'switch-on' }, device.on ? 'Switched off.' : 'Switched on.')"
      >
        {{ device.on ? 'Switch off' : 'Switch on' }}
      </button>
      <button type="button" class="press press-plain" @click="doIt({ do: device.paired ? 'unpair' : 'pair' }, device.paired ? 'Unpaired.' : 'Paired.')">
        {{ device.paired ? 'Unpair' : 'Pair' }}
      </button>
      <button type="button" class="press press-plain" @click="doIt({ do: 'try-lowest' }, `Tried at ${profile.scaleMin}.`)">
        Try at {{ profile.scaleMin }}, the lowest
      </button>
      <button
        type="button"
        class="press press-plain"
        @click="doIt({ do: 'press', level: profile.scaleMin, seconds: LONG_PRESS_SECONDS }, `Held too long: it locks itself for ${LOCK_OUT_SECONDS} s.`)"
      >
        Hold the lowest too long
      </button>
      <button type="button" class="press press-plain" @click="doIt({ do: 'feel-contact' }, 'Contact felt.')">Feel contact</button>
    </div>
    <p v-if="refused" role="alert" class="mt-2 rounded bg-mind-wash p-2 text-mind">{{ refused }}</p>
  </section>
</template>
