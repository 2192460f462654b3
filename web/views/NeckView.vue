<script setup lang="ts">
/** Neck: where a dog is dressed for work and undressed after it. A part each for stack, rig, contacts, skin and wear. */
import { computed, proxyRefs, type Component } from 'vue';
import { useRoute } from 'vue-router';
import { DogHeader } from '../shell/dog-header.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import { useNeck, type NeckOnScreen } from '../stores/neck.ts';
import { useSession } from '../stores/session.ts';
import ContactsPart from './neck/ContactsPart.vue';
import RigPart from './neck/RigPart.vue';
import SkinPart from './neck/SkinPart.vue';
import StackPart from './neck/StackPart.vue';
import WearPart from './neck/WearPart.vue';

const route = useRoute();
const session = useSession();
const dogId = String(route.params.id);
const neck = proxyRefs(useNeck(dogId));
const PARTS: Record<string, Component> = { stack: StackPart, rig: RigPart, contacts: ContactsPart, skin: SkinPart, wear: WearPart };
const shown = computed(() => (Object.hasOwn(PARTS, String(route.params.part)) ? String(route.params.part) : 'stack'));
</script>

<template>
  <LoadFrame :state="neck.state" :sentence="neck.sentence" thing="dog" @again="neck.load">
    <DogHeader :dog="neck.page!.dog" :girths="neck.girths" :fits="neck.dressed!.fits" :kennel="session.kennel!" :dressing="neck.page!.dressing" />
    <component :is="PARTS[shown]!" :key="shown" :neck="neck as NeckOnScreen" />
  </LoadFrame>
</template>
