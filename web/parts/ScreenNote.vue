<script setup lang="ts">
/** What screening says against a kind: a stop with its reason and the way to lift it, a vet to ask, or a caution; short, beside the work. */
import type { ScreenResult } from '@banter/core';
import { SCREEN_LEVEL_WORDS } from '@banter/core';

/** `unsaved`: the dog is not there yet, so that nothing can be lifted for it. */
defineProps<{ screen: ScreenResult; dogId: string; kind: string; unsaved?: boolean }>();
</script>

<template>
  <div v-if="screen.notScreened || screen.findings.length > 0" class="space-y-2">
    <p v-if="screen.notScreened" class="rounded bg-stop-wash p-3 text-stop">
      <strong>Not screened yet.</strong>
      Anything against a {{ kind }}? Ten questions, before it is planned.
      <RouterLink :to="`/dogs/${dogId}/screen`" class="font-semibold underline">Screen</RouterLink>
    </p>
    <p
      v-for="finding in screen.findings"
      :key="finding.id"
      class="rounded p-3"
      :class="finding.lifted ? 'bg-felt text-soft' : finding.level === 'caution' ? 'bg-mind-wash text-mind' : 'bg-stop-wash text-stop'"
    >
      <strong class="first-letter:uppercase">{{ finding.lifted ? 'Lifted' : finding.unknown ? 'Not known' : SCREEN_LEVEL_WORDS[finding.level] }}:</strong>
      {{ finding.name }}? {{ finding.why }}
      <RouterLink v-if="!unsaved && !finding.lifted && finding.level !== 'caution'" :to="`/dogs/${dogId}/screen`" class="font-semibold underline">
        Lift it with a note
      </RouterLink>
    </p>
  </div>
</template>
