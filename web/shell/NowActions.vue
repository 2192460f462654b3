<script setup lang="ts">
/** A collar that is on a dog: moved to its next place, contact felt, pink under it, log, off; one tap each. */
import type { WearingNow } from '@banter/contract';
import type { NowActs } from './now-acts.ts';

defineProps<{ one: WearingNow; acts: NowActs }>();
</script>

<template>
  <div class="flex shrink-0 items-stretch">
    <template v-if="acts.hasContacts(one)">
      <button v-if="one.nextPlace !== null && one.clock !== null" type="button" class="now-tap" @click="acts.moved(one, one.nextPlace)">
        <span>Moved</span> <span>to {{ one.nextPlace }}</span
        ><span class="sr-only">: {{ acts.called(one) }}</span>
      </button>
      <button type="button" class="now-tap" @click="acts.felt(one)">
        <span>Contact</span> <span>good</span><span class="sr-only">: {{ acts.called(one) }}</span>
      </button>
    </template>
    <button type="button" class="now-tap" @click="acts.pink(one, one.clock)">
      Pink<span class="sr-only">: {{ acts.called(one) }}</span>
    </button>
    <RouterLink :to="{ path: '/field', query: { dog: one.dogId, begin: '1' } }" class="now-tap">
      Log<span class="sr-only">: {{ one.dogName }}</span>
    </RouterLink>
    <button type="button" class="now-tap font-bold" @click="acts.off(one)">
      Off<span class="sr-only">: {{ acts.called(one) }}</span>
    </button>
  </div>
</template>
