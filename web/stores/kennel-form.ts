import { Kennel, type KennelSettings } from '@banter/contract';
import { computed, ref } from 'vue';
import { useKeep } from './keep.ts';
import { useSession } from './session.ts';

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const settingsOf = (kennel: Kennel): KennelSettings => {
  const { id: _id, version: _version, demo: _demo, ...settings } = plain(kennel);
  return settings;
};

/** The kennel's settings on a form: changed here, kept at their version, and what somebody else kept meanwhile shown on asking. */
export function useKennelForm() {
  const session = useSession();
  const keeping = useKeep();
  const form = ref<KennelSettings>(settingsOf(session.kennel!));
  const saved = ref(false);
  const changed = computed(() => JSON.stringify(form.value) !== JSON.stringify(settingsOf(session.kennel!)));

  async function keep(): Promise<void> {
    const kept = await keeping.keep('/api/kennel', Kennel, form.value, session.kennel!.version);
    if (!kept) return;
    session.changed(kept);
    form.value = settingsOf(kept);
    saved.value = true;
  }
  function showTheirs(): void {
    const theirs = Kennel.safeParse(keeping.conflict.value?.current);
    if (!theirs.success) return;
    session.changed(theirs.data);
    form.value = settingsOf(theirs.data);
    keeping.state.value = 'still';
    keeping.conflict.value = null;
  }
  return { form, saved, changed, keeping, keep, showTheirs };
}
