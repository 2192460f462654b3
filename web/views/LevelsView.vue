<script setup lang="ts">
/** Levels: what a dog needs by setting on each device, whether that has changed, and what sessions say; never a proposal to go higher. */
import { dogLevels, houseOf, latestGirths, LevelsPage, levelRoseTitle, momentOn } from '@banter/contract';
import { levelWords, MORE_STEPS, type MoreCause, NEEDED_REASON_WORDS, WORKING_LEVEL_REASON_WORDS, wordReason } from '@banter/core';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { dayWords } from '../parts/age.ts';
import { DogHeader } from '../shell/dog-header.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import SaidBar from '../parts/SaidBar.vue';
import ActionBar from '../work/ActionBar.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';
import { useTell } from '../stores/tell.ts';
import CapForm from './levels/CapForm.vue';
import ControlChart from './levels/ControlChart.vue';
import LadderChart from './levels/LadderChart.vue';
import PressChart from './levels/PressChart.vue';
import RateCharts from './levels/RateCharts.vue';
import SessionTable from './levels/SessionTable.vue';
import { useUnits } from '../stores/units.ts';
import WorkLeaves, { type Leaf } from '../work/WorkLeaves.vue';
import WorkScreen from '../work/WorkScreen.vue';
import { useAtLeast } from '../stores/widths.ts';

const units = useUnits();

