<script setup lang="ts">
/** The kennel's name and units, every school with what its sides say, every limit with its default and reason, and what a change would mean for which dogs. */
import {
  HOUSE_RULES,
  HOUSE_SCHOOL_NAMES,
  HOUSE_SCHOOL_WORDS,
  schoolAnswers,
  schoolSays,
  houseRules,
  type HouseRule,
  type HouseRuleName,
  type HouseSchoolName,
} from '@banter/core';
import { computed, nextTick, reactive, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { useHouseImpact } from './house-impact-of.ts';
import ActionBar from '../../work/ActionBar.vue';
import SaveBar from '../../work/SaveBar.vue';
import RuleField from '../../parts/RuleField.vue';
import TextField from '../../parts/TextField.vue';
import UnitChoices from '../../parts/UnitChoices.vue';
import { useKennelForm } from '../../stores/kennel-form.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';
import { todayIn } from '../../parts/age.ts';
import WorkSettings from './WorkSettings.vue';

const route = useRoute();
const session = useSession();
const units = useUnits();
const { form, saved, changed, restored, discard, keeping, keep, showTheirs } = useKennelForm('rules');
const nameFault = computed(() =>
  form.value.name.trim() === '' ? 'A kennel needs a name.' : form.value.name.length > 80 ? 'This is too long: at most 80 characters.' : '',
);
const namelessSetting = computed(() => form.value.moreSettings.some(({ name }) => name.trim() === ''));
const groupNames: Readonly<Record<string, string>> = {
  tape: 'Tape',
  prong: 'Prong',
  gauge: 'Gauge schools',
  slip: 'Slips',
  martingale: 'Martingale',
  'back-out': 'Backing out',
  'head collar': 'Head collar',
  contacts: 'Contacts',
  wear: 'Wearing',
  stack: 'Stack',
  rig: 'Rig',
  screen: 'Screening and law',
  levels: 'Levels',
  handling: 'Handling and sessions',
  programme: 'Programme',
  upkeep: 'Upkeep',
};
const groups = [...new Set([...Object.keys(groupNames), ...Object.values(HOUSE_RULES).map(({ group }) => group)])].map((group) => ({
  group,
  title: groupNames[group] ?? group,
  rows: (Object.entries(HOUSE_RULES) as [HouseRuleName, HouseRule][]).filter(([, row]) => row.group === group),
}));
const effective = computed(() => houseRules(form.value.rules));
const unread = reactive(new Set<HouseRuleName>());
function setRule(name: HouseRuleName, value: number | null | undefined) {
  if (value === undefined) {
    unread.add(name);
    return;
  }
  unread.delete(name);
  const rules = { ...form.value.rules };
  if (value === HOUSE_RULES[name].default || value === null) delete rules[name];
  else rules[name] = value;
  form.value = { ...form.value, rules };
}
const saysOf = (name: HouseSchoolName) => schoolSays(name, form.value.schools[name], houseRules(form.value.rules), units.speak);
const setSchool = (name: HouseSchoolName, value: string | null) => (form.value = { ...form.value, schools: { ...form.value.schools, [name]: value } });

/** One section stands on the screen; what is looked for stands out of all of them. */
const search = ref('');
const wanted = computed(() => search.value.trim().toLowerCase());
const sectionOfRule = (hash: string) => {
  const name = hash.startsWith('#rule-') ? (hash.slice('#rule-'.length) as HouseRuleName) : null;
  return name !== null && name in HOUSE_RULES ? HOUSE_RULES[name].group : null;
};
const begun = sectionOfRule(route.hash) ?? String(route.query.section ?? 'schools');
const chosen = ref(begun);
const section = computed(() => (sections.value.some(({ id }) => id === chosen.value) ? chosen.value : 'schools'));
/** Without an address of its own: what was typed into a field stays while another section is looked at. */
function go(id: string) {
  search.value = '';
  chosen.value = id;
}
const ownOf = (rows: readonly [HouseRuleName, HouseRule][]) => rows.filter(([name]) => form.value.rules[name] !== undefined).length;
const sections = computed(() => [
  { id: 'kennel', title: 'Kennel and settings', own: 0 },
  { id: 'schools', title: 'Schools', own: 0 },
  ...groups.map(({ group, title, rows }) => ({ id: group, title, own: ownOf(rows) })),
]);
const has = (...texts: string[]) => texts.some((text) => text.toLowerCase().includes(wanted.value));
const found = computed(
  () => new Set(groups.flatMap(({ group, rows }) => rows.flatMap(([name, row]) => (has(name, row.title, row.why, groupNames[group] ?? group) ? [name] : [])))),
);
const shows = (id: string) => wanted.value === '' && section.value === id;
const schoolsShown = computed(() =>
  wanted.value === '' ? (section.value === 'schools' ? HOUSE_SCHOOL_NAMES : []) : HOUSE_SCHOOL_NAMES.filter((name) => has(HOUSE_SCHOOL_WORDS[name].title)),
);
/** Every field stays where it was typed into, also while another section is looked at. */
const groupsShown = computed(
  () =>
    new Set(
      groups.flatMap(({ group, rows }) => ((wanted.value === '' ? group === section.value : rows.some(([name]) => found.value.has(name))) ? [group] : [])),
    ),
);
/** What keeps the rules from being saved, wherever it stands. */
const wrong = computed(() => {
  if (nameFault.value) return { section: 'kennel', says: nameFault.value };
  if (namelessSetting.value) return { section: 'kennel', says: 'A setting needs a name.' };
  const [name] = unread;
  return name === undefined ? null : { section: HOUSE_RULES[name].group, says: `${HOUSE_RULES[name].title}: not a number yet.` };
});

/** Somebody who was looking for a rule finds it in sight, and its value under the keys. */
watch(
  () => route.hash,
  async (hash) => {
    await nextTick();
    const rule = hash.startsWith('#rule-') ? document.getElementById(hash.slice(1)) : null;
    rule?.scrollIntoView({ block: 'center' });
    rule?.querySelector('input')?.focus({ preventScroll: true });
  },
  { immediate: true },
);

/** What the change on the form would mean: for each dog, what is taken now and what would be. */
const {
  impact,
  state: looking,
  looked,
  sentence: notLooked,
} = useHouseImpact(() =>
  changed.value
    ? {
        before: session.kennel!,
        after: form.value,
        by: { who: { finger: session.me?.person.finger ?? null, today: todayIn(session.kennel!.timeZone) }, speak: units.speak },
      }
    : null,
);
</script>

<template>
  <form class="grid gap-x-6 gap-y-4 lg:grid-cols-[13rem_minmax(0,1fr)]" novalidate @submit.prevent="!wrong && keep()">
    <nav aria-label="Sections" class="self-start lg:sticky lg:top-4">
      <label class="block">
        <span class="sr-only">Find a rule</span>
        <input v-model="search" type="search" class="field" placeholder="Find a rule" @keydown.enter.prevent />
      </label>
      <select class="field mt-2 lg:hidden" aria-label="Section" :value="section" @change="go(($event.target as HTMLSelectElement).value)">
        <option v-for="one in sections" :key="one.id" :value="one.id">{{ one.title }}{{ one.own > 0 ? ` (${one.own} changed)` : '' }}</option>
      </select>
      <ul class="mt-2 max-lg:hidden">
        <li v-for="one in sections" :key="one.id">
          <button
            type="button"
            class="flex min-h-10 w-full items-center justify-between gap-2 border-l-4 px-3 text-left"
            :class="one.id === section && wanted === '' ? 'border-tape font-semibold' : 'border-transparent hover:border-line'"
            :aria-current="one.id === section && wanted === '' ? 'true' : undefined"
            @click="go(one.id)"
          >
            {{ $spell(one.title) }} <span v-if="one.own > 0" class="text-sm text-soft">{{ one.own }} changed</span>
          </button>
        </li>
      </ul>
    </nav>
    <div class="space-y-5">
      <section v-if="changed" class="sheet" aria-label="What would change">
        <h2>What would change</h2>
        <p v-if="looking === 'looking'" role="status" class="mt-1 text-soft">
          {{ looked === 0 ? 'Loading the dogs …' : `${looked} dogs checked …` }}
        </p>
        <p v-if="looking === 'failed'" role="alert" class="mt-1">{{ notLooked }}</p>
        <p v-if="looking === 'done' && impact.length === 0" class="mt-1">Nothing for the dogs that are taped, with the collars of the locker.</p>
        <ul v-if="impact.length > 0" class="mt-2 max-h-72 divide-y divide-line overflow-y-auto" tabindex="0" aria-label="Dogs it would change something for">
          <li v-for="one in impact" :key="one.dog + one.kind" class="py-2">
            <p>
              <span class="font-semibold">{{ one.dog }}</span>
              <span class="text-soft">, {{ one.kind }}{{ one.worn ? ', worn now' : '' }}</span>
            </p>
            <p class="text-sm text-soft">{{ one.before }}</p>
            <p class="text-sm">→ {{ one.after }}</p>
          </li>
        </ul>
        <p v-if="restored" role="status" class="text-sm text-soft">
          Your unsaved changes are back. <button type="button" class="underline" @click="discard">Start over</button>
        </p>
      </section>
      <p v-if="wanted !== '' && found.size + schoolsShown.length === 0" role="status">No rule has «{{ search.trim() }}» in its name or reason.</p>
      <section v-if="shows('kennel')" class="sheet space-y-5" aria-label="Kennel">
        <TextField v-model="form.name" label="Kennel" :error="nameFault || keeping.errorAt('name')" />
        <UnitChoices v-model:length="form.lengthUnit" v-model:mass="form.massUnit" />
      </section>
      <WorkSettings v-if="shows('kennel')" v-model="form.moreSettings" :kept="session.kennel!.moreSettings" :error-at="keeping.errorAt" />
      <section v-if="schoolsShown.length > 0" class="sheet space-y-5" aria-label="Schools">
        <h2>Schools</h2>
        <ChoiceRow
          v-for="name in schoolsShown"
          :key="name"
          :model-value="form.schools[name] as string"
          :label="HOUSE_SCHOOL_WORDS[name].title"
          :hint="$spell(saysOf(name))"
          :answers="schoolAnswers(name)"
          @update:model-value="(value) => setSchool(name, value)"
        />
      </section>
      <section v-for="{ group, rows } in groups" v-show="groupsShown.has(group)" :key="group" class="sheet" :aria-label="groupNames[group]">
        <h2>{{ $spell(groupNames[group] ?? group) }}</h2>
        <div class="mt-1">
          <RuleField
            v-for="[name, row] in rows"
            v-show="wanted === '' || found.has(name)"
            :key="name"
            :name="name"
            :row="row"
            :value="effective[name]"
            :error="keeping.errorAt(`rules.${name}`) || undefined"
            @change="(value) => setRule(name, value)"
          />
        </div>
      </section>
      <ActionBar>
        <SaveBar by="lead" :keeping="keeping" label="Save rules" :disabled="!changed || wrong !== null" @newer="showTheirs">
          <button v-if="wrong" type="button" class="text-left text-stop underline" @click="go(wrong.section)">{{ wrong.says }}</button>
          <span v-else-if="saved && !changed" class="text-good" role="status">✓ Saved</span>
        </SaveBar>
      </ActionBar>
    </div>
  </form>
</template>
