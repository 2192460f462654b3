<script setup lang="ts">
/** The button that saves, and what became of it: sending, waiting for the connection, refused, overtaken by somebody. */
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import type { Role } from '@banter/contract';
import type { Keeping } from '../stores/keep.ts';
import type { YardKeeping } from '../stores/yard.ts';
import { useMay } from '../stores/may.ts';
import { useSession } from '../stores/session.ts';

/** `by` is the role that this needs; the button says so before somebody types in vain. `form`: the id of the form that it sends from outside of it. */
const props = withDefaults(defineProps<{ keeping: Keeping | YardKeeping; label: string; disabled?: boolean; by?: Role; form?: string }>(), { by: 'assistant' });
const may = useMay();
/** Only what is not kept through the outbox waits here, or is overtaken by somebody. */
const here = computed(() => ('conflict' in props.keeping ? props.keeping : null));
const whyNot = computed(() => may.whyNot(props.by));
const emit = defineEmits<{ newer: [] }>();
const route = useRoute();
const session = useSession();
</script>

<template>
  <div>
    <div class="save-row flex flex-wrap items-center gap-3">
      <button
        type="submit"
        class="press press-main"
        :form="form"
        :disabled="disabled || whyNot !== '' || keeping.state.value === 'sending' || keeping.state.value === 'waiting'"
      >
        {{ keeping.state.value === 'sending' ? 'Saving …' : label }}
      </button>
      <slot />
      <p v-if="whyNot" class="text-soft">{{ whyNot }}</p>
    </div>
    <div role="status" aria-live="polite" class="not-empty:mt-2">
      <p v-if="keeping.state.value === 'waiting'" class="rounded bg-mind-wash p-3 text-mind">
        {{ keeping.sentence.value }} Not saved yet. Your entry is safe on this device and will be sent.
        <button type="button" class="font-semibold underline" @click="here?.tryNow()">Try now</button>
      </p>
      <p v-else-if="keeping.state.value === 'boxed'" class="rounded bg-mind-wash p-3 text-mind">
        {{ keeping.sentence.value }}
        <RouterLink v-if="!session.me" class="font-semibold underline" :to="{ name: 'sign-in', query: { to: route.fullPath } }">Sign in again</RouterLink>
      </p>
      <p v-else-if="here?.signedOut.value" class="rounded bg-mind-wash p-3 text-mind">
        Your sign-in has ended. Your entry is safe on this device.
        <RouterLink class="font-semibold underline" :to="{ name: 'sign-in', query: { to: route.fullPath } }">Sign in again</RouterLink>
      </p>
      <p v-else-if="here?.conflict.value" class="rounded bg-mind-wash p-3 text-mind">
        {{ keeping.sentence.value }} Yours is still here.
        <button type="button" class="font-semibold underline" @click="emit('newer')">Show theirs</button>
      </p>
      <p v-else-if="keeping.state.value === 'refused'" class="rounded bg-stop-wash p-3 font-semibold text-stop">Not saved. {{ keeping.sentence.value }}</p>
    </div>
  </div>
</template>
