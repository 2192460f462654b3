import { goodFind, inspectionItem, mendFind, scrapFind, type InspectionSpec } from '../../upkeep/inspection-items.ts';

/** What is looked at on a receiver and its strap. Common practice; what a find leads to from memory. */
export const INSPECT_ELECTRONIC: InspectionSpec = {
  items: [
    inspectionItem('seals', 'Are the seals shut?', 'Covers of both sockets in, no water behind them.', 'seal', goodFind('Shut and dry'), mendFind('Gritty or loose', 'Clean it, seat it again.'), scrapFind('Torn, or water inside', 'Not used until it has been repaired.')), // prettier-ignore
    inspectionItem('posts', 'Are the posts tight?', 'By the key, not the fingers.', 'post', goodFind('Tight'), mendFind('Loose', 'Tighten them with the key; a loose post touches and does not.'), scrapFind('A thread is gone', 'Not used until it has been repaired.')), // prettier-ignore
    inspectionItem('strap', 'Is the strap whole?', 'Bend it where the buckle sits.', 'edge', goodFind('No cracks'), mendFind('Fine cracks', 'Change the strap soon.'), scrapFind('Cracked through', 'Change the strap before it is used.')), // prettier-ignore
    inspectionItem(
      'battery',
      'Does the battery last a day?',
      'Charged in the evening, the light still tells the next.',
      null,
      goodFind('It does'),
      mendFind('Under a day', 'Change the battery; until then it is tried before each session.'),
    ), // prettier-ignore,
  ],
  storing: 'Charged, switched off, covers shut, posts off the ground.',
};
