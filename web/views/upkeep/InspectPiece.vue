<script setup lang="ts">
/** One piece looked at whole: each thing with what good and bad look like, one tap each, and what that comes to as it goes. */
import { Inspection, LinkMove, pieceInspection, pieceLinkGaugeMm, pieceWord, z, type UpkeepPiece } from '@banter/contract';
import { inspect } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed } from 'vue';
import ActionBar from '../../work/ActionBar.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useKeep } from '../../stores/keep.ts';
import InspectionPicture from './InspectionPicture.vue';
import { useDraft } from '../../stores/draft.ts';

const props = defineProps<{ piece: UpkeepPiece }>();
const emit = defineEmits<{ kept: [outcome: 'ok' | 'mend' | 'scrap']; close: [] }>();
const keeping = useKeep();
/** The move of a link that will not hold: asked for, and once it is made. */
const Link = z.object({ id: z.string(), wanted: z.boolean(), at: z.string().nullable(), scrapped: z.boolean() });
const noLink = (): z.infer<typeof Link> => ({ id: uuidv7(), wanted: false, at: null, scrapped: false });
const { draft, discard } = useDraft(
  `inspection.${props.piece.is.of}.${props.piece.id}`,
  z.object({ id: z.string(), answers: z.record(z.string(), z.string()), note: z.string(), link: Link.default(noLink) }),
  () => ({ id: uuidv7(), answers: {}, note: '', link: noLink() }),
);
const answers = computed({ get: () => draft.value.answers, set: (now) => (draft.value = { ...draft.value, answers: now }) });
const note = computed({ get: () => draft.value.note, set: (now) => (draft.value = { ...draft.value, note: now }) });
const inspection = computed(() => pieceInspection(props.piece));
const items = computed(() => inspection.value.items);
const found = computed(() => inspect(inspection.value, answers.value));
/** Looked at whole and nothing wrong: one tap says it of each thing that is asked. */
const untouched = computed(() => found.value.open.length === items.value.length);
const done = computed(() => found.value.open.length === 0);
const TONES = { ok: 'good', mend: 'mind', scrap: 'stop' } as const;
const WORDS = { ok: 'Sound', mend: 'Mend it', scrap: 'Scrap it' } as const;
const affected = computed(() => [...new Set(props.piece.worn.map(({ dogName }) => dogName))]);
/** The gauge of a link that was found not to hold: it can be scrapped here, and is counted. */
const weakLinkMm = computed(() => {
  const isWeak = items.value.some(({ id, finds }) =>
    finds.some(({ value, outcome }) => value === 'link' && outcome === 'scrap' && answers.value[id] === value),
  );
  return isWeak ? pieceLinkGaugeMm(props.piece) : null;
});
/** One link to the scrap, once: the same move however often it is sent. */
async function scrapLink(gaugeMm: number): Promise<boolean> {
  const { link } = draft.value;
  if (link.scrapped) return true;
  link.at ??= new Date().toISOString();
  const move = { gaugeMm, count: 1, from: `collar:${props.piece.id}`, to: 'scrap', why: 'scrapped', note: '', at: link.at };
  if (!(await keeping.keep(`/api/link-moves/${link.id}`, LinkMove, move))) return false;
  link.scrapped = true;
  return true;
}
async function keep() {
  if (draft.value.link.wanted && weakLinkMm.value !== null && !(await scrapLink(weakLinkMm.value))) return;
  const sent = {
    collarId: props.piece.is.of === 'collar' ? props.piece.id : null,
    gearId: props.piece.is.of === 'gear' ? props.piece.id : null,
    answers: answers.value,
    note: note.value.trim(),
    at: new Date().toISOString(),
  };
  if (await keeping.keep(`/api/inspections/${draft.value.id}`, Inspection, sent)) {
    const { outcome } = found.value;
    discard();
    emit('kept', outcome);
  }
}
function allGood() {
  answers.value = Object.fromEntries(items.value.map((item) => [item.id, answers.value[item.id] ?? item.finds[0]!.value]));
}
</script>

