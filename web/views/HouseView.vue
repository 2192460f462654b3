<script setup lang="ts">
/** House rules: the kennel's name and units, its schools with what each says, and the limits in force with their reasons. */
import type { KennelSettings } from '@banter/contract';
import { Kennel } from '@banter/contract';
import {
  BETWEEN_SCHOOL_WORDS,
  BETWEEN_SCHOOLS,
  GAUGE_SCHOOL_WORDS,
  GAUGE_SCHOOLS,
  HOUSE_RULES,
  houseRules,
  type HouseRule,
  type HouseRuleName,
} from '@banter/core';
import { computed, ref } from 'vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import KeepBar from '../parts/KeepBar.vue';
import TextField from '../parts/TextField.vue';
import { useKeep } from '../stores/keep.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';

const session = useSession();
const units = useUnits();
const keeping = useKeep();
const settingsOf = ({ id: _id, version: _version, demo: _demo, ...settings }: Kennel): KennelSettings => structuredClone(settings);
const form = ref<KennelSettings>(settingsOf(JSON.parse(JSON.stringify(session.kennel!)) as Kennel));
const changed = computed(() => JSON.stringify(form.value) !== JSON.stringify(settingsOf(JSON.parse(JSON.stringify(session.kennel!)) as Kennel)));
const saved = ref(false);
const nameFault = computed(() =>
  form.value.name.trim() === '' ? 'A kennel needs a name.' : form.value.name.length > 80 ? 'This is too long: at most 80 characters.' : '',
);

async function keep() {
  if (nameFault.value) return;
  const kept = await keeping.keep('/api/kennel', Kennel, form.value, session.kennel!.version);
  if (!kept) return;
  session.changed(kept);
  form.value = settingsOf(JSON.parse(JSON.stringify(kept)) as Kennel);
  saved.value = true;
}
function showTheirs() {
  const theirs = Kennel.safeParse(keeping.conflict.value?.current);
  if (!theirs.success) return;
  session.changed(theirs.data);
  form.value = settingsOf(theirs.data);
  keeping.state.value = 'still';
  keeping.conflict.value = null;
}

const rules = computed(() => houseRules(form.value.rules));
const shownGroups: HouseRule['group'][] = ['tape', 'prong', 'gauge', 'back-out'];
const groups = computed(() =>
  shownGroups.map((group) => ({
    group,
    rows: (Object.entries(HOUSE_RULES) as [HouseRuleName, HouseRule][])
      .filter(([, row]) => row.group === group)
      .map(([name, row]) => ({ name, row, value: spoken(row, rules.value[name]) })),
  })),
);
function spoken(row: HouseRule, value: number | null): string {
  if (value === null) return '3, or 6 on fine wire';
  if (row.measure === 'gap') return units.gap(value);
  if (row.measure === 'weight') return units.weight(value * 1000);
  if (row.measure === 'ratio') return value < 1 ? `${+(value * 100).toFixed(1)} %` : value.toFixed(2);
  if (row.measure === 'hours') return `${value} h`;
  return String(value);
}
const groupNames: Partial<Record<HouseRule['group'], string>> = { tape: 'Tape', prong: 'Prong', gauge: 'Gauge schools', 'back-out': 'Backing out' };
</script>

<template>
  <form novalidate @submit.prevent="keep">
    <h1>House rules</h1>
    <p class="mt-1 text-soft">What {{ session.kennel!.name }} holds to. Every verdict keeps the rules it was given under.</p>
    <div class="mt-4 grid gap-6 lg:grid-cols-2">
      <section class="sheet space-y-5 self-start" aria-label="Kennel and schools">
        <TextField v-model="form.name" label="Kennel" :error="nameFault || keeping.errorAt('name')" />
        <div class="flex flex-wrap gap-6">
          <ChoiceRow
            v-model="form.lengthUnit"
            label="Lengths in"
            :answers="[
              { value: 'in', label: 'inches' },
              { value: 'cm', label: 'centimetres' },
            ]"
          />
          <ChoiceRow
            v-model="form.massUnit"
            label="Weights in"
            :answers="[
              { value: 'lb', label: 'pounds' },
              { value: 'kg', label: 'kilograms' },
            ]"
          />
        </div>
        <ChoiceRow
          v-model="form.gaugeSchool"
          label="Gauge school"
          :hint="GAUGE_SCHOOL_WORDS[form.gaugeSchool].says"
          :answers="GAUGE_SCHOOLS.map((value) => ({ value, label: GAUGE_SCHOOL_WORDS[value].name }))"
        />
        <ChoiceRow
          v-model="form.betweenSchool"
          label="Between two sizes"
          :hint="BETWEEN_SCHOOL_WORDS[form.betweenSchool].says"
          :answers="BETWEEN_SCHOOLS.map((value) => ({ value, label: BETWEEN_SCHOOL_WORDS[value].name }))"
        />
        <ChoiceRow
          v-model="form.ringPlace"
          label="Where the ring sits"
          hint="Near side: behind the ear nearest the handler."
          :answers="[
            { value: 'nape', label: 'nape' },
            { value: 'near-side', label: 'near side' },
          ]"
        />
        <KeepBar :keeping="keeping" label="Keep" :disabled="!changed" @newer="showTheirs">
          <span v-if="saved && !changed" class="text-good" role="status">✓ Kept</span>
        </KeepBar>
      </section>
      <section class="sheet" aria-label="Limits in force">
        <h2>Limits in force</h2>
        <div v-for="group in groups" :key="group.group" class="mt-4">
          <h3 class="text-soft">{{ groupNames[group.group] }}</h3>
          <dl>
            <div v-for="{ name, row, value } in group.rows" :key="name" class="grid grid-cols-[1fr_auto] gap-x-4 border-t border-line py-2">
              <dt>{{ row.title }}</dt>
              <dd class="text-right font-semibold">{{ value }}</dd>
              <dd class="col-span-2 text-sm text-soft">{{ row.why }} ({{ row.source }})</dd>
            </div>
          </dl>
        </div>
      </section>
    </div>
  </form>
</template>
