<script setup lang="ts">
/** Programme, of the whole kennel: who works with which dog when; planned by the programmes, moved by hand, undone. */
import { CalendarPage } from '@banter/contract';
import { DateTime } from 'luxon';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import LoadFrame from '../parts/LoadFrame.vue';
import { todayIn } from '../parts/age.ts';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';
import KennelCalendar from './calendar/KennelCalendar.vue';

const session = useSession();
const route = useRoute();
const kennel = computed(() => session.kennel!);
const today = todayIn(kennel.value.timeZone);
/** From the Monday before last week to five weeks ahead. */
const from = DateTime.fromISO(today).startOf('week').minus({ weeks: 1 }).toISODate()!;
const DAYS = 49;
const { data, state, sentence, load } = useLoad(() => `/api/calendar?from=${from}&days=${DAYS}`, CalendarPage);
const loads = ref(0);
async function again() {
  await load();
  loads.value += 1;
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the calendar" @again="load">
    <KennelCalendar :page="data!" :loads="loads" :kennel="kennel" :today="today" :dog-id="String(route.query.dog ?? '')" @again="again" />
  </LoadFrame>
</template>
