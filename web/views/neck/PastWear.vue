<script setup lang="ts">
/** A wear that nobody told when it happened: from when until when, where its contacts sat and when they were moved, and how it was watched. */
import { fitName, z } from '@banter/contract';
import { WEAR_STATES, type WearState, HOUR_MS } from '@banter/core';
import { computed, ref } from 'vue';
import { asTyped, typedInstant } from '../../parts/kennel-time.ts';
import FieldFrame from '../../parts/FieldFrame.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import type { NeckOnScreen } from '../../stores/neck.ts';
import { useSession } from '../../stores/session.ts';
import { STATE_ANSWERS } from './dress-words.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ neck: NeckOnScreen }>();
const session = useSession();
const zone = computed(() => session.kennel!.timeZone);
const fits = computed(() => props.neck.dressed.fits);
const { open, planId, from, to, state, clock, moves } = useTyped(`past-wear.${props.neck.dogId}`, {
  open: false,
  planId: '',
  from: '',
  to: '',
  state: WEAR_STATES[0] as WearState,
  clock: '',
  moves: '[]',
});
/** Moves of the contacts during it; kept on this device as they are typed. */
const Moves = z.array(z.object({ at: z.string(), clock: z.string() }));
const moved = computed({ get: () => Moves.parse(JSON.parse(moves.value)), set: (now) => (moves.value = JSON.stringify(now)) });
const change = (index: number, now: Partial<{ at: string; clock: string }>) =>
  (moved.value = moved.value.map((one, at) => (at === index ? { ...one, ...now } : one)));
const fault = ref('');
const fit = computed(() => fits.value.find(({ plan }) => plan.id === planId.value) ?? fits.value[0] ?? null);
const contacts = computed(() => props.neck.dressed.contacts.find((one) => one.fit === fit.value) ?? null);
function begin() {
  open.value = true;
  planId.value = fits.value[0]?.plan.id ?? '';
  from.value = asTyped(props.neck.now - 2 * HOUR_MS, zone.value);
  to.value = asTyped(props.neck.now - HOUR_MS, zone.value);
}
function forget() {
  [open.value, planId.value, from.value, to.value, clock.value, moves.value] = [false, '', '', '', '', '[]'];
}
async function keep() {
  const [begun, ended] = [typedInstant(from.value, zone.value), typedInstant(to.value, zone.value)];
  fault.value = 'fault' in begun ? `Put on: ${begun.fault}` : 'fault' in ended ? `Taken off: ${ended.fault}` : '';
  if ('fault' in begun || 'fault' in ended || !fit.value) return;
  if (Date.parse(ended.at) <= Date.parse(begun.at)) fault.value = 'It was taken off before it was put on: a wear cannot end before it begins.';
  else if (Date.parse(ended.at) > Date.now()) fault.value = 'That is in the future.';
  const steps = (contacts.value ? moved.value : []).map((one) => ({ ...one, read: typedInstant(one.at, zone.value) }));
  const wrong = steps.find(({ read }) => 'fault' in read || read.at <= begun.at || read.at >= ended.at);
  if (wrong) fault.value = 'fault' in wrong.read ? `Moved: ${wrong.read.fault}` : 'It was moved between when it went on and when it came off.';
  else if (steps.some(({ clock: place }) => place === '')) fault.value = 'Moved: say to which place.';
  if (fault.value) return;
  const { id: collarId, name } = fit.value.plan.inputs.collar;
  const on = { dogId: props.neck.dogId, collarId };
  const place = contacts.value && clock.value !== '' ? Number(clock.value) : null;
  const done = await props.neck.telling.tellAt(`The wear of ${name} is in the record.`, [
    { event: 'put-on', ...on, clock: place, state: state.value ?? 'worked', at: begun.at },
    ...steps.flatMap(({ read, clock: place }) => ('fault' in read ? [] : [{ event: 'moved' as const, ...on, clock: Number(place), at: read.at }])),
    { event: 'taken-off', ...on, at: ended.at },
  ]);
  if (done) forget();
}
</script>

<template>
  <section class="sheet" aria-label="Said afterwards">
    <h2>Said afterwards</h2>
    <p class="text-sm text-soft">Something was worn and not logged.</p>
    <p v-if="fits.length === 0" class="mt-2">Nothing is fitted yet.</p>
    <button v-else-if="!open" type="button" class="press press-plain mt-2" @click="begin">Log an earlier wear</button>
    <form v-else class="mt-2 space-y-3" novalidate @submit.prevent="keep">
      <ChoiceRow v-model="planId" label="What was on?" :answers="fits.map((one) => ({ value: one.plan.id, label: fitName(one) }))" quiet />
      <div class="grid gap-3 sm:grid-cols-2">
        <label class="block font-semibold">Put on<input v-model="from" type="datetime-local" class="field mt-1 font-normal" /></label>
        <label class="block font-semibold">Taken off<input v-model="to" type="datetime-local" class="field mt-1 font-normal" /></label>
      </div>
      <FieldFrame v-if="contacts" v-slot="{ id }" label="Its contacts sat at">
        <select :id="id" v-model="clock" class="field">
          <option value="">not known</option>
          <option v-for="hour in 12" :key="hour" :value="String(hour)">{{ hour }} o’clock</option>
        </select>
      </FieldFrame>
      <template v-if="contacts">
        <div v-for="(one, index) in moved" :key="index" class="flex flex-wrap items-end gap-3">
          <label class="block font-semibold">
            Moved at
            <input
              :value="one.at"
              type="datetime-local"
              class="field mt-1 font-normal"
              @input="(event) => change(index, { at: (event.target as HTMLInputElement).value })"
            />
          </label>
          <FieldFrame v-slot="{ id }" label="Moved to">
            <select :id="id" :value="one.clock" class="field" @change="(event) => change(index, { clock: (event.target as HTMLSelectElement).value })">
              <option value="">which place?</option>
              <option v-for="hour in 12" :key="hour" :value="String(hour)">{{ hour }} o’clock</option>
            </select>
          </FieldFrame>
          <button type="button" class="press press-quiet" @click="moved = moved.filter((_one, at) => at !== index)">Remove</button>
        </div>
        <button type="button" class="press press-quiet" @click="moved = [...moved, { at: to, clock: '' }]">It was moved meanwhile</button>
      </template>
      <ChoiceRow v-model="state" label="How was it watched?" :answers="STATE_ANSWERS" quiet />
      <p v-if="fault" role="alert" class="font-semibold text-stop">{{ fault }}</p>
      <div class="flex gap-2">
        <button type="submit" class="press press-plain">Save</button>
        <button type="button" class="press press-quiet" @click="open = false">Cancel</button>
      </div>
    </form>
  </section>
</template>
