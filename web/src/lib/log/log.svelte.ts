import { Ask } from '../api/ask.svelte';
import { api, call, sayProblem, type Schemas } from '../api/client';
import { entryOf, type Draft, type Sort } from './draft';
import type { Entry } from './outbox.svelte';
import { newId } from '../newId';
import { outbox } from './send.svelte';

type Log = Schemas['Log'];

/** How many entries the server gives at once. */
const PAGE = 200;

export type Due = Schemas['LogbookDue'];

/** The log of a machine: what is in it, what waits to go into it, and what is due. */
export class LogState {
  search = $state('');
  sorts = $state<Sort[]>([]);
  /** How many newer ones stand before those that are shown. */
  offset = $state(0);
  readonly machineId: string;
  readonly #asked: Ask<Log>;
  /** Struck out last, while it can be brought back. */
  struck = $state<{ id: string; title: string }>();
  problem = $state('');

  constructor(machineId: string, planId: string) {
    this.machineId = machineId;
    this.#asked = new Ask<Log>(
      (signal) =>
        call(() =>
          api.GET('/api/machines/{id}/log', {
            params: {
              path: { id: machineId },
              query: { plan: planId, search: this.search, sorts: this.sorts, offset: this.offset }
            },
            signal
          })
        ),
      (reply) => (this.problem = reply.data ? '' : sayProblem(reply.problem))
    );
  }

  get log(): Log | undefined {
    return this.#asked.answer;
  }
  get waiting() {
    return outbox.of(this.machineId);
  }

  load() {
    this.#asked.again();
  }
  /** Shows the newest of what is searched for now. */
  first() {
    this.offset = 0;
    this.load();
  }
  older() {
    this.offset += PAGE;
    this.load();
  }
  newer() {
    this.offset = Math.max(0, this.offset - PAGE);
    this.load();
  }
  stop() {
    this.#asked.stop();
  }

  async write(d: Draft, plan: string) {
    const entry = entryOf(d, plan, Date.now(), newId());
    await outbox.add({ machineId: this.machineId, entry, pictures: d.pictures });
  }

  async strike(e: Entry) {
    const { problem } = await call(() => api.DELETE('/api/log/{id}', { params: { path: { id: e.id } } }));
    if (problem) this.problem = sayProblem(problem);
    else this.struck = { id: e.id, title: e.title };
    this.load();
  }

  async bringBack() {
    const id = this.struck?.id;
    if (!id) return;
    await call(() => api.POST('/api/log/{id}/restore', { params: { path: { id } } }));
    this.struck = undefined;
    this.load();
  }
}
