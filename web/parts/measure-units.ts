import { watch, type Ref } from 'vue';
import { useUnits } from '../stores/units.ts';

/** Whether a written amount names no unit, so that it means whatever unit the screen speaks. */
export const isBare = (text: string) => /\d/.test(text) && !/[a-z"'″′”]/i.test(text);

/** The same amount with its unit written out, so that switching units cannot change what was meant. */
export const withUnit = (text: string, unit: string) => (isBare(text) ? `${text.trim()} ${unit}` : text);

/** Writes the old unit behind a bare amount when the screen’s unit is switched. */
export function keepUnitOf(typed: Ref<string>, measure: 'length' | 'mass'): void {
  const units = useUnits();
  watch(
    () => units[measure],
    (_now, before) => {
      typed.value = withUnit(typed.value, before);
    },
    { flush: 'sync' },
  );
}
