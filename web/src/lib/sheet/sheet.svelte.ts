import { push } from 'svelte-spa-router';
import {
  api,
  byField,
  call,
  filledOnly,
  saveInTime,
  sayProblem,
  type Assessment,
  type Machine,
  type Plan,
  type Remedy,
  type Schemas,
  type Sheet,
  type StationName,
  type Working
} from '../api/client';
import { Ask } from '../api/ask.svelte';
import { same } from '../form/merge';
import { namesField } from '../form/fields';
import { read, write } from '../form/path';
import { SavedDoc, type Keeper, type Sent, type Stored } from '../form/saved.svelte';
import { narrow } from '../ui/narrow.svelte';
import { prefs, type Units } from '../prefs.svelte';
import { bringOlderDraft } from './olderDraft';
import { BuildState } from '../build/build.svelte';
import { DryRunState } from '../dryrun/dryrun.svelte';
import { blankScript } from '../dryrun/script';
import { FaultState } from '../fault/fault.svelte';
import { SearchState } from '../reduction/search.svelte';
import { today } from '../today';
import { TrialsState } from '../trials/trials.svelte';

/** What a person edits: undone, redone and saved as one. */
export interface Doc {
  machine: Machine;
  plan: Plan;
}

/** A sheet is two things saved: the plan, and the machine it shares with other plans. */
interface Version {
  plan: number;
  machine: number;
}

/** What stands in place of the benches, and how its address ends. */
export const views = {
  '': '',
  /** A station's bench on a phone, where it has a page of its own; elsewhere it stands beside the reach. */
  bench: '/bench',
  dry: '/dry-run',
  rank: '/ranking',
  controls: '/controls',
  build: '/wire',
  power: '/power-up',
  trials: '/trials',
  log: '/log',
  fault: '/what-is-wrong',
  sheets: '/sheets',
  beside: '/beside'
} as const;
export type Panel = keyof typeof views;

/** The sheet each view prints as. */
const paperOf: Record<Exclude<Panel, 'beside' | 'log'>, string> = {
  '': 'verdict',
  bench: 'verdict',
  dry: 'verdict',
  rank: 'verdict',
  controls: 'settings',
  build: 'build',
  power: 'build',
  trials: 'verdict',
  fault: 'verdict',
  sheets: 'verdict'
};

/** The view an address ends with; the benches where there is none of that name. */
export const panelOf = (view: string | null | undefined): Panel =>
  (Object.keys(views) as Panel[]).find((p) => views[p] === `/${view}`) ?? '';

/** A draft typed in an older version may lack the newer lists and groups. */
const whole = (doc: Doc): Doc => {
  for (const job of doc.machine.jobs) job.start ??= { how: '', torque: '' };
  doc.plan.checks ??= [];
  doc.plan.prices ??= [];
  doc.plan.script ??= blankScript();
  doc.plan.script.sticks ??= '';
  doc.plan.trials ??= [];
  doc.plan.control.marks ??= [];
  return doc;
};

const storedOf = (sheet: Sheet): Stored<Doc, Version> => ({
  doc: { machine: sheet.machine, plan: sheet.plan },
  version: { plan: sheet.planVersion, machine: sheet.machineVersion }
});

const keeperOf = (planId: string): Keeper<Doc, Version> => ({
  id: `plan.${planId}`,
  whole,
  put: async (doc, version): Promise<Sent<Doc, Version>> => {
    const body = { ...doc, planVersion: version.plan, machineVersion: version.machine };
    const { data, problem, status } = await call(() =>
      api.PUT('/api/plans/{id}', { params: { path: { id: planId } }, body, signal: saveInTime() })
    );
    if (data) return { version: { plan: data.planVersion, machine: data.machineVersion } };
    if (status === 409 && problem && 'current' in problem) return { theirs: storedOf(problem.current as Sheet) };
    if (status === 404) return { problem: 'This plan was deleted elsewhere. What you typed is kept here.', gone: true };
    return { problem: problem?.detail ?? '' };
  }
});

type Question = Doc & { units: Units };

/** What was asked, with the entries that cannot be used as they were before. */
const mended = (asked: Question, a: Assessment, before: Question): Question => {
  const out = structuredClone(asked);
  for (const { field } of a.entries) write(out, pathIn(field), read(before, pathIn(field)));
  out.plan.checks = before.plan.checks;
  out.plan.trials = before.plan.trials;
  return out;
};

