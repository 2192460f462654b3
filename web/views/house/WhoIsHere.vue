<script setup lang="ts">
/** Who is of the kennel, in which part, and who is asked to join; a lead changes it. */
import { DAY_MS } from '@banter/core';
import { Invite, INVITE_DAYS, InvitesPage, PeoplePage, ROLE_WORDS, ROLES, type InviteFacts, type HeldKey, type Role } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { send } from '../../api/request.ts';
import { dayWords, momentWords } from '../../parts/age.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SaveBar from '../../work/SaveBar.vue';
import { makePrivateKey } from '../../parts/private-key.ts';
import ShownOnce from '../../parts/ShownOnce.vue';
import TextField from '../../parts/TextField.vue';
import { useKeep } from '../../stores/keep.ts';
import { useMay } from '../../stores/may.ts';
import { useSession } from '../../stores/session.ts';
import { useTyped } from '../../stores/draft.ts';

type Person = PeoplePage['people'][number];
const props = defineProps<{ people: PeoplePage['people'] }>();
const emit = defineEmits<{ changed: [page: PeoplePage] }>();
const session = useSession();
const zone = computed(() => session.kennel!.timeZone);
const may = useMay();
const here = computed(() => props.people.filter(({ leftAt }) => leftAt === null));
const gone = computed(() => props.people.filter(({ leftAt }) => leftAt !== null));
const roles = ROLES.map((value) => ({ value, label: ROLE_WORDS[value].name }));

const changing = useKeep();
const ending = ref<string | null>(null);
const said = ref('');
/** Whom the keys of somebody who goes are handed to; nobody: they stop. */
const keysTo = ref('nobody');
const KEY_WORDS: Record<HeldKey['kind'], string> = { bridge: 'Bridge', ownerLink: 'Owner’s link', calendarFeed: 'Calendar address', invite: 'Invitation' };
const heirs = (person: Person) => [
  { value: 'nobody', label: 'Stop them' },
  ...here.value
    .filter((one) => one.role === 'lead' && one.signsIn && one.id !== person.id)
    .map(({ id, name: label }) => ({ value: id, label: `Hand to ${label}` })),
];
async function set(person: Person, role: Role, left: boolean) {
  ending.value = null;
  const page = await changing.keep(`/api/people/${person.id}`, PeoplePage, {
    role,
    left,
    ...(left ? { keysTo: keysTo.value === 'nobody' ? null : keysTo.value } : {}),
  });
  if (!page) return;
  const rises = ROLES.indexOf(role) < ROLES.indexOf(person.role);
  said.value = left
    ? `${person.name} gets in no more, wherever they were signed in.`
    : `${person.name} is ${ROLE_WORDS[role].name.toLowerCase()} ${rises ? 'from their next sign-in on' : 'from now on'}.`;
  emit('changed', page);
}

const inviting = useKeep();
const invites = ref<Invite[]>([]);
const open = computed(() =>
  invites.value.filter(({ usedAt, revokedAt, expiresAt }) => usedAt === null && revokedAt === null && Date.parse(expiresAt) > Date.now()),
);
async function look() {
  if (may.lead.value) invites.value = (await send('GET', '/api/invites', InvitesPage).catch(() => ({ invites: invites.value }))).invites;
}
void look();
const { name, role, asThem } = useTyped('invitation', { name: '', role: 'assistant' as Role, asThem: 'new' });
const without = computed(() => [
  { value: 'new', label: 'Somebody new' },
  ...props.people.filter(({ signsIn }) => !signsIn).map(({ id, name: label }) => ({ value: id, label })),
]);
const address = ref('');
async function invite() {
  const { key, keyHash } = await makePrivateKey();
  const known = props.people.find(({ id }) => id === asThem.value);
  const facts: InviteFacts = {
    name: known?.name ?? name.value.trim(),
    role: role.value,
    personId: known?.id ?? null,
    keyHash,
    expiresAt: new Date(Date.now() + INVITE_DAYS * DAY_MS).toISOString(),
    revokedAt: null,
  };
  if (!(await inviting.keep(`/api/invites/${uuidv7()}`, Invite, facts))) return;
  address.value = `${location.origin}/join#${key}`;
  name.value = '';
  asThem.value = 'new';
  await look();
}
async function takeBack(one: Invite) {
  const { id, version, usedAt: _used, ...facts } = one;
  if (await inviting.keep(`/api/invites/${id}`, Invite, { ...facts, revokedAt: new Date().toISOString() }, version)) await look();
}
</script>

