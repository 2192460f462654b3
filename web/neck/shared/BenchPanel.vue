<script lang="ts">
/** What stands beside the decision at the bench. */
export type BenchLeaf = 'why' | 'collars' | 'schools' | 'load' | 'setup' | 'neck' | 'place';
</script>

<script setup lang="ts">
/**
 * The bench, whatever the kind: the sentence of what to do, the cross-section with what can be changed by hand, each measure with its
 * limit and house rule; beside these in leaves why, the other collars, what each school would do. A kind with settings of its own brings parts.
 */
import { collarKind, type AskedMeasure } from '@banter/contract';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FitRows from '../../parts/FitRows.vue';
import KnobRow from '../../parts/KnobRow.vue';
import ReasonList from '../../parts/ReasonList.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useScreenKeys } from '../../stores/keys.ts';
import { useUnits } from '../../stores/units.ts';
import WorkLeaves, { type Leaf } from '../../work/WorkLeaves.vue';
import WorkScreen from '../../work/WorkScreen.vue';
import { useBench, type BenchMade, type BenchProps } from './bench.ts';
import { benchPart } from './bench-parts.ts';
import BenchCollars from './BenchCollars.vue';
import BenchSchools from './BenchSchools.vue';
import { crossSection } from './cross-sections.ts';
import LoadRose from './LoadRose.vue';
import ShortOfLinks from './ShortOfLinks.vue';

/** `unsaved`: the dog is not there yet, so that nothing else is measured for it. */
const props = defineProps<BenchProps & { placeMark?: Leaf<string>['mark']; unsaved?: boolean }>();
/** The leaf that is open. */
const leaf = defineModel<BenchLeaf>('leaf', { required: true });
const emit = defineEmits<{ made: [made: BenchMade] }>();
const units = useUnits();
const bench = useBench(props);
const Section = crossSection(props.kind);
const [OwnSection, Extra, Rule, Options, OwnSchools] = (['Section', 'Extra', 'Rule', 'Options', 'Schools'] as const).map((part) => benchPart(props.kind, part));

const route = useRoute();
/** Where a measure that would settle the verdict is taken. */
const askedAt = (measure: AskedMeasure) =>
  measure === 'collar'
    ? { path: `/locker/${bench.collar.id}`, query: { back: route.fullPath } }
    : { path: `/dogs/${String(route.params.id)}/tape`, query: { for: props.kind } };

const hasLoads = computed(() => collarKind(props.kind).loads(bench.dog, bench.collar.numbers, bench.choices, 1).length > 0);
const leaves = computed(() => {
  const all: (Leaf<BenchLeaf> & { there?: boolean })[] = [
    { id: 'why', name: 'Why' },
    { id: 'collars', name: 'Other collars', there: bench.collars.length > 1 },
    { id: 'schools', name: 'Schools', there: OwnSchools !== undefined || bench.says.length > 0 },
    { id: 'setup', name: 'Set up', there: Options !== undefined || Extra !== undefined || bench.kind.optionFields.length > 0 },
    { id: 'load', name: 'Load', there: hasLoads.value },
    { id: 'neck', name: 'On the neck' },
    { id: 'place', name: 'Place, note', mark: props.placeMark },
  ];
  return all.filter(({ there }) => there !== false);
});

type Chosen = { options: Record<string, unknown>; on: Record<string, number> };
const setOption = (id: string, value: string | null) => bench.choose({ options: { ...(bench.choices as Chosen).options, [id]: value } });
const setKnob = (id: string, value: number) => bench.choose({ on: { ...(bench.choices as Chosen).on, [id]: value } });

watch(
  () => bench.made,
  (made) => emit('made', made),
  { immediate: true },
);
useScreenKeys('Bench', [{ key: '0', does: 'Back to recommended', run: () => bench.takeChoice() }]);
</script>

<template>
  <WorkScreen drawing="Cross-section">
    <template #decision>
      <h1>{{ bench.sentence }}</h1>
      <div class="mt-1.5 flex flex-wrap items-center gap-x-4 gap-y-1">
        <VerdictMark :tone="bench.verdict.tone" :word="bench.verdict.word" />
        <span v-if="bench.now === null">{{ bench.collar.name }}, {{ bench.kind.describeNumbers(bench.collar.numbers, units.speak) }}</span>
        <span v-else>
          {{ bench.collar.name }}: {{ bench.kind.describeSetting(bench.now, units.speak) }} as {{ bench.nowIs }}
          <template v-if="!bench.isGood"
            >→ <strong>{{ bench.kind.describeSetting(bench.setting, units.speak) }}</strong></template
          >
        </span>
        <span v-if="bench.now === null && bench.isWorn" class="text-soft">as worn</span>
        <button v-if="!bench.chosen && !bench.isGood && bench.suggestion.choice" type="button" class="press press-quiet min-h-9" @click="bench.takeChoice()">
          Back to recommended
        </button>
      </div>
    </template>
    <template #notes>
      <slot name="notes" />
      <ul v-if="bench.asks.length > 0" class="space-y-1" aria-label="What would settle it">
        <li v-for="ask in bench.asks" :key="ask.says">
          <span v-if="unsaved || ask.by === 'check'">{{ ask.says }}</span>
          <RouterLink v-else class="underline" :to="askedAt(ask.by)">{{ ask.says }}</RouterLink>
        </li>
      </ul>
      <p v-if="bench.wanted" class="rounded bg-mind-wash p-3 text-mind">Nothing in the locker fits. Look for: {{ bench.wanted }}.</p>
      <ShortOfLinks v-if="bench.short" v-bind="bench.short" />
    </template>
    <template #drawing>
      <component :is="OwnSection" v-if="OwnSection" :bench="bench" />
      <component :is="Section" v-else :drawn="bench.drawn" :dog="bench.dog" />
      <div v-if="bench.knobs.length > 0" class="mt-3 space-y-2 border-t border-line pt-3">
        <KnobRow
          v-for="knob in bench.knobs"
          :key="knob.id"
          :knob="knob"
          :model-value="(bench.choices as Chosen).on[knob.id]!"
          @update:model-value="(now) => setKnob(knob.id, now)"
        />
      </div>
    </template>
    <section class="sheet" aria-label="Measures and limits">
      <component :is="Rule" v-if="Rule" class="mb-3" :bench="bench" />
      <FitRows :rows="bench.rows" />
    </section>
    <WorkLeaves v-model="leaf" :leaves="leaves" label="Beside the decision">
      <template #why><ReasonList :reasons="bench.reasons" /></template>
      <template #collars><BenchCollars :bench="bench" /></template>
      <template #schools><component :is="OwnSchools ?? BenchSchools" :bench="bench" /></template>
      <template #load><LoadRose :kind="kind" :dog="bench.dog" :numbers="bench.collar.numbers" :choices="bench.choices" /></template>
      <template #setup>
        <div class="space-y-4">
          <component :is="Options" v-if="Options" :bench="bench" />
          <ChoiceRow
            v-for="field in bench.kind.optionFields"
            :key="field.id"
            :label="field.label"
            :hint="field.hint"
            :answers="field.options"
            :model-value="String((bench.choices as Chosen).options[field.id])"
            quiet
            @update:model-value="(now) => setOption(field.id, now)"
          />
          <component :is="Extra" v-if="Extra" :bench="bench" />
        </div>
      </template>
      <template #neck><slot name="neck" /></template>
      <template #place><slot name="place" /></template>
    </WorkLeaves>
    <template #action><slot name="action" /></template>
  </WorkScreen>
</template>
