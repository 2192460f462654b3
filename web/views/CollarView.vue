<script setup lang="ts">
/** A collar of the locker: added or measured anew, by the form of its kind. */
import { Collar, COLLAR_KIND_NAMES, RecordId, type CollarKindName } from '@banter/contract';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import LoadFrame from '../parts/LoadFrame.vue';
import { useLoad } from '../stores/load.ts';
import CollarForm from './locker/CollarForm.vue';

const route = useRoute();
const id = RecordId.safeParse(route.params.id).data ?? '';
const isNew = route.query.new === '1';
const loaded = isNew ? null : useLoad(() => `/api/collars/${id}`, Collar);
const kind = computed<CollarKindName>(() => loaded?.data.value?.kind ?? COLLAR_KIND_NAMES.find((name) => name === route.query.kind) ?? COLLAR_KIND_NAMES[0]);
</script>

<template>
  <LoadFrame :state="loaded ? loaded.state.value : 'ready'" :sentence="loaded?.sentence.value ?? ''" thing="collar" @again="loaded?.load()">
    <CollarForm :kind="kind" :collar="loaded?.data.value ?? null" />
  </LoadFrame>
</template>
