<script setup lang="ts">
/** My account: where I am signed in, each ended with one tap, and my password. */
import { MySessionsPage } from '@banter/contract';
import { ROLE_WORDS } from '@banter/contract';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { momentWords } from '../parts/age.ts';
import SaveBar from '../work/SaveBar.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import TextField from '../parts/TextField.vue';
import { useKeep } from '../stores/keep.ts';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';

const session = useSession();
const zone = computed(() => session.kennel!.timeZone);
const { data, state, sentence, load } = useLoad(() => '/api/my-sessions', MySessionsPage);
const others = computed(() => (data.value?.sessions ?? []).filter(({ here }) => !here).length);

const ending = useKeep();
const said = ref('');
async function end(id: string | null) {
  const now = await ending.keep('/api/my-sessions', MySessionsPage, { id }, undefined, 'POST');
  if (!now) return;
  data.value = now;
  said.value = id === null ? 'Signed out everywhere else.' : 'That sign-in is over.';
}
const leaving = useKeep();
const asked = ref(false);
const router = useRouter();
async function leave() {
  await leaving.keep('/api/my-leaving', null, {}, undefined, 'POST');
  if (leaving.state.value !== 'still') return;
  session.lost();
  await router.push('/');
}
const changing = useKeep();
const old = ref('');
const password = ref('');
async function change() {
  const now = await changing.keep('/api/my-password', MySessionsPage, { old: old.value, password: password.value }, undefined, 'POST');
  if (!now) return;
  data.value = now;
  old.value = '';
  password.value = '';
  said.value = 'Password changed. You are signed out everywhere else.';
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="your account" @again="load">
    <h1>{{ session.me!.person.name }}</h1>
    <p class="text-soft">{{ [data!.email, session.kennel!.name, ROLE_WORDS[session.me!.person.role].name].filter(Boolean).join(' · ') }}</p>
    <p v-if="said" role="status" class="mt-3 rounded bg-good-wash p-3 text-good">{{ said }}</p>
    <div class="mt-5 grid gap-6 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
      <section class="sheet self-start" aria-labelledby="signed-in">
        <h2 id="signed-in">Where you are signed in</h2>
        <ul class="mt-1 divide-y divide-line">
          <li v-for="one in data!.sessions" :key="one.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
            <span class="min-w-0 grow">
              <span class="block font-semibold first-letter:uppercase">{{ one.here ? 'here, on ' : '' }}{{ one.device || 'a device' }}</span>
              <span class="text-sm text-soft">
                <template v-if="one.enteredAt">since {{ momentWords(one.enteredAt, zone) }} · </template>used since {{ momentWords(one.usedAt, zone) }}
              </span>
            </span>
            <button v-if="!one.here" type="button" class="press press-quiet" @click="end(one.id)">
              End it<span class="sr-only">: {{ one.device }}</span>
            </button>
          </li>
        </ul>
        <button v-if="others > 0" type="button" class="press press-plain mt-3" @click="end(null)">Sign out everywhere else</button>
        <p v-if="ending.sentence.value" role="alert" class="mt-2 text-stop">{{ ending.sentence.value }}</p>
      </section>
      <form v-if="data!.hasPassword" class="sheet space-y-3 self-start" novalidate @submit.prevent="change">
        <h2>Another password</h2>
        <TextField v-model="old" label="The current one" type="password" autocomplete="current-password" :error="changing.errorAt('old')" />
        <TextField
          v-model="password"
          label="The new one"
          type="password"
          autocomplete="new-password"
          hint="At least 10 characters."
          :error="changing.errorAt('password')"
        />
        <SaveBar by="reader" :keeping="changing" label="Change it" :disabled="old === '' || password === ''" />
      </form>
      <p v-else class="self-start text-soft">The demo is entered without a password.</p>
      <section v-if="data!.hasPassword" class="self-start lg:col-start-2" aria-labelledby="leaving">
        <h2 id="leaving">Leaving {{ session.kennel!.name }}</h2>
        <p class="mt-1 text-soft">Your name stays on what you measured and decided. You come back only by invitation.</p>
        <button v-if="!asked" type="button" class="press press-plain mt-2" @click="asked = true">Leave this kennel</button>
        <div v-else class="mt-2 flex flex-wrap gap-2">
          <button type="button" class="press press-main" @click="leave">Yes, end my access now</button>
          <button type="button" class="press press-quiet" @click="asked = false">Stay</button>
        </div>
        <p v-if="leaving.sentence.value" role="alert" class="mt-2 text-stop">{{ leaving.sentence.value }}</p>
      </section>
    </div>
  </LoadFrame>
</template>
