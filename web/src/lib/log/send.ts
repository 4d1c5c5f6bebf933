import { createStore, get, update, type UseStore } from 'idb-keyval';
import { api, call, sayProblem } from '../api/client';
import { Outbox, type Kept, type Sent, type Waiting } from './outbox.svelte';

const KEY = 'waiting';

const inBrowser = (): Kept => {
  let opened: UseStore | undefined;
  const store = () => (opened ??= createStore('jiriki-log', 'outbox'));
  return {
    read: async () => (await get<Waiting[]>(KEY, store())) ?? [],
    change: (make) => update<Waiting[]>(KEY, (list) => make(list ?? []), store())
  };
};

const outcome = (status: number, problem: string): Sent =>
  status >= 200 && status < 300 ? 'taken' : status === 0 || status >= 500 ? 'away' : { refused: problem };

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

/** What waits in this browser. */
export const outbox = new Outbox(inBrowser(), send, alone);
