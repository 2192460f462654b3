/**
 * The word under which a kennel keeps a setting for good: small letters, digits and dashes of its name, told apart from those there are.
 *
 * @example settingId('Cranberry bog', ['home']) // 'cranberry-bog'
 */
export function settingId(name: string, taken: readonly string[]): string {
  const plain =
    name
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 30)
      .replace(/-+$/, '') || 'setting';
  for (let count = 1; ; count += 1) {
    const id = count === 1 ? plain : `${plain}-${count}`;
    if (!taken.includes(id)) return id;
  }
}
