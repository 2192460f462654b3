<script setup lang="ts">
/** What the skin looked like, on a drawing: nothing for clear, a dashed ring for pink, a lozenge for red or hairless, a barred square for broken, with its grade. */
defineProps<{ x: number; y: number; size: number; grade: 0 | 1 | 2 | 3 }>();
</script>

<template>
  <g v-if="grade > 0" :transform="`translate(${x} ${y}) scale(${size / 10})`" stroke-width="1.6">
    <circle v-if="grade === 1" r="8" fill="var(--mind-wash)" stroke="var(--mind)" stroke-dasharray="3 2" />
    <path v-else-if="grade === 2" d="M0,-10 10,0 0,10 -10,0Z" fill="var(--stop-wash)" stroke="var(--stop)" />
    <rect v-else x="-8" y="-8" width="16" height="16" fill="var(--stop-wash)" stroke="var(--stop)" />
    <text y="3.6" font-size="10.5" font-weight="700" text-anchor="middle" :fill="grade === 1 ? 'var(--mind)' : 'var(--stop)'" stroke="none">{{ grade }}</text>
  </g>
</template>
