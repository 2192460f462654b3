import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Whether the drawings of the screen are listed, to be taken as files. */
export const useDrawings = defineStore('drawings', () => ({ listed: ref(false) }));
