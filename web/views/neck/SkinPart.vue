<script setup lang="ts">
/** Skin: looked at by clock place, graded, with a photo; what it forbids and until when; rub or metal; how it healed. */
import { momentOn, SKIN_UNDER, SkinLook, z, type NewSkinLook, collarKind } from '@banter/contract';
import { speakHours, clockWords, SKIN_GRADE_WORDS, SKIN_GRADES, SORE_WORDS, soreStep, type SkinGrade, type SoreCase } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import HealingStrip from '../../neck/HealingStrip.vue';
import SkinClock from '../../neck/SkinClock.vue';
import { momentWords } from '../../parts/age.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import ActionBar from '../../work/ActionBar.vue';
import WorkLeaves, { type Leaf } from '../../work/WorkLeaves.vue';
import WorkScreen from '../../work/WorkScreen.vue';
import SaidBar from '../../parts/SaidBar.vue';
import SkinPhoto from '../../parts/SkinPhoto.vue';
import { smallerPhoto } from '../../parts/smaller-photo.ts';
import SaveBar from '../../work/SaveBar.vue';
import TextField from '../../parts/TextField.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useDraft } from '../../stores/draft.ts';
import { useOutbox } from '../../stores/outbox.ts';
import { useYard } from '../../stores/yard.ts';
import type { NeckOnScreen } from '../../stores/neck.ts';
import { wearsSomething } from './dress-words.ts';
import { useSession } from '../../stores/session.ts';

const props = defineProps<{ neck: NeckOnScreen }>();
const session = useSession();
const outbox = useOutbox();
const keeping = useYard();
const zone = computed(() => session.kennel!.timeZone);
const dog = computed(() => props.neck.page.dog);
const looks = computed(() => props.neck.page.skinLooks);

const Draft = z.object({
  id: z.string(),
  clock: z.number().nullable(),
  half: z.boolean(),
  under: z.enum(SKIN_UNDER).nullable(),
  grade: z.enum(['0', '1', '2', '3']).nullable(),
  fit: z.enum(['good', 'loose', 'tight', 'unknown']).nullable(),
  stayed: z.enum(['yes', 'no', 'not-tried']).nullable(),
  metal: z.enum(['same', 'changed']).nullable(),
  note: z.string(),
  photoId: z.string().nullable(),
  at: z.string().nullable(),
});
/** Under what it probably is: the contacts where there are any, else the training collar. */
const likelyUnder = computed(
  () =>
    (['contacts', 'prong'] as const).find((under) => props.neck.dressed.fits.some(({ plan }) => collarKind(plan.kind).traits.skinUnder === under)) ?? 'strap',
);
const begin = (): z.infer<typeof Draft> => ({
  id: uuidv7(),
  clock: null,
  half: false,
  under: null,
  grade: null,
  fit: null,
  stayed: null,
  metal: null,
  note: '',
  photoId: null,
  at: null,
});
const { draft, settle, restored } = useDraft(`skin.${props.neck.dogId}`, Draft, begin);
const under = computed({ get: () => draft.value.under ?? likelyUnder.value, set: (value) => (draft.value.under = value as 'contacts' | null) });
const clock = computed(() =>
  draft.value.clock === null ? null : draft.value.clock === 12 && draft.value.half ? 0.5 : draft.value.clock + (draft.value.half ? 0.5 : 0),
);
const grade = computed(() => (draft.value.grade === null ? null : (Number(draft.value.grade) as SkinGrade)));
const GRADE_ANSWERS = SKIN_GRADES.map((value) => ({ value: String(value) as '0', label: `${value} ${SKIN_GRADE_WORDS[value]}` }));
const UNDER_ANSWERS = [
  { value: 'contacts' as const, label: 'Contacts' },
  { value: 'prong' as const, label: 'Prong' },
  { value: 'strap' as const, label: 'Strap or cord' },
];
const sore = computed<SoreCase | null>(() => {
  if (grade.value === null || grade.value === 0) return null;
  const { fit, stayed, metal } = draft.value;
  return { under: under.value, fit: fit ?? 'unknown', stayed: stayed ?? 'not-tried', metal: metal ?? 'same', grade: grade.value };
});
const step = computed(() => sore.value && soreStep(sore.value));

