<script setup lang="ts">
/** What is on a dog now, at the foot of a phone on every screen: which collar, where and since when; off in one tap, and back in one. */
import { clockWords, HOUR_MS, speakHours } from '@banter/core';
import { computed, ref } from 'vue';
import SaidBar from '../parts/SaidBar.vue';
import { useNow } from '../stores/now.ts';
import { useTell } from '../stores/tell.ts';
import { useWearing } from '../stores/wearing.ts';

const props = defineProps<{ dogId: string | null }>();
const wearing = useWearing();
const { now } = useNow(30_000);
const telling = useTell(wearing.look);
const open = ref(false);
/** Of the dog that is open, else what is pressing: what breaks a rule, what is to be moved first, what is on longest. */
const shown = computed(() => {
  const own = props.dogId === null ? [] : wearing.on(props.dogId);
  if (own.length > 0) return own;
  const pressing = (one: (typeof wearing.wearing)[number]) => (one.alarms.length > 0 ? 0 : one.moveBy === null ? 2 : 1);
  return [...wearing.wearing].sort((a, b) => pressing(a) - pressing(b) || (a.moveBy ?? a.from).localeCompare(b.moveBy ?? b.from));
});
const first = computed(() => shown.value[0] ?? null);
const since = (from: string) => speakHours(Math.max(0, now.value - Date.parse(from)) / HOUR_MS);
const where = ({ clock, from }: { clock: number | null; from: string }) => [clock === null ? '' : clockWords(clock), since(from)].filter(Boolean).join(', ');
const off = ({ dogId, dogName, collarId, collarName }: { dogId: string; dogName: string; collarId: string; collarName: string }) =>
  telling.tell(`${dogName}: ${collarName} is off.`, [{ event: 'taken-off', dogId, collarId }]);
</script>

<template>
  <div v-if="first || telling.said.value || telling.fault.value" role="region" aria-label="On now" class="border-t border-line bg-raised">
    <div class="px-2"><SaidBar :telling="telling" /></div>
    <ul v-if="open" class="max-h-[50vh] divide-y divide-line overflow-y-auto border-b border-line">
      <li v-for="one in shown" :key="one.dogId + one.collarId" class="flex min-h-[52px] flex-wrap items-center gap-x-3 px-3">
        <span class="min-w-0 grow leading-tight">
          <span class="block truncate font-semibold">{{ one.dogName }}: {{ one.collarName }}</span>
          <span class="block text-sm text-soft">{{ where(one) }}</span>
        </span>
        <RouterLink v-if="one.moveBy" :to="`/dogs/${one.dogId}/neck/contacts`" class="flex min-h-12 items-center underline">Move</RouterLink>
        <RouterLink :to="`/field?dog=${one.dogId}`" class="flex min-h-12 items-center underline">Log</RouterLink>
        <button type="button" class="min-h-12 min-w-12 font-semibold underline" @click="off(one)">Off</button>
      </li>
    </ul>
    <div v-if="first" class="flex h-[52px] items-center gap-2 px-3">
      <button type="button" class="min-h-12 min-w-0 grow text-left leading-tight" :aria-expanded="open" @click="open = !open">
        <span class="block truncate text-sm">
          <strong>{{ first.dogName }}</strong> · {{ first.collarName }}<template v-if="shown.length > 1"> and {{ shown.length - 1 }} more</template>
        </span>
        <span class="block truncate text-sm text-soft">{{ where(first) }}</span>
      </button>
      <RouterLink v-if="first.moveBy" :to="`/dogs/${first.dogId}/neck/contacts`" class="flex min-h-12 min-w-12 items-center justify-center underline"
        >Move</RouterLink
      >
      <RouterLink :to="`/field?dog=${first.dogId}`" class="flex min-h-12 min-w-12 items-center justify-center underline">Log</RouterLink>
      <button type="button" class="min-h-12 min-w-12 font-semibold underline" :aria-label="`Off: ${first.collarName} on ${first.dogName}`" @click="off(first)">
        Off
      </button>
    </div>
  </div>
</template>
