<script lang="ts">
/** Whether a decision has been painted since the page was opened. */
let painted = false;
</script>

<script setup lang="ts">
/**
 * What stands under a decision. On the first screen after the page was opened the decision is painted first, and this a frame later: on a slow phone
 * there would else be nothing to read for as long as all of it takes. From then on it comes with the decision.
 */
import { onMounted, ref } from 'vue';
import { hasFirstPicture } from '../first-picture/in-the-page.ts';

// A page that nobody looks at paints nothing that could be waited for.
// The first picture has all of it, and so has the screen that takes its place.
const drawn = ref(painted || import.meta.env.SSR || hasFirstPicture() || document.hidden);
function draw() {
  painted = true;
  drawn.value = true;
}
// Within the frame the decision is not painted yet; right after it, it is.
onMounted(() => drawn.value || requestAnimationFrame(() => setTimeout(draw)));
</script>

<template>
  <slot v-if="drawn" />
  <!-- What comes after it stands where it will: below what is seen. -->
  <div v-else class="h-dvh" />
</template>
