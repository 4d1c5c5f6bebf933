import {
  api,
  call,
  filledOnly,
  type Assessment,
  type Machine,
  type Plan,
  type Remedy,
  type Schemas,
  type Sheet,
  type StationName,
  type Working
} from '../api/client';
import { prefs } from '../prefs.svelte';
import { SearchState } from '../reduction/search.svelte';
import { History } from '../ui/history.svelte';
import { Draft } from './draft';
import { read, write } from './path';

/** What a person edits: undone, redone and saved as one. */
export interface Doc {
  machine: Machine;
  plan: Plan;
}

export type Panel = '' | 'rank' | 'controls' | 'build';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'away' | 'conflict';

const SAVE_AFTER = 500;
const RETRY_AFTER = 2000;

/** A draft typed in an older version may lack the newer lists. */
const whole = (doc: Doc): Doc => {
  doc.plan.checks ??= [];
  doc.plan.prices ??= [];
  return doc;
};

/** The day as it is written in every country: 2026-11-25. */
const today = () => new Date().toLocaleDateString('sv-SE');

const clone = (doc: Doc): Doc => $state.snapshot(doc) as Doc;

/** The open plan sheet: the document, its assessment, its history and its saving. */
export class SheetState {
  readonly planId: string;
  head: Omit<Sheet, 'plan' | 'machine'>;
  doc: Doc;
  assessment = $state<Assessment>();
  errors = $state<Record<string, string>>({});
  save = $state<SaveState>('saved');
  saveNote = $state('');
  station = $state<StationName>('motor');
  /** What stands in place of the benches: the shelf ranked, controls compared, wiring and building. */
  panel = $state<Panel>('');
  /** What stands on the right of the reduction: the verdict, or the best reductions found. */
  finding = $state(false);
  readonly search: SearchState;
  /** Field to bring into view and focus, set by findings and the finder. */
  wanted = $state('');
  errorCount: number;

  #history = new History<Doc>();
  #assessing = false;
  #assessAgain = false;
  #saveTimer: ReturnType<typeof setTimeout> | undefined;
  #saving = false;
  #theirs: Sheet | undefined;
  #draft: Draft;
  #closed = false;

  constructor(sheet: Sheet) {
    const { plan, machine, ...head } = sheet;
    this.planId = sheet.planId;
    this.head = $state(head);
    this.doc = $state(whole({ plan, machine }));
    this.search = new SearchState(this);
    this.errorCount = $derived(Object.keys(this.errors).length);
    if (machine.jobs.length === 0 || plan.motor.kind === '') this.station = 'work';
    this.#draft = new Draft(sheet.planId);
    const kept = this.#draft.take();
    if (kept) {
      // Something typed before was never saved. It comes back on the versions it was typed
      // against, so a change made elsewhere since is noticed.
      this.#history.remember(clone(this.doc));
      this.doc = whole(kept.doc);
      this.head.planVersion = kept.planVersion;
      this.head.machineVersion = kept.machineVersion;
      this.#changed();
    }
    this.assess();
  }

  get canUndo() {
    return this.#history.canUndo;
  }
  get canRedo() {
    return this.#history.canRedo;
  }

  get workings(): Working[] {
    return this.assessment?.workings ?? [];
  }

  value(path: string): unknown {
    return read(path.startsWith('machine') ? this.doc : this.doc.plan, path);
  }

  text(path: string): string {
    const v = this.value(path);
    return typeof v === 'string' ? v : '';
  }

  /** Changes one field. */
  set(path: string, value: unknown) {
    this.#history.remember(clone(this.doc), path);
    write(path.startsWith('machine') ? this.doc : this.doc.plan, path, value);
    this.#changed();
  }

  /** Changes a whole group of fields or a list, undone by itself. */
  edit(path: string, value: unknown) {
    this.change((doc) => write(path.startsWith('machine') ? doc : doc.plan, path, value));
  }

  /** Makes a change of several fields, undone as one. */
  change(make: (doc: Doc) => void) {
    this.#history.remember(clone(this.doc));
    make(this.doc);
    this.#changed();
  }

  /** Makes one of many changes under the hand, all undone as one; first tells the first of them. */
  drag(make: (doc: Doc) => void, first: boolean) {
    if (first) this.#history.remember(clone(this.doc));
    make(this.doc);
    this.#changed();
  }

  /** What was ticked off under an ID, if it was. */
  checkOf(id: string) {
    return this.doc.plan.checks.find((c) => c.id === id);
  }

  /** Ticks something off as done today, or takes the tick back. */
  check(id: string, done: boolean) {
    this.change(({ plan }) => {
      const rest = plan.checks.filter((c) => c.id !== id);
      plan.checks = done ? [...rest, { id, on: today(), measured: '' }] : rest;
    });
  }

