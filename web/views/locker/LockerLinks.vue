<script setup lang="ts">
/** Where each link is, gauge by gauge, and how it got there: on a collar, in the bag, lent with a dog, or scrapped. It always adds up. */
import { LinkMove, type LockerPage, type NewLinkMove, linksOf } from '@banter/contract';
import { countOf, linksAt, type LinkAccount, type LinkCountAt } from '@banter/core';
import { gaugeName } from '@banter/core/collars/prong';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { momentWords } from '../../parts/age.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SaveBar from '../../work/SaveBar.vue';
import TextField from '../../parts/TextField.vue';
import { useKeep } from '../../stores/keep.ts';
import { useSession } from '../../stores/session.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ locker: LockerPage }>();
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const keeping = useKeep();
const counts = computed(() => props.locker.links as LinkCountAt[]);
const collars = computed(() => new Map(props.locker.collars.map((collar) => [collar.id, collar])));
const gauges = computed(() =>
  [...new Set([...props.locker.collars.flatMap((collar) => linksOf(collar)?.gaugeMm ?? []), ...counts.value.map(({ gaugeMm }) => gaugeMm)])].sort(
    (a, b) => a - b,
  ),
);
const rows = computed(() =>
  gauges.value.map((gaugeMm) => {
    const held = counts.value.filter((one) => one.gaugeMm === gaugeMm);
    const sum = (of: (account: LinkAccount) => boolean) => held.filter(({ account }) => of(account)).reduce((total, { count }) => total + count, 0);
    return {
      gaugeMm,
      onCollars: held
        .filter(({ account }) => account.startsWith('collar:'))
        .map(({ account, count }) => ({ name: collars.value.get(account.slice(7))?.name ?? 'a collar', count })),
      collars: sum((account) => account.startsWith('collar:')),
      bag: linksAt(counts.value, gaugeMm, 'bag'),
      lent: sum((account) => account.startsWith('dog:')),
      scrap: linksAt(counts.value, gaugeMm, 'scrap'),
      all: -linksAt(counts.value, gaugeMm, 'outside'),
    };
  }),
);

/** What can be done with links by hand; fits move them by themselves. */
const ACTIONS = {
  bought: { label: 'Bought', from: 'outside', to: 'bag' },
  scrapped: { label: 'Scrapped', from: 'bag', to: 'scrap' },
  lent: { label: 'Lent with a dog', from: 'bag', to: 'dog' },
  returned: { label: 'Came back', from: 'dog', to: 'bag' },
  counted: { label: 'Found in the bag', from: 'outside', to: 'bag' },
} as const;
type Action = keyof typeof ACTIONS;
const { action, gauge, count, dogId, note } = useTyped('link-move', {
  action: 'bought' as Action,
  gauge: String(gauges.value.find((one) => one >= 3) ?? gauges.value[0] ?? 3),
  count: '1',
  dogId: '',
  note: '',
});
const id = ref(uuidv7());
const at = ref<string | null>(null);
const number = computed(() => (/^\s*\d{1,3}\s*$/.test(count.value) ? Number(count.value) : NaN));
const needsDog = computed(() => ACTIONS[action.value].from === 'dog' || ACTIONS[action.value].to === 'dog');
const dogs = computed(() => props.locker.dogs.map(({ id: value, name: label }) => ({ value, label })));
const countFault = computed(() => (!(number.value >= 1) ? 'A whole number, from 1.' : ''));
async function move() {
  if (countFault.value || (needsDog.value && !dogId.value)) return;
  at.value ??= new Date().toISOString();
  const account = (name: 'outside' | 'bag' | 'scrap' | 'dog'): LinkAccount => (name === 'dog' ? `dog:${dogId.value!}` : name);
  const { from, to } = ACTIONS[action.value];
  const sent: NewLinkMove = {
    gaugeMm: Number(gauge.value),
    count: number.value,
    from: account(from),
    to: account(to),
    why: action.value,
    note: note.value.trim(),
    at: at.value,
  };
  const kept = await keeping.keep(`/api/link-moves/${id.value}`, LinkMove, sent);
  if (!kept) {
    // A refused move is not kept; the next try is another one.
    if (keeping.state.value === 'refused') at.value = null;
    id.value = keeping.state.value === 'refused' ? uuidv7() : id.value;
    return;
  }
  id.value = uuidv7();
  at.value = null;
  note.value = '';
  emit('changed');
}
const accountWords = (account: string) =>
  account === 'outside'
    ? 'outside'
    : account === 'bag'
      ? 'the bag'
      : account === 'scrap'
        ? 'scrap'
        : account.startsWith('collar:')
          ? (collars.value.get(account.slice(7))?.name ?? 'a collar')
          : (props.locker.dogs.find((one) => one.id === account.slice(4))?.name ?? 'a dog');
