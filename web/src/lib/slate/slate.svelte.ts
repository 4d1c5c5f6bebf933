import { push } from 'svelte-spa-router';
import { Ask } from '../api/ask.svelte';
import { api, call, sayProblem, type Schemas } from '../api/client';
import { prefs } from '../prefs.svelte';
import { handOver } from '../sheet/handover';
import { fillIn, type Answer } from './fill';

type Reply = Schemas['SlateReply'];

/** What is asked on a slate, and its answer. */
export class SlateState {
  typed = $state('');
  problem = $state('');
  readonly #asked = new Ask<Reply>(
    (signal) => call(() => api.POST('/api/slate', { body: { text: this.typed, units: prefs.units }, signal })),
    (reply) => (this.problem = reply.data ? '' : sayProblem(reply.problem))
  );

  get reply(): Reply | undefined {
    return this.typed.trim() === '' ? undefined : this.#asked.answer;
  }

  ask(text: string) {
    this.typed = text;
    if (text.trim() !== '') this.#asked.again();
  }

  /** Asks again, for another system of units. */
  again() {
    this.ask(this.typed);
  }

  /** Makes a machine with a plan of what an answer holds, and opens it. */
  async start(answer: Answer) {
    const { data, problem } = await call(() =>
      api.POST('/api/machines', { body: { name: 'New machine', kind: '', units: prefs.units } })
    );
    if (!data) return void (this.problem = sayProblem(problem));
    handOver(data.planId, (sheet) => sheet.change((doc) => fillIn(doc, answer.fills)));
    await push(`/plan/${data.planId}`);
  }

  stop() {
    this.#asked.stop();
  }
}
