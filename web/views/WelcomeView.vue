<script setup lang="ts">
/** The page before sign-in: what Banter does, for whom, with the caution once. The drawing is a real one and can be tried. */
import { evenSplit, judgeLinks, linkInstruction, shiftLinks, type LinkSplit, type ProngCollar } from '@banter/core/collars/prong';
import { houseRules } from '@banter/core';
import { VERDICT_WORDS, PRONG_TONES } from '@banter/contract';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { failureSentence } from '../api/failure.ts';
import ProngCrossSection from '../neck/prong/ProngCrossSection.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useSession } from '../stores/session.ts';

const session = useSession();
const router = useRouter();
const entering = ref(false);
const sentence = ref('');

/** An invented collar on an invented neck. */
const collar: ProngCollar = { id: 'shown', gaugeMm: 3, pitchMm: 31.2, insideGirthMm: 480, links: 13, closingMm: 28 };
const neck = { girthMm: 404, headGirthMm: 472 };
const split = ref<LinkSplit>({ left: 6, right: 5 });
const judged = computed(() => judgeLinks(collar, split.value, neck, houseRules()));

async function lookRound() {
  entering.value = true;
  sentence.value = '';
  try {
    await session.signInToDemo();
    await router.push('/dogs');
  } catch (failure) {
    sentence.value = failureSentence(failure);
  } finally {
    entering.value = false;
  }
}
const path = [
  { name: 'Tape', says: 'Say the neck as you read it, 15 3/8 or 39.1 cm. Banter takes the median, finds the odd reading, and asks when it was taken too low.' },
  { name: 'Bench', says: 'See which collar of yours fits, how many links come out on which side, and why. Every school of the trade is worked out beside it.' },
  { name: 'Check', says: 'Answer with hands and eyes on the dog. The answers become millimetres, and the next step. All of it is saved.' },
];
</script>

<template>
  <div>
    <section class="grid items-center gap-8 md:grid-cols-[1.15fr_1fr]">
      <div>
        <h1 class="text-[clamp(2.2rem,5vw,3.4rem)]">A collar that fits, and the reasons why.</h1>
        <p class="mt-4 max-w-[34rem] text-lg">
          Banter is for dog trainers. It measures necks, and sizes and fits training collars from your own locker. It remembers what was decided for every dog,
          so that the next person can carry on.
        </p>
        <div class="mt-6 flex flex-wrap gap-3">
          <button v-if="session.demo" type="button" class="press press-main" :disabled="entering" @click="lookRound">
            {{ entering ? 'Opening …' : 'Look round the demo kennel' }}
          </button>
          <RouterLink to="/sign-up" class="press" :class="session.demo ? 'press-plain' : 'press-main'">Make your own kennel</RouterLink>
          <RouterLink to="/sign-in" class="press press-quiet">Sign in</RouterLink>
        </div>
        <p v-if="sentence" role="alert" class="mt-3 font-semibold text-stop">{{ sentence }}</p>
      </div>
      <figure class="sheet">
        <figcaption aria-live="polite">
          <span class="block font-display text-xl font-bold">{{ linkInstruction(evenSplit(collar.links), split) }}</span>
          <VerdictMark class="mt-1" :tone="PRONG_TONES[judged.verdict]" :word="VERDICT_WORDS[judged.verdict]" />
        </figcaption>
        <ProngCrossSection
          class="mx-auto max-w-96"
          :collar="collar"
          :split="split"
          :girth-mm="neck.girthMm"
          :ring-at="12"
          live
          @take-out="(side) => split.left + split.right > 1 && (split = { ...split, [side]: split[side] - 1 })"
        />
        <div class="flex items-center justify-center gap-2">
          <button
            type="button"
            class="press press-plain size-12 shrink-0 p-0 text-xl"
            aria-label="Take out a link"
            :disabled="judged.links < 5"
            @click="split = shiftLinks(split, -1)"
          >
            −
          </button>
          <span class="min-w-20 text-center">{{ judged.links }} links</span>
          <button
            type="button"
            class="press press-plain size-12 shrink-0 p-0 text-xl"
            aria-label="Put in a link"
            :disabled="judged.links > 15"
            @click="split = shiftLinks(split, 1)"
          >
            +
          </button>
        </div>
      </figure>
    </section>

    <ol class="mt-10 grid gap-6 md:grid-cols-3">
      <li v-for="(step, index) in path" :key="step.name" class="tape-edge pb-5">
        <h2 class="flex items-baseline gap-2">
          <span class="text-soft">{{ index + 1 }}</span>
          {{ step.name }}
        </h2>
        <p class="mt-1">{{ step.says }}</p>
      </li>
    </ol>

    <p class="mt-10 max-w-[46rem] border-l-4 border-mind pl-4">
      Tools that press or stimulate can hurt when misfitted or misused. Banter sizes, records and warns; it does not diagnose, does not replace a qualified
      trainer or a veterinarian, and local law comes first. First use of a prong or electronic collar belongs with a professional.
    </p>
  </div>
</template>
