<script setup lang="ts">
import { defaultNavigator } from '@vueuse/core';
import { SignUp } from '@banter/contract';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { useEntryForm } from '../parts/entry-form.ts';
import TextField from '../parts/TextField.vue';
import UnitChoices from '../parts/UnitChoices.vue';
import { useSession } from '../stores/session.ts';
import { anObject, useDraft } from '../stores/draft.ts';

const session = useSession();
const router = useRouter();
const american = /^en-US|^en-LR|^my/.test(defaultNavigator?.language ?? '');
type Entry = Omit<SignUp, 'password'>;
const { draft: form, discard } = useDraft('sign-up', anObject<Entry>(), (): Entry => ({
  kennelName: '',
  name: '',
  email: '',
  lengthUnit: american ? 'in' : 'cm',
  massUnit: american ? 'lb' : 'kg',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
}));
/** A password is kept nowhere. */
const password = ref('');
const { errors, sentence, busy, submit } = useEntryForm();

const make = () => submit(SignUp, { ...form.value, password: password.value }, session.signUp, () => (discard(), router.push('/dogs')));
</script>

<template>
  <form class="sheet mx-auto max-w-xl" novalidate @submit.prevent="make">
    <h1>Make your own kennel</h1>
    <div class="mt-4 space-y-4">
      <TextField v-model="form.kennelName" label="Kennel" hint="As your people call it." :error="errors.kennelName" autocomplete="organization" />
      <TextField v-model="form.name" label="Your name" hint="It appears beside what you measure and decide." :error="errors.name" autocomplete="name" />
      <TextField v-model="form.email" label="E-mail" type="email" inputmode="email" :error="errors.email" autocomplete="username" />
      <TextField v-model="password" label="Password" type="password" hint="At least 10 characters." :error="errors.password" autocomplete="new-password" />
      <UnitChoices v-model:length="form.lengthUnit" v-model:mass="form.massUnit" />
    </div>
    <p v-if="sentence" role="alert" class="mt-3 rounded bg-stop-wash p-3 font-semibold text-stop">{{ sentence }}</p>
    <div class="mt-5 flex flex-wrap gap-3">
      <button type="submit" class="press press-main" :disabled="busy">{{ busy ? 'Making it …' : 'Make the kennel' }}</button>
      <RouterLink to="/sign-in" class="press press-quiet">I have one: sign in</RouterLink>
    </div>
  </form>
</template>
