<script setup lang="ts">
/** What is on a dog now, at the foot of a phone on every screen: which collar, where and since when; what is done to it in one tap, and undone in one. */
import { computed, onServerPrefetch, ref } from 'vue';
import SaidBar from '../parts/SaidBar.vue';
import { useTell } from '../stores/tell.ts';
import { useWearing } from '../stores/wearing.ts';
import NowActions from './NowActions.vue';
import NowList from './NowList.vue';
import { useNowActs } from './now-acts.ts';
import { useNowWords } from './now-words.ts';

const props = defineProps<{ dogId: string | null }>();
const wearing = useWearing();
// In the first picture, too.
onServerPrefetch(wearing.look);
const telling = useTell(wearing.look);
const acts = useNowActs(telling);
const words = useNowWords();
const open = ref(false);
/** Of the dog that is open, else what is pressing: what breaks a rule, what is to be moved first, what is on longest. */
const shown = computed(() => {
  const own = props.dogId === null ? [] : wearing.on(props.dogId);
  return own.length > 0 ? own : wearing.pressing;
});
const first = computed(() => shown.value[0] ?? null);
</script>

<template>
  <div v-if="first || telling.said.value || telling.fault.value" role="region" aria-label="On now" class="now-bar relative border-t border-line bg-raised">
    <div class="px-2"><SaidBar :telling="telling" /></div>
    <NowList v-if="open || acts.asking.value" class="border-b border-line" :shown="open ? shown.slice(1) : []" :acts="acts" />
    <div v-if="first" class="flex h-[52px] items-stretch pl-3">
      <component
        :is="shown.length > 1 ? 'button' : 'div'"
        :type="shown.length > 1 ? 'button' : undefined"
        class="min-w-0 grow self-stretch text-left text-sm leading-tight"
        :class="shown.length > 1 ? '' : 'flex flex-col justify-center'"
        :aria-expanded="shown.length > 1 ? open : undefined"
        @click="open = !open"
      >
        <span class="block truncate">
          <strong>{{ first.dogName }}</strong> {{ first.collarName }}<template v-if="shown.length > 1"> +{{ shown.length - 1 }}</template>
        </span>
        <span class="block truncate text-soft">{{ words(first) }}</span>
      </component>
      <NowActions :one="first" :acts="acts" />
    </div>
  </div>
</template>
