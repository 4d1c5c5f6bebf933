import { Ask } from '../api/ask.svelte';
import { api, byField, call, filledOnly, sayProblem, type Machine, type Plan, type Schemas } from '../api/client';
import { catalogue } from '../catalogue.svelte';
import type { Form } from '../form/context';
import { newId } from '../newId';
import { clock, today } from '../today';
import { Live } from './live.svelte';

export type Trial = Schemas['MeasuredTrial'];
export type Reading = Schemas['MeasuredReading'];
export type Profile = Schemas['MeasuredProfile'];
export type Column = Schemas['MeasuredColumn'];
export type Kind = Trial['kind'];
type Answer = Schemas['TrialAnswer'];
type Doc = { machine: Machine; plan: Plan };

/** As much of the sheet as trials ask for. */
export interface Of {
  readonly planId: string;
  readonly question: Doc & { units: 'metric' | 'inch' };
  readonly doc: Doc;
  value(path: string): unknown;
  text(path: string): string;
  set(path: string, value: unknown): void;
  edit(path: string, value: unknown): void;
  change(make: (doc: Doc) => void): void;
}

/** A trial has many rows: a short name tells them apart. */
const rowId = () => newId().slice(0, 8);

/** Which readings go by the seconds since the first was taken. */
const timed = (p: Profile | undefined) => p?.columns.some((c) => c.field === 'time') ?? false;

/** The trials of the open plan: the one that is looked at, what it comes to, and what instruments read now. */
export class TrialsState implements Form {
  /** ID of the trial that is open. */
  open = $state('');
  /** What goes into the column that is chosen, with the next reading. */
  at = $state('');
  errors = $state.raw<Record<string, string>>({});
  /** Every value that comes is taken, until it is stopped. */
  recording = $state(false);
  readonly live = new Live();
  readonly workings = [];
  readonly wanted = '';

  readonly #of: Of;
  readonly #asked: Ask<Answer>;
  /** Whose answer it is. */
  #answered = '';
  #began = 0;

