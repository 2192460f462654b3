<script setup lang="ts">
/** Joining a kennel by an invitation. The key stands behind the # of the link, which no server ever sees in an address. */
import { Invitation, Join, ROLE_WORDS } from '@banter/contract';
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { momentWords } from '../parts/age.ts';
import { useEntryForm } from '../parts/entry-form.ts';
import TextField from '../parts/TextField.vue';
import { useSession } from '../stores/session.ts';
import { useTyped } from '../stores/draft.ts';

const session = useSession();
const router = useRouter();
const key = useRoute().hash.slice(1);
const invitation = ref<Invitation | null>(null);
const gone = ref('');
const { name, email } = useTyped(`join.${key.slice(0, 8)}`, { name: '', email: '' });
/** A password is kept nowhere. */
const password = ref('');
const { errors, sentence, busy, submit } = useEntryForm();
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

async function look() {
  try {
    invitation.value = await send('POST', '/api/invitation', Invitation, { key });
    if (name.value === '') name.value = invitation.value.name;
  } catch (failure) {
    gone.value =
      failure instanceof RequestFailure && failure.problem?.status === 422
        ? 'This link is not whole. Copy all of it, and open it again.'
        : failureSentence(failure);
  }
}
void look();

const join = () =>
  submit(
    Join,
    { key, name: name.value, email: email.value, password: password.value },
    session.join,
    () => ((name.value = email.value = ''), router.push('/today')),
  );
</script>

<template>
  <div class="mx-auto max-w-xl">
    <p v-if="gone" role="alert" class="sheet"><strong class="block text-lg">No way in by this link</strong>{{ gone }}</p>
    <p v-else-if="!invitation" role="status" class="text-soft">Looking at the invitation …</p>
    <form v-else class="sheet" novalidate @submit.prevent="join">
      <h1>Join {{ invitation.kennelName }}</h1>
      <p class="mt-1 text-soft">
        As {{ ROLE_WORDS[invitation.role].name.toLowerCase() }}: {{ ROLE_WORDS[invitation.role].does }}. The link holds once, until
        {{ momentWords(invitation.expiresAt, zone) }}.
      </p>
      <p v-if="session.me" class="mt-3 rounded bg-mind-wash p-3 text-mind">
        You are signed in as {{ session.me.person.name }} of {{ session.me.kennel.name }}. Joining is a sign-in of its own, with its own e-mail.
      </p>
      <div class="mt-4 space-y-4">
        <TextField v-model="name" label="Your name" hint="It appears beside what you measure and decide." :error="errors.name" autocomplete="name" />
        <TextField v-model="email" label="E-mail" type="email" inputmode="email" :error="errors.email" autocomplete="username" />
        <TextField v-model="password" label="Password" type="password" hint="At least 10 characters." :error="errors.password" autocomplete="new-password" />
      </div>
      <p v-if="sentence" role="alert" class="mt-3 rounded bg-stop-wash p-3 font-semibold text-stop">{{ sentence }}</p>
      <button type="submit" class="press press-main mt-5" :disabled="busy">{{ busy ? 'Joining …' : 'Join' }}</button>
    </form>
  </div>
</template>
