/** What is pressed, by role and name; what is typed into the field that has the cursor, or into one by its name; a key; what is waited for. */
export type Step =
  | { press: [role: 'button' | 'link' | 'radio' | 'checkbox' | 'option' | 'tab', name: string | RegExp] }
  | { type: string; into?: string }
  | { key: string }
  | { see: Seen };

/** What stands on the screen when a way has been walked. */
export type Seen = [role: 'heading' | 'region' | 'button' | 'status' | 'option', name: string | RegExp];

/**
 * A way that people walk: from where, step by step, until what is seen; on which sizes. `goal` is the most that it may take of presses and fields together (letters of a search
 * are no field). It is walked in the demo kennel, by one after another, each as the one before left it.
 */
export type Way = { name: string; on: 'desk' | 'phone' | 'both'; from: string; steps: readonly Step[]; until: Seen; goal: number };

const CHECKED: readonly Step[] = ['Freely', 'Both free', 'High, behind the ears', 'Some fingers', 'A little', 'Stays up', 'It cannot'].map((answer) => ({
  press: ['radio', answer],
}));

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
    name: 'new dog to a checked prong',
    on: 'desk',
    from: '/today',
    steps: [
      { key: 's' },
      { type: 'Rushlight, Labrador Retriever, 2 years, 29 kg, drags', into: 'Dog' },
      { type: '39.8', into: 'Reading 1' },
      { press: ['button', 'Prong'] },
      { press: ['button', 'None: save fit'] },
      { see: ['button', 'Save check'] },
      ...CHECKED,
      { press: ['button', 'Save check'] },
    ],
    until: ['heading', 'Good. Rushlight is fitted.'],
    goal: 13,
  },
  {
    name: 'demo dog to a checked prong',
    on: 'both',
    from: '/dogs/DOG/bench/prong',
    steps: [{ press: ['link', 'Check'] }, ...CHECKED, { press: ['button', 'Save check'] }],
    until: ['heading', 'Good. Bramble is fitted.'],
    goal: 9,
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
  ['fit now', '/fit?kind=prong'],
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