/** Where a field named by the core stands in what is saved. */
const pathIn = (path: string) => (/^machine\b/.test(path) ? path : `plan.${path}`);

/** The open plan sheet: what is saved, its assessment, and what is looked at. */
export class SheetState {
  readonly planId: string;
  readonly head: Omit<Sheet, 'plan' | 'machine'>;
  readonly saved: SavedDoc<Doc, Version>;
  /** The answer shown. While one entry is being mistyped it is the answer from before it. */
  assessment = $state.raw<Assessment>();
  /** The answer shown is from before an entry that cannot be used. */
  before = $state(false);
  errors = $state.raw<Record<string, string>>({});
  station = $state<StationName>('motor');
  /** What stands in place of the benches; changed by [show], which changes the address too. */
  panel = $state<Panel>('');
  /** What stands on the right of the reduction: the verdict, or the best reductions found. */
  finding = $state(false);
  readonly search: SearchState;
  readonly build: BuildState;
  readonly dry: DryRunState;
  readonly trials: TrialsState;
  readonly fault: FaultState;
  /** Field to bring into view and focus, set by findings and the finder. */
  wanted = $state('');
  errorCount: number;

  #asked = new Ask<Assessment>(
    (signal) => {
      this.#question = this.question;
      const { machine, plan, units } = this.#question;
      // What has been ticked off, and what was measured but not let in, sways nothing.
      const body = { units, machine, plan: { ...plan, checks: [], trials: [] } };
      return call(() => api.POST('/api/assess', { body, bodySerializer: filledOnly, signal }));
    },
    (reply) => this.#hear(reply.data)
  );
  #question: Question | undefined;
  /** The last answer in which every entry could be used, and what it was asked of. */
  #sound: { a: Assessment; of: Question } | undefined;

  private constructor(sheet: Sheet, saved: SavedDoc<Doc, Version>) {
    const { plan, machine, ...head } = sheet;
    this.planId = sheet.planId;
    this.head = head;
    this.saved = saved;
    this.search = new SearchState(this);
    this.build = new BuildState(this);
    this.dry = new DryRunState(this);
    this.trials = new TrialsState(this);
    this.fault = new FaultState(this);
    this.errorCount = $derived(Object.keys(this.errors).length);
    if (machine.jobs.length === 0 || plan.motor.kind === '') this.station = 'work';
    saved.onchange = () => this.assess();
    this.assess();
  }

  static async open(sheet: Sheet): Promise<SheetState> {
    bringOlderDraft(sheet.planId);
    return new SheetState(sheet, await SavedDoc.open(storedOf(sheet), keeperOf(sheet.planId)));
  }

  get doc(): Doc {
    return this.saved.doc;
  }
  /** The plan as it is asked about; whatever follows from it follows when it changes. */
  get question(): Question {
    return { units: prefs.units, ...this.saved.snapshot() };
  }

  /** Why the figures are from before what was typed last, if they are. */
  get unanswered(): string {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : '';
  }

  get canUndo() {
    return this.saved.canUndo;
  }
  get canRedo() {
    return this.saved.canRedo;
  }

  get workings(): Working[] {
    return this.assessment?.workings ?? [];
  }

  value(path: string): unknown {
    return this.saved.value(pathIn(path));
  }

  text(path: string): string {
    return this.saved.text(pathIn(path));
  }

  /** Changes one field. */
  set(path: string, value: unknown) {
    if (namesField('plan', path)) this.saved.set(pathIn(path), value);
  }

  /** Changes a whole group of fields or a list, undone by itself. */
  edit(path: string, value: unknown) {
    if (namesField('plan', path)) this.saved.edit(pathIn(path), value);
  }

  /** Makes a change of several fields, undone as one. */
  change(make: (doc: Doc) => void) {
    this.saved.change(make);
  }

  /** Makes one of many changes under the hand, all undone as one; first tells the first of them. */
  drag(make: (doc: Doc) => void, first: boolean) {
    this.saved.drag(make, first);
  }

  /** What was ticked off under an ID, if it was. */
  checkOf(id: string) {
    return this.doc.plan.checks.find((c) => c.id === id);
  }

  /** Ticks something off as done today, with what was read at it, or takes the tick back. */
  check(id: string, done: boolean) {
    this.change(({ plan }) => {
      const measured = plan.checks.find((c) => c.id === id)?.measured ?? '';
      const rest = plan.checks.filter((c) => c.id !== id);
      if (done) plan.checks = [...rest, { id, on: today(), measured }];
      else plan.checks = measured ? [...rest, { id, on: today(), measured, open: true }] : rest;
    });
  }

  /** Writes down what was read at a step. That never ticks it off: what is read anew is done again by its button. */
  measured(id: string, text: string) {
    const i = this.doc.plan.checks.findIndex((c) => c.id === id);
    if (i < 0) return this.change(({ plan }) => void plan.checks.push({ id, on: today(), measured: text, open: true }));
    if (!this.doc.plan.checks[i]?.open) this.edit(`checks[${i}].open`, true);
    this.set(`checks[${i}].measured`, text);
  }

  priceOf(part: string): string {
    return this.doc.plan.prices.find((p) => p.part === part)?.cost ?? '';
  }

  /** The field a part's price is kept in, as the core names it. */
  priceField(part: string): string {
    return `prices[${this.doc.plan.prices.findIndex((p) => p.part === part)}].cost`;
  }

  /** Writes down what a part costs. */
  price(part: string, cost: string) {
    const i = this.doc.plan.prices.findIndex((p) => p.part === part);
    if (i >= 0) this.set(`prices[${i}].cost`, cost);
    else this.change(({ plan }) => plan.prices.push({ part, cost }));
  }

  /** Takes what is offered for entries that are missing. */
  take(offer: Schemas['FindingOffer']) {
    for (const one of offer.set) this.set(one.field, one.value);
  }

  applyRemedy(r: Partial<Remedy> & Partial<Schemas['DryrunRemedy']>) {
    this.change((doc) => {
      const { machine, plan } = doc;
      if (r.machine) doc.machine = r.machine;
      if (r.script) plan.script = r.script;
      if (r.jobs) machine.jobs = r.jobs;
      if (r.control) plan.control = r.control;
      if (r.motor) plan.motor = r.motor;
      if (r.reduction) plan.reduction = r.reduction;
    });
  }

  useMotor(motor: Schemas['MotorDescribed']) {
    this.change(({ plan }) => (plan.motor = structuredClone($state.snapshot(motor))));
  }

  address(panel: Panel): string {
    return `#/plan/${this.planId}${views[panel]}`;
  }

  /** Prints the sheet that is for the view. */
  print() {
    if (this.panel === 'beside' || this.panel === 'log') return window.print();
    void push(`/plan/${this.planId}/${paperOf[this.panel]}?print`);
  }

  /** Puts a view in place of the benches, or the benches back. */
  show(panel: Panel) {
    if (panel === this.panel) return;
    this.panel = panel;
    void push(this.address(panel).slice(1));
  }

  /** Whether it is the plan itself that is looked at. */
  get onPlan() {
    return this.panel === '' || this.panel === 'bench';
  }

  /** Shows the bench of the station: on a phone as a page of its own. */
  showBench() {
    this.show(narrow.is ? 'bench' : '');
  }

  undo() {
    this.saved.undo();
  }

  redo() {
    this.saved.redo();
  }

  /** Opens the station of a field and asks for the field to be focused. */
  goTo(field: string) {
    const root = field.split(/[.[]/)[0];
    if (root === 'checks') {
      this.show('power');
      return;
    }
    if (root === 'script') {
      this.show('dry');
      this.wanted = field;
      return;
    }
    const station = root === 'machine' ? 'work' : root;
    if (station && ['supply', 'control', 'motor', 'reduction', 'work'].includes(station)) {
      this.station = station as StationName;
      this.showBench();
      this.wanted = field;
    }
  }

  /** Opens the search for the reduction that does most. */
  findReduction() {
    this.station = 'reduction';
    this.show('');
    this.finding = true;
  }

  /** Leaves the sheet; what is left to save is still saved. */
  close() {
    this.#asked.stop();
    this.build.stop();
    this.dry.stop();
    this.trials.stop();
    this.saved.close();
  }

  assess() {
    this.#asked.again();
  }

  /** Takes an answer in. While all that changed since the last sound one is what cannot be used, that one
   *  stays: a word half typed must not blank the sheet. */
  #hear(a: Assessment | undefined) {
    const asked = this.#question;
    if (!a || !asked) return;
    this.errors = byField(a.entries);
    if (a.entries.length === 0) this.#sound = { a, of: asked };
    const sound = this.#sound;
    this.before = a.entries.length > 0 && sound !== undefined && same(mended(asked, a, sound.of), sound.of);
    this.assessment = this.before ? sound?.a : a;
  }
}
