/** What becomes of a piece: used on, mended before it is used again, or used no more. */
export const INSPECTION_OUTCOMES = ['ok', 'mend', 'scrap'] as const;
export type InspectionOutcome = (typeof INSPECTION_OUTCOMES)[number];

/** The pictures of good and bad that are drawn for an item. */
export type InspectionPicture =
  'link' | 'tip' | 'chain' | 'swivel' | 'plating' | 'weld' | 'kink' | 'stitching' | 'slide' | 'hardware' | 'seal' | 'post' | 'snap' | 'edge' | 'grip';

/** How gear of one sort is inspected: each thing to look at, and how it is hung and kept. */
export type InspectionSpec = { items: readonly InspectionItem[]; storing: string };

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

export const goodFind = (label: string) => ({ value: 'good', label, outcome: 'ok', does: '' }) as const;
export const mendFind = (label: string, does: string, value = 'bad') => ({ value, label, outcome: 'mend', does }) as const;
export const scrapFind = (label: string, does: string, value = 'worse') => ({ value, label, outcome: 'scrap', does }) as const;
export const inspectionItem = (id: string, ask: string, how: string, picture: InspectionPicture | null, ...finds: InspectionItem['finds']): InspectionItem => ({ id, ask, how, picture, copy: false, finds }); // prettier-ignore

export const EDGES = inspectionItem('edges', 'Are the edges whole?', 'Run a thumb along both.', 'edge', goodFind('Whole'), mendFind('Frayed', 'Seal or bind the edge.'), scrapFind('Worn into the weave', 'It tears next: scrap it.')); // prettier-ignore
export const STITCHING = inspectionItem('stitching', 'Does the stitching hold?', 'Pull beside it, look for loose threads.', 'stitching', goodFind('All there'), mendFind('A few threads gone', 'Sew it before it carries a dog.'), scrapFind('Running out', 'Scrap it.')); // prettier-ignore
export const HARDWARE = inspectionItem('hardware', 'Is the hardware straight?', 'Rings round, tongue and slides not bent.', 'hardware', goodFind('Straight and unbent'), mendFind('Bent, and straightens', 'Straighten it; look again after the next walk.'), scrapFind('Bent again, or cracked', 'Scrap it.')); // prettier-ignore
const CLICK = inspectionItem('click', 'Does the snap close with a click?', 'Let it go: the spring shuts it by itself.', 'snap', goodFind('With a click'), mendFind('Slow, gritty', 'Clean and oil it; then it must click.'), scrapFind('Stays open, or gapes', 'Change the snap.')); // prettier-ignore

/** What is looked at on cloth and leather. Common practice; what a find leads to from memory. */
export const INSPECT_CLOTH: InspectionSpec = {
  items: [
    STITCHING,
    inspectionItem(
      'slides',
      'Do the slides hold?',
      'Set it, pull hard: it stays as set.',
      'slide',
      goodFind('They hold'),
      mendFind('They slip a little', 'Change the slide, or sew the setting.'),
      scrapFind('They slip', 'Scrap it.'),
    ),
    HARDWARE,
    inspectionItem(
      'plastic',
      'Are plastic parts sound?',
      'Bend them: no cracks, no white lines; brittle when cold.',
      null,
      goodFind('None, or sound'),
      scrapFind('Cracked, or white where it bends', 'It fails on the coldest day: scrap it.'),
    ),
    EDGES,
  ],
  storing: 'Dry it open, away from the stove; hang it by the ring.',
};

/** What is looked at on a leash or line. Common practice; what a find leads to from memory. */
export const INSPECT_LEASH: InspectionSpec = {
  items: [
    CLICK,
    STITCHING,
    inspectionItem('grip', 'Does it grip when wet?', 'In a wet hand; the fingers close round it.', 'grip', goodFind('It does'), mendFind('Slippery', 'Rub it dry and wax it, or take another for rain.')), // prettier-ignore
    EDGES,
  ],
  storing: 'Hang it by the handle; dry it before it is coiled.',
};

/** What is looked at on snaps and carabiners. Common practice; what a find leads to from memory. */
export const INSPECT_SNAP: InspectionSpec = {
  items: [
    CLICK,
    HARDWARE,
    inspectionItem(
      'rating',
      'Is it rated for load?',
      'A load is stamped on it; a key-ring one has none.',
      null,
      goodFind('It is'),
      scrapFind('It is not', 'Never as a backup: scrap it, or hang keys on it.'),
    ),
  ],
  storing: 'Dry, on its own hook, a drop of oil in spring and autumn.',
};

/** What is looked at on beds and mats. Common practice; what a find leads to from memory. */
export const INSPECT_BED: InspectionSpec = {
  items: [
    STITCHING,
    EDGES,
    inspectionItem(
      'size',
      'Does the grown dog lie on it whole?',
      'Nose to tail.',
      null,
      goodFind('It does'),
      mendFind('It hangs over', 'A longer one; the growth says which.'),
    ),
  ],
  storing: 'Brush it, air it, out of the sun.',
};
