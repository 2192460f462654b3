import { useEventListener } from '@vueuse/core';
import { computed, nextTick, ref, type Ref } from 'vue';
import { useUnits } from './units.ts';
import { useNarrower } from './widths.ts';

/** A reading that is whole in the kennel's unit, so that a space after it goes on: in inches a bare whole number may still get its fraction. */
const isWhole = (text: string, inInches: boolean) => (inInches ? /[./]\d/.test(text) || /\s$/.test(text) : /\d/.test(text));
/** Several readings pasted or dictated at once: numbers with spaces, commas or semicolons between them, none with a fraction. */
export const severalReadings = (text: string): string[] | null => {
  const parts = text.trim().split(/[\s;]+|,\s+/);
  return parts.length > 1 && parts.every((part) => /^\d{1,4}([.,]\d+)?$/.test(part)) ? parts : null;
};

/**
 * The fields for readings within `form`, in the order the hands go: Enter or a space goes on to the next, several that are pasted go into one
 * field each. Which of them has the cursor. `onLast` is called to have another, or to go where it goes on after the last.
 */
export function useReadingFields(form: Ref<HTMLElement | null>, { onLast }: { onLast: (field: HTMLInputElement) => boolean }) {
  const units = useUnits();
  const phone = useNarrower('sm');
  const active = ref<HTMLInputElement | null>(null);
  const hasBegun = ref(false);
  const fields = () => [...(form.value?.querySelectorAll<HTMLInputElement>('input[data-reading]') ?? [])];
  const siteOf = (field: HTMLElement) => field.closest('fieldset');
  const put = (field: HTMLInputElement, text: string) => {
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
  };
  /** From an empty field to the next site, else to the next reading. */
  async function goOn(from: HTMLInputElement): Promise<void> {
    const all = fields();
    const later = all.slice(all.indexOf(from) + 1);
    const next = from.value.trim() === '' ? later.find((field) => siteOf(field) !== siteOf(from)) : later[0];
    const withinSite = next && siteOf(next) === siteOf(from);
    if (next && (withinSite || !onLast(from))) next.focus();
    else if (!next && !onLast(from)) active.value = null;
    await nextTick();
  }
  useEventListener(form, 'focusin', ({ target }) => {
    active.value = target instanceof HTMLInputElement && 'reading' in target.dataset ? target : null;
  });
  useEventListener(form, 'keydown', (event: KeyboardEvent) => {
    const field = event.target as HTMLInputElement;
    if (!(field instanceof HTMLInputElement) || !('reading' in field.dataset)) return;
    const goes = event.key === 'Enter' || (event.key === ' ' && isWhole(field.value, units.length === 'in'));
    if (!goes || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    void goOn(field);
  });
  useEventListener(form, 'paste', (event: ClipboardEvent) => {
    const field = event.target as HTMLInputElement;
    if (!(field instanceof HTMLInputElement) || !('reading' in field.dataset)) return;
    const several = severalReadings(event.clipboardData?.getData('text') ?? '');
    if (!several) return;
    event.preventDefault();
    const here = fields().filter((one) => siteOf(one) === siteOf(field));
    for (const [index, text] of several.entries()) {
      const into = here[here.indexOf(field) + index];
      if (into) put(into, text);
    }
  });
  return {
    phone,
    /** The field that has the cursor, or had it last. */
    active,
    /** Whether the keys of a phone stand on a screen that begins with a reading: from its first picture on. */
    keysStand: computed(() => phone.value && (active.value !== null || !hasBegun.value)),
    goOn,
    /** Puts the cursor into the first empty reading. */
    begin: () => {
      const first = fields().find(({ value }) => value.trim() === '') ?? null;
      first?.focus({ preventScroll: true });
      active.value = first;
      hasBegun.value = true;
    },
  };
}