  constructor(of: Of) {
    this.#of = of;
    this.#asked = new Ask<Answer>(
      (signal) => {
        const { units, machine, plan } = of.question;
        this.#answered = this.open;
        return call(() =>
          api.POST('/api/trial', {
            body: { units, machine, plan, trial: Math.max(this.index, 0) },
            bodySerializer: filledOnly,
            signal
          })
        );
      },
      (reply) => {
        if (reply.data) this.errors = byField(reply.data.entries);
      }
    );
    this.live.onvalue = (v) => {
      if (this.recording && v.word === this.main?.live) this.take();
    };
  }

  get list(): Trial[] {
    return this.#of.doc.plan.trials;
  }
  get index(): number {
    return this.list.findIndex((t) => t.id === this.open);
  }
  get trial(): Trial | undefined {
    return this.list[this.index];
  }
  get profile(): Profile | undefined {
    return catalogue.trials.find((p) => p.kind === this.trial?.kind);
  }
  /** Where the open trial's fields are. */
  get path(): string {
    return `trials[${this.index}]`;
  }
  /** The column an instrument's value goes into. */
  get main(): Column | undefined {
    return this.profile?.columns.find((c) => c.live !== '');
  }
  get answer(): Answer | undefined {
    return this.#answered === this.open && this.trial ? this.#asked.answer : undefined;
  }
  get problem(): string {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : '';
  }

  again() {
    if (this.trial) this.#asked.again();
  }

  /** Opens the latest trial of a kind, or begins the first. */
  choose(kind: Kind) {
    const latest = this.list.findLast((t) => t.kind === kind);
    if (latest) this.show(latest.id);
    else this.begin(kind);
  }

  show(id: string) {
    this.open = id;
    this.at = '';
    this.recording = false;
    this.errors = {};
    const t = this.trial;
    this.#began = 0;
    if (t) this.#asked.instead();
  }

  begin(kind: Kind) {
    const id = rowId();
    this.#of.change(({ plan }) => {
      plan.trials.push({ ...structuredClone($state.snapshot(catalogue.trial)), id, kind, on: today() } as Trial);
    });
    this.show(id);
  }

  remove(id: string) {
    this.#of.change(({ plan }) => (plan.trials = plan.trials.filter((t) => t.id !== id)));
    if (this.open === id) this.open = '';
  }

  /** Adds a reading of what the instruments read now; with none of them, an empty one. It says which it is. */
  take(): number {
    const p = this.profile;
    if (!p || this.index < 0) return -1;
    const reading: Reading = { id: rowId(), at: clock() };
    for (const c of p.columns) {
      const now = this.live.of(c.live);
      if (now && !this.live.stopped(now)) Object.assign(reading, { [c.field]: now.typed });
    }
    const second = this.live.of('rpm2');
    if (second && p.columns.some((c) => c.field === 'second')) reading.second = second.typed;
    const given = p.given;
    if (given) Object.assign(reading, { [given]: this.at || this.answer?.next.at || '' });
    if (timed(p)) {
      if (this.#began === 0 || (this.trial?.readings.length ?? 0) === 0) this.#began = Date.now();
      if (reading.speed || reading.celsius) reading.time = `${((Date.now() - this.#began) / 1000).toFixed(1)} s`;
    }
    const last = this.trial?.readings.at(-1);
    if (last?.state) reading.state = last.state;
    this.add([reading]);
    this.at = '';
    return (this.trial?.readings.length ?? 0) - 1;
  }

  /** Adds readings that were taken elsewhere, as far as there is room. */
  add(list: Reading[]) {
    const i = this.index;
    const room = MOST_READINGS - (this.trial?.readings.length ?? 0);
    const taken = list.slice(0, Math.max(room, 0)).map((r) => ({ ...r, id: r.id ?? rowId() }));
    if (taken.length < list.length) this.recording = false;
    this.#of.change(({ plan }) => plan.trials[i]?.readings.push(...taken));
  }

  /** Adds a speed that was found elsewhere to the knob's marks, of the same shaft and belt. */
  atKnob(mark: string, reading: Reading) {
    const where = this.trial?.where || 'spindle';
    const position = this.trial?.position ?? '';
    const latest = this.list.findLast(
      (t) => t.kind === 'knob' && (t.where || 'spindle') === where && t.position === position
    );
    if (latest) this.show(latest.id);
    else {
      this.begin('knob');
      this.edit(`${this.path}.where`, where);
      this.edit(`${this.path}.position`, position);
    }
    this.add([{ ...reading, mark }]);
  }

  drop(i: number) {
    const t = this.index;
    this.#of.change(({ plan }) => {
      const trial = plan.trials[t];
      if (trial) trial.readings = trial.readings.filter((_, k) => k !== i);
    });
  }

  /** Lets what was measured into the plan, as one change. */
  use() {
    const c = this.answer?.correction;
    const i = this.index;
    if (!c) return;
    this.#of.change(({ plan }) => {
      if (c.control) plan.control = c.control;
      if (c.motor) plan.motor = c.motor;
      if (c.reduction) plan.reduction = c.reduction;
      if (c.supply) plan.supply = c.supply;
      if (c.script) plan.script = c.script;
      if (c.checks) plan.checks = c.checks;
      const trial = plan.trials[i];
      if (trial) trial.used = today();
    });
  }

  stop() {
    this.#asked.stop();
    this.live.stop();
    this.recording = false;
  }

  value(path: string) {
    return this.#of.value(path);
  }
  text(path: string) {
    return this.#of.text(path);
  }
  set(path: string, value: unknown) {
    this.#of.set(path, value);
  }
  edit(path: string, value: unknown) {
    this.#of.edit(path, value);
  }
}

/** As many as a trial holds. */
export const MOST_READINGS = 120;
