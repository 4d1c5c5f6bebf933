import { getContext, setContext } from 'svelte';
import type { Working } from '../api/client';

/** What fields on a page are bound to: a plan sheet, or a part of the shelf. Paths are those the
 * core names fields with. */
export interface Form {
  readonly errors: Record<string, string>;
  readonly workings: Working[];
  readonly wanted: string;
  value(path: string): unknown;
  text(path: string): string;
  /** Changes one field. */
  set(path: string, value: unknown): void;
  /** Changes a whole group of fields or a list. */
  edit(path: string, value: unknown): void;
}

const form = Symbol('form');

export const provideForm = (get: () => Form) => setContext(form, get);
export const openForm = (): Form => getContext<() => Form>(form)();
