/** Reads and writes a nested value by the path the core names fields with, such as
 * `motor.plate.speed` or `machine.jobs[0].speed.from`. */

type Key = string | number;

export function keys(path: string): Key[] {
  return path
    .split(/[.[\]]+/)
    .filter(Boolean)
    .map((k) => (/^\d+$/.test(k) ? Number(k) : k));
}

export function read(root: unknown, path: string): unknown {
  let at = root;
  for (const key of keys(path)) {
    if (at === null || typeof at !== 'object') return undefined;
    at = (at as Record<Key, unknown>)[key];
  }
  return at;
}

/** Writes value at path. A list may be written one past its end. */
export function write(root: unknown, path: string, value: unknown): void {
  const all = keys(path);
  const last = all.pop();
  let at = root as Record<Key, unknown>;
  // A draft typed in an older version may lack a group of fields.
  for (const key of all) at = (at[key] ??= {}) as Record<Key, unknown>;
  if (last !== undefined) at[last] = value;
}

/** What root is with value at path, sharing with it all that stays: root itself is left as it was. */
export function written<T>(root: T, path: string, value: unknown): T {
  const at = (node: unknown, left: Key[]): unknown => {
    const [key, ...rest] = left;
    if (key === undefined) return value;
    const copy = (Array.isArray(node) ? [...(node as unknown[])] : { ...(node as object) }) as Record<Key, unknown>;
    copy[key] = at(copy[key], rest);
    return copy;
  };
  return at(root, keys(path)) as T;
}

/** A path in words: `plan.motor.plate.nameOf` is "Motor, plate, name of". */
export function wordsOf(path: string): string {
  const words = keys(path)
    .filter((key, i) => i > 0 || key !== 'plan')
    .map((key) => (typeof key === 'number' ? String(key + 1) : key.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`)));
  const text = words.join(', ').replace(/, (\d+)/g, ' $1');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
