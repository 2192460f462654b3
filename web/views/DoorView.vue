<script setup lang="ts">
/** Check before we go: everything that matters at the door on one screen, read in ten seconds. Green only when each line is. */
import { DOOR_LINES, type DoorLineName } from '@banter/core';
import { computed, proxyRefs } from 'vue';
import { useRoute } from 'vue-router';
import { DogHeader } from '../shell/dog-header.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { drawnItems, neckTapeOf } from '@banter/contract';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import { useNeck } from '../stores/neck.ts';
import { useSession } from '../stores/session.ts';

const route = useRoute();
const session = useSession();
const dogId = String(route.params.id);
const neck = proxyRefs(useNeck(dogId));
const door = computed(() => neck.dressed!.door);
const tape = computed(() => neckTapeOf(neck.girths));
const lying = computed(() =>
  drawnItems(neck.dressed!.items, neck.page!.dog, session.kennel!, (kind) => {
    const contacts = neck.dressed!.contacts.find(({ fit }) => fit.plan.kind === kind);
    return contacts ? (contacts.at ?? contacts.rotation.next) : null;
  }),
);
const NAMES: Record<DoorLineName, string> = {
  stack: 'Stack',
  gear: 'Gear',
  fit: 'Fit',
  ring: 'Ring',
  side: 'Side',
  rig: 'Rig',
  contacts: 'Contacts',
  skin: 'Skin',
  routine: 'Routine',
  supervision: 'Watched',
};
/** Where a line is put right: a part of the dog's, but gear, which is the kennel's. */
const fixIn: Record<DoorLineName, string> = {
  stack: 'neck',
  gear: '/upkeep',
  fit: 'check',
  ring: 'bench',
  side: 'edit',
  rig: 'neck/rig',
  contacts: 'neck/contacts',
  skin: 'neck/skin',
  routine: 'neck/contacts',
  supervision: 'neck',
};
const linkOf = (what: DoorLineName) => (fixIn[what].startsWith('/') ? fixIn[what] : `/dogs/${dogId}/${fixIn[what]}`);
const lines = computed(() => DOOR_LINES.map((name) => door.value.lines.find(({ what }) => what === name)!));
const WORDS = { good: 'good', mind: 'look', stop: 'stop', open: 'not known', none: '' } as const;
const wash = { good: 'bg-good-wash text-good', mind: 'bg-mind-wash text-mind', stop: 'bg-stop-wash text-stop', open: 'bg-felt text-ink' };
</script>

<template>
  <LoadFrame :state="neck.state" :sentence="neck.sentence" thing="dog" @again="neck.load">
    <DogHeader
      class="max-sm:hidden"
      :dog="neck.page!.dog"
      :girths="neck.girths"
      :fits="neck.dressed!.fits"
      :kennel="session.kennel!"
      :dressing="neck.page!.dressing"
    />
    <div class="grid gap-6 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
      <div>
        <div class="rounded-[0.5rem] p-4 sm:p-5" :class="wash[door.tone]" role="status" aria-live="polite">
          <p class="flex items-center gap-2 text-sm font-semibold">
            <RouterLink :to="`/dogs/${dogId}`" class="sm:hidden">{{ neck.page!.dog.name }}</RouterLink>
            <span class="max-sm:before:mr-2 max-sm:before:content-['·']">Check before we go</span>
          </p>
          <h1 class="mt-1 text-[clamp(1.6rem,6vw,2.5rem)]">{{ door.sentence }}</h1>
        </div>
        <ul class="mt-4 divide-y divide-line border-y border-line">
          <li v-for="line in lines" :key="line.what">
            <component
              :is="line.tone === 'good' || line.tone === 'none' ? 'div' : 'RouterLink'"
              :to="line.tone === 'good' || line.tone === 'none' ? undefined : linkOf(line.what)"
              class="grid min-h-13 grid-cols-[7.4rem_minmax(0,1fr)] items-center gap-x-3 py-2 no-underline sm:grid-cols-[8.5rem_minmax(0,1fr)_auto]"
            >
              <VerdictMark v-if="line.tone !== 'none'" class="justify-self-start" :tone="line.tone" :word="NAMES[line.what]" />
              <span v-else class="pl-2.5 text-soft">{{ NAMES[line.what] }}</span>
              <span :class="line.tone === 'none' ? 'text-soft' : line.tone === 'good' ? '' : 'font-semibold'">
                {{ line.says }}
                <span class="sr-only">({{ WORDS[line.tone] }})</span>
              </span>
              <span v-if="line.tone !== 'good' && line.tone !== 'none'" class="text-sm text-soft underline max-sm:hidden">Fix</span>
            </component>
          </li>
        </ul>
      </div>
      <section v-if="tape" class="sheet self-start" aria-label="The neck">
        <UnrolledNeck :tape="tape" :name="neck.page!.dog.name" :collars="lying.collars" :bands="lying.bands" size="small" />
        <p class="mt-2 text-sm text-soft">From the ears down, to scale. Left and right are the dog’s.</p>
        <RouterLink :to="`/dogs/${dogId}/neck`" class="press press-plain mt-2">Dress {{ neck.page!.dog.name }}</RouterLink>
      </section>
    </div>
  </LoadFrame>
</template>