<template>
  <section class="sheet" :aria-label="`Inspect ${piece.name}`">
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h2>{{ piece.name }}</h2>
      <p class="text-soft">
        {{ pieceWord(piece) }}<template v-if="affected.length > 0">, worn by {{ affected.join(', ') }}</template>
      </p>
      <button type="button" class="press press-quiet ml-auto" @click="emit('close')">Close</button>
    </div>
    <ol class="mt-2 divide-y divide-line">
      <li v-for="item in items" :key="item.id" class="grid gap-x-6 gap-y-2 py-4 sm:grid-cols-[minmax(0,1fr)_auto]">
        <fieldset>
          <legend class="font-semibold">{{ item.ask }}</legend>
          <p class="text-sm text-soft">{{ item.how }}</p>
          <div class="mt-2 flex flex-wrap gap-2" role="radiogroup" :aria-label="item.ask">
            <button
              v-for="find in item.finds"
              :key="find.value"
              type="button"
              role="radio"
              class="press"
              :class="answers[item.id] === find.value ? 'border-deep! bg-deep text-on-deep' : 'press-plain'"
              :aria-checked="answers[item.id] === find.value"
              @click="answers = { ...answers, [item.id]: find.value }"
            >
              {{ find.label }}
            </button>
          </div>
          <p v-if="keeping.errorAt(`answers.${item.id}`)" class="mt-1 text-stop">{{ keeping.errorAt(`answers.${item.id}`) }}</p>
        </fieldset>
        <InspectionPicture v-if="item.picture" :picture="item.picture" :good="item.finds[0]!.label" :bad="item.finds[1]!.label" />
      </li>
    </ol>
    <div aria-live="polite" class="mt-3 border-t border-line pt-3">
      <p v-if="!done && !untouched" class="text-soft">
        {{ items.length - found.open.length }} of {{ items.length }} inspected.
        <button type="button" class="underline" @click="allGood">The rest is good</button>
      </p>
      <template v-else>
        <VerdictMark :tone="TONES[found.outcome]" :word="found.copy ? 'A poor copy: not used' : WORDS[found.outcome]" />
        <ul v-if="found.does.length > 0" class="mt-2 list-disc space-y-1 pl-5">
          <li v-for="one in found.does" :key="one.item">{{ one.text }}</li>
        </ul>
        <label v-if="weakLinkMm !== null" class="mt-2 flex min-h-11 items-center gap-3">
          <input v-model="draft.link.wanted" type="checkbox" class="tick size-5" />
          Scrap that link: one fewer on {{ piece.name }}, counted
        </label>
        <p v-if="found.outcome === 'scrap' && affected.length > 0" class="mt-2 rounded bg-stop-wash p-3 text-stop">
          {{ affected.join(' and ') }} {{ affected.length === 1 ? 'wears' : 'wear' }} it: it is taken out of
          {{ affected.length === 1 ? 'that fit' : 'those fits' }} at once, and another is chosen at the bench.
        </p>
      </template>
    </div>
    <label class="mt-3 block font-semibold">
      Note (may be left empty)
      <textarea v-model="note" class="field mt-1 h-16 font-normal" maxlength="1000" />
    </label>
    <p v-if="keeping.sentence.value" role="alert" class="mt-2 text-stop">{{ keeping.sentence.value }}</p>
    <p class="mt-3 text-sm text-soft">{{ $spell(inspection.storing) }}</p>
    <ActionBar>
      <div class="flex flex-wrap items-center gap-3">
        <button v-if="untouched" type="button" class="press press-main" :disabled="keeping.state.value === 'sending'" @click="(allGood(), keep())">
          All sound
        </button>
        <button v-else type="button" class="press press-main" :disabled="!done || keeping.state.value === 'sending'" @click="keep">
          {{ !done ? 'Check all of it first' : found.outcome === 'scrap' ? 'Scrap it' : 'Save' }}
        </button>
        <span v-if="untouched" class="text-soft max-sm:hidden">Or tap what you found.</span>
      </div>
    </ActionBar>
  </section>
</template>
