<script setup lang="ts">
/** The people of the kennel: everybody's own finger, and how well their tapes agree, month by month. */
import { Me, MeasuredFinger, PeoplePage } from '@banter/contract';
import { fingerSlack, USUAL_FINGER } from '@banter/core';
import { computed, ref } from 'vue';
import SaveBar from '../../work/SaveBar.vue';
import LoadFrame from '../../parts/LoadFrame.vue';
import WhoIsHere from './WhoIsHere.vue';
import MeasureField from '../../parts/MeasureField.vue';
import SmallChart from '../../parts/SmallChart.vue';
import { useKeep } from '../../stores/keep.ts';
import { useLoad } from '../../stores/load.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';
import { useTyped } from '../../stores/draft.ts';

const session = useSession();
const units = useUnits();
const keeping = useKeep();
const { data, state, sentence, load } = useLoad(() => '/api/people', PeoplePage);
const finger = computed(() => session.me?.person.finger ?? null);
const said = (mm: number | undefined) => (mm === undefined ? '' : units.typed(mm));
const { thick, wide, settled } = useTyped('finger', { thick: said(finger.value?.thicknessMm), wide: said(finger.value?.widthMm) });
const mm = ref<{ thick: number | null; wide: number | null }>({ thick: null, wide: null });
const parsed = computed(() => MeasuredFinger.safeParse({ thicknessMm: mm.value.thick, widthMm: mm.value.wide }));
const fault = computed(() => (mm.value.thick === null || mm.value.wide === null || parsed.value.success ? '' : (parsed.value.error.issues[0]?.message ?? '')));
const NECK_MM = 400;
const example = computed(() => {
  const hand = parsed.value.success ? parsed.value.data : USUAL_FINGER;
  return [1, 2, 4].map((count) => units.gap(fingerSlack(NECK_MM, count, hand)));
});
async function keep() {
  if (!parsed.value.success) return;
  // Not a record of its own: the person's page is changed in place.
  const kept = await keeping.keep('/api/me', Me, { finger: parsed.value.data });
  if (!kept) return;
  session.me = kept;
  settled();
  await load();
}
/** Up to this a tape can be trusted; the house's spread over the square root of a pair. From memory. */
const GOOD_TEM_MM = 2;
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the people" @again="load">
    <WhoIsHere class="mb-6" :people="data!.people" @changed="(page) => (data = page)" />
    <div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
      <form class="sheet space-y-4 self-start" novalidate @submit.prevent="keep">
        <h2>Your finger, measured once</h2>
        <p class="text-soft">
          People check slack with fingers, so Banter turns them into {{ $spell('millimetres') }}. Lay one finger flat on a ruler, at the middle joint.
        </p>
        <MeasureField
          v-model="thick"
          label="Thick, nail to pad"
          :expected="{ possibleMm: [5, 40], likelyMm: [9, 26] }"
          @read="(value) => (mm = { ...mm, thick: value })"
        />
        <MeasureField
          v-model="wide"
          label="Wide, side to side"
          :expected="{ possibleMm: [5, 40], likelyMm: [10, 30] }"
          :error="fault"
          @read="(value) => (mm = { ...mm, wide: value })"
        />
        <p class="text-sm text-soft">
          Under a strap on a neck of {{ units.exact(NECK_MM) }} one {{ parsed.success ? 'of yours' : 'usual finger' }} makes {{ example[0] }} of slack, two make
          {{ example[1] }}, the flat hand {{ example[2] }}.
        </p>
        <SaveBar by="reader" :keeping="keeping" label="Save my finger" :disabled="!parsed.success" />
      </form>
      <section class="sheet" aria-label="Whose tape can be trusted">
        <h2>Whose tape can be trusted</h2>
        <p class="text-sm text-soft">
          The technical error of each person’s girths, by month (Ulijaszek and Kerr, 1999): the smaller, the better their readings agree.
        </p>
        <ul class="mt-2 divide-y divide-line">
          <li v-for="person in data!.people" :key="person.id" class="grid items-center gap-x-5 gap-y-1 py-3 sm:grid-cols-[10rem_minmax(0,1fr)_9rem]">
            <div>
              <p class="font-semibold">{{ person.name }}</p>
              <p class="text-sm text-soft">
                {{ person.finger ? `finger ${units.typed(person.finger.thicknessMm)} by ${units.typed(person.finger.widthMm)}` : 'finger not measured' }}
              </p>
            </div>
            <SmallChart
              v-if="person.tape.length > 0"
              :points="
                person.tape.map((one) => ({
                  at: `${one.month}-15`,
                  value: one.temMm,
                  label: `${one.month}: ${units.speak.fine(one.temMm)} in ${one.sets} tapings`,
                }))
              "
              :limit="GOOD_TEM_MM"
              :from-zero="true"
              :name="`Technical error of ${person.name}`"
            />
            <p v-else class="text-soft">Nothing taped yet.</p>
            <p v-if="person.tape.length > 0" class="text-right">
              <strong>{{ units.speak.fine(person.tape.at(-1)!.temMm) }}</strong>
              <span class="block text-sm text-soft">{{ person.tape.at(-1)!.temPercent.toFixed(1) }} %, {{ person.tape.at(-1)!.sets }} tapings</span>
            </p>
          </li>
        </ul>
      </section>
    </div>
  </LoadFrame>
</template>
