<script setup lang="ts" generic="Value extends string">
/** A few answers in a row, one of which holds; `beside` their question where there is room. Arrow keys move, space chooses; targets are thumb-sized. */
import { RadioGroup, RadioGroupDescription, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue';

defineProps<{ label: string; hint?: string; answers: readonly { value: Value; label: string }[]; error?: string; quiet?: boolean; beside?: boolean }>();
const value = defineModel<Value | null>({ required: true });
</script>

<template>
  <RadioGroup
    :model-value="value as Value"
    :class="beside && 'items-center gap-x-5 sm:grid sm:grid-cols-[minmax(0,1fr)_auto]'"
    @update:model-value="(now: Value) => (value = now)"
  >
    <div>
      <RadioGroupLabel class="block font-semibold" :class="quiet && 'text-sm'">{{ label }}</RadioGroupLabel>
      <RadioGroupDescription v-if="hint" class="text-sm text-soft" :class="beside && 'leading-tight'">{{ hint }}</RadioGroupDescription>
    </div>
    <div class="flex flex-wrap gap-2" :class="beside ? 'max-sm:mt-2' : 'mt-1.5'">
      <RadioGroupOption v-for="answer in answers" :key="answer.value" v-slot="{ checked, active }" as="template" :value="answer.value">
        <div
          class="flex min-h-12 min-w-12 cursor-pointer items-center justify-center gap-2 rounded-[0.3rem] border-[1.5px] px-3.5 py-1.5"
          :class="[
            checked ? 'border-deep bg-deep font-semibold text-on-deep' : 'border-line bg-raised hover:border-soft',
            active && 'outline-3 outline-offset-2 outline-focus',
          ]"
        >
          <span v-if="checked" aria-hidden="true">✓</span>
          {{ answer.label }}
        </div>
      </RadioGroupOption>
    </div>
    <p v-if="error" class="mt-1 font-semibold text-stop" role="alert">{{ error }}</p>
  </RadioGroup>
</template>
