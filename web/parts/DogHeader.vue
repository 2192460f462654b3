<script setup lang="ts">
/** The dog at the top of each of its screens: its neck in small, who it is, and the way tape → bench → check. */
import { type CurrentFit, type Dog, drawnFits, type Dressing, type Kennel, neckTapeOf, type Taping, wornFitLine } from '@banter/contract';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useScreenKeys } from '../stores/keys.ts';
import { useUnits } from '../stores/units.ts';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import { ageWords, todayIn } from './age.ts';

const props = defineProps<{
  dog: Dog;
  girths: Partial<Record<Taping['site'], Taping>>;
  fits: readonly Pick<CurrentFit, 'plan' | 'check'>[];
  kennel: Kennel;
  dressing?: Dressing | null;
}>();
const units = useUnits();
const router = useRouter();
const route = useRoute();
const tape = computed(() => neckTapeOf(props.girths));
const lying = computed(() => drawnFits(props.fits, props.dog, props.kennel, props.dressing));
const facts = computed(() =>
  [
    props.dog.breed,
    props.dog.bornOn && ageWords(props.dog.bornOn, todayIn(props.kennel.timeZone)),
    props.dog.weightG && units.weight(props.dog.weightG),
    `${props.dog.neckBuild} neck`,
    { settled: 'walks settled', pulls: 'pulls', drags: 'drags its handler' }[props.dog.pull],
    `works on the ${props.dog.worksOn}`,
  ].filter(Boolean),
);
const worn = computed(() => props.fits.map((fit) => wornFitLine(fit, units.speak)));
const tabs = [
  { name: 'dog', label: 'Record', key: 'r' },
  { name: 'screen', label: 'Screen', key: 's' },
  { name: 'tape', label: 'Tape', key: 't' },
  { name: 'bench', label: 'Bench', key: 'b' },
  { name: 'check', label: 'Check', key: 'c' },
  { name: 'neck', label: 'Neck', key: 'n' },
  { name: 'door', label: 'Door', key: 'g' },
  { name: 'programme', label: 'Programme', key: 'p' },
  { name: 'levels', label: 'Levels', key: 'v' },
  { name: 'growth', label: 'Growth', key: 'w' },
  { name: 'handover', label: 'Handover', key: 'o' },
];
useScreenKeys(
  'This dog',
  tabs.map((tab) => ({ key: tab.key, does: tab.label, run: () => void router.push({ name: tab.name, params: { id: props.dog.id } }) })),
);
</script>

<template>
  <div class="mb-5 border-b border-line">
    <div class="flex items-center gap-4">
      <div class="w-24 shrink-0 sm:w-36">
        <UnrolledNeck v-if="tape" :tape="tape" :name="dog.name" v-bind="lying" size="small" />
      </div>
      <div class="min-w-0">
        <p class="font-display text-2xl leading-tight font-bold break-words">{{ dog.name }}</p>
        <p class="text-soft">{{ facts.join(' · ') }}</p>
        <p v-if="worn.length > 0" class="text-soft">Decided: {{ worn.join('; ') }}</p>
      </div>
    </div>
    <nav :aria-label="`${dog.name}’s screens`" class="mt-2 -ml-3 flex flex-wrap">
      <RouterLink
        v-for="tab in tabs"
        :key="tab.name"
        :to="{ name: tab.name, params: { id: dog.id } }"
        class="flex min-h-12 items-center border-b-4 border-transparent px-2.5 no-underline hover:border-line sm:px-3"
        :class="route.name === tab.name || (tab.name === 'bench' && route.name === 'bench-kind') ? 'border-tape! font-semibold' : ''"
      >
        {{ tab.label }}
      </RouterLink>
    </nav>
  </div>
</template>