const photoSays = ref('');
const making = ref(false);
/** The photo lies on this device at once and goes before the check; what it replaces and nobody has sent is let go of. */
async function takePhoto(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  making.value = true;
  photoSays.value = '';
  const [id, before] = [uuidv7(), draft.value.photoId];
  try {
    const added = await outbox.addPhoto(id, await smallerPhoto(file), `Photo of skin: ${dog.value.name}`);
    if (added === null) photoSays.value = 'No room for the photo on this device. Free some, or save the check without it.';
    else {
      draft.value = { ...draft.value, photoId: id };
      if (before !== null) void outbox.letGo(before);
      void added.outcome.then((outcome) => (outcome.is === 'refused' ? withoutPhoto(id, outcome.message) : undefined));
    }
  } catch (failure) {
    photoSays.value = (failure as Error).message;
  }
  making.value = false;
}
async function withoutPhoto(id: string, why: string) {
  photoSays.value = why;
  if (draft.value.photoId === id) draft.value = { ...draft.value, photoId: null };
  await outbox.letGo(id);
}

async function keep() {
  if (clock.value === null || grade.value === null) return;
  // The same look is the same request, however often it is sent.
  draft.value.at ??= new Date().toISOString();
  const { fit, stayed, metal, note, photoId } = draft.value;
  const sent: NewSkinLook = {
    dogId: dog.value.id,
    clock: clock.value,
    under: under.value,
    grade: grade.value,
    sore: grade.value === 0 ? null : { fit: fit ?? 'unknown', stayed: stayed ?? 'not-tried', metal: metal ?? 'same' },
    note: note.trim(),
    photoId,
    at: draft.value.at,
  };
  if (!(await keeping.keep('skin-looks', draft.value.id, SkinLook, sent, dog.value.name))) return;
  settle(begin());
  await props.neck.load();
}

/**
 * The whole neck is clear, in one tap: a look at each place that rests, else where the contacts are, else at the nape. What is red or
 * broken is looked at by itself.
 */
const clearing = ref<{ id: string; clock: number; at: string }[]>([]);
const mayClearAll = computed(() => props.neck.dressed.skin.flags.every(({ grade: one }) => one < 2));
/** Nothing is picked out yet: one press says that all of it is clear. */
/** Just checked, and something is on: the door is next. */
const JUST_MS = 10 * 60_000;
const checkedNow = computed(
  () => wearsSomething(props.neck.dressed) && !props.neck.dressed.skin.off && props.neck.now - (props.neck.dressed.skin.lookedAt ?? 0) < JUST_MS,
);
const clearsAll = computed(
  () => mayClearAll.value && clock.value === null && grade.value === null && draft.value.photoId === null && draft.value.note.trim() === '',
);
async function clearAll() {
  const contactsAt = props.neck.dressed.contacts.flatMap(({ at }) => (at === null ? [] : [at]));
  const resting = props.neck.dressed.skin.flags.map(({ clock: one }) => one);
  const places = resting.length > 0 ? resting : contactsAt.length > 0 ? contactsAt : [12];
  // The same looks are the same requests, however often they are sent.
  if (clearing.value.length === 0) clearing.value = places.map((one) => ({ id: uuidv7(), clock: one, at: new Date().toISOString() }));
  for (const { id, clock: one, at } of clearing.value) {
    const sent: NewSkinLook = { dogId: dog.value.id, clock: one, under: likelyUnder.value, grade: 0, sore: null, note: '', photoId: null, at };
    if (!(await keeping.keep('skin-looks', id, SkinLook, sent, dog.value.name))) return;
  }
  clearing.value = [];
  await props.neck.load();
}

