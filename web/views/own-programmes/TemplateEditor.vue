<script setup lang="ts">
/** A programme of the kennel's own while it is written; kept on this device until it is kept there. */
import type { KennelTemplateFacts } from '@banter/contract';
import { KennelTemplate, COLLAR_KIND_NAMES, z, collarKind, type CollarKindName } from '@banter/contract';
import { PROGRAMME_TEMPLATES } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed } from 'vue';
import SaveBar from '../../work/SaveBar.vue';
import { useDraft } from '../../stores/draft.ts';
import { useKeep } from '../../stores/keep.ts';
import { cleanStages, moveStage, stageLike } from './stage-list.ts';
import StageEditor from './StageEditor.vue';

const props = defineProps<{ template: KennelTemplate | null; basedOn: string | null; running: number }>();
const emit = defineEmits<{ kept: []; close: []; newer: [] }>();
const keeping = useKeep();
const Draft = z.object({ id: z.string(), version: z.number().nullable(), facts: z.record(z.string(), z.unknown()) });
type Facts = KennelTemplateFacts;
function begin() {
  if (props.template) {
    const { id, version, ...facts } = props.template;
    return { id, version, facts: JSON.parse(JSON.stringify(facts)) as Facts };
  }
  const from = PROGRAMME_TEMPLATES.find(({ id }) => id === props.basedOn) ?? PROGRAMME_TEMPLATES[0]!;
  const facts = {
    basedOn: props.basedOn,
    name: `Our ${from.name.toLowerCase()}`,
    about: from.about,
    kinds: COLLAR_KIND_NAMES.filter((kind) => collarKind(kind).traits.programmes.includes(from.id)),
    stages: from.stages,
    retired: false,
  };
  return { id: uuidv7(), version: null, facts: JSON.parse(JSON.stringify(facts)) as Facts };
}
const { draft, restored, discard } = useDraft(`own-programme.${props.template?.id ?? props.basedOn}`, Draft, begin);
const facts = computed(() => draft.value.facts as unknown as Facts);
/** What a stage is made like when there is none left. */
const FIRST = PROGRAMME_TEMPLATES[0]!.stages[0] as Facts['stages'][number];
const toggle = (kind: CollarKindName) => {
  const { kinds } = facts.value;
  facts.value.kinds = kinds.includes(kind) ? kinds.filter((one) => one !== kind) : [...kinds, kind];
};
async function keep() {
  const stages = cleanStages(facts.value.stages);
  if (await keeping.keep(`/api/kennel-templates/${draft.value.id}`, KennelTemplate, { ...facts.value, stages }, draft.value.version)) {
    discard();
    emit('kept');
  }
}
</script>

<template>
  <form class="grid gap-4" novalidate @submit.prevent="keep">
    <p v-if="restored" class="rounded bg-mind-wash p-3 text-mind">
      What you began on this device is here.
      <button type="button" class="font-semibold underline" @click="discard">Start over</button>
    </p>
    <div class="sheet grid gap-3">
      <label>
        <span class="text-sm font-semibold">Name</span>
        <input v-model="facts.name" class="field" maxlength="60" required />
        <span v-if="keeping.errorAt('name')" class="font-semibold text-stop">{{ keeping.errorAt('name') }}</span>
      </label>
      <label>
        <span class="text-sm font-semibold">In a sentence</span>
        <input v-model="facts.about" class="field" maxlength="300" />
      </label>
      <fieldset>
        <legend class="text-sm font-semibold">For</legend>
        <label v-for="kind in COLLAR_KIND_NAMES" :key="kind" class="mr-5 inline-flex min-h-11 items-center gap-2">
          <input type="checkbox" class="size-5" :checked="facts.kinds.includes(kind)" @change="toggle(kind)" />
          {{ collarKind(kind).name }}
        </label>
        <p v-if="keeping.errorAt('kinds')" class="font-semibold text-stop" role="alert">{{ keeping.errorAt('kinds') }}</p>
      </fieldset>
      <p v-if="running > 0" class="text-mind">
        {{ running === 1 ? 'A dog is' : `${running} dogs are` }} in it: each keeps the copy it began with, and is changed on its own page alone.
      </p>
    </div>
    <StageEditor
      v-for="(stage, index) in facts.stages"
      :key="stage.id"
      v-model="facts.stages[index]!"
      :index="index"
      :last="index === facts.stages.length - 1"
      :error-at="keeping.errorAt"
      @up="moveStage(facts.stages, index, -1)"
      @down="moveStage(facts.stages, index, 1)"
      @out="facts.stages.splice(index, 1)"
    />
    <p v-if="keeping.errorAt('stages')" class="font-semibold text-stop" role="alert">{{ keeping.errorAt('stages') }}</p>
    <div>
      <button type="button" class="press press-plain" :disabled="facts.stages.length >= 12" @click="facts.stages.push(stageLike(facts.stages.at(-1) ?? FIRST))">
        One more stage
      </button>
    </div>
    <label class="flex min-h-11 items-center gap-2"><input v-model="facts.retired" type="checkbox" class="size-5" /> No longer offered</label>
    <SaveBar :keeping="keeping" :label="$spell('Save programme')" @newer="emit('newer')">
      <button type="button" class="press press-quiet" @click="(discard(), emit('close'))">Cancel</button>
    </SaveBar>
  </form>
</template>