<template>
  <div class="grid gap-6 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
    <section class="sheet self-start" aria-labelledby="who-is-here">
      <h2 id="who-is-here">Who is here</h2>
      <p v-if="session.kennel!.demo" class="mt-1 text-sm text-soft">The demo is shared: nobody is invited, changed or ended in it.</p>
      <p v-if="said" role="status" class="mt-2 rounded bg-good-wash p-3 text-good">{{ said }}</p>
      <p v-if="changing.sentence.value" role="alert" class="mt-2 rounded bg-stop-wash p-3 text-stop">{{ changing.sentence.value }}</p>
      <ul class="mt-1 divide-y divide-line">
        <li v-for="person in here" :key="person.id" class="py-3">
          <div class="grid items-center gap-x-4 gap-y-2 sm:grid-cols-[minmax(0,1fr)_auto_auto]">
            <p>
              <span class="block font-semibold">{{ person.name }}{{ person.id === session.me!.person.id ? ', you' : '' }}</span>
              <span class="text-sm text-soft">{{
                person.signsIn || session.kennel!.demo ? ROLE_WORDS[person.role].does : 'stands in the records, signs in nowhere'
              }}</span>
            </p>
            <template v-if="may.lead.value && !session.kennel!.demo">
              <label class="flex items-center gap-2">
                <span class="sr-only">Part of {{ person.name }}</span>
                <select class="field w-auto" :value="person.role" @change="set(person, ($event.target as HTMLSelectElement).value as Role, false)">
                  <option v-for="one in roles" :key="one.value" :value="one.value">{{ one.label }}</option>
                </select>
              </label>
              <button v-if="ending !== person.id" type="button" class="press press-quiet" @click="((ending = person.id), (keysTo = 'nobody'))">
                End access<span class="sr-only"> of {{ person.name }}</span>
              </button>
            </template>
            <span v-else class="font-semibold">{{ ROLE_WORDS[person.role].name }}</span>
          </div>
          <div v-if="ending === person.id" class="mt-2 flex flex-wrap items-center gap-2 rounded bg-mind-wash p-3 text-mind">
            <p class="grow basis-full">{{ person.name }} is out at once, everywhere. Their name stays in the records.</p>
            <template v-if="person.keys.length > 0">
              <ul class="basis-full list-disc pl-5" :aria-label="`Keys of ${person.name}`">
                <li v-for="one in person.keys" :key="one.id">{{ KEY_WORDS[one.kind] }}: {{ one.name }}</li>
              </ul>
              <ChoiceRow v-model="keysTo" class="basis-full" label="Their keys" :answers="heirs(person)" quiet />
            </template>
            <button type="button" class="press press-plain" @click="set(person, person.role, true)">End access now</button>
            <button type="button" class="press press-quiet" @click="ending = null">Cancel</button>
          </div>
        </li>
      </ul>
      <details v-if="gone.length > 0" class="mt-2 text-sm text-soft">
        <summary>No longer here ({{ gone.length }})</summary>
        <p v-for="person in gone" :key="person.id">{{ person.name }}, since {{ dayWords(person.leftAt!, zone) }}</p>
      </details>
    </section>
    <form v-if="may.lead.value && !session.kennel!.demo" class="sheet space-y-3 self-start" novalidate @submit.prevent="invite">
      <h2>Ask somebody in</h2>
      <ChoiceRow v-if="without.length > 1" v-model="asThem" label="Who" :answers="without" quiet />
      <TextField v-if="asThem === 'new'" v-model="name" label="Their name" :error="inviting.errorAt('name')" />
      <ChoiceRow v-model="role" label="As" :hint="`${ROLE_WORDS[role].name}: ${ROLE_WORDS[role].does}.`" :answers="roles" quiet />
      <SaveBar by="lead" :keeping="inviting" label="Make a link" :disabled="asThem === 'new' && name.trim() === ''" />
      <ShownOnce v-if="address" :text="address" title="The link, shown this once. Send it to them alone:" @done="address = ''" />
      <p class="text-sm text-soft">It works once, for {{ INVITE_DAYS }} days. They choose their own password.</p>
      <ul v-if="open.length > 0" class="divide-y divide-line" aria-label="Open invitations">
        <li v-for="one in open" :key="one.id" class="flex flex-wrap items-center gap-x-3 py-2">
          <span class="min-w-0 grow">
            <span class="font-semibold">{{ one.name }}</span>
            <span class="block text-sm text-soft">{{ ROLE_WORDS[one.role].name }}, until {{ momentWords(one.expiresAt, zone) }}</span>
          </span>
          <button type="button" class="press press-quiet" @click="takeBack(one)">
            Withdraw<span class="sr-only">: {{ one.name }}</span>
          </button>
        </li>
      </ul>
    </form>
  </div>
</template>
