<script setup lang="ts">
/** Programme, of the whole kennel: who works with which dog when; planned by the programmes, moved by hand, undone. */
import { CalendarPage } from '@banter/contract';
import { DateTime } from 'luxon';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import LoadFrame from '../parts/LoadFrame.vue';
import { todayIn } from '../parts/age.ts';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';
import KennelCalendar from './calendar/KennelCalendar.vue';

const session = useSession();
const route = useRoute();
const router = useRouter();
const kennel = computed(() => session.kennel!);
const today = todayIn(kennel.value.timeZone);
/** From the Monday before last week to five weeks ahead. */
const from = DateTime.fromISO(today).startOf('week').minus({ weeks: 1 }).toISODate()!;
const DAYS = 49;
/** Whose it is, where somebody chose; and a dog that is looked at whoever works with it. */
const hands = ref(String(route.query.hands ?? ''));
const dogId = ref(String(route.query.dog ?? ''));
const asked = computed(
  () => new URLSearchParams({ from, days: String(DAYS), ...(hands.value ? { hands: hands.value } : {}), ...(dogId.value ? { dog: dogId.value } : {}) }),
);
const { data, state, sentence, load } = useLoad(() => `/api/calendar?${asked.value}`, CalendarPage);
const loads = ref(0);
async function again() {
  await load();
  loads.value += 1;
}
watch(
  () => String(asked.value),
  () => void again(),
);
function bring(id: string) {
  // Whose calendar it is stays as it is.
  hands.value ||= data.value!.hands.join(',');
  dogId.value = id;
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the calendar" @again="load">
    <KennelCalendar
      :page="data!"
      :loads="loads"
      :kennel="kennel"
      :today="today"
      :dog-id="String(route.query.dog ?? '')"
      @again="again"
      @hands="(ids) => router.replace({ query: { ...route.query, hands: ids.join(',') } })"
      @dog="bring"
    />
  </LoadFrame>
</template>
