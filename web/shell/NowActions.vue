<script setup lang="ts">
/** A collar that is on a dog: moved to its next place, contact felt, pink under it, log, off; one tap each. */
import type { WearingNow } from '@banter/contract';
import type { NowActs } from './now-acts.ts';

defineProps<{ one: WearingNow; acts: NowActs }>();
</script>

<template>
  <div class="flex shrink-0 items-stretch">
    <template v-if="acts.hasContacts(one)">
      <button
        v-if="one.nextPlace !== null && one.clock !== null"
        type="button"
        :aria-label="`Moved to ${one.nextPlace}: ${acts.called(one)}`"
        class="now-tap"
        @click="acts.moved(one, one.nextPlace)"
      >
        <span>Moved</span> <span>to {{ one.nextPlace }}</span>
      </button>
      <button type="button" :aria-label="`Contact good: ${acts.called(one)}`" class="now-tap" @click="acts.felt(one)">
        <span>Contact</span> <span>good</span>
      </button>
    </template>
    <button type="button" :aria-label="`Pink: ${acts.called(one)}`" class="now-tap" @click="acts.pink(one, one.clock)">Pink</button>
    <RouterLink :to="{ path: '/field', query: { dog: one.dogId, begin: '1' } }" :aria-label="`Log: ${one.dogName}`" class="now-tap"> Log </RouterLink>
    <button type="button" :aria-label="`Off: ${acts.called(one)}`" class="now-tap font-bold" @click="acts.off(one)">Off</button>
  </div>
</template>
