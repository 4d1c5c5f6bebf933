/** Words people have for one thing, on either side of the water. */
const families: readonly (readonly string[])[] = [
  ['earth', 'ground'],
  ['amps', 'current', 'ampere'],
  ['volts', 'voltage'],
  ['hertz', 'frequency', 'cycles'],
  ['wheel', 'pulley', 'sheave'],
  ['breaker', 'fuse'],
  ['inverter', 'vfd', 'frequency drive'],
  ['drive', 'controller', 'control'],
  ['speed', 'rpm', 'turns'],
  ['power', 'horsepower', 'watts'],
  ['centre', 'center'],
  ['colour', 'color'],
  ['guard', 'cover'],
  ['cable', 'cord', 'lead', 'flex'],
  ['socket', 'outlet', 'receptacle'],
  ['no-volt', 'magnetic starter', 'restart'],
  ['shaft', 'spindle'],
  ['print', 'paper', 'sheet'],
  ['compare', 'beside'],
  ['shed', 'machines', 'home'],
  ['shelf', 'parts', 'stock']
];

/** A word and what else it is called; a word half typed counts for those it begins. */
export const called = (word: string): string[] => [
  word,
  ...families.filter((f) => word.length > 2 && f.some((w) => w.startsWith(word))).flat()
];

/** What a list of names holds for some words: names with them as typed first, then with each of them anywhere, then
 *  with what else they are called. */
export function find<T extends { name: string }>(list: readonly T[], typed: string): T[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const others = words.map(called);
  const rank = (name: string) => {
    if (name.includes(words.join(' '))) return 0;
    if (words.every((w) => name.includes(w))) return 1;
    if (others.every((all) => all.some((w) => name.includes(w)))) return 2;
    return -1;
  };
  const ranked = list.map((one) => ({ one, at: rank(one.name.toLowerCase()) }));
  return [0, 1, 2].flatMap((at) => ranked.filter((r) => r.at === at).map((r) => r.one));
}
