<script setup lang="ts">
/**
 * The things of the stack from the ears down: dragged by mouse or finger, moved by keys or buttons; each put on and taken off
 * with one tap; what it wears besides is added here.
 */
import type { DressedItem, StackEntry } from '@banter/contract';
import { WEAR_MARK_TONES, WEAR_MARK_WORDS, wordReason, type WearState } from '@banter/core';
import { ArrowDown, ArrowUp, GripVertical } from '@lucide/vue';
import { computed, nextTick, ref, watch } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import VerdictMark from '../../parts/VerdictMark.vue';
import type { NeckOnScreen } from '../../stores/neck.ts';
import { useSession } from '../../stores/session.ts';
import { useUnits } from '../../stores/units.ts';
import { mayGoOn, nextPlaceOf, openWearOf, putOn, sinceWords } from './dress-words.ts';
import StackExtra from './StackExtra.vue';

const props = defineProps<{ neck: NeckOnScreen; state: WearState }>();
const emit = defineEmits<{ relay: [stack: StackEntry[]] }>();
const session = useSession();
const units = useUnits();
const dressed = computed(() => props.neck.dressed);
const items = computed({
  get: () => [...dressed.value.items],
  set: (list: DressedItem[]) =>
    emit(
      'relay',
      list.map(({ entry }) => entry),
    ),
});
const box = ref<HTMLElement | null>(null);
const moved = ref('');
async function move(item: DressedItem, by: -1 | 1) {
  const index = items.value.indexOf(item);
  const to = index + by;
  if (to < 0 || to >= items.value.length) return;
  const next = [...items.value];
  next.splice(to, 0, ...next.splice(index, 1));
  items.value = next;
  moved.value = `${item.name} is ${to === 0 ? 'directly behind the ears' : `number ${to + 1} from the ears`} now.`;
  await nextTick();
  focusGrip(item.id);
}
const focusGrip = (id: string) => box.value?.querySelector<HTMLElement>(`[data-item="${CSS.escape(id)}"] [data-grip]`)?.focus();
// A row that changes its place in the page loses the focus: an answer of the server, or a colleague’s order, moves rows too.
watch(
  () => items.value.map(({ id }) => id).join(),
  async () => {
    const held = box.value?.contains(document.activeElement) ? document.activeElement?.closest<HTMLElement>('[data-item]')?.dataset.item : undefined;
    await nextTick();
    if (held && document.activeElement === document.body) focusGrip(held);
  },
);
function keys(event: KeyboardEvent, item: DressedItem) {
  if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
  event.preventDefault();
  void move(item, event.key === 'ArrowUp' ? -1 : 1);
}
const leaveOff = (item: DressedItem) =>
  emit(
    'relay',
    items.value.filter((one) => one !== item).map(({ entry }) => entry),
  );
const wearOf = (item: DressedItem) => openWearOf(dressed.value, item);
const alarmsOf = (item: DressedItem) =>
  (dressed.value.wears.find(({ wear }) => wear === wearOf(item))?.marks ?? [])
    .filter(({ to }) => to === null)
    .map((mark) => ({ tone: WEAR_MARK_TONES[mark.code], text: wordReason(WEAR_MARK_WORDS, mark, units.speak).text }));
function toggle(item: DressedItem) {
  const dogId = props.neck.page.dog.id;
  const { telling } = props.neck;
  if (wearOf(item)) void telling.tell(`${item.name} is off.`, [{ event: 'taken-off', dogId, collarId: item.fit!.plan.inputs.collar.id }]);
  else void telling.tell(`${item.name} is on.`, putOn(dogId, dressed.value, [item], props.state));
}
/**
 * A row that is still on its way makes no room: where frames are slow it lies under the pointer as it did, and would change places with
 * what it has just made room for.
 */
const stands = ({ related }: { related: HTMLElement & { animated?: unknown } }) => !related.animated;
/** What hangs on the pointer is a picture: read aloud, the collar stands in the list alone. */
function hideCopy() {
  for (const copy of document.querySelectorAll('.drag-copy')) copy.setAttribute('aria-hidden', 'true');
}
</script>

