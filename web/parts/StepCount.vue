<script setup lang="ts">
/** A whole number with a step down and up beside it, thumb-sized; empty until somebody gives one, where it begins as null. */
const props = defineProps<{ label: string; least: number; most: number }>();
const count = defineModel<number | null>({ required: true });
/** An emptied field is no nought. */
const wholeOf = (typed: string) => (typed.trim() === '' ? NaN : Number(typed));
const put = (value: number) => {
  if (Number.isInteger(value)) count.value = Math.min(props.most, Math.max(props.least, value));
};
</script>

<template>
  <div class="flex items-center gap-2" role="group" :aria-label="label">
    <span class="grow">{{ label }}</span>
    <button
      type="button"
      class="press press-plain min-h-12 min-w-12 px-0! text-2xl"
      :aria-label="`${label}: one less`"
      :disabled="count !== null && count <= least"
      @click="put((count ?? least + 1) - 1)"
    >
      −
    </button>
    <input
      class="field w-16! text-center text-lg font-semibold"
      inputmode="numeric"
      :aria-label="label"
      :value="count ?? ''"
      @change="(put(wholeOf(($event.target as HTMLInputElement).value)), (($event.target as HTMLInputElement).value = count === null ? '' : String(count)))"
    />
    <button
      type="button"
      class="press press-plain min-h-12 min-w-12 px-0! text-2xl"
      :aria-label="`${label}: one more`"
      :disabled="count !== null && count >= most"
      @click="put((count ?? least) + 1)"
    >
      +
    </button>
  </div>
</template>
