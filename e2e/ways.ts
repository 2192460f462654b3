/** What is pressed, by role and name; what is typed into the field that has the cursor, or into one by its name; a key; what is waited for. */
export type Step =
  | { press: [role: 'button' | 'link' | 'radio' | 'checkbox' | 'option' | 'tab', name: string | RegExp] }
  | { type: string; into?: string }
  | { key: string }
  | { see: Seen }
  /** Opens the address that stands on the screen. */
  | { follow: RegExp };

/** What stands on the screen, by its role and name, or a text. */
export type Seen = [role: 'heading' | 'region' | 'button' | 'link' | 'option' | 'text', name: string | RegExp];

/**
 * A way that people walk: from where, step by step, until what is seen; on which sizes. `goal` is the most that it may take of presses and fields together (letters of a search
 * are no field). It is walked in the demo kennel, by one after another, each as the one before left it; what is `empty` comes last, in a kennel of its own.
 */
export type Way = {
  name: string;
  on: 'desk' | 'phone' | 'both';
  from: string;
  /** How things stand when the way begins, brought about by the same hands; it costs nothing. */
  before?: readonly Step[];
  steps: readonly Step[];
  /** In a kennel in which nothing is yet, instead of the demo. */
  empty?: true;
  until: Seen;
  goal: number;
};

const CHECKED: readonly Step[] = ['Freely', 'Both free', 'High, behind the ears', 'Some fingers', 'A little', 'Stays up', 'It cannot'].map((answer) => ({
  press: ['radio', answer],
}));

/** Bramble wears its electronic collar, contacts at the side. */
const CURLEW_ON: readonly Step[] = [{ press: ['button', /^Put on at/] }, { see: ['button', /^Moved to \d+$/] }];

/** The ways that people walk most, as they are now; `DOG` in an address is Bramble of the demo, `OTHER` is Nutmeg. */
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
  {
    name: 'contacts moved',
    on: 'phone',
    from: '/dogs/DOG/neck/contacts',
    before: CURLEW_ON,
    steps: [{ press: ['button', /^Moved to \d+: Curlew/] }],
    until: ['button', 'Undo'],
    goal: 1,
  },
  {
    name: 'pink under the contacts',
    on: 'phone',
    from: '/dogs/DOG',
    steps: [{ press: ['button', /^Pink: Curlew/] }],
    until: ['button', 'Undo'],
    goal: 2,
  },
  {
    name: 'pink under another collar',
    on: 'phone',
    from: '/dogs/OTHER',
    steps: [{ press: ['button', /^Pink: /] }, { press: ['button', '3'] }],
    until: ['button', 'Undo'],
    goal: 2,
  },
  {
    name: 'begin a session from the now bar',
    on: 'phone',
    from: '/dogs/DOG',
    steps: [{ press: ['link', /^Log: Bramble/] }],
    until: ['button', 'End'],
    goal: 1,
  },
  {
    name: 'log a press and its answer',
    on: 'phone',
    from: '/dogs/DOG',
    before: [{ press: ['link', /^Log: Bramble/] }, { see: ['button', 'End'] }, { press: ['button', 'Contact good'] }],
    steps: [{ press: ['button', /^Press \d+/] }, { press: ['button', /^small sign/] }],
    until: ['button', /^small sign/],
    goal: 2,
  },
  {
    name: 'begin a session from the field log',
    on: 'phone',
    from: '/field',
    steps: [{ press: ['button', /^Sorrel/] }, { press: ['button', 'Begin with Sorrel'] }],
    until: ['button', 'End'],
    goal: 2,
  },
  {
    name: 'morning routine',
    on: 'phone',
    from: '/dogs/DOG/neck',
    steps: [{ press: ['link', 'Contacts'] }, { press: ['button', 'Log all done'] }],
    until: ['button', 'Undo'],
    goal: 2,
  },
  {
    name: 'inspection found sound',
    on: 'both',
    from: '/upkeep',
    steps: [{ press: ['button', /^Inspect/] }, { press: ['button', 'All sound'] }],
    until: ['text', /is sound\.$/],
    goal: 2,
  },
  {
    name: 'hand a dog over',
    on: 'desk',
    from: '/dogs/DOG/handover',
    steps: [{ type: 'Wenna Sedge, 01632 960 123', into: 'Whom they call' }, { press: ['button', 'Save handover'] }],
    until: ['link', 'The pages (PDF)'],
    goal: 2,
  },
  {
    name: 'the owner’s daily check',
    on: 'phone',
    from: '/dogs/DOG/handover',
    before: [
      { press: ['tab', 'Owner’s link'] },
      { type: 'Ida’s phone', into: 'Whose' },
      { press: ['button', 'Make a link'] },
      { follow: /\/owner#[0-9a-f]{64}/ },
      { see: ['heading', /to check today/] },
    ],
    steps: [{ press: ['button', 'All good'] }],
    until: ['heading', 'All checked today'],
    goal: 2,
  },
  {
    name: 'empty kennel to a checked prong',
    on: 'both',
    from: '/dogs',
    empty: true,
    steps: [
      { press: ['link', 'Prong'] },
      { type: 'Rushlight, Labrador Retriever, 2 years, 29 kg, drags', into: 'Dog' },
      { type: '39.8', into: 'Reading 1' },
      { press: ['button', 'None: save fit'] },
      { see: ['button', 'Save check'] },
      ...CHECKED,
      { press: ['button', 'Save check'] },
    ],
    until: ['heading', 'Good. Rushlight is fitted.'],
    goal: 12,
  },
];

/** The screens on which decision, drawing and action are measured. */
export const MEASURED: readonly (readonly [name: string, path: string])[] = [
  ['fit now', '/fit?kind=prong'],
  ['bench', '/dogs/DOG/bench/prong'],
  ['check', '/dogs/DOG/check?kind=prong'],
  ['neck', '/dogs/DOG/neck'],
  ['door', '/dogs/DOG/door'],
  ['field log', '/field?dog=DOG'],
  ['levels', '/dogs/DOG/levels'],
  ['tape', '/dogs/DOG/tape'],
  ['record', '/dogs/DOG'],
  ['handover', '/dogs/DOG/handover'],
  ['house rules', '/house'],
];
