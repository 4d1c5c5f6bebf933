import type { Schemas } from '../api/client';

export type Entry = Schemas['LogbookEntry'];

/** A picture that goes with an entry. */
export interface Shot {
  id: string;
  blob: Blob;
}

/** An entry that was written here and is not in the log yet. */
export interface Waiting {
  machineId: string;
  entry: Entry;
  pictures: Shot[];
  /** Why it was not taken. */
  refused?: string;
  /** It was refused for good: it does not go again by itself. */
  stays?: boolean;
}

/** Where what waits is kept: a page that is closed must not lose it. */
export interface Kept {
  read: () => Promise<Waiting[]>;
  change: (make: (list: Waiting[]) => Waiting[]) => Promise<void>;
}

/** How a try to send went. What is refused for a while, as by a machine that was deleted, goes once it is back. */
export type Sent = 'taken' | 'away' | { refused: string; stays: boolean };

const RETRY_AFTER = 2000;
const REFUSED_RETRY_AFTER = 10_000;

/** Entries that wait until the server is there, and then go in the order they were written, none twice. */
export class Outbox {
  list = $state.raw<Waiting[]>([]);
  /** Told when something has been taken. */
  ontaken: () => void = () => undefined;

  readonly #kept: Kept;
  readonly #send: (w: Waiting) => Promise<Sent>;
  readonly #turn: (run: () => Promise<void>) => Promise<void>;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #going = false;

  /** turn runs where no other window of this browser does the same. */
  constructor(
    kept: Kept,
    how: (w: Waiting) => Promise<Sent>,
    turn: (run: () => Promise<void>) => Promise<void> = (run) => run()
  ) {
    this.#kept = kept;
    this.#turn = turn;
    this.#send = how;
  }

  of(machineId: string): Waiting[] {
    return this.list.filter((w) => w.machineId === machineId);
  }

  async add(w: Waiting) {
    await this.#change((list) => [...list, w]);
    void this.go();
  }

  /** Gives up an entry that was refused. */
  async drop(id: string) {
    await this.#change((list) => list.filter((w) => w.entry.id !== id));
  }

  /** Sends what waits, the oldest first, until one finds nobody. */
  async go() {
    if (this.#going) return;
    this.#going = true;
    clearTimeout(this.#timer);
    try {
      await this.#turn(() => this.#goThrough());
    } finally {
      this.#going = false;
    }
  }

  async #goThrough() {
    const tried: string[] = [];
    for (;;) {
      this.list = await this.#kept.read();
      const next = this.list.find((w) => !w.stays && !tried.includes(w.entry.id));
      if (!next) break;
      const { id } = next.entry;
      tried.push(id);
      const sent = await this.#send(next);
      if (sent === 'away') {
        this.#goIn(RETRY_AFTER);
        return;
      }
      await this.#change((list) =>
        sent === 'taken'
          ? list.filter((w) => w.entry.id !== id)
          : list.map((w) => (w.entry.id === id ? { ...w, ...sent } : w))
      );
      if (sent === 'taken') this.ontaken();
    }
    if (this.list.some((w) => !w.stays)) this.#goIn(REFUSED_RETRY_AFTER);
  }

  #goIn(ms: number) {
    this.#timer = setTimeout(() => void this.go(), ms);
  }

  async #change(make: (list: Waiting[]) => Waiting[]) {
    await this.#kept.change(make);
    this.list = await this.#kept.read();
  }
}
