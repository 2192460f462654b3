<script setup lang="ts">
/** A handover as the owner reads it, on the screen as on paper: what matters first, the drawings, then line by line. */
import { labelled } from '@banter/core';
import type { HandoverSheet } from '@banter/contract';
import SheetDrawing from '../../paper/SheetDrawing.vue';

defineProps<{ sheet: HandoverSheet; toWhom: string; callWhom: string; note: string; day: string }>();
const FIRST = ['wears', 'ring', 'where'];
</script>

<template>
  <article class="paper" :aria-label="`Handover of ${sheet.dogName}`">
    <header class="flex flex-wrap items-baseline justify-between gap-x-6">
      <h2 class="text-3xl">{{ sheet.dogName }}</h2>
      <p class="text-soft">
        <template v-if="toWhom">for {{ toWhom }} · </template>{{ sheet.kennelName }}, {{ day }}
      </p>
    </header>
    <p class="text-soft">{{ sheet.facts }}</p>
    <p class="mt-2 text-lg font-semibold">{{ sheet.lead }}</p>
    <figure v-if="sheet.drawings.neck" class="mx-auto mt-3 max-w-2xl">
      <SheetDrawing :sheet="sheet" which="neck" />
      <figcaption class="text-center text-sm text-soft">The neck unrolled, to scale: ears at the top, nape in the middle, left and right the dog’s.</figcaption>
    </figure>
    <div class="mt-2 grid gap-x-8 sm:grid-cols-[minmax(0,1fr)_minmax(9rem,13rem)]">
      <div>
        <section v-for="part in sheet.sections.filter(({ key }) => FIRST.includes(key))" :key="part.key" :aria-label="part.title">
          <h3>{{ part.title }}</h3>
          <p v-for="line in part.lines" :key="line.key">
            <strong v-if="line.label">{{ labelled(line.label) }}</strong> {{ line.text }}
          </p>
        </section>
      </div>
      <div class="flex gap-4 max-sm:mt-3 sm:block sm:space-y-4">
        <figure v-if="sheet.drawings.side" class="min-w-0 grow basis-0">
          <SheetDrawing :sheet="sheet" which="side" />
          <figcaption class="text-center text-sm text-soft">From above: {{ sheet.dogName }} works on your {{ sheet.worksOn }}.</figcaption>
        </figure>
        <SheetDrawing v-if="sheet.drawings.letter" class="min-w-0 grow basis-0" :sheet="sheet" which="letter" />
        <figure v-if="sheet.drawings.clock" class="min-w-0 grow basis-0">
          <SheetDrawing :sheet="sheet" which="clock" />
          <figcaption class="text-center text-sm text-soft">From behind the dog: 1 first, then the next.</figcaption>
        </figure>
      </div>
    </div>
    <section
      v-for="part in sheet.sections.filter(({ key }) => !FIRST.includes(key) && key !== 'if' && key !== 'call')"
      :key="part.key"
      :aria-label="part.title"
    >
      <h3>{{ part.title }}</h3>
      <p v-for="line in part.lines" :key="line.key">
        <strong v-if="line.label">{{ labelled(line.label) }}</strong> {{ line.text }}
      </p>
    </section>
    <section aria-label="Every day">
      <h3>Every day</h3>
      <ul>
        <li v-for="line in sheet.daily" :key="line.key" class="flex gap-2 py-0.5">
          <span aria-hidden="true" class="mt-1 size-3.5 shrink-0 border border-soft"></span>{{ line.text }}
        </li>
      </ul>
    </section>
    <section v-for="part in sheet.sections.filter(({ key }) => key === 'if' || key === 'call')" :key="part.key" :aria-label="part.title">
      <h3>{{ part.title }}</h3>
      <component :is="part.key === 'call' ? 'ul' : 'div'" :class="part.key === 'call' && 'list-disc pl-5'">
        <component :is="part.key === 'call' ? 'li' : 'p'" v-for="line in part.lines" :key="line.key">
          <strong v-if="line.label">{{ labelled(line.label) }}</strong> {{ line.text }}
        </component>
      </component>
    </section>
    <div v-if="callWhom || note" class="mt-4 border-2 border-deep p-3">
      <p v-if="callWhom" class="font-semibold">Call {{ callWhom }}</p>
      <p v-if="note" class="whitespace-pre-line">{{ note }}</p>
    </div>
    <p v-for="caution in sheet.cautions" :key="caution" class="mt-1.5 text-sm text-soft">{{ caution }}</p>
  </article>
</template>
