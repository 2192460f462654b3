<script setup lang="ts">
/** A dog seen from above, its nose to the top, its shoulder at the origin; about 150 long. */
withDefaults(defineProps<{ coat?: 'hide' | 'steel'; turned?: number; collar?: boolean }>(), { coat: 'hide', turned: 0, collar: true });
</script>

<template>
  <g :transform="`rotate(${turned})`">
    <path d="M-5 92 C-9 110 4 118 -2 134" fill="none" :stroke="coat === 'hide' ? 'var(--hide-deep)' : 'var(--steel)'" stroke-width="7" stroke-linecap="round" />
    <path
      d="M0 -16 C19 -16 24 0 23 20 C22 38 19 44 21 64 C23 84 13 96 0 96 C-13 96 -23 84 -21 64 C-19 44 -22 38 -23 20 C-24 0 -19 -16 0 -16Z"
      :fill="coat === 'hide' ? 'var(--hide)' : 'var(--steel-light)'"
      :stroke="coat === 'hide' ? 'var(--hide-deep)' : 'var(--steel)'"
      stroke-width="2"
    />
    <path
      d="M0 -66 C6 -66 9 -58 10 -50 C18 -46 19 -34 13 -27 C9 -20 5 -14 0 -14 C-5 -14 -9 -20 -13 -27 C-19 -34 -18 -46 -10 -50 C-9 -58 -6 -66 0 -66Z"
      :fill="coat === 'hide' ? 'var(--hide)' : 'var(--steel-light)'"
      :stroke="coat === 'hide' ? 'var(--hide-deep)' : 'var(--steel)'"
      stroke-width="2"
    />
    <path
      d="M-12 -44 C-21 -42 -22 -28 -17 -22 C-13 -27 -11 -34 -12 -44Z M12 -44 C21 -42 22 -28 17 -22 C13 -27 11 -34 12 -44Z"
      :fill="coat === 'hide' ? 'var(--hide-deep)' : 'var(--steel)'"
    />
    <ellipse cx="0" cy="-63" rx="4" ry="3" fill="var(--hide-ink)" />
    <rect v-if="collar" x="-13" y="-20" width="26" height="6" rx="3" fill="var(--deep)" />
  </g>
</template>
