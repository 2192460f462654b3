import type { z } from '@banter/contract';
import { ref, watch, type Ref } from 'vue';
import { readStored, writeStored } from './stored.ts';
import { useSession } from './session.ts';

/**
 * Something being typed, kept on this device until it has been saved: it survives a reload, a closed tab and a lost
 * sign-in. `restored` says that it was found here and not just begun; `settle` fills in what is kept already, which nobody has
 * typed and which is therefore not a draft.
 */
export function useDraft<Schema extends z.ZodType>(
  name: string,
  schema: Schema,
  begin: () => z.output<Schema>,
): { draft: Ref<z.output<Schema>>; restored: Ref<boolean>; discard: () => void; settle: (value: z.output<Schema>) => void } {
  const session = useSession();
  // By kennel, so that nobody meets another kennel's unfinished work on a shared device.
  const key = `banter.draft.${session.kennel?.id ?? 'nobody'}.${name}`;
  const found = readStored(key, schema);
  const draft = ref(found ?? begin()) as Ref<z.output<Schema>>;
  const restored = ref(found !== null);
  let pristine = JSON.stringify(draft.value);
  watch(
    draft,
    (now) => {
      const text = JSON.stringify(now);
      if (text !== pristine) writeStored(key, now);
    },
    { deep: true, flush: 'sync' },
  );
  function settle(value: z.output<Schema>) {
    pristine = JSON.stringify(value);
    draft.value = value;
    restored.value = false;
    writeStored(key, null);
  }
  return { draft, restored, settle, discard: () => settle(begin()) };
}
