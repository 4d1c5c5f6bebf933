/** A field that was changed to one thing here and to another elsewhere. */
export interface Clash {
  path: string;
  mine: unknown;
  theirs: unknown;
}

type Group = Record<string, unknown>;

const isGroup = (v: unknown): v is Group => typeof v === 'object' && v !== null && !Array.isArray(v);

export const same = (a: unknown, b: unknown): boolean => {
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((v, i) => same(v, b[i]));
  if (isGroup(a) && isGroup(b))
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((k) => same(a[k], b[k]));
  return a === b;
};

/** What tells the rows of a list apart, where something does. */
const nameIn = (list: unknown[]): string | undefined =>
  ['id', 'part'].find((key) => {
    const names = list.map((row) => (isGroup(row) ? row[key] : undefined));
    return names.every((n) => typeof n === 'string' && n !== '') && new Set(names).size === names.length;
  });

/** Puts together what was changed here and what was changed elsewhere since base. A field that only one
 *  side changed is that side's; one that both changed, differently, is mine and a clash. Without a base
 *  every difference is a clash. Lists are joined row by row where their rows have names of their own or
 *  are as many as they were; else a list is one field. */
export function merge<T>(base: T | undefined, mine: T, theirs: T): { doc: T; clashes: Clash[] } {
  const clashes: Clash[] = [];
  const join = (path: string, base: unknown, mine: unknown, theirs: unknown): unknown => {
    if (same(mine, theirs) || (base !== undefined && same(base, theirs))) return mine;
    if (base !== undefined && same(base, mine)) return theirs;
    if (isGroup(mine) && isGroup(theirs)) {
      const was = isGroup(base) ? base : {};
      const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
      return Object.fromEntries(keys.map((k) => [k, join(path ? `${path}.${k}` : k, was[k], mine[k], theirs[k])]));
    }
    if (Array.isArray(mine) && Array.isArray(theirs)) {
      const was = Array.isArray(base) ? base : [];
      const name = [was, mine, theirs].map(nameIn).every((n, _, all) => n !== undefined && n === all[0])
        ? nameIn(mine)
        : undefined;
      if (name) return joinNamed(path, name, was as Group[], mine as Group[], theirs as Group[]);
      if (mine.length === theirs.length && was.length === mine.length)
        return mine.map((v, i) => join(`${path}[${i}]`, was[i], v, theirs[i]));
    }
    clashes.push({ path, mine, theirs });
    return mine;
  };
  /** Rows as they stand elsewhere, then those added here; one taken away on one side and left as it was on
   *  the other is gone. */
  const joinNamed = (path: string, name: string, base: Group[], mine: Group[], theirs: Group[]): Group[] => {
    const of = (list: Group[], id: unknown) => list.find((row) => row[name] === id);
    const out: Group[] = [];
    for (const t of theirs) {
      const [b, m] = [of(base, t[name]), of(mine, t[name])];
      if (m) out.push(join(`${path}[${mine.indexOf(m)}]`, b, m, t) as Group);
      else if (!b || !same(b, t)) out.push(t);
    }
    for (const m of mine) {
      const b = of(base, m[name]);
      if (!of(theirs, m[name]) && (!b || !same(b, m))) out.push(m);
    }
    return out;
  };
  return { doc: join('', base, mine, theirs) as T, clashes };
}
