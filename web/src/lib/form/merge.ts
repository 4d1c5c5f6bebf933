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
 *  side changed is that side's; one that both changed, differently, is a clash, and mine unless theirs stays.
 *  Without a base every difference is a clash. Lists are joined row by row where their rows have names of their
 *  own or are as many as they were; else a list is one field. */
export function merge<T>(
  base: T | undefined,
  mine: T,
  theirs: T,
  stays: 'mine' | 'theirs' = 'mine'
): { doc: T; clashes: Clash[] } {
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
    return stays === 'mine' ? mine : theirs;
  };
  /** One taken away on one side and left as it was on the other is gone. Rows stand as they do elsewhere, unless
   *  only here their order was changed; those added here come before the row they stood before. */
  const joinNamed = (path: string, name: string, base: Group[], mine: Group[], theirs: Group[]): Group[] => {
    const of = (list: Group[], row: Group) => list.find((one) => one[name] === row[name]);
    const names = (list: Group[]) => list.map((row) => row[name]);
    const out: Group[] = [];
    for (const t of theirs) {
      const [b, m] = [of(base, t), of(mine, t)];
      if (m) out.push(join(`${path}[${mine.indexOf(m)}]`, b, m, t) as Group);
      else if (!b || !same(b, t)) {
        out.push(t);
        if (b && stays === 'theirs') clashes.push({ path: `${path}[${out.length - 1}]`, mine: undefined, theirs: t });
      }
    }
    if (same(names(base), names(theirs))) {
      const place = (row: Group) => names(mine).indexOf(row[name]) + 1 || Infinity;
      out.sort((a, b) => place(a) - place(b) || 0);
    }
    for (const m of mine.toReversed()) {
      const b = of(base, m);
      if (of(theirs, m) || (b && same(b, m))) continue;
      if (b && stays === 'theirs') {
        clashes.push({ path: `${path}[${mine.indexOf(m)}]`, mine: m, theirs: undefined });
        continue;
      }
      const next = mine.slice(mine.indexOf(m) + 1).find((row) => of(out, row));
      out.splice(next ? out.findIndex((row) => row[name] === next[name]) : out.length, 0, m);
    }
    return out;
  };
  return { doc: join('', base, mine, theirs) as T, clashes };
}
