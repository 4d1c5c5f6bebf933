import { Ask } from './api/ask.svelte';
import { api, call, type Catalogue } from './api/client';

/** What can be chosen from, the same for every workshop: asked for once. */
class CatalogueState {
  #asked = new Ask<Catalogue>((signal) => call(() => api.GET('/api/catalogue', { signal })));

  load() {
    if (!this.#data) this.#asked.again();
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
  get donors() {
    return this.#data?.donors ?? [];
  }
  get regions() {
    return this.#data?.regions ?? [];
  }
  /** Which controls suit a kind of motor. */
  drives(kind: string) {
    return this.#data?.drives[kind] ?? [];
  }
  /** Standard pitch diameters, mm. */
  get pulleys() {
    return this.#data?.pulleys ?? [];
  }
  get blankStage() {
    return this.#data?.stage;
  }
  /** Which work with it too, but are not the usual choice. */
  also(kind: string) {
    return this.#data?.also[kind] ?? [];
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
