import { untrack } from 'svelte';
import { Ask } from '../api/ask.svelte';
import { api, call, type Schemas } from '../api/client';
import { prefs } from '../prefs.svelte';

/** A line somebody types and what is read in it, as they type. Made while a component is. */
export class ReadLine {
  text = $state('');
  readonly #ask = new Ask<Schemas['SlateReply']>((signal) =>
    call(() => api.POST('/api/slate', { body: { text: this.text, units: prefs.units }, signal }))
  );

  constructor() {
    $effect(() => () => this.#ask.stop());
    $effect(() => {
      if (!this.blank && prefs.units) untrack(() => this.#ask.again());
    });
  }

  get blank() {
    return this.text.trim() === '';
  }
  /** What was read; undefined while nothing is typed or nobody has answered yet. */
  get reply() {
    return this.blank ? undefined : this.#ask.answer;
  }
}
