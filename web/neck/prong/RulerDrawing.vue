<script setup lang="ts">
/** How to lay the string or ruler, for each of a prong’s three numbers. */
defineProps<{ what: string }>();
const around = (count: number, radius: number) => Array.from({ length: count }, (_none, n) => ({ turn: (360 / count) * n, radius }));
</script>

<template>
  <svg viewBox="0 0 200 120" class="block w-full" aria-hidden="true" fill="none" stroke-linecap="round">
    <g v-if="what !== 'acrossFive'" transform="translate(100 62)">
      <g
        v-for="one in around(12, what === 'inside' ? 38 : 29)"
        :key="one.turn"
        :transform="`rotate(${one.turn}) translate(0 ${-one.radius})`"
        stroke="var(--steel)"
        stroke-width="2.4"
      >
        <path d="M-6 0 C-6 -15 6 -15 6 0" />
      </g>
      <circle :r="what === 'inside' ? 36.5 : 27.5" stroke="#d9a200" stroke-width="3" />
      <path v-if="what === 'closed'" d="M0 -46 V-58 M-4 -54 L0 -59 L4 -54" stroke="var(--ink)" stroke-width="2" />
    </g>
    <g v-else>
      <g v-for="n in 6" :key="n" :transform="`translate(${10 + n * 26} 58)`" stroke="var(--steel)" stroke-width="2.4">
        <path d="M-8 18 C-8 -12 8 -12 8 18" />
        <path d="M6 -3 H20" />
      </g>
      <path d="M28 88 V96 M158 88 V96 M28 92 H158" stroke="#d9a200" stroke-width="3" />
    </g>
  </svg>
</template>
