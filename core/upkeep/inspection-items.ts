/** Gear that is inspected alike. */
export const INSPECTION_GROUPS = ['prong', 'slip', 'cloth', 'electronic', 'leash', 'snap', 'bed'] as const;
export type InspectionGroup = (typeof INSPECTION_GROUPS)[number];

/** What becomes of a piece: used on, mended before it is used again, or used no more. */
export const INSPECTION_OUTCOMES = ['ok', 'mend', 'scrap'] as const;
export type InspectionOutcome = (typeof INSPECTION_OUTCOMES)[number];

/** The pictures of good and bad that are drawn for an item. */
export type InspectionPicture =
  'link' | 'tip' | 'chain' | 'swivel' | 'plating' | 'weld' | 'kink' | 'stitching' | 'slide' | 'hardware' | 'seal' | 'post' | 'snap' | 'edge' | 'grip';

/** One thing to look at: what is asked, how it is looked at, and each thing that may be found with what it leads to. */
export type InspectionItem = {
  id: string;
  ask: string;
  how: string;
  picture: InspectionPicture | null;
  /** Part of telling a poor copy from a good piece. */
  copy: boolean;
  finds: readonly { value: string; label: string; outcome: InspectionOutcome; does: string }[];
};

const good = (label: string) => ({ value: 'good', label, outcome: 'ok', does: '' }) as const;
const mend = (label: string, does: string, value = 'bad') => ({ value, label, outcome: 'mend', does }) as const;
const scrap = (label: string, does: string, value = 'worse') => ({ value, label, outcome: 'scrap', does }) as const;
const item = (id: string, ask: string, how: string, picture: InspectionPicture | null, ...finds: InspectionItem['finds']): InspectionItem => ({ id, ask, how, picture, copy: false, finds }); // prettier-ignore

const EDGES = item('edges', 'Are the edges whole?', 'Run a thumb along both.', 'edge', good('Whole'), mend('Frayed', 'Seal or bind the edge.'), scrap('Worn into the weave', 'It tears next: scrap it.')); // prettier-ignore
const STITCHING = item('stitching', 'Does the stitching hold?', 'Pull beside it, look for loose threads.', 'stitching', good('All there'), mend('A few threads gone', 'Sew it anew before it carries a dog.'), scrap('Running out', 'Scrap it.')); // prettier-ignore
const HARDWARE = item('hardware', 'Is the hardware straight?', 'Rings round, tongue and slides not bent.', 'hardware', good('Straight and unbent'), mend('Bent, and straightens', 'Straighten it; look again after the next walk.'), scrap('Bent again, or cracked', 'Scrap it.')); // prettier-ignore
const CLICK = item('click', 'Does the snap close with a click?', 'Let it go: the spring shuts it by itself.', 'snap', good('With a click'), mend('Slow, gritty', 'Clean and oil it; then it must click.'), scrap('Stays open, or gapes', 'Change the snap.')); // prettier-ignore

