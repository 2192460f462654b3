import { goodFind, inspectionItem, mendFind, scrapFind, type InspectionItem, type InspectionSpec } from '../../upkeep/inspection-items.ts';

/** What is looked at on a prong collar. Common practice; what a find leads to from memory. */
export const INSPECT_PRONG: InspectionSpec = {
  items: [
    inspectionItem('links', 'Are the links straight?', 'Lay each flat on a table: both legs touch.', 'link', goodFind('All flat'), mendFind('One bent', 'Straighten it by hand, and try it.'), scrapFind('One will not hold', 'Scrap that link; take one from the bag.', 'link')), // prettier-ignore
    { ...inspectionItem('tips', 'Are the tips rounded?', 'On the inside of your arm: they press, they do not prick.', 'tip', goodFind('Round and smooth'), scrapFind('Square or sharp', 'A poor copy: not used on any dog.')), copy: true }, // prettier-ignore
    { ...inspectionItem('mark', 'Is the maker’s mark right?', 'Clear, on the plate, as on your other ones.', null, goodFind('Right'), scrapFind('Wrong, or none where there should be', 'A poor copy: not used on any dog.')), copy: true }, // prettier-ignore
    { ...inspectionItem('alike', 'Are the links alike?', 'Side by side: one height, one width, even plating.', null, goodFind('Alike'), scrapFind('Uneven', 'A poor copy: it squeezes unevenly. Not used.')), copy: true }, // prettier-ignore
    inspectionItem('chain', 'Does the chain hang untwisted?', 'Held up, it is an open triangle.', 'chain', goodFind('An open triangle'), mendFind('Twisted', 'Untwist it link by link.'), scrapFind('Stretched or kinked', 'Scrap it.')), // prettier-ignore
    inspectionItem('swivel', 'Does the swivel turn?', 'With two fingers, all the way.', 'swivel', goodFind('Freely'), mendFind('Stiff', 'Clean and oil it.'), scrapFind('Stuck, or its pin is worn', 'It twists the chain, then breaks: scrap it.')), // prettier-ignore
    inspectionItem(
      'plating',
      'Is the plating whole?',
      'Look at the tips and where links rub.',
      'plating',
      goodFind('Whole'),
      mendFind('Worn on links', 'Not on a dog with sensitive skin; watch it, or take stainless.'),
      scrapFind('Flaking at the tips', 'It scratches: scrap it.'),
    ),
  ],
  storing: 'Hang it prongs up; never drop it in a drawer. Links that came out hang with it, labelled.',
};

/** What is looked at besides on a prong that closes with a quick-release buckle. Common practice. */
export const INSPECT_QUICK_RELEASE: InspectionItem = inspectionItem(
  'quick-release',
  'Does the quick-release hold?',
  'It closes with a click; then pull hard on both sides of it.',
  null,
  goodFind('Clicks and holds'),
  mendFind('Slow, gritty', 'Rinse and dry it; then it must click.'),
  scrapFind('Opens, or is cracked or bent', 'It lets the dog go: scrap it, or have the buckle changed.'),
);