  /** Writes down what was read at a step; with a reading it counts as done. */
  measured(id: string, text: string) {
    const i = this.doc.plan.checks.findIndex((c) => c.id === id);
    if (i >= 0) this.set(`checks[${i}].measured`, text);
    else this.change(({ plan }) => plan.checks.push({ id, on: today(), measured: text }));
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

  applyRemedy(r: Remedy) {
    this.change(({ machine, plan }) => {
      if (r.jobs) machine.jobs = r.jobs;
      if (r.control) plan.control = r.control;
      if (r.motor) plan.motor = r.motor;
      if (r.reduction) plan.reduction = r.reduction;
    });
  }

  useMotor(motor: Schemas['MotorDescribed']) {
    this.change(({ plan }) => (plan.motor = structuredClone($state.snapshot(motor))));
  }

  undo() {
    this.#restore(this.#history.undo(clone(this.doc)));
  }

  redo() {
    this.#restore(this.#history.redo(clone(this.doc)));
  }

  /** Opens the station of a field and asks for the field to be focused. */
  goTo(field: string) {
    const root = field.split(/[.[]/)[0];
    const station = root === 'machine' ? 'work' : root;
    if (station && ['supply', 'control', 'motor', 'reduction', 'work'].includes(station)) {
      this.station = station as StationName;
      this.panel = '';
      this.wanted = field;
    }
  }

  keepMine() {
    if (!this.#theirs) return;
    this.head.planVersion = this.#theirs.planVersion;
    this.head.machineVersion = this.#theirs.machineVersion;
    this.#theirs = undefined;
    this.save = 'unsaved';
    void this.#saveNow();
  }

  takeTheirs() {
    const theirs = this.#theirs;
    if (!theirs) return;
    this.#history.remember(clone(this.doc));
    this.#theirs = undefined;
    const { plan, machine, ...head } = theirs;
    this.head = head;
    this.doc = { plan, machine };
    this.save = 'saved';
    this.#draft.drop();
    this.assess();
  }

  /** Saves what is left and stops; the draft stays if the server is away. */
  close() {
    if (this.save === 'unsaved') void this.#saveNow();
    this.#closed = true;
    clearTimeout(this.#saveTimer);
  }

  assess() {
    if (this.#assessing) {
      this.#assessAgain = true;
      return;
    }
    void this.#assessNow();
  }

  #restore(doc: Doc | undefined) {
    if (!doc) return;
    this.doc = doc;
    this.#changed();
  }

  #changed() {
    if (this.save !== 'conflict') this.save = this.save === 'away' ? 'away' : 'unsaved';
    this.#draft.keep(clone(this.doc), this.head.planVersion, this.head.machineVersion);
    this.#saveSoon(SAVE_AFTER);
    this.assess();
  }

  async #assessNow() {
    this.#assessing = true;
    do {
      this.#assessAgain = false;
      const { machine, plan } = clone(this.doc);
      // Of the shelf only motors are tried, and what has been ticked off sways nothing.
      const shelf = $state.snapshot(this.head.shelf).filter((item) => item.sort === 'motor');
      const body = { units: prefs.units, machine, plan: { ...plan, checks: [] }, shelf };
      const { data, problem, status } = await call(() => api.POST('/api/assess', { body, bodySerializer: filledOnly }));
      if (data) {
        this.assessment = data;
        this.errors = {};
      } else if (status === 422) {
        this.errors = Object.fromEntries((problem?.errors ?? []).map((e) => [e.location ?? '', e.message ?? 'cannot be used']));
      }
    } while (this.#assessAgain && !this.#closed);
    this.#assessing = false;
  }

  #saveSoon(after: number) {
    clearTimeout(this.#saveTimer);
    if (!this.#closed) this.#saveTimer = setTimeout(() => void this.#saveNow(), after);
  }

  async #saveNow() {
    if (this.save === 'conflict') return;
    if (this.#saving) return this.#saveSoon(SAVE_AFTER);
    this.#saving = true;
    this.save = 'saving';
    const sent = clone(this.doc);
    const body = { ...sent, planVersion: this.head.planVersion, machineVersion: this.head.machineVersion };
    const { data, problem, status } = await call(() => api.PUT('/api/plans/{id}', { params: { path: { id: this.planId } }, body }));
    this.#saving = false;
    if (data) {
      this.head.planVersion = data.planVersion;
      this.head.machineVersion = data.machineVersion;
      if (JSON.stringify(sent) === JSON.stringify(clone(this.doc))) {
        this.save = 'saved';
        this.#draft.drop();
      } else {
        this.save = 'unsaved';
        this.#draft.keep(clone(this.doc), data.planVersion, data.machineVersion);
        this.#saveSoon(SAVE_AFTER);
      }
    } else if (status === 409 && problem && 'current' in problem) {
      this.#theirs = problem.current as Sheet;
      this.save = 'conflict';
    } else {
      this.save = 'away';
      this.saveNote = status === 404 ? 'This plan was deleted elsewhere. What you typed is kept here.' : (problem?.detail ?? '');
      this.#saveSoon(RETRY_AFTER);
    }
  }
}
