<script setup lang="ts">
/** The bench: which collar of the locker this dog gets, how it is made up, and why. What is decided is kept. */
import { collarKind, fittingDog, Plan, type CollarKindName, type NewPlan } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { DrawnCollar } from '../neck/drawn-collar.ts';
import { benchPanel } from '../neck/drawings.ts';
import { neckTapeOf } from '../neck/neck-tape.ts';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import DogHeader from '../parts/DogHeader.vue';
import KeepBar from '../parts/KeepBar.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import StockStart from '../parts/StockStart.vue';
import TextField from '../parts/TextField.vue';
import { useDogPage } from '../stores/dog-page.ts';
import { useKeep } from '../stores/keep.ts';
import { useSession } from '../stores/session.ts';

type Made = { collarId: string; choices: Record<string, unknown>; outcome: { keep: boolean; blocked: boolean }; drawn: DrawnCollar; line: string };

const route = useRoute();
const router = useRouter();
const session = useSession();
const keeping = useKeep();
const dogId = String(route.params.id);
const { data, state, sentence, load, girths, plan, check } = useDogPage(dogId);
const kennel = computed(() => session.kennel!);
/** The one kind on the bench so far; choosing between kinds comes with the others. */
const kind: CollarKindName = 'prong';
const Panel = defineAsyncComponent(benchPanel(kind));

const dog = computed(() => fittingDog(data.value!.dog, girths.value));
const missing = computed(() => collarKind(kind).missing(dog.value));
const stock = computed(() => data.value!.collars.filter((collar) => collar.kind === kind && collar.retiredAt === null));
const made = shallowRef<Made | null>(null);
const note = ref('');
const unmeasured = computed(() => stock.value.find((collar) => collar.id === made.value?.collarId)?.measuredOn === null);
const lower = computed(() => girths.value.high?.reasons.some((reason) => reason.code === 'taken-lower') ?? false);

/** The same decision sent again is the same decision: its id and time hold until something about it changes. */
let planId = uuidv7();
let decidedAt: string | null = null;
watch([() => JSON.stringify([made.value?.collarId, made.value?.choices]), note], () => {
  planId = uuidv7();
  decidedAt = null;
});

async function keep() {
  if (!made.value) return;
  decidedAt ??= new Date().toISOString();
  const sent: NewPlan = { dogId, collarId: made.value.collarId, kind, choices: made.value.choices, note: note.value.trim(), at: decidedAt };
  if (await keeping.keep(`/api/plans/${planId}`, Plan, sent)) await router.push(`/dogs/${dogId}/check`);
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="girths" :plan="plan" :check="check" :collars="data!.collars" :kennel="kennel" />
    <div v-if="missing.length > 0">
      <h1>{{ missing[0] }}</h1>
      <p class="mt-2 text-lg">The bench sizes a collar from the tape and the weight; then it shows what to take out, and why.</p>
      <RouterLink class="press press-main mt-4" :to="dog.tapedGirthMm === null ? `/dogs/${dogId}/tape` : `/dogs/${dogId}/edit`">
        {{ dog.tapedGirthMm === null ? 'Tape' : 'Weigh' }}
      </RouterLink>
    </div>
    <StockStart v-else-if="stock.length === 0" :kind="kind" @made="load" />
    <form v-else novalidate @submit.prevent="keep">
      <p v-if="lower" class="mb-4 rounded bg-mind-wash p-3 text-mind">
        The high girth may have been taken lower down.
        <RouterLink :to="`/dogs/${dogId}/tape?corrects=${girths.high!.id}`" class="font-semibold underline">Tape it again</RouterLink>
        before you trust this.
      </p>
      <p v-else-if="girths.high!.basis === 'coat'" class="mb-4 rounded bg-mind-wash p-3 text-mind">
        Taped over the coat without its depth: tips go through the hair, so the collar may hang looser than this shows.
      </p>
      <component :is="Panel" :dog="dog" :name="data!.dog.name" :stock="stock" :kennel="kennel" @made="(now: Made) => (made = now)" />

      <div class="mt-5 grid gap-5 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <section class="sheet" aria-label="On the unrolled neck">
          <UnrolledNeck :tape="neckTapeOf(girths)!" :name="data!.dog.name" :collar="made?.drawn ?? null" size="large" />
        </section>
        <section class="sheet self-start" aria-label="Keep">
          <h2>Keep it</h2>
          <p class="mt-1">{{ made?.line }}</p>
          <p v-if="unmeasured" class="mt-2 rounded bg-mind-wash p-3 text-mind">
            These are typical numbers, nobody has laid a ruler on this collar.
            <RouterLink :to="{ path: `/locker/${made!.collarId}`, query: { back: route.fullPath } }" class="font-semibold underline">
              Measure your collar
            </RouterLink>
          </p>
          <p v-if="made?.outcome.blocked" class="mt-2 rounded bg-stop-wash p-3 font-semibold text-stop">
            This cannot be kept: a collar that passes the head must never be worn.
          </p>
          <template v-else>
            <TextField
              v-model="note"
              class="mt-3"
              :label="made?.outcome.keep ? 'Note (may be left empty)' : 'It does not fit as it is. Why keep it all the same?'"
              :rows="2"
              :error="keeping.errorAt('note')"
            />
            <p class="mt-3 border-l-4 border-mind pl-3 text-sm">
              Only while supervised, for the walk or session; never in a crate, in play or overnight. A first prong belongs with a professional.
            </p>
            <KeepBar class="mt-3" :keeping="keeping" label="Keep, and check it on the dog" :disabled="!made || (!made.outcome.keep && note.trim() === '')" />
          </template>
        </section>
      </div>
    </form>
  </LoadFrame>
</template>