const route = useRoute();
const session = useSession();
const dogId = String(route.params.id);
const { data, state, sentence, load } = useLoad(() => `/api/dogs/${dogId}/levels`, LevelsPage);
const kennel = computed(() => session.kennel!);
const house = computed(() => houseOf(kennel.value, data.value!.dog));
const devices = computed(() =>
  data.value ? dogLevels(data.value, kennel.value, house.value, (at) => dayWords(new Date(at).toISOString(), kennel.value.timeZone)) : [],
);
const chosenDevice = ref<string | null>(null);
const device = computed(
  () =>
    devices.value.find(({ collar }) => collar.id === chosenDevice.value) ??
    devices.value.find(({ settings }) => settings.length > 0) ??
    devices.value[0] ??
    null,
);
const chosenSetting = ref<string | null>(null);
/** The setting that alarms, else the one worked in last. */
const setting = computed(() => {
  const all = device.value?.settings ?? [];
  const latest = [...all].sort((a, b) => (b.needed.at(-1)?.at ?? 0) - (a.needed.at(-1)?.at ?? 0))[0];
  return all.find(({ id }) => id === chosenSetting.value) ?? all.find(({ drift }) => drift.alarm?.side === 'high') ?? latest ?? null;
});
const span = ref<[number, number] | null>(null);
/** Sessions of the setting that is looked at; all of them where no device tells settings apart. */
const inSetting = computed(() => {
  const all = data.value?.sessions ?? [];
  return setting.value ? all.filter(({ settings, purpose }) => purpose === 'work' && settings.includes(setting.value!.id)) : all;
});
const shown = computed(() => {
  const all = inSetting.value;
  return span.value ? all.filter(({ begunAt }) => Date.parse(begunAt) >= span.value![0] && Date.parse(begunAt) <= span.value![1]) : all;
});
const checks = computed(() => (data.value?.contactChecks ?? []).filter(({ collarId }) => collarId === device.value?.collar.id));
/** On a phone it stands under the drawing, which comes first there. */
const wide = useAtLeast('sm');
const says = computed(() => (setting.value ? wordReason(NEEDED_REASON_WORDS, setting.value.reason, units.speak).text : ''));
const heading = computed(() => {
  if (!data.value) return '';
  const { name } = data.value.dog;
  if (!device.value) return `${name} wears no device.`;
  if (!setting.value) return `Nothing logged on ${device.value.collar.name} yet.`;
  const alarm = alarming.value;
  if (alarm) return levelRoseTitle(name, alarm.name, alarm.look!);
  const { offered, working } = setting.value;
  if (offered?.how === 'needed') return `Last needed in ${setting.value.name}: ${levelWords(offered.level)}.`;
  if (offered) return `Work at ${offered.how === 'rough' ? 'about ' : ''}${levelWords(offered.level)} in ${setting.value.name}.`;
  return working.state === 'unknown' ? `Find the level ${name} notices in ${setting.value.name}.` : `No level is offered in ${setting.value.name}.`;
});
/** The alarm that stands, with how far it was looked into. */
const alarming = computed(() => device.value?.settings.find(({ look }) => look !== null) ?? null);
const look = computed(() => alarming.value?.look ?? null);
const telling = useTell(load);
/** One of the four questions, answered: whether it was the cause. Contact that is felt is told as such, for every screen. */
async function answer(cause: MoreCause, was: boolean) {
  const collarId = device.value!.collar.id;
  const { good, found } = MORE_STEPS[cause];
  await telling.tell(was ? `${found}.` : `${good}.`, [
    cause === 'contact' ? { event: 'contact', collarId, made: !was } : { event: 'looked-into', collarId, cause, was },
  ]);
}
const tone = computed(() =>
  device.value?.settings.some(({ drift }) => drift.alarm?.side === 'high') ? 'mind' : setting.value?.offered?.how === 'known' ? 'good' : 'open',
);
/** How the level that is offered is known; a known one at a ceiling or past a cap is offered to nobody. */
const word = computed(() => {
  if (tone.value === 'mind') return look.value?.next == null ? (look.value?.found == null ? 'Nothing found' : 'Cause found') : MORE_STEPS[look.value.next].does;
  const { offered, working } = setting.value ?? { offered: null, working: null };
  if (offered) return { known: 'Known', rough: 'Rough', needed: 'Last needed' }[offered.how];
  return !working || working.state === 'unknown' ? 'Not known yet' : 'None offered';
});
type LevelsLeaf = 'needed' | 'presses' | 'rates' | 'cap';
const leaf = ref<LevelsLeaf>('needed');
const leaves = computed(() => {
  const all: (Leaf<LevelsLeaf> & { there?: boolean })[] = [
    { id: 'needed', name: 'Level needed' },
    { id: 'presses', name: 'Presses' },
    { id: 'rates', name: 'Rates', there: inSetting.value.length > 0 },
    { id: 'cap', name: 'Cap' },
  ];
  return all.filter(({ there }) => there !== false);
});
const lastChecked = computed(() => {
  const last = checks.value.at(-1);
  return last
    ? `Contact last checked ${momentOn(Date.parse(last.at), Date.now(), kennel.value.timeZone)}: ${last.made ? 'contact good' : 'no contact'}.`
    : 'Contact not checked yet.';
});
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="latestGirths(data!.girths)" :fits="data!.fits" :kennel="kennel" />
    <template v-if="!device">
      <h1>{{ heading }}</h1>
      <p class="mt-2">
        Levels belong to a remote or fence collar.
        <RouterLink :to="`/dogs/${dogId}/bench`" class="underline">Fit one at the bench</RouterLink>
      </p>
    </template>
    <WorkScreen v-else :drawing="`Ladder on ${device.collar.name}`" style="--beside-drawing-desk: 27rem; --beside-drawing: 39rem">
      <template #decision>
        <h1>{{ heading }}</h1>
        <div class="mt-1.5 flex flex-wrap items-center gap-x-4 gap-y-1">
          <VerdictMark :tone="tone" :word="word" />
          <span v-if="says && wide" class="max-w-[52rem]">{{ says }}</span>
        </div>
      </template>
      <template #notes>
        <div v-if="look" role="status">
          <p v-if="look.next" class="max-w-[46rem]">
            {{ MORE_STEPS[look.next].how }}
            <template v-if="look.next === 'skin'">
              <RouterLink :to="`/dogs/${dogId}/neck/skin`" class="underline">Check skin</RouterLink> ·
              <RouterLink :to="`/dogs/${dogId}/neck/contacts`" class="underline">Check place</RouterLink>
            </template>
          </p>
          <p v-else-if="look.found === 'contact'" class="font-semibold text-stop">Strap, hair and posts first; then feel again. Never a higher level.</p>
          <p v-else-if="look.found">Fix that, and stay at the level it knows.</p>
          <p v-else>Stay at the level it knows and stop for today, or find its level again in a quiet place. Ask a vet when it goes on.</p>
          <ul v-if="look.answers.length > 0" class="text-sm text-soft" aria-label="Looked at">
            <li v-for="one in look.answers" :key="one.cause">
              {{ one.was ? MORE_STEPS[one.cause].found : MORE_STEPS[one.cause].good }}, {{ momentOn(one.at, Date.now(), kennel.timeZone) }}
            </li>
          </ul>
        </div>
      </template>
      <template #drawing>
        <LadderChart :device="device" :chosen="setting?.id ?? ''" @choose="(id) => (chosenSetting = id)" />
        <p v-if="says && !wide" class="mt-2 text-sm">{{ says }}</p>
        <template v-if="setting">
          <p v-for="reason in setting.working.reasons" :key="reason.code" class="mt-2 text-sm">
            {{ wordReason(WORKING_LEVEL_REASON_WORDS, reason, units.speak).text }}
          </p>
          <p v-if="setting.wanted && setting.wanted.more > 0" class="mt-1 text-sm text-soft">
            To know it within {{ levelWords(house.rules.levelWidthSteps) }} {{ house.rules.levelWidthSteps === 1 ? 'step' : 'steps' }} either way:
            {{ setting.wanted.enough ? `about ${setting.wanted.more} more trials` : `more than ${setting.wanted.more} trials` }}, at
            {{ setting.wanted.at.map(levelWords).join(' and ') }}.
          </p>
        </template>
        <p class="mt-1 text-sm text-soft">{{ lastChecked }}</p>
      </template>
      <div v-if="setting" class="flex flex-wrap items-end gap-x-6 gap-y-2">
        <label class="flex items-center gap-2">
          Setting
          <select class="field w-auto!" :value="setting.id" @change="chosenSetting = ($event.target as HTMLSelectElement).value">
            <option v-for="one in device.settings" :key="one.id" :value="one.id">{{ one.name }}</option>
          </select>
        </label>
        <ChoiceRow
          v-if="devices.length > 1"
          label="Device"
          hint="Scales of 2 devices do not compare."
          :model-value="device.collar.id"
          :answers="devices.map(({ collar }) => ({ value: collar.id, label: `${collar.name}` }))"
          @update:model-value="(value) => ((chosenDevice = value), (chosenSetting = null))"
        />
      </div>
      <WorkLeaves v-if="setting" v-model="leaf" :leaves="leaves" label="What the levels are read from">
        <template #needed>
          <h2>Level needed in {{ setting.name }}</h2>
          <ControlChart
            v-if="setting.needed.length > 0"
            :key="`${device.collar.id} ${setting.id}`"
            class="mt-2"
            :setting="setting"
            :scale="device.scale"
            :rules="house.rules"
            :checks="checks"
            :time-zone="kennel.timeZone"
          />
          <p v-else class="mt-2 text-soft">No session at work in this setting yet.</p>
        </template>
        <template #presses>
          <PressChart
            :key="`${device.collar.id} ${setting.id}`"
            :dog-id="dogId"
            :device="device"
            :setting="setting"
            :presses="data!.presses"
            :time-zone="kennel.timeZone"
            @span="(now) => (span = now)"
          />
          <SessionTable
            v-if="inSetting.length > 0"
            class="mt-5"
            :sessions="shown"
            :all="inSetting.length"
            :dog="data!.dog"
            :collars="data!.collars"
            :kennel="kennel"
          />
        </template>
        <template #rates><RateCharts :sessions="shown" :where="setting.name" :time-zone="kennel.timeZone" /></template>
        <template #cap><CapForm :dog-id="dogId" :device="device" :caps="data!.caps" @kept="load" /></template>
      </WorkLeaves>
      <template #action>
        <ActionBar>
          <SaidBar :telling="telling" />
          <div class="flex flex-wrap items-center gap-2">
            <template v-if="look?.next">
              <button type="button" class="press press-main" @click="answer(look.next, false)">{{ MORE_STEPS[look.next].good }}</button>
              <button type="button" class="press press-plain" @click="answer(look.next, true)">{{ MORE_STEPS[look.next].bad }}</button>
            </template>
            <button v-else-if="look?.found === 'contact'" type="button" class="press press-main" @click="answer('contact', false)">
              {{ MORE_STEPS.contact.good }}
            </button>
            <RouterLink v-else :to="{ path: '/field', query: { dog: dogId } }" class="press press-main">Begin session</RouterLink>
          </div>
        </ActionBar>
      </template>
    </WorkScreen>
  </LoadFrame>
</template>
