import { CollarsPage, DogCards, type KennelSettings } from '@banter/contract';
import type { Finger, Speaker } from '@banter/core';
import { onScopeDispose, ref, shallowRef, watch } from 'vue';
import { failureSentence } from '../../api/failure.ts';
import { send } from '../../api/request.ts';
import { impactOf, type Impact } from '../../parts/house-impact.ts';

/** What settings are held against others by: whose finger, which day, and the units on the screen. */
type By = { who: { finger: Finger | null; today: string }; speak: Speaker };

/** Dogs are looked at once somebody stops changing things for so long, ms. */
const PAUSE_MS = 250;

/**
 * What changed settings would mean for the dogs of the kennel, a part of them at a time: what is found is there as it is found, and a newer
 * change begins anew. Dogs and collars are asked for only once something has been changed.
 */
export function useHouseImpact(change: () => { before: KennelSettings; after: KennelSettings; by: By } | null) {
  const impact = shallowRef<readonly Impact[]>([]);
  const state = ref<'still' | 'looking' | 'done' | 'failed'>('still');
  const looked = ref(0);
  const sentence = ref('');
  let latest = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** The next part of the dogs; they are read once, whatever is tried on them. */
  const parts: DogCards['rows'][] = [];
  let next: string | null | undefined;
  let collars: CollarsPage['collars'] | null = null;
  async function partAt(index: number): Promise<DogCards['rows'] | null> {
    if (index < parts.length) return parts[index]!;
    if (next === null) return null;
    const page = await send('GET', `/api/dog-cards${next === undefined ? '' : `?after=${encodeURIComponent(next)}`}`, DogCards);
    parts.push(page.rows);
    next = page.next;
    return page.rows;
  }
  async function look(own: number): Promise<void> {
    const asked = change();
    impact.value = [];
    looked.value = 0;
    if (asked === null) {
      state.value = 'still';
      return;
    }
    state.value = 'looking';
    try {
      collars ??= (await send('GET', '/api/collars', CollarsPage)).collars;
      for (let index = 0; own === latest; index += 1) {
        const dogs = await partAt(index);
        if (own !== latest) return;
        if (dogs === null) {
          state.value = 'done';
          return;
        }
        for (const dog of dogs) {
          const found = impactOf({ dogs: [dog], collars }, asked.before, asked.after, asked.by.who, asked.by.speak);
          if (found.length > 0) impact.value = [...impact.value, ...found].sort((a, b) => Number(b.worn) - Number(a.worn));
          looked.value += 1;
          // Between two dogs the page answers.
          await new Promise((resolve) => setTimeout(resolve));
          if (own !== latest) return;
        }
      }
    } catch (failure) {
      if (own !== latest) return;
      state.value = 'failed';
      sentence.value = failureSentence(failure);
    }
  }
  watch(
    change,
    () => {
      latest += 1;
      const own = latest;
      clearTimeout(timer);
      timer = setTimeout(() => void look(own), PAUSE_MS);
    },
    { immediate: true, deep: true },
  );
  // Whoever has left the screen waits for nothing.
  onScopeDispose(() => {
    latest += 1;
    clearTimeout(timer);
  });
  return { impact, state, looked, sentence };
}