/** What is looked at, by gear. Common practice (upkeep); what a find leads to from memory. */
export const INSPECTION_ITEMS: Record<InspectionGroup, readonly InspectionItem[]> = {
  prong: [
    item('links', 'Are the links straight?', 'Lay each flat on a table: both legs touch.', 'link', good('All flat'), mend('One bent', 'Straighten it by hand, and try it.'), scrap('One will not hold', 'Scrap that link; take one from the bag.', 'link')), // prettier-ignore
    { ...item('tips', 'Are the tips rounded?', 'On the inside of your arm: they press, they do not prick.', 'tip', good('Round and smooth'), scrap('Square or sharp', 'A poor copy: not used on any dog.')), copy: true }, // prettier-ignore
    { ...item('mark', 'Is the maker’s mark right?', 'Clear, on the plate, as on your other ones.', null, good('Right'), scrap('Wrong, or none where there should be', 'A poor copy: not used on any dog.')), copy: true }, // prettier-ignore
    { ...item('alike', 'Are the links alike?', 'Side by side: one height, one width, even plating.', null, good('Alike'), scrap('Uneven', 'A poor copy: it squeezes unevenly. Not used.')), copy: true }, // prettier-ignore
    item('chain', 'Does the chain hang untwisted?', 'Held up, it is an open triangle.', 'chain', good('An open triangle'), mend('Twisted', 'Untwist it link by link.'), scrap('Stretched or kinked', 'Scrap it.')), // prettier-ignore
    item('swivel', 'Does the swivel turn?', 'With two fingers, all the way.', 'swivel', good('Freely'), mend('Stiff', 'Clean and oil it.'), scrap('Stuck, or its pin is worn', 'It twists the chain, then breaks: scrap it.')), // prettier-ignore
    item('plating', 'Is the plating whole?', 'Look at the tips and where links rub.', 'plating', good('Whole'), mend('Worn on links', 'Not on a dog with sensitive skin; watch it, or take stainless.'), scrap('Flaking at the tips', 'It scratches: scrap it.')), // prettier-ignore
  ],
  slip: [
    item('weld', 'Are the ring welds whole?', 'Turn each ring against the light.', 'weld', good('Whole'), scrap('A crack or a gap', 'Scrap it.')), // prettier-ignore
    item('kinks', 'Does it run without kinks?', 'Let it run through the ring and fall open.', 'kink', good('Runs and lets go'), mend('Sticks in one place', 'Work the kink out; then it must let go by itself.'), scrap('Kinked for good', 'One that does not let go is not used.')), // prettier-ignore
    EDGES,
  ],
  cloth: [STITCHING, item('slides', 'Do the slides hold?', 'Set it, pull hard: it stays as set.', 'slide', good('They hold'), mend('They slip a little', 'Change the slide, or sew the setting.'), scrap('They slip', 'Scrap it.')), HARDWARE, item('plastic', 'Are plastic parts sound?', 'Bend them: no cracks, no white lines; brittle when cold.', null, good('None, or sound'), scrap('Cracked, or white where it bends', 'It fails on the coldest day: scrap it.')), EDGES], // prettier-ignore
  electronic: [
    item('seals', 'Are the seals shut?', 'Covers of both sockets in, no water behind them.', 'seal', good('Shut and dry'), mend('Gritty or loose', 'Clean it, seat it anew.'), scrap('Torn, or water inside', 'Not used until it has been repaired.')), // prettier-ignore
    item('posts', 'Are the posts tight?', 'By the key, not the fingers.', 'post', good('Tight'), mend('Loose', 'Tighten them with the key; a loose post touches and does not.'), scrap('A thread is gone', 'Not used until it has been repaired.')), // prettier-ignore
    item('strap', 'Is the strap whole?', 'Bend it where the buckle sits.', 'edge', good('No cracks'), mend('Fine cracks', 'Change the strap soon.'), scrap('Cracked through', 'Change the strap before it is used.')), // prettier-ignore
    item('battery', 'Does the battery last a day?', 'Charged in the evening, the light still tells the next.', null, good('It does'), mend('Under a day', 'Change the battery; until then it is tried before each session.')), // prettier-ignore
  ],
  leash: [
    CLICK,
    STITCHING,
    item('grip', 'Does it grip when wet?', 'In a wet hand; the fingers close round it.', 'grip', good('It does'), mend('Slippery', 'Rub it dry and wax it, or take another for rain.')), // prettier-ignore
    EDGES,
  ],
  snap: [CLICK, HARDWARE, item('rating', 'Is it rated for load?', 'A load is stamped on it; a key-ring one has none.', null, good('It is'), scrap('It is not', 'Never as a backup: scrap it, or hang keys on it.'))], // prettier-ignore
  bed: [STITCHING, EDGES, item('size', 'Does the grown dog lie on it whole?', 'Nose to tail.', null, good('It does'), mend('It hangs over', 'A longer one; the growth says which.'))], // prettier-ignore
};

/** How gear is hung and kept. Common practice. */
export const STORING: Record<InspectionGroup, string> = {
  prong: 'Hang it prongs up; never drop it in a drawer. Links that came out hang with it, labelled.',
  slip: 'Hang it by one ring, so that it falls straight.',
  cloth: 'Dry it open, away from the stove; hang it by the ring.',
  electronic: 'Charged, switched off, covers shut, posts off the ground.',
  leash: 'Hang it by the handle; dry it before it is coiled.',
  snap: 'Dry, on its own hook, a drop of oil in spring and autumn.',
  bed: 'Brush it, air it, out of the sun.',
};
