import { createStore, get, update, type UseStore } from 'idb-keyval';
import { api, call, sayProblem } from '../api/client';
import { Outbox, type Kept, type Sent, type Waiting } from './outbox.svelte';

const KEY = 'waiting';

/** What waits, in the browser's own database; where that keeps nothing, in the page as long as it is open. */
class InBrowser implements Kept {
  keeps = $state(true);
  #opened: UseStore | undefined;
  #here: Waiting[] = [];

  get #store() {
    return (this.#opened ??= createStore('jiriki-log', 'outbox'));
  }

  async read() {
    if (!this.keeps) return this.#here;
    try {
      return (await get<Waiting[]>(KEY, this.#store)) ?? [];
    } catch {
      this.keeps = false;
      return this.#here;
    }
  }

  async change(make: (list: Waiting[]) => Waiting[]) {
    if (this.keeps) {
      try {
        await update<Waiting[]>(KEY, (list) => make(list ?? []), this.#store);
        return;
      } catch {
        this.keeps = false;
      }
    }
    this.#here = make(this.#here);
  }
}

/** A machine or an entry that is not there may come back; what is said of an entry itself stays so. */
const outcome = (status: number, problem: string): Sent => {
  if (status >= 200 && status < 300) return 'taken';
  return status === 0 || status >= 500 ? 'away' : { refused: problem, stays: status !== 404 };
};

/** Sends an entry, then its pictures. Each has an ID from here, so that one sent twice is kept once. */
async function send(w: Waiting): Promise<Sent> {
  const path = { id: w.machineId };
  const reply = await call(() => api.POST('/api/machines/{id}/log', { params: { path }, body: w.entry }));
  const entry = outcome(reply.status, sayProblem(reply.problem));
  if (entry !== 'taken') return entry;
  for (const shot of w.pictures) {
    try {
      const answer = await fetch(`/api/log/${w.entry.id}/pictures?picture=${shot.id}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/octet-stream' },
        body: shot.blob
      });
      const picture = outcome(answer.status, 'The picture was not taken.');
      if (picture !== 'taken') return picture;
    } catch {
      return 'away';
    }
  }
  return 'taken';
}

/** Runs where no other window of this browser does the same. */
async function alone(run: () => Promise<void>): Promise<void> {
  if ('locks' in navigator) await navigator.locks.request('jiriki-outbox', run);
  else await run();
}

/** Where what waits in this browser is kept, and what waits. */
export const keptHere = new InBrowser();
export const outbox = new Outbox(keptHere, send, alone);
