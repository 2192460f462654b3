import type { z } from '@banter/contract';
import { ref } from 'vue';
import { failureSentence, RequestFailure } from '../api/failure.ts';

/** A form by which somebody comes in: checked by its schema, sent once, and what was wrong put at its fields. */
export function useEntryForm() {
  const errors = ref<Record<string, string>>({});
  const sentence = ref('');
  const busy = ref(false);

  /** Sends what is right; `enter` signs in, `then` goes on. */
  async function submit<Schema extends z.ZodType>(
    schema: Schema,
    form: unknown,
    enter: (checked: z.output<Schema>) => Promise<unknown>,
    then: () => Promise<unknown>,
  ) {
    sentence.value = '';
    const checked = schema.safeParse(form);
    errors.value = checked.success ? {} : Object.fromEntries(checked.error.issues.map((issue) => [issue.path.join('.'), issue.message]));
    if (!checked.success) return;
    busy.value = true;
    try {
      await enter(checked.data);
      await then();
    } catch (failure) {
      sentence.value = failureSentence(failure);
      if (failure instanceof RequestFailure) errors.value = Object.fromEntries(failure.errors.map((error) => [error.path, error.message]));
    } finally {
      busy.value = false;
    }
  }
  return { errors, sentence, busy, submit };
}