const whyWords: Record<LinkMove['why'], string> = {
  stocked: 'came with the collar',
  bought: 'bought',
  fitted: 'fitted',
  lent: 'lent',
  returned: 'came back',
  scrapped: 'scrapped',
  counted: 'counted',
};
</script>

<template>
  <div class="grid gap-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
    <div class="space-y-5">
      <section class="sheet overflow-x-auto" aria-label="Where the links are" tabindex="0">
        <p v-if="rows.length === 0">No prong in the locker, and so no links.</p>
        <table v-else class="w-full border-collapse text-left">
          <thead>
            <tr class="align-bottom text-sm text-soft">
              <th scope="col" class="py-2 pr-3">Gauge</th>
              <th scope="col" class="py-2 pr-3">On collars</th>
              <th scope="col" class="py-2 pr-3 text-right">In the bag</th>
              <th scope="col" class="py-2 pr-3 text-right">Lent</th>
              <th scope="col" class="py-2 pr-3 text-right">Scrapped</th>
              <th scope="col" class="py-2 text-right">All that came in</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.gaugeMm" class="border-t border-line align-baseline">
              <th scope="row" class="py-2.5 pr-3 font-semibold">{{ gaugeName(row.gaugeMm) }}</th>
              <td class="py-2.5 pr-3">
                <strong>{{ row.collars }}</strong>
                <span class="block text-sm text-soft">{{ row.onCollars.map(({ name, count: links }) => `${name} ${links}`).join(', ') }}</span>
              </td>
              <td class="py-2.5 pr-3 text-right text-lg font-bold">{{ row.bag }}</td>
              <td class="py-2.5 pr-3 text-right">{{ row.lent }}</td>
              <td class="py-2.5 pr-3 text-right">{{ row.scrap }}</td>
              <td class="py-2.5 text-right whitespace-nowrap" :aria-label="`${row.all} in all`">= {{ row.all }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section aria-label="How they got there">
        <h2>How they got there</h2>
        <p v-if="locker.moves.length === 0" class="mt-1 text-soft">Nothing has moved yet.</p>
        <ol class="mt-2 border-l-2 border-line">
          <li v-for="one in locker.moves" :key="one.id" class="py-1.5 pl-4">
            {{ countOf(one.count, 'link') }} of {{ gaugeName(one.gaugeMm) }}: {{ accountWords(one.from) }} → {{ accountWords(one.to) }}
            <span class="block text-sm text-soft">
              {{ whyWords[one.why] }} · {{ one.personName }}, {{ momentWords(one.at, session.kennel!.timeZone) }}{{ one.note ? ` · ${one.note}` : '' }}
            </span>
          </li>
        </ol>
      </section>
    </div>
    <form v-if="gauges.length > 0" class="sheet space-y-4 self-start" novalidate @submit.prevent="move">
      <h2>Move links by hand</h2>
      <ChoiceRow
        :model-value="action"
        label="What happened"
        :answers="Object.entries(ACTIONS).map(([value, one]) => ({ value, label: one.label }))"
        quiet
        @update:model-value="(now) => (action = now as Action)"
      />
      <ChoiceRow v-model="gauge" label="Gauge" :answers="gauges.map((one) => ({ value: String(one), label: gaugeName(one) }))" quiet />
      <TextField v-model="count" label="How many" inputmode="numeric" :error="countFault || keeping.errorAt('count')" />
      <ChoiceRow v-if="needsDog && dogs.length > 0" v-model="dogId" label="Which dog" :answers="dogs" quiet />
      <p v-else-if="needsDog" class="text-soft">No dog has a fit yet.</p>
      <TextField v-model="note" label="Note (may be left empty)" :error="keeping.errorAt('note')" />
      <SaveBar :keeping="keeping" label="Write it down" :disabled="countFault !== '' || (needsDog && !dogId)" @newer="emit('changed')" />
    </form>
  </div>
</template>
