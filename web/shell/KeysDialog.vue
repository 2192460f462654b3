<script setup lang="ts">
/** The list of keys, opened with `?`. */
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';
import { useKeys } from '../stores/keys.ts';

const keys = useKeys();
</script>

<template>
  <Dialog :open="keys.listed" class="relative z-30" @close="keys.listed = false">
    <div class="fixed inset-0 bg-black/50" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel class="sheet max-h-[85vh] w-full max-w-lg overflow-y-auto">
        <DialogTitle as="h2">Keys on this screen</DialogTitle>
        <section v-for="group in keys.groups" :key="group.title" class="mt-4">
          <h3>{{ group.title }}</h3>
          <dl class="mt-1 grid grid-cols-[3rem_1fr] gap-y-1">
            <template v-for="one in group.keys" :key="one.key">
              <dt>
                <kbd class="inline-block min-w-8 rounded border border-line bg-raised px-2 text-center font-sans">{{ one.key }}</kbd>
              </dt>
              <dd>{{ one.does }}</dd>
            </template>
          </dl>
        </section>
        <label class="mt-5 flex min-h-12 items-center gap-3">
          <input v-model="keys.on" type="checkbox" class="size-5" />
          Single keys are on
        </label>
        <button type="button" class="press press-plain mt-2" @click="keys.listed = false">Close</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
