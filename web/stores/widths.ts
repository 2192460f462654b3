import { useMediaQuery } from '@vueuse/core';
import type { Ref } from 'vue';

/** The widths at which screens show something else, rem; the same as of the style sheet’s `sm`, `md` and `lg`. */
const WIDTHS = { sm: 40, md: 48, lg: 64 } as const;
type Width = keyof typeof WIDTHS;

export const useAtLeast = (width: Width): Ref<boolean> => useMediaQuery(`(min-width: ${WIDTHS[width]}rem)`);
export const useNarrower = (width: Width): Ref<boolean> => useMediaQuery(`(max-width: ${WIDTHS[width] - 0.01}rem)`);
