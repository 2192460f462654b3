/** A screen of the kennel, and what it is called; `short` where there is little room. */
export type Screen = { to: string; label: string; short?: string };

/** The screens that are under a thumb on a phone. */
export const SCREENS: readonly Screen[] = [
  { to: '/today', label: 'Today' },
  { to: '/dogs', label: 'Dogs' },
  { to: '/field', label: 'Field log', short: 'Log' },
  { to: '/locker', label: 'Locker' },
];
/** The others, under More on a phone. */
export const MORE_SCREENS: readonly Screen[] = [
  { to: '/programme', label: 'Calendar' },
  { to: '/upkeep', label: 'Upkeep' },
  { to: '/house', label: 'House rules' },
];
/** Screens that are reached from others, found by their names. */
export const OTHER_SCREENS: readonly Screen[] = [
  { to: '/fit', label: 'Fit now' },
  { to: '/dogs/new', label: 'Add a dog' },
  { to: '/many', label: 'Size a group' },
  { to: '/class', label: 'Kit up a class' },
  { to: '/programme/drill', label: 'Handling drill' },
  { to: '/programme/own', label: 'Own programmes' },
  { to: '/house?show=people', label: 'People' },
  { to: '/house?show=law', label: 'Local law' },
  { to: '/house?show=files', label: 'Files' },
  { to: '/house?show=deeds', label: 'Who did what' },
  { to: '/me', label: 'My account' },
];
