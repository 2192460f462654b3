/** What a column of a table of dogs may hold. */
export type DogColumn = 'name' | 'high' | 'mid' | 'head' | 'muzzle' | 'stop' | 'muzzleLength' | 'coat' | 'weight' | 'pull' | 'side' | 'build' | 'overCoat';

/** How people head such columns; compared without case, spaces and signs. */
const SPELLED: Record<DogColumn, readonly string[]> = {
  name: ['name', 'dog', 'dog name', 'call name', 'id'],
  high: ['high', 'high girth', 'neck', 'neck girth', 'girth', 'neck high', 'upper neck'],
  mid: ['mid', 'mid girth', 'mid neck', 'middle girth'],
  head: ['head', 'head girth', 'skull', 'skull girth'],
  muzzle: ['muzzle', 'muzzle girth', 'nose girth'],
  stop: ['stop', 'stop girth', 'nose end'],
  muzzleLength: ['muzzle length', 'nose length', 'muzzle long'],
  coat: ['coat', 'coat depth', 'hair', 'hair depth'],
  weight: ['weight', 'mass'],
  pull: ['pull', 'pulls', 'pulling', 'on the leash'],
  side: ['side', 'works on', 'working side'],
  build: ['build', 'neck build'],
  overCoat: ['over coat', 'over the coat', 'taped over'],
};
const UNITS = ['in', 'inch', 'inches', '"', 'cm', 'mm', 'kg', 'lb', 'lbs', 'g', 'oz'];
const plain = (text: string) =>
  text
    .replace(/^\uFEFF/, '')
    .toLowerCase()
    .replace(/[^a-z]+/g, ' ')
    .trim();

/** One column that is known: where it stands, what it holds, and the unit its heading names («high (in)», «weight_kg»). */
export type KnownColumn = { index: number; column: DogColumn; unit: string | null };

/** The known columns of a heading row; what is not known is left alone. A column that stands twice counts once, the first. */
export function knownColumns(headings: readonly string[]): KnownColumn[] {
  const known: KnownColumn[] = [];
  headings.forEach((heading, index) => {
    const inBrackets = /[([]\s*([^)\]]+?)\s*[)\]]/.exec(heading)?.[1] ?? null;
    const words = plain(heading.replace(/[([].*?[)\]]/g, ' ')).split(' ');
    const last = words.length > 1 && UNITS.includes(words.at(-1)!) ? words.pop()! : null;
    const column = (Object.keys(SPELLED) as DogColumn[]).find((name) => SPELLED[name].includes(words.join(' ')));
    if (column && !known.some((one) => one.column === column)) {
      known.push({ index, column, unit: inBrackets && UNITS.includes(inBrackets.toLowerCase()) ? inBrackets.toLowerCase() : last });
    }
  });
  return known;
}

/** Whether a row only names units, as some tables have it below the heading. */
export function isUnitsRow(cells: readonly string[]): boolean {
  const named = cells
    .map((cell) =>
      cell
        .trim()
        .toLowerCase()
        .replace(/^[([]|[)\]]$/g, ''),
    )
    .filter(Boolean);
  return named.length > 0 && named.every((cell) => UNITS.includes(cell) || /^(text|name|word|-|–)$/.test(cell)) && named.some((cell) => UNITS.includes(cell));
}
