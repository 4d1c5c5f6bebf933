import type { SheetState } from './sheet.svelte';

let handed: { planId: string; change: (sheet: SheetState) => void } | undefined;

/** Hands what was found on another page to a plan's sheet, which takes it as a change like any other. */
export const handOver = (planId: string, change: (sheet: SheetState) => void) => {
  handed = { planId, change };
};

export const takeOver = (sheet: SheetState) => {
  if (handed?.planId !== sheet.planId) return;
  const { change } = handed;
  handed = undefined;
  change(sheet);
};
