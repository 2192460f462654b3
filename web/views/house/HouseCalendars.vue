<script setup lang="ts">
/** Calendars elsewhere: private addresses under which they read the kennel’s sessions, moves and checks; and the same as a file. */
import { CalendarFeed, CalendarFeedsPage, type CalendarFeedFacts } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { dayWords, momentWords } from '../../parts/age.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SaveBar from '../../work/SaveBar.vue';
import LoadFrame from '../../parts/LoadFrame.vue';
import { makePrivateKey } from '../../parts/private-key.ts';
import ShownOnce from '../../parts/ShownOnce.vue';
import TextField from '../../parts/TextField.vue';
import { useKeep } from '../../stores/keep.ts';
import { useLoad } from '../../stores/load.ts';
import { useSession } from '../../stores/session.ts';
import { useTyped } from '../../stores/draft.ts';

const session = useSession();
const keeping = useKeep();
const { data, state, sentence, load } = useLoad(() => '/api/calendar-feeds', CalendarFeedsPage);
const { name, whose } = useTyped('calendar-address', { name: '', whose: 'everybody' });
const address = ref('');
const here = computed(() => (data.value?.feeds ?? []).filter(({ revokedAt }) => revokedAt === null));
const gone = computed(() => (data.value?.feeds ?? []).filter(({ revokedAt }) => revokedAt !== null));
const people = computed(() => [{ value: 'everybody', label: 'Everybody’s' }, ...(data.value?.people ?? []).map((one) => ({ value: one.id, label: one.name }))]);
const nameOf = (id: string | null) => data.value!.people.find((one) => one.id === id)?.name ?? 'everybody';

async function make() {
  if (name.value.trim() === '') return;
  const { key, keyHash } = await makePrivateKey();
  const facts: CalendarFeedFacts = { name: name.value.trim(), keyHash, personId: whose.value === 'everybody' ? null : whose.value, revokedAt: null };
  if (!(await keeping.keep(`/api/calendar-feeds/${uuidv7()}`, CalendarFeed, facts))) return;
  address.value = `${location.origin}/api/feeds/${key}.ics`;
  name.value = '';
  await load();
}
async function takeBack(feed: CalendarFeed) {
  const { id, version, lastSeenAt: _seen, ...facts } = feed;
  if (await keeping.keep(`/api/calendar-feeds/${id}`, CalendarFeed, { ...facts, revokedAt: new Date().toISOString() }, version)) await load();
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the calendars" @again="load">
    <div class="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
      <form class="sheet space-y-3 self-start" novalidate @submit.prevent="make">
        <h2>Your own calendar</h2>
        <p>Sessions, contact moves, skin and gear checks and growth, in the calendar of your phone or computer. It updates by itself.</p>
        <TextField v-model="name" label="What it is called" hint="Such as: Corin’s phone." :error="keeping.errorAt('name')" />
        <ChoiceRow v-model="whose" label="Whose sessions" :answers="people" quiet />
        <SaveBar :keeping="keeping" label="Make an address" :disabled="name.trim() === ''" />
        <ShownOnce v-if="address" :text="address" title="Its address, shown this once:" @done="address = ''" />
        <p class="text-sm text-soft">
          Anyone with the address can read it; nobody can change it. Once, without an address:
          <a href="/api/calendar.ics" download class="underline">take it as a file</a>.
        </p>
      </form>
      <section class="sheet self-start" aria-label="Addresses">
        <h2>Addresses</h2>
        <p v-if="here.length === 0" class="mt-1 text-soft">None.</p>
        <ul class="mt-1 divide-y divide-line">
          <li v-for="feed in here" :key="feed.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
            <span class="min-w-0 grow">
              <span class="block font-semibold">{{ feed.name }}</span>
              <span class="text-sm text-soft">
                sessions of {{ nameOf(feed.personId) }} ·
                {{ feed.lastSeenAt ? `read ${momentWords(feed.lastSeenAt, session.kennel!.timeZone)}` : 'not read yet' }}
              </span>
            </span>
            <button type="button" class="press press-quiet" @click="takeBack(feed)">
              Withdraw<span class="sr-only">: {{ feed.name }}</span>
            </button>
          </li>
        </ul>
        <details v-if="gone.length > 0" class="mt-2 text-sm text-soft">
          <summary>Withdrawn ({{ gone.length }})</summary>
          <p v-for="feed in gone" :key="feed.id">{{ feed.name }}, {{ dayWords(feed.revokedAt!, session.kennel!.timeZone) }}</p>
        </details>
      </section>
    </div>
  </LoadFrame>
</template>
