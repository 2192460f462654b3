<script setup lang="ts">
/** Who did what, the latest first, by person, dog, kind and day. Nobody changes it. */
import { DEED_WORDS, DeedsPage, deedWords, ROLE_WORDS, type Deed, type DeedKind } from '@banter/contract';
import { DateTime } from 'luxon';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { failureSentence } from '../../api/failure.ts';
import { send } from '../../api/request.ts';
import LoadFrame from '../../parts/LoadFrame.vue';
import { useLoad } from '../../stores/load.ts';
import { useSession } from '../../stores/session.ts';

const session = useSession();
const route = useRoute();
const router = useRouter();
const zone = session.kennel!.timeZone;
const FILTERS = ['personId', 'dogId', 'kind', 'from', 'to'] as const;
type Filter = (typeof FILTERS)[number];
const chosen = ref(Object.fromEntries(FILTERS.map((name) => [name, String(route.query[name] ?? '')])) as Record<Filter, string>);
const asked = (before?: string) =>
  `/api/deeds?${new URLSearchParams(Object.entries({ ...chosen.value, before: before ?? '' }).filter(([, value]) => value !== '')).toString()}`;
const { data, state, sentence, load } = useLoad(() => asked(), DeedsPage);
const older = ref<Deed[]>([]);
const more = ref(false);
const going = ref(false);
const fault = ref('');
watch(data, (page) => {
  older.value = [];
  more.value = page?.more ?? false;
});
watch(
  chosen,
  (now) => {
    // The address keeps what was asked for, so that it can be gone back to.
    void router.replace({ query: { show: 'deeds', ...Object.fromEntries(Object.entries(now).filter(([, value]) => value !== '')) } });
    void load();
  },
  { deep: true },
);
async function further() {
  const last = (older.value.at(-1) ?? data.value!.deeds.at(-1))!;
  going.value = true;
  fault.value = '';
  try {
    const page = await send('GET', asked(last.id), DeedsPage);
    older.value = [...older.value, ...page.deeds];
    more.value = page.more;
  } catch (failure) {
    fault.value = failureSentence(failure);
  } finally {
    going.value = false;
  }
}
const days = computed(() => {
  const byDay = new Map<string, Deed[]>();
  for (const deed of [...(data.value?.deeds ?? []), ...older.value]) {
    const day = DateTime.fromISO(deed.at, { zone }).toFormat('cccc d LLLL yyyy');
    byDay.set(day, [...(byDay.get(day) ?? []), deed]);
  }
  return [...byDay];
});
const time = (at: string) => DateTime.fromISO(at, { zone }).toFormat('HH:mm');
const thing = (kind: string) => DEED_WORDS[kind as DeedKind]?.many ?? kind;
const kinds = computed(() => [...(data.value?.kinds ?? [])].sort((a, b) => thing(a).localeCompare(thing(b))));
const valueWords = (value: unknown) =>
  value === null || value === ''
    ? 'nothing'
    : typeof value === 'string' && Object.hasOwn(ROLE_WORDS, value)
      ? ROLE_WORDS[value as keyof typeof ROLE_WORDS].name
      : typeof value === 'object'
        ? JSON.stringify(value)
        : String(value);
const fieldWords = (field: string) => field.replace(/(Mm|G|Id|At|On)$/, '').replaceAll(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
const changeWords = ({ about }: Deed) =>
  (about.changed ?? [])
    .map((one) => (Object.hasOwn(one, 'to') ? `${fieldWords(one.field)}: ${valueWords(one.from)} → ${valueWords(one.to)}` : fieldWords(one.field)))
    .join('; ');
const any = computed(() => FILTERS.some((name) => chosen.value[name] !== ''));
const clear = () => (chosen.value = { personId: '', dogId: '', kind: '', from: '', to: '' });
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the log" @again="load">
    <div class="flex flex-wrap items-end gap-3">
      <label class="grow sm:max-w-52"
        ><span class="text-sm font-semibold">Who</span>
        <select v-model="chosen.personId" class="field mt-1">
          <option value="">Everybody</option>
          <option v-for="one in data!.people" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
      <label class="grow sm:max-w-52"
        ><span class="text-sm font-semibold">Dog</span>
        <select v-model="chosen.dogId" class="field mt-1">
          <option value="">Any, or none</option>
          <option v-for="one in data!.dogs" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
      <label class="grow sm:max-w-52"
        ><span class="text-sm font-semibold">What</span>
        <select v-model="chosen.kind" class="field mt-1">
          <option value="">Everything</option>
          <option v-for="kind in kinds" :key="kind" :value="kind">{{ thing(kind) }}</option>
        </select>
      </label>
      <label><span class="text-sm font-semibold">From</span><input v-model="chosen.from" type="date" class="field mt-1" /></label>
      <label><span class="text-sm font-semibold">To</span><input v-model="chosen.to" type="date" class="field mt-1" /></label>
      <button v-if="any" type="button" class="press press-quiet" @click="clear">Show all</button>
    </div>
    <p v-if="days.length === 0" class="mt-6 text-soft">{{ any ? 'No such entry then.' : 'No entry yet.' }}</p>
    <section v-for="[day, deeds] in days" :key="day" class="mt-6" :aria-label="day">
      <h2 class="text-base">{{ day }}</h2>
      <ol class="mt-1 divide-y divide-line border-y border-line">
        <li v-for="deed in deeds" :key="deed.id" class="grid gap-x-4 py-2 sm:grid-cols-[3.5rem_10rem_minmax(0,1fr)]">
          <time :datetime="deed.at" class="text-soft tabular-nums">{{ time(deed.at) }}</time>
          <span class="font-semibold">{{ deed.personName }}</span>
          <span class="min-w-0">
            <RouterLink v-if="deed.dogId && deed.dogName" :to="`/dogs/${deed.dogId}`" class="no-underline hover:underline">{{ deedWords(deed) }}</RouterLink>
            <template v-else>{{ deedWords(deed) }}</template>
            <span v-if="changeWords(deed)" class="block text-sm break-words text-soft">{{ changeWords(deed) }}</span>
          </span>
        </li>
      </ol>
    </section>
    <button v-if="more" type="button" class="press press-plain mt-4" :disabled="going" @click="further">{{ going ? 'Looking …' : 'Earlier' }}</button>
    <p v-if="fault" role="alert" class="mt-2 text-stop">{{ fault }}</p>
    <p class="mt-6 text-sm text-soft">Each line is written with what it tells of, and is never changed.</p>
  </LoadFrame>
</template>