<template>
  <div ref="box">
    <!-- Mouse and finger drag by the same means, looked at as long as they hold: the browser’s own dragging is heard only while it moves. -->
    <VueDraggable
      v-model="items"
      tag="ol"
      handle="[data-grip]"
      :animation="120"
      :force-fallback="true"
      :fallback-on-body="true"
      fallback-class="drag-copy"
      class="divide-y divide-line"
      aria-label="From the ears down"
      :on-move="stands"
      @start="hideCopy"
    >
      <li v-for="(item, index) in items" :key="item.id" :data-item="item.id" class="bg-felt py-2">
        <div class="flex flex-wrap items-center gap-x-1">
          <button
            type="button"
            data-grip
            class="flex min-h-12 w-9 shrink-0 cursor-grab touch-none items-center justify-center rounded text-soft hover:text-ink"
            :aria-label="`${item.name}, number ${index + 1} from the ears. Drag, or move with the arrow keys.`"
            @keydown="keys($event, item)"
          >
            <GripVertical :size="20" aria-hidden="true" />
          </button>
          <span class="min-w-0 grow basis-40">
            <span class="block font-semibold first-letter:uppercase">{{ item.name }}</span>
            <span class="block text-sm text-soft">
              {{ item.widthMm > 0 ? units.gap(item.widthMm) : 'behind the neck' }}
              <template v-if="wearOf(item)"> · on {{ sinceWords(wearOf(item)!, neck.now, session.kennel!.timeZone) }}</template>
              <template v-else-if="!item.fit"> · worn by itself</template>
            </span>
          </span>
          <span class="ml-auto flex items-center gap-1">
            <button type="button" class="press min-h-11 px-1.5 text-soft" :disabled="index === 0" @click="move(item, -1)">
              <ArrowUp :size="20" aria-hidden="true" />
              <span class="sr-only">{{ item.name }} up, towards the ears</span>
            </button>
            <button type="button" class="press min-h-11 px-1.5 text-soft" :disabled="index === items.length - 1" @click="move(item, 1)">
              <ArrowDown :size="20" aria-hidden="true" />
              <span class="sr-only">{{ item.name }} down, towards the shoulders</span>
            </button>
            <button v-if="item.fit" type="button" class="press press-plain shrink-0" :disabled="!wearOf(item) && !mayGoOn(dressed, item)" @click="toggle(item)">
              {{ wearOf(item) ? 'Take off' : nextPlaceOf(dressed, item) === null ? 'Put on' : `Put on at ${nextPlaceOf(dressed, item)}` }}
              <span class="sr-only">: {{ item.name }}</span>
            </button>
            <button v-else type="button" class="press press-quiet shrink-0" @click="leaveOff(item)">
              Leave off<span class="sr-only">: {{ item.name }}</span>
            </button>
          </span>
        </div>
        <p v-if="!wearOf(item) && !mayGoOn(dressed, item)" class="mt-1 pl-10 text-sm text-stop">
          It stays off: no place on this neck is free, by skin, school and windpipe.
          <RouterLink :to="`/dogs/${neck.dogId}/neck/contacts`" class="underline">Why</RouterLink>
        </p>
        <p v-for="alarm in alarmsOf(item)" :key="alarm.text" class="mt-1 pl-10">
          <VerdictMark class="text-sm" :tone="alarm.tone" :word="alarm.text" />
        </p>
      </li>
    </VueDraggable>
    <p class="sr-only" role="status" aria-live="polite">{{ moved }}</p>
    <div class="mt-2 flex flex-wrap items-center gap-x-3">
      <StackExtra :dog-id="neck.dogId" @add="(entry) => emit('relay', [...items.map((item) => item.entry), entry])" />
      <button v-if="neck.dressing.canUndo.value" type="button" class="press press-quiet" @click="neck.dressing.undo()">Undo</button>
    </div>
    <div role="status" aria-live="polite">
      <p v-if="neck.dressing.keeping.state.value === 'waiting'" class="mt-2 rounded bg-mind-wash p-2 text-mind">
        {{ neck.dressing.keeping.sentence.value }} Not saved yet: the order is safe on this device.
        <button type="button" class="font-semibold underline" @click="neck.dressing.keeping.tryNow()">Try now</button>
      </p>
      <p v-else-if="neck.dressing.keeping.conflict.value" class="mt-2 rounded bg-mind-wash p-2 text-mind">
        Somebody has dressed {{ neck.page.dog.name }} otherwise since. Yours is still here.
        <button type="button" class="font-semibold underline" @click="neck.dressing.theirs()">Show theirs</button>
      </p>
      <p v-else-if="neck.dressing.keeping.state.value === 'refused'" class="mt-2 rounded bg-stop-wash p-2 font-semibold text-stop">
        Not saved. {{ neck.dressing.keeping.sentence.value }}
      </p>
      <p v-else-if="neck.dressing.left.value" class="mt-2 rounded bg-mind-wash p-2 text-mind">
        This order was not saved.
        <button type="button" class="font-semibold underline" @click="neck.dressing.send()">Save</button>
      </p>
      <p v-else-if="!dressed.laidOut && items.length > 0" class="mt-2 text-sm text-soft">
        In the usual order; nobody has laid it out yet.
        <button
          type="button"
          class="underline"
          @click="
            emit(
              'relay',
              items.map((item) => item.entry),
            )
          "
        >
          It lies like this
        </button>
      </p>
    </div>
  </div>
</template>
