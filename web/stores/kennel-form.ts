import { Kennel, type KennelSettings } from '@banter/contract';
import { computed, ref } from 'vue';
import { anObject, useDraft } from './draft.ts';
import { useKeep } from './keep.ts';
import { useSession } from './session.ts';

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const settingsOf = (kennel: Kennel): KennelSettings => {
  const { id: _id, version: _version, demo: _demo, ...settings } = plain(kennel);
  return settings;
};

type Draft = { form: KennelSettings; /** The version of the kennel it was begun from. */ version: number };

/**
 * The kennel's settings on a form: changed here, kept at the version they were begun from, and what somebody else kept meanwhile shown
 * on asking. `part` names the page; what was changed on it survives a reload and a lost connection.
 */
export function useKennelForm(part: string) {
  const session = useSession();
  const keeping = useKeep();
  const begin = (): Draft => ({ form: settingsOf(session.kennel!), version: session.kennel!.version });
  const { draft, restored, discard } = useDraft(`house.${part}`, anObject<Draft>(), begin);
  const form = computed({ get: () => draft.value.form, set: (now) => (draft.value = { ...draft.value, form: now }) });
  const saved = ref(false);
  const changed = computed(() => JSON.stringify(form.value) !== JSON.stringify(settingsOf(session.kennel!)));

  async function keep(): Promise<void> {
    const kept = await keeping.keep('/api/kennel', Kennel, form.value, draft.value.version);
    if (!kept) return;
    session.changed(kept);
    discard();
    saved.value = true;
  }
  function showTheirs(): void {
    const theirs = Kennel.safeParse(keeping.conflict.value?.current);
    if (!theirs.success) return;
    session.changed(theirs.data);
    discard();
    keeping.state.value = 'still';
    keeping.conflict.value = null;
  }
  return { form, saved, changed, restored, discard, keeping, keep, showTheirs };
}
