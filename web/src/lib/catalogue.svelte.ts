import { Ask } from './api/ask.svelte';
import { api, call, type Catalogue } from './api/client';
import { prefs } from './prefs.svelte';

/** What can be chosen from, the same for every workshop: asked for once, and again in other units or words. */
class CatalogueState {
  #asked = new Ask<Catalogue>((signal) =>
    call(() => api.GET('/api/catalogue', { params: { query: { units: prefs.units } }, signal }))
  );
  #for = '';

  /** Asks for it as answers are shown now. */
  load(shown: string) {
    if (shown === this.#for) return;
    this.#for = shown;
    this.#asked.again();
  }

  get #data() {
    return this.#asked.answer;
  }
  get machines() {
    return this.#data?.machines ?? [];
  }
  get materials() {
    return this.#data?.materials ?? [];
  }
  get likes() {
    return this.#data?.likes ?? [];
  }
  get motors() {
    return this.#data?.motors ?? [];
  }
  /** What is known of a kind of motor; undefined for none. */
  motor(kind: string) {
    return this.motors.find((m) => m.kind === kind);
  }
  get trials() {
    return this.#data?.trials ?? [];
  }
  /** A trial with nothing filled in. */
  get trial() {
    return this.#data?.trial;
  }
  get donors() {
    return this.#data?.donors ?? [];
  }
  /** Exercises of the practice bench. */
  get exercises() {
    return this.#data?.exercises ?? [];
  }
  /** What can be wrong, as it is said. */
  get symptoms() {
    return this.#data?.symptoms ?? [];
  }
  /** Retrofits that are often made. */
  get pairs() {
    return this.#data?.pairs ?? [];
  }
  get regions() {
    return this.#data?.regions ?? [];
  }
  get controls() {
    return this.#data?.controls ?? [];
  }
  /** What a kind of control is and does; undefined for none. */
  control(kind: string) {
    return this.controls.find((c) => c.kind === kind);
  }
  /** The controls that work with a kind of motor, those one would choose first. */
  controlsFor(motor: string) {
    return this.motor(motor)?.controls ?? [];
  }
  get stages() {
    return this.#data?.stages ?? [];
  }
  /** What a kind of stage is; undefined until the catalogue is there. */
  stage(kind: string) {
    return this.stages.find((s) => s.kind === kind);
  }
  /** Approaches to find a job's load. */
  get methods() {
    return this.#data?.methods ?? [];
  }
  get happenings() {
    return this.#data?.happenings ?? [];
  }
  get operations() {
    return this.#data?.operations ?? [];
  }
  /** Standard pitch diameters as they are typed. */
  get pulleys() {
    return this.#data?.pulleys ?? [];
  }
  get blankStage() {
    return this.#data?.stage;
  }
  get blankReading() {
    return this.#data?.reading;
  }
  get blankItem() {
    return this.#data?.item;
  }
  /** A job with nothing filled in; undefined until the catalogue is there. */
  get blankJob() {
    return this.#data?.job;
  }
}

export const catalogue = new CatalogueState();
