<script setup lang="ts">
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { failureSentence } from '../api/failure.ts';
import TextField from '../parts/TextField.vue';
import { useSession } from '../stores/session.ts';

const session = useSession();
const route = useRoute();
const router = useRouter();
const email = ref('');
const password = ref('');
const sentence = ref('');
const busy = ref(false);

/** Only a path of our own is followed after sign-in. */
const onwards = () => {
  const to = String(route.query.to ?? '');
  return /^\/(?![/\\])/.test(to) ? to : '/dogs';
};

async function enter(how: () => Promise<void>) {
  busy.value = true;
  sentence.value = '';
  try {
    await how();
    await router.push(onwards());
  } catch (failure) {
    sentence.value = failureSentence(failure);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <form class="sheet mx-auto max-w-md" novalidate @submit.prevent="enter(() => session.signIn({ email, password }))">
    <h1>Sign in</h1>
    <p v-if="route.query.to" class="mt-1 text-soft">You go back to where you were.</p>
    <div class="mt-4 space-y-4">
      <TextField v-model="email" label="E-mail" type="email" inputmode="email" autocomplete="username" required />
      <TextField v-model="password" label="Password" type="password" autocomplete="current-password" required />
    </div>
    <p v-if="sentence" role="alert" class="mt-3 rounded bg-stop-wash p-3 font-semibold text-stop">{{ sentence }}</p>
    <div class="mt-5 flex flex-wrap gap-3">
      <button type="submit" class="press press-main" :disabled="busy || !email || !password">{{ busy ? 'Signing in …' : 'Sign in' }}</button>
      <RouterLink to="/sign-up" class="press press-quiet">Make your own kennel</RouterLink>
      <button v-if="session.demo" type="button" class="press press-quiet" :disabled="busy" @click="enter(session.signInToDemo)">
        Look round the demo kennel
      </button>
    </div>
  </form>
</template>