const flags = computed(() => props.neck.dressed.skin.flags);
const said = computed(() => {
  const red = props.neck.dressed.skin.off;
  if (red)
    return {
      tone: 'stop' as const,
      word: 'Stop',
      sentence: `Grade ${red.grade} at ${clockWords(red.clock)}: nothing goes on there. Ask a vet.`,
    };
  const [pink] = flags.value;
  if (pink)
    return {
      tone: 'mind' as const,
      word: 'Rests',
      sentence: `Pink at ${clockWords(pink.clock)}: rests until ${momentOn(pink.untilMs!, props.neck.now, zone.value)}.`,
    };
  if (looks.value.length === 0) return { tone: 'open' as const, word: 'To do', sentence: `${dog.value.name}’s skin is not checked yet.` };
  return { tone: 'good' as const, word: 'Clear', sentence: `No place on ${dog.value.name}’s neck is flagged.` };
});
const ever = computed(() => looks.value.some(({ grade: one }) => one > 0));
type LeafId = 'healed' | 'looks' | 'means';
const leaves = computed((): Leaf<LeafId>[] => [
  ...(ever.value ? [{ id: 'healed' as const, name: 'How it healed' }] : []),
  ...(newest.value.length > 0 ? [{ id: 'looks' as const, name: 'Checks so far' }] : []),
  { id: 'means', name: 'What it means' },
]);
const leaf = ref<LeafId>('healed');
const newest = computed(() => [...looks.value].reverse().slice(0, 12));
</script>

