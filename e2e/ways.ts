/** What is pressed, by role and name; what is typed into the field that has the cursor, or into one by its name; a key; what is waited for. */
export type Step =
  | { press: [role: 'button' | 'link' | 'radio' | 'checkbox' | 'option' | 'tab', name: string | RegExp] }
  | { type: string; into?: string }
  | { key: string }
  | { see: Seen };

/** What stands on the screen when a way has been walked. */
export type Seen = [role: 'heading' | 'region' | 'button' | 'status' | 'option', name: string | RegExp];

/**
 * A way that people walk: from where, step by step, until what is seen; on which sizes. `goal` is the most that it may take of presses (keys of a
 * text are not counted among them). It is walked in the demo kennel, by one after another, each as the one before left it.
 */
export type Way = { name: string; on: 'desk' | 'phone' | 'both'; from: string; steps: readonly Step[]; until: Seen; goal: number };

/** The ways that people walk most, as they are now; `DOG` in an address is Bramble of the demo. */
export const WAYS: readonly Way[] = [
  {
    name: 'find a dog by three letters',
    on: 'both',
    from: '/today',
    steps: [{ key: '/' }, { type: 'bra' }, { see: ['option', /Bramble/] }, { key: 'Enter' }],
    until: ['region', 'What happened'],
    goal: 2,
  },
  {
    name: 'take off what a dog wears',
    on: 'phone',
    from: '/locker',
    steps: [{ press: ['button', /^Off:/] }],
    until: ['button', 'Undo'],
    goal: 1,
  },
];

/** The screens on which decision, drawing and action are measured. */
export const MEASURED: readonly (readonly [name: string, path: string])[] = [
  ['bench', '/dogs/DOG/bench/prong'],
  ['check', '/dogs/DOG/check?kind=prong'],
  ['neck', '/dogs/DOG/neck'],
  ['door', '/dogs/DOG/door'],
  ['field log', '/field'],
  ['levels', '/dogs/DOG/levels'],
  ['tape', '/dogs/DOG/tape'],
  ['record', '/dogs/DOG'],
  ['handover', '/dogs/DOG/handover'],
  ['house rules', '/house'],
];
