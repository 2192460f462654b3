<script setup lang="ts">
/** Owners' private links: made, taken back, and what was done with them. */
import { DAY_MS } from '@banter/core';
import { OWNER_LINK_DAYS, OwnerLink, type HandoversPage, type OwnerLinkFacts, OWNER_SAYS_WORDS, type OwnerSaying } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { dayWords, momentWords } from '../../parts/age.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SaveBar from '../../work/SaveBar.vue';
import { makePrivateKey } from '../../parts/private-key.ts';
import ShownOnce from '../../parts/ShownOnce.vue';
import TextField from '../../parts/TextField.vue';
import { useKeep } from '../../stores/keep.ts';
import { useSession } from '../../stores/session.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ dogId: string; dogName: string; page: HandoversPage; daily: readonly { key: string; text: string }[] }>();
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const zone = computed(() => session.kennel!.timeZone);
const keeping = useKeep();
const { name, days } = useTyped(`owner-link.${props.dogId}`, { name: '', days: '30' });
const address = ref('');
const SPANS = [
  { value: '14', label: 'two weeks' },
  { value: '30', label: 'a month' },
  { value: '90', label: 'three months' },
  { value: String(OWNER_LINK_DAYS), label: 'half a year' },
];
const open = computed(() => props.page.links.filter(({ revokedAt, expiresAt }) => revokedAt === null && Date.parse(expiresAt) > Date.now()));
const over = computed(() => props.page.links.filter((one) => !open.value.includes(one)));
const nameOf = (linkId: string) => props.page.links.find(({ id }) => id === linkId)?.name ?? '';
const lineOf = (item: string) =>
  props.daily.find(({ key }) => key === item)?.text ?? (Object.hasOwn(OWNER_SAYS_WORDS, item) ? OWNER_SAYS_WORDS[item as OwnerSaying].told : item);
const visitWords = { opened: 'opened it', paper: 'took the pages', ticked: 'ticked', unticked: 'undid a tick', said: 'said', unsaid: 'undid' } as const;

async function make() {
  const { key, keyHash } = await makePrivateKey();
  const expiresAt = new Date(Date.now() + Number(days.value) * DAY_MS).toISOString();
  const facts: OwnerLinkFacts = { dogId: props.dogId, name: name.value.trim(), keyHash, expiresAt, revokedAt: null };
  if (!(await keeping.keep(`/api/owner-links/${uuidv7()}`, OwnerLink, facts))) return;
  address.value = `${location.origin}/owner#${key}`;
  name.value = '';
  emit('changed');
}
async function takeBack(link: OwnerLink) {
  const { id, version, lastSeenAt: _seen, ...facts } = link;
  if (await keeping.keep(`/api/owner-links/${id}`, OwnerLink, { ...facts, revokedAt: new Date().toISOString() }, version)) emit('changed');
}
</script>

<template>
  <section aria-label="The owner’s link">
    <p class="text-soft">They read the latest handover on their phone and tick the daily check. They see nothing else.</p>
    <form class="mt-3 space-y-3" novalidate @submit.prevent="make">
      <TextField v-model="name" label="Whose" hint="Such as: Ida’s phone." :error="keeping.errorAt('name')" />
      <ChoiceRow v-model="days" label="It holds for" :answers="SPANS" quiet />
      <SaveBar :keeping="keeping" label="Make a link" :disabled="name.trim() === ''" />
    </form>
    <ShownOnce v-if="address" class="mt-3" :text="address" title="The link, shown this once. Send it to them alone:" @done="address = ''" />
    <p v-if="address && page.handovers.length === 0" class="mt-2 text-mind">It shows nothing until a handover is saved.</p>
    <ul v-if="open.length > 0" class="mt-3 divide-y divide-line" aria-label="Active links">
      <li v-for="link in open" :key="link.id" class="flex flex-wrap items-center gap-x-3 py-2">
        <span class="min-w-0 grow">
          <span class="font-semibold">{{ link.name }}</span>
          <span class="block text-sm text-soft">
            until {{ dayWords(link.expiresAt, zone) }} · {{ link.lastSeenAt ? `seen ${momentWords(link.lastSeenAt, zone)}` : 'not opened yet' }}
          </span>
        </span>
        <button type="button" class="press press-quiet" @click="takeBack(link)">
          Withdraw<span class="sr-only">: {{ link.name }}</span>
        </button>
      </li>
    </ul>
    <details v-if="over.length > 0" class="mt-2 text-sm text-soft">
      <summary>Ended ({{ over.length }})</summary>
      <p v-for="link in over" :key="link.id">
        {{ link.name }}, {{ link.revokedAt ? `withdrawn ${dayWords(link.revokedAt, zone)}` : `ran out ${dayWords(link.expiresAt, zone)}` }}
      </p>
    </details>
    <details v-if="page.visits.length > 0" class="mt-2">
      <summary>What was done with them ({{ page.visits.length }})</summary>
      <ol class="mt-1 space-y-1 text-sm">
        <li v-for="visit in page.visits" :key="visit.id">
          <span class="text-soft">{{ momentWords(visit.at, zone) }}</span> {{ nameOf(visit.linkId) }} {{ visitWords[visit.what]
          }}{{ visit.item ? `: ${lineOf(visit.item)}` : '' }}
        </li>
      </ol>
    </details>
  </section>
</template>
