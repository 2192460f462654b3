import { Found } from '@banter/contract';
import { ref, watch, type Ref } from 'vue';
import { send } from '../api/request.ts';

/** From so many letters on it is looked for. */
const LETTERS = 2;
const MOST = 4;

/** Dogs of the kennel that are there and called so, while a name is typed; none without a connection. */
export function useDogsFound(name: () => string): Ref<readonly { id: string; name: string }[]> {
  const found = ref<readonly { id: string; name: string }[]>([]);
  let asked = 0;
  watch(name, async (now) => {
    const mine = (asked += 1);
    if (now.trim().length < LETTERS) return void (found.value = []);
    const page = await send('GET', `/api/found?text=${encodeURIComponent(now.trim())}`, Found).catch(() => null);
    // What comes late tells of what was typed before.
    if (mine === asked && page) found.value = page.dogs.filter(({ away }) => !away).slice(0, MOST);
  });
  return found;
}
