import type { Component } from 'svelte';
import type { Panel } from './sheet.svelte';

/** The views that stand in place of the benches. */
type Fetched = Exclude<Panel, '' | 'bench'>;

/** What stands in place of the benches, each fetched when it is first wanted. */
const fetchers: Record<Fetched, () => Promise<{ default: Component }>> = {
  dry: () => import('../dryrun/DryRunPanel.svelte'),
  rank: () => import('../rank/RankBench.svelte'),
  controls: () => import('../control/ControlsPanel.svelte'),
  build: () => import('../build/BuildPanel.svelte'),
  power: () => import('../build/PowerPanel.svelte'),
  trials: () => import('../trials/TrialsPanel.svelte'),
  log: () => import('../log/LogPanel.svelte'),
  fault: () => import('../fault/FaultPanel.svelte'),
  sheets: () => import('./SheetsPanel.svelte'),
  beside: () => import('../compare/BesidePanel.svelte')
};

const fetched = new Map<Panel, Promise<Component>>();

/** A panel's component. One that could not be fetched is tried again when it is next asked for. */
export function panelFor(panel: Fetched): Promise<Component> {
  let one = fetched.get(panel);
  if (!one) {
    one = fetchers[panel]().then((m) => m.default);
    one.catch(() => fetched.delete(panel));
    fetched.set(panel, one);
  }
  return one;
}

/** Fetches every panel once the page has time for it: while the server is away they must all still open. */
export function fetchPanels() {
  const all = () => {
    for (const panel of Object.keys(fetchers) as Fetched[]) void panelFor(panel).catch(() => undefined);
  };
  if ('requestIdleCallback' in window) requestIdleCallback(all, { timeout: 3000 });
  else setTimeout(all, 1000);
}
