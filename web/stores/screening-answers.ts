import type { Screening } from '@banter/contract';
import { answersOfRecord, breedOf, risksOfBreed, SCREEN_ITEM_IDS, SCREEN_ITEMS, type FittingDog, type HouseRules, type ScreenItemId } from '@banter/core';
import { computed, type Ref } from 'vue';

export type ScreenAnswer = 'yes' | 'no' | 'unknown';
export const SCREEN_ANSWERS = [
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
  { value: 'unknown', label: 'Not known' },
] as const;

type Of = {
  answers: Ref<Partial<Record<string, ScreenAnswer | null>>>;
  dog: Ref<FittingDog>;
  breed: Ref<string>;
  rules: Ref<HouseRules>;
  latest: Ref<Screening | null>;
};

/** A screening while it is answered: as chosen here, else by the dog's own record, else as the last time. What a breed is known for is answered one by one. */
export function useScreeningAnswers({ answers, dog, breed, rules, latest }: Of) {
  const ofRecord = computed(() => answersOfRecord(dog.value, rules.value));
  const answerOf = (id: ScreenItemId): ScreenAnswer | null => answers.value[id] ?? ofRecord.value[id] ?? latest.value?.answers[id] ?? null;
  const risks = computed(() => risksOfBreed(breed.value));
  const isRisk = ({ id }: { id: ScreenItemId }) => risks.value.includes(id);
  /** What the breed is known for stands first. */
  const items = computed(() => [...SCREEN_ITEMS.filter(isRisk), ...SCREEN_ITEMS.filter((item) => !isRisk(item))]);
  const hintOf = ({ id, why }: { id: ScreenItemId; why: string }) =>
    ofRecord.value[id]
      ? `${why} Its own record says so.`
      : risks.value.includes(id)
        ? `${why} ${breedOf(breed.value)!.name}: known for it (from memory). Check the dog.`
        : why;
  const open = computed(() => SCREEN_ITEM_IDS.filter((id) => answerOf(id) === null));
  /** No to all that is open, save what the breed is known for. */
  const passable = computed(() => open.value.filter((id) => !risks.value.includes(id)));
  const given = (others: Partial<Record<ScreenItemId, ScreenAnswer>> = {}) =>
    Object.fromEntries(
      SCREEN_ITEM_IDS.flatMap((id) => {
        const answer = answerOf(id) ?? others[id];
        return answer ? [[id, answer]] : [];
      }),
    ) as Record<ScreenItemId, ScreenAnswer>;
  const noneOfThese = computed(() => Object.fromEntries(passable.value.map((id) => [id, 'no' as const])) as Partial<Record<ScreenItemId, ScreenAnswer>>);
  return { answerOf, risks, items, hintOf, open, passable, given, noneOfThese };
}
