<script setup lang="ts">
/** A dog's head and neck from its left, flat and quiet, for what hands do there; in a box of 222 by 172. */
import type { EarSet } from '@banter/core';

withDefaults(defineProps<{ ears?: EarSet }>(), { ears: 'drop' });
const EARS: Record<EarSet, string> = {
  drop: 'M114,36 C127,32 139,46 138,70 C137,84 126,88 121,77 C116,64 108,46 114,36 Z',
  prick: 'M106,36 C108,22 114,10 124,3 C134,14 138,28 138,44 C128,38 116,34 106,36 Z',
  folded: 'M110,36 C122,28 142,34 152,44 C142,50 124,50 114,46 Z',
};
</script>

<template>
  <g>
    <path
      d="M24,62 C40,58 62,56 76,50 C84,38 96,30 112,30 C124,30 131,36 137,44 C160,56 190,70 222,76 L222,172 L160,172 C150,150 132,116 112,99 C104,101 92,99 80,95 C60,93 40,91 28,85 C18,82 16,68 24,62 Z"
      fill="var(--hide)"
    />
    <path d="M137,44 C160,56 190,70 222,76 M112,99 C132,116 150,150 160,172" fill="none" stroke="var(--hide-deep)" stroke-width="1.6" />
    <path d="M30,79 C48,84 64,84 77,81" fill="none" stroke="var(--hide-deep)" stroke-width="1.8" stroke-linecap="round" />
    <path d="M18,66 C20,60 28,60 31,65 C29,72 21,73 18,66 Z" fill="var(--hide-ink)" />
    <circle cx="89" cy="51" r="3.4" fill="var(--hide-ink)" />
    <path :d="EARS[ears]" fill="var(--hide-deep)" />
  </g>
</template>
