<template>
  <svg viewBox="0 0 32 32" aria-hidden="true">
    <circle cx="16" cy="17" r="8" fill="var(--hide)" />
    <path d="M16 5.2 A11.8 11.8 0 1 0 16.01 5.2" fill="none" stroke="var(--deep)" stroke-width="3.2" stroke-dasharray="6 2.24" />
    <circle cx="16" cy="4.6" r="3" fill="none" stroke="#d9a200" stroke-width="2" />
  </svg>
</template>