<template>
  <form novalidate @submit.prevent="clearsAll ? clearAll() : keep()">
    <WorkScreen drawing="Where on the neck" style="--beside-drawing: 34rem">
      <template #decision>
        <VerdictMark :tone="said.tone" :word="said.word" />
        <h1 class="mt-1">{{ said.sentence }}</h1>
      </template>
      <template #drawing>
        <SkinClock v-model="draft.clock" :looks="neck.dressed.skin.looks" :name="dog.name" />
        <label v-if="draft.clock !== null" class="flex min-h-11 items-center gap-2">
          <input v-model="draft.half" type="checkbox" class="size-5" />
          between {{ draft.clock }} and {{ (draft.clock % 12) + 1 }}
        </label>
      </template>
      <div class="sheet space-y-4">
        <p v-if="restored && (draft.clock !== null || draft.grade !== null)" class="text-sm text-soft">
          Picked up where you left off.
          <button type="button" class="underline" @click="settle(begin())">Start over</button>
        </p>
        <ChoiceRow v-model="under" label="What was over it?" :answers="UNDER_ANSWERS" quiet />
        <ChoiceRow v-model="draft.grade" label="How does the skin look?" hint="Part the hair; from grade 2 the collar comes off." :answers="GRADE_ANSWERS" />
        <template v-if="sore && sore.grade === 1">
          <ChoiceRow
            v-model="draft.fit"
            label="How did it fit when this was seen?"
            :answers="[
              { value: 'good', label: 'Good' },
              { value: 'loose', label: 'Loose' },
              { value: 'tight', label: 'Tight' },
              { value: 'unknown', label: 'Not checked' },
            ]"
            quiet
          />
          <ChoiceRow
            v-if="draft.fit === 'good'"
            v-model="draft.stayed"
            label="Did it stay after the fit was fixed?"
            :answers="[
              { value: 'yes', label: 'It stayed' },
              { value: 'no', label: 'It went' },
              { value: 'not-tried', label: 'Not tried yet' },
            ]"
            quiet
          />
          <ChoiceRow
            v-if="draft.fit === 'good' && draft.stayed === 'yes' && under !== 'strap'"
            v-model="draft.metal"
            label="Has another metal been tried?"
            :answers="[
              { value: 'same', label: 'No' },
              { value: 'changed', label: 'Yes' },
            ]"
            quiet
          />
        </template>
        <p
          v-if="step"
          class="rounded p-3"
          :class="step === 'vet' || step === 'leave-it-off' ? 'bg-stop-wash text-stop' : 'bg-mind-wash text-mind'"
          role="status"
        >
          <strong>{{ SORE_WORDS[step].suspect }}</strong> {{ SORE_WORDS[step].does }}
          <RouterLink v-if="step === 'check-the-fit' || step === 'put-the-fit-right'" :to="`/dogs/${dog.id}/check`" class="font-semibold underline">
            Check the fit
          </RouterLink>
        </p>
        <div>
          <label class="press press-plain cursor-pointer focus-within:outline-3 focus-within:outline-focus">
            {{ making ? 'Reading the photo …' : draft.photoId ? 'Take another photo' : 'Add a photo' }}
            <input type="file" accept="image/jpeg,image/png,image/webp" class="sr-only" :disabled="making" @change="takePhoto" />
          </label>
          <p v-if="photoSays" role="alert" class="mt-1 font-semibold text-stop">{{ photoSays }}</p>
          <SkinPhoto v-if="draft.photoId" :id="draft.photoId" alt="The photo that goes with this check" class="mt-2 block [&>img]:max-h-52 [&>img]:rounded" />
        </div>
        <TextField v-model="draft.note" label="Note (may be left empty)" :error="keeping.errorAt('note')" />
      </div>
      <WorkLeaves v-model="leaf" :leaves="leaves" label="What is known of the skin">
        <template #healed>
          <HealingStrip :looks="looks" :now="neck.now" :rest-hours="neck.dressed.house.rules.restHours" :zone="zone" />
          <p class="mt-1 text-sm text-soft">Yellow bars rest a pink place; red ones keep the collar off.</p>
        </template>
        <template #looks>
          <ol class="divide-y divide-line">
            <li v-for="look in newest" :key="look.id" class="flex gap-3 py-2.5">
              <div class="grow">
                <VerdictMark
                  class="text-sm"
                  :tone="look.grade === 0 ? 'good' : look.grade === 1 ? 'mind' : 'stop'"
                  :word="`${clockWords(look.clock)}: ${SKIN_GRADE_WORDS[look.grade]}`"
                />
                <span class="mt-0.5 block text-sm text-soft">{{ look.personName }}, {{ momentWords(look.at, zone) }}, under {{ look.under }}</span>
                <span v-if="look.sore && look.grade === 1" class="block text-[0.95rem]">
                  {{ SORE_WORDS[soreStep({ under: look.under, grade: look.grade, ...look.sore })].suspect }}
                </span>
                <span v-if="look.note" class="block text-[0.95rem]">{{ look.note }}</span>
              </div>
              <SkinPhoto
                v-if="look.photoId"
                :id="look.photoId"
                link
                class="shrink-0 [&>img]:h-16 [&>img]:w-16 [&>img]:rounded [&>img]:object-cover"
                :alt="`Photo of ${clockWords(look.clock)}`"
              />
            </li>
          </ol>
        </template>
        <template #means>
          <p>
            Pink rests that place {{ speakHours(neck.dressed.house.rules.restHours) }}, with what overlaps it, or until a check there is clear. Red, hairless or
            broken: collar off and ask a vet, until a check there says clear or pink. Banter does not diagnose.
          </p>
        </template>
      </WorkLeaves>
      <template #action>
        <ActionBar>
          <SaidBar :telling="neck.telling" />
          <div v-if="clearsAll && checkedNow && keeping.state.value !== 'boxed'" class="flex flex-wrap items-center gap-3">
            <RouterLink :to="`/dogs/${neck.dogId}/door`" class="press press-main">To the door</RouterLink>
            <button type="submit" class="press press-plain">Log neck clear</button>
          </div>
          <SaveBar
            v-else
            :keeping="keeping"
            :label="clearsAll ? 'Log neck clear' : 'Save skin check'"
            :disabled="making || (!clearsAll && (clock === null || grade === null))"
          >
            <span v-if="clearsAll" class="text-soft max-sm:hidden">Or tap a place on the clock.</span>
            <span v-else-if="clock === null" class="text-soft">Tap a place.</span>
          </SaveBar>
        </ActionBar>
      </template>
    </WorkScreen>
  </form>
</template>
