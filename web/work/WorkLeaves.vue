<script setup lang="ts" generic="Id extends string">
/** What stands beside a decision, a leaf at a time: a row of names, one of which is open. Arrow keys go along. A mark says that a leaf has something to see to. */
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { computed } from 'vue';

export type Leaf<Id extends string> = { id: Id; name: string; mark?: 'stop' | 'mind' | undefined };
const props = defineProps<{ leaves: readonly Leaf<Id>[]; label: string }>();
const open = defineModel<Id>({ required: true });
const index = computed(() =>
  Math.max(
    0,
    props.leaves.findIndex(({ id }) => id === open.value),
  ),
);
const signs = { stop: '■', mind: '◆' } as const;
</script>

<template>
  <!-- A leaf is opened by its name: while others come or go, a place in the row may mean another one. -->
  <TabGroup :selected-index="index" manual>
    <div class="sheet pt-2!">
      <TabList class="-mx-2 flex overflow-x-auto border-b border-line" :aria-label="label">
        <Tab v-for="leaf in leaves" :key="leaf.id" v-slot="{ selected }" as="template">
          <button
            type="button"
            class="relative min-h-12 shrink-0 px-2.5 whitespace-nowrap -outline-offset-3 sm:px-3"
            :class="selected ? 'font-semibold shadow-[inset_0_-3px_var(--tape)]' : 'text-soft hover:text-ink'"
            @click="open = leaf.id"
            @keydown.enter.space="open = leaf.id"
          >
            {{ leaf.name
            }}<span v-if="leaf.mark" class="ml-1 text-sm" :class="leaf.mark === 'stop' ? 'text-stop' : 'text-mind'"
              ><span aria-hidden="true">{{ signs[leaf.mark] }}</span
              ><span class="sr-only">{{ leaf.mark === 'stop' ? ', a stop' : ', to see to' }}</span></span
            >
          </button>
        </Tab>
      </TabList>
      <TabPanels class="mt-3">
        <TabPanel v-for="leaf in leaves" :key="leaf.id" class="outline-offset-4"><slot :name="leaf.id" /></TabPanel>
      </TabPanels>
    </div>
  </TabGroup>
</template>
