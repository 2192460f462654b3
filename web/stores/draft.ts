import { z } from '@banter/contract';
import { computed, ref, watch, type Ref, type WritableComputedRef } from 'vue';
import { readStored, writeStored } from './stored.ts';
import { useSession } from './session.ts';

/**
 * Something being typed, kept on this device until it has been saved: it survives a reload, a closed tab and a lost
 * sign-in. `restored` says that it was found here and not just begun; `settle` fills in what is kept already, which nobody has
 * typed and which is therefore not a draft. What is as it was begun is none, either.
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
  const begun = begin();
  const draft = ref(found ?? begun) as Ref<z.output<Schema>>;
  const restored = ref(found !== null);
  let pristine = JSON.stringify(begun);
  watch(
    draft,
    (now) => {
      writeStored(key, JSON.stringify(now) === pristine ? null : now);
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

/** A draft of any object that the page itself made; what this device remembers is that, or nothing. */
export const anObject = <Value extends object>() => z.custom<Value>((value) => typeof value === 'object' && value !== null);

type Plain = string | number | boolean;
type Widened<Value> = Value extends string ? (string extends Value ? string : Value) : Value extends number ? number : boolean;

/**
 * The fields of a small form, each by its name, kept as drafts are. Back at what they began with, nothing is kept of them; `settled`
 * says that what stands there now is kept elsewhere.
 *
 * @example const { name, days } = useTyped('owner-link', { name: '', days: '30' });
 */
export function useTyped<Fields extends Record<string, Plain>>(
  name: string,
  first: Fields,
): { [Name in keyof Fields]: WritableComputedRef<Widened<Fields[Name]>> } & { settled: () => void } {
  const kinds = { string: z.string(), number: z.number(), boolean: z.boolean() } as const;
  const schema = z.object(Object.fromEntries(Object.entries(first).map(([field, value]) => [field, kinds[typeof value as keyof typeof kinds]])));
  const { draft, settle } = useDraft(name, schema, () => ({ ...first }));
  const fields = Object.keys(first).map((field) => [
    field,
    computed({ get: () => draft.value[field], set: (value) => (draft.value = { ...draft.value, [field]: value! }) }),
  ]);
  return { ...Object.fromEntries(fields), settled: () => settle({ ...draft.value }) } as ReturnType<typeof useTyped<Fields>>;
}
