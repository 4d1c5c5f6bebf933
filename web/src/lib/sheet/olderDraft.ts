/** Drafts were kept one for each plan before each window had its own: one that is left is put where the
 *  drafts of closed windows are found. */
export const bringOlderDraft = (planId: string) => {
  const key = `jiriki.draft.${planId}`;
  try {
    const kept = localStorage.getItem(key);
    if (!kept) return;
    const { doc, planVersion, machineVersion } = JSON.parse(kept) as {
      doc: unknown;
      planVersion: number;
      machineVersion: number;
    };
    const draft = { doc, version: { plan: planVersion, machine: machineVersion }, at: 0 };
    localStorage.setItem(`jiriki.draft.plan.${planId}.older`, JSON.stringify(draft));
    localStorage.removeItem(key);
  } catch {
    // Nothing that can be read.
  }
};
