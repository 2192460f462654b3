<script setup lang="ts">
/** Check before we go: everything that matters at the door on one screen, read in ten seconds. Green only when each line is. */
import { DOOR_LINES, small, type DoorLineName } from '@banter/core';
import { computed, proxyRefs } from 'vue';
import { useRoute } from 'vue-router';
import { DogHeader } from '../shell/dog-header.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { drawnItems, neckTapeOf } from '@banter/contract';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import ActionBar from '../work/ActionBar.vue';
import WorkScreen from '../work/WorkScreen.vue';
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
/** What is put right first: a stop before what is not known. */
const wrong = computed(() => (['stop', 'mind', 'open'] as const).flatMap((tone) => lines.value.filter((line) => line.tone === tone)));
const toFix = computed(() => wrong.value[0]?.what ?? null);
const left = computed(() => wrong.value.length);
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
    <WorkScreen drawing="The neck" style="--beside-drawing: 36rem; --drawing-column: 31rem">
      <template #decision>
        <div class="rounded-[0.5rem] px-4 py-3" :class="wash[door.tone]">
          <p class="text-sm font-semibold">Check before we go</p>
          <h1>{{ door.sentence }}</h1>
        </div>
      </template>
      <template #drawing>
        <UnrolledNeck
          v-if="tape"
          :tape="tape"
          :name="neck.page!.dog.name"
          :breed="neck.page!.dog.breed"
          :collars="lying.collars"
          :bands="lying.bands"
          size="small"
        />
        <p v-else class="py-6 text-center text-soft">The neck is drawn here once the high girth is taped.</p>
      </template>
      <ul class="divide-y divide-line border-y border-line">
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
      <template #action>
        <ActionBar>
          <div class="flex flex-wrap items-center gap-3">
            <RouterLink v-if="toFix" :to="linkOf(toFix)" class="press press-main">Fix {{ small(NAMES[toFix]) }}</RouterLink>
            <RouterLink :to="{ path: '/field', query: { dog: dogId, begin: '1' } }" class="press" :class="toFix ? 'press-plain' : 'press-main'">
              {{ toFix ? 'Begin anyway' : 'Begin session' }}
            </RouterLink>
            <span v-if="left > 1" class="text-soft max-sm:hidden">{{ left }} left.</span>
          </div>
        </ActionBar>
      </template>
    </WorkScreen>
  </LoadFrame>
</template>
