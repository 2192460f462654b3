import { EDGES, goodFind, inspectionItem, mendFind, scrapFind, type InspectionSpec } from '../../upkeep/inspection-items.ts';

/** What is looked at on a slip. Common practice; what a find leads to from memory. */
export const INSPECT_SLIP: InspectionSpec = {
  items: [
    inspectionItem('weld', 'Are the ring welds whole?', 'Turn each ring against the light.', 'weld', goodFind('Whole'), scrapFind('A crack or a gap', 'Scrap it.')), // prettier-ignore
    inspectionItem('kinks', 'Does it run without kinks?', 'Let it run through the ring and fall open.', 'kink', goodFind('Runs and lets go'), mendFind('Sticks in one place', 'Work the kink out; then it must let go by itself.'), scrapFind('Kinked for good', 'One that does not let go is not used.')), // prettier-ignore
    EDGES,
  ],
  storing: 'Hang it by one ring, so that it falls straight.',
};
