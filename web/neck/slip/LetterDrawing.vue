<script setup lang="ts">
/** The open loop as it is held facing the dog: a P for a dog worked on the left, the mirrored P on the right. */
import { loopLetter } from '@banter/core/collars/slip';
import { computed } from 'vue';

const props = defineProps<{ worksOn: 'left' | 'right' }>();
const letter = computed(() => loopLetter(props.worksOn));
</script>

<template>
  <figure class="flex items-center gap-4">
    <svg viewBox="0 0 90 120" class="h-28 w-auto" role="img" :aria-label="`Facing the dog the loop makes a ${letter}.`">
      <g fill="none" stroke="var(--steel)" stroke-width="5" stroke-dasharray="8 3" :transform="worksOn === 'left' ? undefined : 'translate(90 0) scale(-1 1)'">
        <path d="M26 112 V22" />
        <path d="M26 22 C60 6 84 26 76 46 C70 64 44 64 26 52" />
      </g>
      <g fill="none" stroke="var(--ink)" stroke-width="4" :transform="worksOn === 'left' ? undefined : 'translate(90 0) scale(-1 1)'">
        <circle cx="26" cy="52" r="7" />
        <circle cx="26" cy="112" r="6" />
      </g>
    </svg>
    <figcaption class="text-soft">
      Facing the dog: a
      <strong class="text-ink">{{ letter }}</strong>
      , as it works on the {{ worksOn }}. The running part crosses the top of the neck and lets go when the leash does; the other way round it stays tight.
    </figcaption>
  </figure>
</template>
