<script setup lang="ts">
/**
 * The bench, whatever the kind: the sentence of what to do, the cross-section with what can be changed by hand, each measure with its
 * limit and house rule, the other collars, and what each school would do. A kind with a make-up of its own brings parts for it.
 */
import type { AskedMeasure } from '@banter/contract';
import { watch } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FitRows from '../../parts/FitRows.vue';
import KnobRow from '../../parts/KnobRow.vue';
import ReasonList from '../../parts/ReasonList.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useScreenKeys } from '../../stores/keys.ts';
import { useUnits } from '../../stores/units.ts';
import { useBench, type BenchMade, type BenchProps } from './bench.ts';
import { benchPart } from './bench-parts.ts';
import BenchCollars from './BenchCollars.vue';
import BenchSchools from './BenchSchools.vue';
import { crossSection } from './cross-sections.ts';
import LoadRose from './LoadRose.vue';
import ShortOfLinks from './ShortOfLinks.vue';

const props = defineProps<BenchProps>();
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

type Chosen = { options: Record<string, unknown>; on: Record<string, number> };
const setOption = (id: string, value: string | null) => bench.choose({ options: { ...(bench.choices as Chosen).options, [id]: value } });
const setKnob = (id: string, value: number) => bench.choose({ on: { ...(bench.choices as Chosen).on, [id]: value } });

watch(
  () => bench.made,
  (made) => emit('made', made),
  { immediate: true },
);
useScreenKeys('Bench', [{ key: '0', does: 'Back to Banter’s choice', run: () => bench.takeChoice() }]);
</script>

<template>
  <div>
    <div aria-live="polite">
      <h1 class="text-[clamp(1.6rem,3.4vw,2.3rem)]">{{ bench.sentence }}</h1>
    </div>
    <div class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
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
        Back to Banter’s choice
      </button>
    </div>
    <ul v-if="bench.asks.length > 0" class="mt-2 space-y-1" aria-label="What would settle it">
      <li v-for="ask in bench.asks" :key="ask.says">
        <span v-if="ask.by === 'check'">{{ ask.says }}</span>
        <RouterLink v-else class="underline" :to="askedAt(ask.by)">{{ ask.says }}</RouterLink>
      </li>
    </ul>
    <p v-if="bench.wanted" class="mt-2 rounded bg-mind-wash p-3 text-mind">Nothing in the locker fits as it is. What to look for: {{ bench.wanted }}.</p>
    <ShortOfLinks v-if="bench.short" class="mt-3" v-bind="bench.short" />
    <div class="mt-4 grid gap-5 lg:grid-cols-[minmax(0,29rem)_minmax(0,1fr)]">
      <div class="self-start max-lg:contents lg:space-y-5">
        <section class="sheet order-1" aria-label="Cross-section">
          <component :is="OwnSection" v-if="OwnSection" :bench="bench" />
          <component :is="Section" v-else :drawn="bench.drawn" :dog="bench.dog" />
          <div v-if="bench.kind.optionFields.length > 0" class="mt-3 space-y-3 border-t border-line pt-3">
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
          </div>
          <div v-if="bench.knobs.length > 0" class="mt-3 space-y-3 border-t border-line pt-3">
            <KnobRow
              v-for="knob in bench.knobs"
              :key="knob.id"
              :knob="knob"
              :model-value="(bench.choices as Chosen).on[knob.id]!"
              @update:model-value="(now) => setKnob(knob.id, now)"
            />
          </div>
          <div v-if="Extra" class="mt-3 border-t border-line pt-3"><component :is="Extra" :bench="bench" /></div>
        </section>
        <BenchCollars class="order-4" :bench="bench" />
      </div>
      <div class="max-lg:contents lg:space-y-5">
        <section class="sheet order-2" aria-label="Measures and limits">
          <component :is="Rule" v-if="Rule" class="mb-4" :bench="bench" />
          <FitRows :rows="bench.rows" />
        </section>
        <section v-if="Options" class="sheet order-3 space-y-4" aria-label="Start and ring"><component :is="Options" :bench="bench" /></section>
        <LoadRose class="order-4" :kind="kind" :dog="bench.dog" :numbers="bench.collar.numbers" :choices="bench.choices" />
        <section class="sheet order-3" aria-label="Why">
          <h2>Why</h2>
          <ReasonList class="mt-2" :reasons="bench.reasons" />
        </section>
        <BenchSchools v-if="!OwnSchools && bench.says.length > 0" class="order-5" :bench="bench" />
      </div>
    </div>
    <section v-if="OwnSchools" class="sheet mt-5" aria-label="Schools"><component :is="OwnSchools" :bench="bench" /></section>
  </div>
</template>
