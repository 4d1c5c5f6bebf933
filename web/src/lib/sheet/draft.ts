import type { Doc } from './sheet.svelte';

interface Kept {
  doc: Doc;
  planVersion: number;
  machineVersion: number;
  tab: string;
}

/** Tells this page's draft from another tab's. */
const tab = crypto.randomUUID();

/** What was typed and not yet saved, kept in the browser so that a closed tab or a lost server
 * loses nothing. */
export class Draft {
  #key: string;

  constructor(planId: string) {
    this.#key = `jiriki.draft.${planId}`;
  }

  keep(doc: Doc, planVersion: number, machineVersion: number) {
    try {
      localStorage.setItem(this.#key, JSON.stringify({ doc, planVersion, machineVersion, tab } satisfies Kept));
    } catch {
      // No room or no permission: the server save is then the only copy.
    }
  }

  take(): Kept | undefined {
    try {
      const kept = localStorage.getItem(this.#key);
      return kept ? (JSON.parse(kept) as Kept) : undefined;
    } catch {
      return undefined;
    }
  }

  /** Forgets what this page kept; another tab's draft stays. */
  drop() {
    try {
      if (this.take()?.tab === tab) localStorage.removeItem(this.#key);
    } catch {
      // Nothing was kept.
    }
  }
}
