<script setup lang="ts">
/** What holds for one dog otherwise than for the house: schools and limits of its own, with the reason. */
import type { DogFacts } from '@banter/contract';
import {
  HOUSE_RULES,
  HOUSE_SCHOOL_NAMES,
  HOUSE_SCHOOL_WORDS,
  schoolAnswers,
  houseRules,
  type HouseRule,
  type HouseRuleName,
  type HouseSchoolName,
} from '@banter/core';
import { computed } from 'vue';
import { useSession } from '../stores/session.ts';
import ChoiceRow from './ChoiceRow.vue';
import RuleField from './RuleField.vue';
import TextField from './TextField.vue';

type Own = NonNullable<DogFacts['house']>;
const own = defineModel<Own | null>({ required: true });
defineProps<{ error: (path: string) => string | undefined }>();
const session = useSession();

/** The limits that a dog may have of its own: those of collars, not of the tape or the law. */
const OWN_RULES = (Object.entries(HOUSE_RULES) as [HouseRuleName, HouseRule][]).filter(
  ([, { group }]) => !['tape', 'levels', 'screen', 'handling', 'programme', 'upkeep'].includes(group),
);
const asHouse = houseRules(session.kennel!.rules);
const asHere = computed(() => houseRules({ ...session.kennel!.rules, ...(own.value?.rules ?? {}) }));

/** With nothing of its own left, the dog is as the house again. */
function change(part: Partial<Own>) {
  const next = { ...(own.value ?? { schools: {}, rules: {}, note: '' }), ...part };
  own.value = Object.keys(next.schools).length === 0 && Object.keys(next.rules).length === 0 ? null : next;
}
function setSchool(name: HouseSchoolName, value: string | null) {
  const { [name]: _as, ...others } = (own.value?.schools ?? {}) as Record<string, unknown>;
  change({ schools: (value ? { ...others, [name]: value } : others) as Own['schools'] });
}
function setRule(name: HouseRuleName, value: number | null | undefined) {
  if (value === undefined) return;
  const { [name]: _as, ...others } = own.value?.rules ?? {};
  change({ rules: value === null || value === asHouse[name] ? others : { ...others, [name]: value } });
}
const answersOf = (name: HouseSchoolName) => [{ value: '', label: 'As the house' }, ...schoolAnswers(name)];
</script>

<template>
  <details class="sheet" :open="own !== null">
    <summary class="font-display text-lg font-semibold">Other rules for this dog</summary>
    <p class="mt-1 text-soft">Where this dog needs another school than the kennel’s. Save it with a note that says why.</p>
    <div class="mt-3 space-y-4">
      <ChoiceRow
        v-for="name in HOUSE_SCHOOL_NAMES"
        :key="name"
        :model-value="(own?.schools[name] as string | undefined) ?? ''"
        :label="HOUSE_SCHOOL_WORDS[name].title"
        :answers="answersOf(name)"
        quiet
        @update:model-value="(value) => setSchool(name, value)"
      />
      <details>
        <summary class="font-semibold">Limits for this dog only</summary>
        <RuleField
          v-for="[name, row] in OWN_RULES"
          :key="name"
          :name="name"
          :row="{ ...row, default: asHouse[name] }"
          :value="asHere[name]"
          :error="error(`house.rules.${name}`)"
          @change="(value) => setRule(name, value)"
        />
      </details>
      <TextField
        v-if="own"
        :model-value="own.note"
        label="Why"
        :error="error('house.note')"
        @update:model-value="(note) => (own = { ...own!, note: String(note) })"
      />
    </div>
  </details>
</template>
