<script setup lang="ts">
/** Programme: where a dog stands, what the marks say, and what is done next; started from the trade's programmes and adapted to it. */
import { currentFits, dayStartOf, isDealt, isUnderWay, latestGirths, programmeStanding, ProgrammesPage, type Programme } from '@banter/contract';
import { contractSpeaker, STAGE_REASON_WORDS, wordReason } from '@banter/core';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { DogHeader } from '../shell/dog-header.ts';
import FoldedOnPhone from '../parts/FoldedOnPhone.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useLoad } from '../stores/load.ts';
import { useNow } from '../stores/now.ts';
import { useSession } from '../stores/session.ts';
import AdaptProgramme from './programme/AdaptProgramme.vue';
import MoveForm from './programme/MoveForm.vue';
import PlannedDays from './programme/PlannedDays.vue';
import ProgrammeState from './programme/ProgrammeState.vue';
import ResultForm from './programme/ResultForm.vue';
import StageCard from './programme/StageCard.vue';
import StagePath from './programme/StagePath.vue';
import StartProgramme from './programme/StartProgramme.vue';
import TellTalePlan from './programme/TellTalePlan.vue';

const route = useRoute();
const session = useSession();
const { now, tick } = useNow(60_000);
const dogId = String(route.params.id);
const { data, state, sentence, load } = useLoad(() => `/api/dogs/${dogId}/programmes`, ProgrammesPage);
const kennel = computed(() => session.kennel!);
const fits = computed(() => currentFits(data.value!));
const running = computed(() => (data.value?.programmes ?? []).filter(isUnderWay));
const over = computed(() => (data.value?.programmes ?? []).filter((one) => !isUnderWay(one)));
const chosen = ref<string | null>(null);
const starting = ref(false);
const adapting = ref(false);
const programme = computed((): Programme | null => (starting.value ? null : (running.value.find(({ id }) => id === chosen.value) ?? running.value[0] ?? null)));
const told = computed(() => {
  const of = <One extends { programmeId: string }>(all: readonly One[]) => all.filter(({ programmeId }) => programmeId === programme.value?.id);
  return { results: of(data.value?.results ?? []), moves: of(data.value?.moves ?? []) };
});
const standing = computed(() =>
  programme.value
    ? programmeStanding(programme.value, told.value, { startedAt: dayStartOf(programme.value.startsOn, kennel.value.timeZone), now: now.value })
    : null,
);
const nameOf = (id: string | null) => programme.value?.stages.find((stage) => stage.id === id)?.name ?? '';
const heading = computed(() => {
  const { name } = data.value!.dog;
  if (!programme.value || !standing.value) return `Begin a programme with ${name}.`;
  if (programme.value.state === 'paused') return `${programme.value.name} is paused.`;
  const { judgement, stage, leadsTo, finished } = standing.value;
  if (standing.value.since > now.value) return `${programme.value.name} begins on ${programme.value.startsOn}.`;
  if (finished) return `${name} has passed the last stage.`;
  if (judgement.verdict === 'on') return `Ready for ${nameOf(leadsTo)}.`;
  if (judgement.verdict === 'back') return `Back to ${nameOf(leadsTo)}.`;
  return `Stay at ${stage.name}.`;
});
const tone = computed(() =>
  programme.value?.state !== 'running'
    ? 'open'
    : standing.value?.judgement.verdict === 'back'
      ? 'mind'
      : standing.value?.judgement.verdict === 'on'
        ? 'good'
        : 'open',
);
const word = computed(() => ({ good: 'On', mind: 'Back', open: programme.value?.state === 'paused' ? 'Paused' : 'Stay' })[tone.value]);
const why = computed(() => standing.value?.judgement.reasons.map((reason) => wordReason(STAGE_REASON_WORDS, reason, contractSpeaker).text) ?? []);
async function changed() {
  starting.value = false;
  await load();
  // What was told just now lies before now.
  tick();
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="latestGirths(data!.tapings)" :fits="fits" :kennel="kennel" />
    <VerdictMark v-if="programme" :tone="tone" :word="word" />
    <h1 class="mt-1">{{ $spell(heading) }}</h1>
    <ul v-if="programme && programme.state === 'running'" class="mt-1 text-lg">
      <li v-for="line in why" :key="line">{{ line }}</li>
    </ul>
    <div v-if="running.length > 0" class="mt-4 flex flex-wrap items-end gap-4">
      <ChoiceRow
        v-if="running.length > 1"
        :label="$spell('Programme')"
        :model-value="starting ? null : programme!.id"
        :answers="running.map(({ id, name }) => ({ value: id, label: name }))"
        @update:model-value="(id) => ((chosen = id), (starting = false))"
      />
      <button v-if="!starting" type="button" class="press press-plain" @click="starting = true">Begin another</button>
      <button v-else type="button" class="press press-plain" @click="starting = false">Back to what runs</button>
    </div>

    <template v-if="programme && standing">
      <StagePath class="mt-5" :programme="programme" :index="standing.index" :leads-to="standing.leadsTo" />
      <TellTalePlan
        v-if="programme.tellTale || isDealt(programme, standing.stage.id)"
        class="mt-5"
        :page="data!"
        :programme="programme"
        :kennel="kennel"
        :now="now"
        @changed="changed"
      />
      <div class="mt-5 grid items-start gap-5 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
        <StageCard
          :key="`${programme.version} ${standing.stage.id}`"
          :programme="programme"
          :stage="standing.stage"
          :results="standing.results"
          :time-zone="kennel.timeZone"
          @changed="changed"
        />
        <div class="grid gap-5">
          <ResultForm
            v-if="programme.state === 'running'"
            :key="standing.stage.id"
            :programme="programme"
            :stage="standing.stage"
            :results="standing.results"
            @kept="changed"
          />
          <MoveForm
            v-if="programme.state === 'running'"
            :key="`move ${standing.stage.id} ${standing.leadsTo}`"
            :programme="programme"
            :standing="standing"
            @kept="changed"
          />
          <ProgrammeState :programme="programme" :finished="standing.finished" @changed="changed" />
          <button type="button" class="press press-quiet justify-self-start" @click="adapting = !adapting">
            {{ adapting ? 'Leave its stages as they are' : 'Adapt its stages' }}
          </button>
        </div>
      </div>
      <AdaptProgramme
        v-if="adapting"
        :key="programme.version"
        class="mt-5"
        :programme="programme"
        :here="standing.stage.id"
        @kept="((adapting = false), changed())"
      />
      <PlannedDays class="mt-5" :page="data!" :programme="programme" :stage-id="standing.stage.id" :kennel="kennel" :now="now" />
      <FoldedOnPhone v-if="told.moves.length > 0" class="mt-5" name="What was decided">
        <ol class="mt-2 divide-y divide-line">
          <li v-for="move in [...told.moves].reverse()" :key="move.id" class="py-2">
            <p>
              <span class="font-semibold">{{ nameOf(move.fromStage) || move.fromStage }} → {{ nameOf(move.toStage) || move.toStage }}</span>
              by {{ move.personName }}, {{ new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: kennel.timeZone }).format(new Date(move.at)) }}
            </p>
            <p class="text-sm text-soft">
              {{ move.reasons.map(({ text }) => text).join(' ') }}
              <template v-if="move.overruled"> Decided otherwise: {{ move.note }}</template>
              <template v-else-if="move.note"> {{ move.note }}</template>
            </p>
          </li>
        </ol>
      </FoldedOnPhone>
    </template>
    <StartProgramme
      v-else
      class="mt-5"
      :dog="data!.dog"
      :kinds="fits.map(({ plan }) => plan.kind)"
      :kennel="kennel"
      :running="running.map(({ templateId }) => templateId)"
      :own="data!.templates"
      @started="changed"
    />
    <section v-if="over.length > 0" class="mt-6" aria-labelledby="over">
      <h2 id="over">Over</h2>
      <ul class="mt-1 divide-y divide-line border-y border-line">
        <li v-for="one in over" :key="one.id" class="py-2">
          <span class="font-semibold">{{ one.name }}</span>, since {{ one.startsOn }}: {{ one.state === 'done' ? 'done' : 'left'
          }}<template v-if="one.note">. {{ one.note }}</template>
        </li>
      </ul>
    </section>
  </LoadFrame>
</template>
