<script setup lang="ts">
/** The one thing to press, in reach wherever one has scrolled: it stands at the foot of the screen, on a phone above what stands there. */
</script>

<template>
  <div class="action-bar no-print sticky bottom-[var(--strip,0px)] z-10 -mx-4 mt-4 border-t border-line bg-ground px-4 py-2 sm:-mx-6 sm:px-6"><slot /></div>
</template>
