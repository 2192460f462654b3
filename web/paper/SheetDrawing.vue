<script setup lang="ts">
/** One of the drawings of a handover, in the owner's units. */
import { collarKind, type CollarKindName, type DrawnCollar, type HandoverSheet } from '@banter/contract';
import { computed, provide } from 'vue';
import SideDrawing from '../neck/SideDrawing.vue';
import LetterDrawing from '../neck/slip/LetterDrawing.vue';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import { GIVEN_UNITS, givenUnits } from '../stores/units.ts';
import PaperClock from './PaperClock.vue';
import type { PaperDrawing } from './paper-drawing-names.ts';

const props = defineProps<{ sheet: HandoverSheet; which: PaperDrawing }>();
const units = givenUnits(props.sheet.lengthUnit, props.sheet.massUnit);
// An owner reads a tape in eighths or half centimetres, as the lines beside say it.
provide(GIVEN_UNITS, { ...units, exact: units.girth });
const drawings = computed(() => props.sheet.drawings);
// A sheet is kept as data; a kind that is no longer known is not drawn.
const collars = computed(
  () => (drawings.value.neck?.collars ?? []).filter(({ kind }) => collarKind(kind as CollarKindName) !== undefined) as unknown as DrawnCollar[],
);
const ring = computed(() => drawings.value.side && { ...drawings.value.side, ring: null, leashOn: null, travelMm: null, letter: null, see: [] });
</script>

<template>
  <UnrolledNeck
    v-if="which === 'neck' && drawings.neck"
    :tape="drawings.neck.tape"
    :name="sheet.dogName"
    v-bind="drawings.neck.breed ? { breed: drawings.neck.breed } : {}"
    :collars="collars"
    :bands="drawings.neck.bands"
    size="large"
  />
  <SideDrawing v-else-if="which === 'side' && ring" :ring="ring" :name="sheet.dogName" :works-on="sheet.worksOn" />
  <LetterDrawing v-else-if="which === 'letter' && drawings.letter" :works-on="sheet.worksOn" />
  <PaperClock v-else-if="which === 'clock' && drawings.clock" v-bind="drawings.clock" :name="sheet.dogName" />
</template>
