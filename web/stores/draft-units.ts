import { watch, type Ref } from 'vue';
import { withUnit } from '../parts/measure-units.ts';
import { useUnits } from './units.ts';

type Spoken = { lengthUnit: 'in' | 'cm'; massUnit: 'lb' | 'kg' };
type Say = (text: string) => string;

/** What was typed bare into a draft meant the unit of then; it says so once the screen speaks another, also when it is found again after that. */
export function useDraftUnits<Draft extends Spoken>(draft: Ref<Draft>, lengths: (draft: Draft, say: Say) => void, masses: (draft: Draft, say: Say) => void) {
  const units = useUnits();
  const { lengthUnit, massUnit } = draft.value;
  if (lengthUnit !== units.length) lengths(draft.value, (text) => withUnit(text, lengthUnit));
  if (massUnit !== units.mass) masses(draft.value, (text) => withUnit(text, massUnit));
  watch([() => units.length, () => units.mass], ([length, mass]) => Object.assign(draft.value, { lengthUnit: length, massUnit: mass }), { immediate: true });
}
