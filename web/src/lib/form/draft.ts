import { newId } from '../newId';

/** What was typed and not yet saved, kept in the browser so that a closed window or a lost server loses
 *  nothing. Each window keeps its own, so that two at work on one thing do not write over each other. */
export interface Draft<T, V> {
  doc: T;
  /** What was saved when the typing began, and its version; unknown in a draft of an older version. */
  base?: T;
  version: V;
  at: number;
}

const lockOf = (id: string) => `jiriki.window.${id}`;

/** The window's own name, the same after a reload. A window that was copied takes a new one: the lock on
 *  a name is held as long as its window lives. */
const claim = async (): Promise<string> => {
  const key = 'jiriki.window';
  let id = newId();
  try {
    id = sessionStorage.getItem(key) ?? id;
    if (!(await hold(id))) {
      id = newId();
      await hold(id);
    }
    sessionStorage.setItem(key, id);
  } catch {
    // No storage or no locks: a name for as long as the page lasts.
  }
  return id;
};

const hold = (id: string): Promise<boolean> =>
  new Promise((resolve, reject) => {
    navigator.locks
      .request(lockOf(id), { ifAvailable: true }, (lock) => {
        resolve(lock !== null);
        return lock ? new Promise<void>(() => undefined) : undefined;
      })
      .catch(reject);
  });

export const thisWindow: Promise<string> = claim();

const living = async (): Promise<Set<string>> => {
  try {
    const { held } = await navigator.locks.query();
    return new Set(held?.map((l) => l.name ?? ''));
  } catch {
    return new Set();
  }
};

/** The drafts of one document. */
export class Drafts<T, V> {
  #prefix: string;
  #mine: string;
  #dead: string[] = [];

  private constructor(document: string, window: string) {
    this.#prefix = `jiriki.draft.${document}.`;
    this.#mine = this.#prefix + window;
  }

  static async open<T, V>(document: string): Promise<Drafts<T, V>> {
    const drafts = new Drafts<T, V>(document, await thisWindow);
    const alive = await living();
    drafts.#dead = drafts
      .#keys()
      .filter((key) => key !== drafts.#mine && !alive.has(lockOf(key.slice(drafts.#prefix.length))));
    return drafts;
  }

  /** Takes this window's draft, or the latest one of a window that was closed. */
  take(): Draft<T, V> | undefined {
    const mine = this.#read(this.#mine);
    return mine ?? this.takeLeft();
  }

  /** How many drafts of closed windows are still there. */
  get left(): number {
    return this.#dead.length;
  }

  /** Takes the latest draft of a closed window away from there. */
  takeLeft(): Draft<T, V> | undefined {
    const found = this.#dead
      .map((key) => ({ key, draft: this.#read(key) }))
      .sort((a, b) => (b.draft?.at ?? 0) - (a.draft?.at ?? 0));
    const latest = found.find((f) => f.draft);
    this.#dead = found.filter((f) => f.draft && f !== latest).map((f) => f.key);
    if (latest) this.#remove(latest.key);
    return latest?.draft;
  }

  /** Throws the drafts of closed windows away. */
  dropLeft() {
    this.#dead.forEach((key) => this.#remove(key));
    this.#dead = [];
  }

  /** Keeps what is typed in this window; false when the browser has no room or gives no leave. */
  keep(draft: Omit<Draft<T, V>, 'at'>): boolean {
    try {
      localStorage.setItem(this.#mine, JSON.stringify({ ...draft, at: Date.now() }));
      return true;
    } catch {
      return false;
    }
  }

  /** Forgets what this window kept; another's stays. */
  drop() {
    this.#remove(this.#mine);
  }

  #keys(): string[] {
    try {
      return Object.keys(localStorage).filter((key) => key.startsWith(this.#prefix));
    } catch {
      return [];
    }
  }

  #read(key: string): Draft<T, V> | undefined {
    try {
      const kept = localStorage.getItem(key);
      return kept ? (JSON.parse(kept) as Draft<T, V>) : undefined;
    } catch {
      return undefined;
    }
  }

  #remove(key: string) {
    try {
      localStorage.removeItem(key);
    } catch {
      // Nothing was kept.
    }
  }
}
