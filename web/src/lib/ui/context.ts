import { getContext, setContext } from 'svelte';
import type { SheetState } from '../sheet/sheet.svelte';

const key = Symbol('sheet');

export const provideSheet = (get: () => SheetState) => setContext(key, get);
export const openSheet = (): SheetState => getContext<() => SheetState>(key)();
