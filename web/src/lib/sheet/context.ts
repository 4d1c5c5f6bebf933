import { getContext, setContext } from 'svelte';
import { provideForm } from '../form/context';
import type { SheetState } from './sheet.svelte';

const sheet = Symbol('sheet');

/** Gives what lies below the open plan sheet, as a form and as itself. */
export const provideSheet = (get: () => SheetState) => {
  provideForm(get);
  setContext(sheet, get);
};
export const openSheet = (): SheetState => getContext<() => SheetState>(sheet)();
