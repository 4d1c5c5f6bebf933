import { called } from './synonyms';

/** Something the finder finds. */
export interface Deed {
  name: string;
  group: string;
  keys?: string;
  /** What it is, in a line below its name. */
  says?: string;
  /** Other words it is looked for by. */
  also?: string;
  run: () => void;
}

/** What a list of names holds for some words: names with them as typed first, then with each of them anywhere, then
 *  with what else they are called, in the name or beside it. */
export function find<T extends { name: string; also?: string }>(list: readonly T[], typed: string): T[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const others = words.map(called);
  const rank = (name: string, also: string) => {
    if (name.includes(words.join(' '))) return 0;
    if (words.every((w) => name.includes(w))) return 1;
    const whole = `${name} ${also}`;
    if (words.every((w) => whole.includes(w))) return 2;
    if (others.every((all) => all.some((w) => whole.includes(w)))) return 3;
    return -1;
  };
  const ranked = list.map((one) => ({ one, at: rank(one.name.toLowerCase(), one.also ?? '') }));
  return [0, 1, 2, 3].flatMap((at) => ranked.filter((r) => r.at === at).map((r) => r.one));
}
