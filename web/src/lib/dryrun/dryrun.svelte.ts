import { Ask } from '../api/ask.svelte';
import { api, call, filledOnly, sayProblem, type Machine, type Plan, type Schemas } from '../api/client';
import { stream } from '../api/stream';
import { Play } from './play.svelte';

type Answer = Schemas['DryrunAnswer'];
type Question = { units: 'metric' | 'inch'; machine: Machine; plan: Plan };

/** The plan that is run. */
interface Of {
  readonly question: Question;
}

// What has been ticked off sways nothing.
const bare = <Q extends Question>(body: Q): Q => ({ ...body, plan: { ...body.plan, checks: [], trials: [] } });

const ask = (body: Question & { script?: Plan['script'] }, signal: AbortSignal) =>
  call(() => api.POST('/api/dryrun', { body: bare(body), bodySerializer: filledOnly, signal }));

/** The dry run of the open plan, and of another beside it. */
export class DryRunState {
  readonly play: Play;
  readonly #of: Of;
  readonly #asked: Ask<Answer>;
  readonly #ghost: Ask<Answer>;
  readonly #day: Ask<Schemas['DryrunDay']>;
  /** The run over what is not known, of the plan as it was when it was asked for. */
  draws = $state.raw<Schemas['DryrunDraws']>();
  /** How much of it is done, from 0 to 1, while it is. */
  drawing = $state<number>();
  #drawing: AbortController | undefined;
  /** How much of a script that takes long has been run, from 0 to 1, while it is; it can be stopped. */
  running = $state<number>();
  stopped = $state(false);
  #running: AbortController | undefined;
  #whole = $state.raw<Answer>();
  /** The plan that runs beside it, by the same script. */
  beside = $state.raw<{ id: string; name: string; plan: Plan }>();

  constructor(of: Of) {
    this.#of = of;
    this.#asked = new Ask<Answer>(
      (signal) => {
        this.stopRunning();
        return ask(of.question, signal);
      },
      (reply) => {
        // What was drawn, or run at length, was of the plan as it was.
        if (reply.data) this.draws = this.#whole = undefined;
        if (reply.data?.long) void this.runWhole();
        else if (reply.data) this.#take(reply.data);
      }
    );
    this.#ghost = new Ask<Answer>((signal) => {
      const { units, machine, plan } = of.question;
      const script = this.answer?.script ?? plan.script;
      // Its own reduction has positions of its own.
      return ask({ units, machine, plan: this.beside?.plan ?? plan, script: { ...script, position: '' } }, signal);
    });
    this.#day = new Ask<Schemas['DryrunDay']>((signal) =>
      call(() => api.POST('/api/day', { body: of.question, bodySerializer: filledOnly, signal }))
    );
    this.play = new Play();
  }

  #take(answer: Answer) {
    this.play.take(answer);
    if (this.beside) this.#ghost.again();
  }

  /** Runs a script that takes long. */
  async runWhole() {
    const mine = new AbortController();
    this.#running = mine;
    this.running = 0;
    this.stopped = false;
    await stream<Answer>('/api/dryrun/whole', bare(this.#of.question), mine.signal, {
      progress: ({ share }) => (this.running = share),
      result: (whole) => {
        this.#whole = whole;
        this.#take(whole);
      },
      problem: () => (this.stopped = true)
    });
    if (this.#running === mine) this.running = undefined;
  }

  stopRunning() {
    if (this.running !== undefined) this.stopped = true;
    this.#running?.abort();
    this.running = undefined;
  }

  get day() {
    return this.#day.answer;
  }
  askDay() {
    this.#day.again();
  }

  /** Runs it over what is not known; asked again it is stopped. */
  async draw() {
    if (this.#drawing) return this.#stopDrawing();
    const mine = new AbortController();
    this.#drawing = mine;
    this.drawing = 0;
    await stream<Schemas['DryrunDraws']>('/api/draws', this.#of.question, mine.signal, {
      progress: ({ share }) => (this.drawing = share),
      result: (draws) => (this.draws = draws),
      problem: () => (this.draws = undefined)
    });
    if (this.#drawing === mine) this.#stopDrawing();
  }

  #stopDrawing() {
    this.#drawing?.abort();
    this.#drawing = undefined;
    this.drawing = undefined;
  }

  get answer() {
    return this.#whole ?? this.#asked.answer;
  }
  get ghost() {
    return this.beside && this.#ghost.answer?.runs ? this.#ghost.answer : undefined;
  }
  /** Why there is no newer answer. */
  get problem() {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : '';
  }
  again() {
    this.#asked.again();
  }

  /** Runs another plan beside it, or none. */
  async runBeside(id: string, name: string) {
    if (!id) {
      this.beside = undefined;
      return;
    }
    const { data } = await call(() => api.GET('/api/plans/{id}', { params: { path: { id } } }));
    if (!data) return;
    this.beside = { id, name, plan: data.plan };
    this.#ghost.instead();
  }

  stop() {
    this.#asked.stop();
    this.#ghost.stop();
    this.#day.stop();
    this.stopRunning();
    this.#stopDrawing();
    this.play.pause();
  }
}
