<script setup lang="ts">
/** Neck: where a dog is dressed for work and undressed after it. A part each for stack, rig, contacts, skin and wear. */
import { computed, proxyRefs, type Component } from 'vue';
import { useRoute } from 'vue-router';
import DogHeader from '../parts/DogHeader.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import SaidBar from '../parts/SaidBar.vue';
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
const PARTS: Record<string, { title: string; part: Component }> = {
  stack: { title: 'Stack and ring', part: StackPart },
  rig: { title: 'Rig', part: RigPart },
  contacts: { title: 'Contacts', part: ContactsPart },
  skin: { title: 'Skin', part: SkinPart },
  wear: { title: 'Wear', part: WearPart },
};
const shown = computed(() => (Object.hasOwn(PARTS, String(route.params.part)) ? String(route.params.part) : 'stack'));
</script>

<template>
  <LoadFrame :state="neck.state" :sentence="neck.sentence" thing="dog" @again="neck.load">
    <DogHeader :dog="neck.page!.dog" :girths="neck.girths" :fits="neck.dressed!.fits" :kennel="session.kennel!" :dressing="neck.page!.dressing" />
    <div class="mb-4 flex flex-wrap items-center gap-x-1 gap-y-1">
      <nav aria-label="Parts of the neck" class="-ml-2.5 flex grow flex-wrap">
        <RouterLink
          v-for="(one, name) in PARTS"
          :key="name"
          :to="`/dogs/${dogId}/neck${name === 'stack' ? '' : `/${name}`}`"
          class="flex min-h-11 items-center rounded-[0.3rem] px-2.5 text-[0.95rem] no-underline hover:bg-felt"
          :class="name === shown ? 'bg-felt font-semibold underline decoration-tape decoration-4 underline-offset-8' : 'text-soft'"
          :aria-current="name === shown ? 'page' : undefined"
        >
          {{ one.title }}
        </RouterLink>
      </nav>
    </div>
    <component :is="PARTS[shown]!.part" :key="shown" :neck="neck as NeckOnScreen" />
    <SaidBar :telling="neck.telling" />
  </LoadFrame>
</template>
