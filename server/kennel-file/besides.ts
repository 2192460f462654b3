/** Work that goes on beside what asks for more of it, one piece at a time: files are read while rows are written. */
export function besides(): { next: (work: () => Promise<void>) => Promise<void>; done: () => Promise<void> } {
  let going = Promise.resolve();
  return {
    next: async (work) => {
      await going;
      going = work();
      // It is looked at when the next is asked for; until then nobody waits for it.
      going.catch(() => {});
    },
    done: () => going,
  };
}
