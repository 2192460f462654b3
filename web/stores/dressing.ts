import { Dressing, DressingFacts, type NeckPage } from '@banter/contract';
import { computed, ref, watch, type Ref } from 'vue';
import { useDraft } from './draft.ts';
import { useKeep } from './keep.ts';

/**
 * How a dog is dressed, changed with every drop and tap and kept at once, with undo. What could not be sent yet stays on this
 * device and is shown; somebody else's newer dressing is asked for, never written over.
 */
export function useDressing(dogId: string, page: Ref<NeckPage | null>, stackNow: () => DressingFacts['stack'], reload: () => Promise<void>) {
  const keeping = useKeep();
  /** What was changed here and is not kept yet. */
  const { draft: unkept, settle } = useDraft(`dressing.${dogId}`, DressingFacts.nullable(), () => null);
  const version = ref<number | null>(null);
  const before = ref<DressingFacts[]>([]);
  watch(
    page,
    (now) => {
      if (now && keeping.state.value === 'still') version.value = now.dressing?.version ?? null;
    },
    { immediate: true },
  );
  /** Which change of this screen is the newest: two that look alike are still two. */
  let newest = 0;
  const current = computed<DressingFacts>(() => unkept.value ?? { stack: page.value?.dressing?.stack ?? stackNow(), rig: page.value?.dressing?.rig ?? [] });

  async function send() {
    const sent = unkept.value;
    const own = newest;
    if (!sent || keeping.state.value === 'sending' || keeping.state.value === 'waiting') return;
    const kept = await keeping.keep(`/api/dressings/${dogId}`, Dressing, sent, version.value);
    if (!kept) return;
    version.value = kept.version;
    // Changed again while it was on its way: that goes next.
    if (own !== newest) {
      await send();
      return;
    }
    // Shown as changed until what is kept has come back, so that nothing jumps.
    await reload();
    if (own === newest) settle(null);
  }
  function lay(next: DressingFacts) {
    newest += 1;
    unkept.value = next;
    void send();
  }
  function change(next: DressingFacts) {
    before.value = [...before.value, current.value].slice(-30);
    lay(next);
  }
  function undo() {
    const last = before.value.at(-1);
    if (!last) return;
    before.value = before.value.slice(0, -1);
    lay(last);
  }
  async function theirs() {
    settle(null);
    before.value = [];
    keeping.state.value = 'still';
    keeping.conflict.value = null;
    await reload();
  }
  /** What was left over from before, on this device. */
  const left = computed(() => unkept.value !== null && keeping.state.value === 'still');
  return { current, change, undo, canUndo: computed(() => before.value.length > 0), theirs, send, left, unkept, keeping };
}
export type DressingNow = ReturnType<typeof useDressing>;
