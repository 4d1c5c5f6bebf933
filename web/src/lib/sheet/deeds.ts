import { push } from 'svelte-spa-router';
import type { Assessment, StationName } from '../api/client';
import { catalogue } from '../catalogue.svelte';
import { prefs } from '../prefs.svelte';
import type { Deed } from '../ui/find';
import { planFields } from '../api/fields';
import { wordsOf } from '../form/path';
import type { Kind } from '../trials/trials.svelte';
import type { SheetState } from './sheet.svelte';

export const stations: readonly StationName[] = ['supply', 'control', 'motor', 'reduction', 'work'];

/** Opens a station's bench and goes to its place on the line. */
function goBench(sheet: SheetState, station: StationName) {
  sheet.station = station;
  sheet.showBench();
  document.getElementById(`station-${station}`)?.focus();
}

/** Where one can go from a plan. */
function places(sheet: SheetState): Deed[] {
  return [
    ...stations.map((s) => ({ name: `${s} bench`, group: 'Go to', run: () => goBench(sheet, s) })),
    {
      name: 'What is it? Name a motor by what can be seen',
      group: 'Go to',
      run: () => void push(`/what-is-it/${sheet.planId}`)
    },
    ...sheet.head.siblings
      .filter((p) => p.id !== sheet.planId)
      .map((p) => ({
        name: `Plan ${p.letter}, ${p.name || 'no name'}`,
        group: 'Go to',
        run: () => void push(`/plan/${p.id}`)
      }))
  ];
}

/** What can be done with it. */
function acts(sheet: SheetState): Deed[] {
  const page = (name: string, path: string) => ({
    name: `${name}, to print`,
    group: 'Do',
    run: () => void push(`/plan/${sheet.planId}/${path}`)
  });
  return [
    { name: 'Rank the shelf for these jobs', group: 'Do', run: () => sheet.show('rank') },
    { name: 'Find the best reduction', group: 'Do', run: () => sheet.findReduction() },
    { name: 'Undo', group: 'Do', keys: 'Ctrl Z', run: () => sheet.undo() },
    { name: 'Redo', group: 'Do', keys: 'Ctrl Shift Z', run: () => sheet.redo() },
    { name: 'Show metric', group: 'Do', run: () => prefs.setUnits('metric') },
    { name: 'Show inch', group: 'Do', run: () => prefs.setUnits('inch') },
    { name: 'Day theme', group: 'Do', run: () => prefs.setTheme('day') },
    { name: 'Night theme', group: 'Do', run: () => prefs.setTheme('night') },
    { name: 'Compare controls for this motor', group: 'Do', run: () => sheet.show('controls') },
    {
      name: 'Dry run: simulated before metal is cut',
      also: 'simulation start stop cut stall',
      group: 'Go to',
      run: () => sheet.show('dry')
    },
    { name: 'Wiring, parts, other ways', also: 'build diagram bill', group: 'Go to', run: () => sheet.show('build') },
    { name: 'First power-up, step by step', group: 'Go to', run: () => sheet.show('power') },
    { name: 'Trials: measure it, by tachometer, strobe, ear, scale', group: 'Go to', run: () => sheet.show('trials') },
    { name: 'Log: what happened, hours, what is due', group: 'Go to', run: () => sheet.show('log') },
    { name: 'What is wrong? Find a fault, test by test', group: 'Go to', run: () => sheet.show('fault') },
    { name: 'Sheets to print', group: 'Go to', run: () => sheet.show('sheets') },
    { name: 'Plans beside each other, compared', group: 'Go to', run: () => sheet.show('beside') },
    page('Verdict sheet', 'verdict'),
    page('Settings sheet', 'settings'),
    page('Build sheet and wiring', 'build'),
    page('Speed plate', 'speed-plate'),
    {
      name: 'Export this plan as a file',
      group: 'Do',
      run: () => location.assign(`/api/plans/${sheet.planId}/export`)
    }
  ];
}

/** The changes that were tried, and the findings with a field to go to. */
function answers(sheet: SheetState, a: Assessment | undefined): Deed[] {
  return [
    ...(a?.jobs.flatMap((j) =>
      j.remedies.map((r) => ({
        name: `${r.label} (${j.name} ${r.margin})`,
        group: 'Try',
        run: () => sheet.applyRemedy(r)
      }))
    ) ?? []),
    ...(a?.findings
      .filter((f) => f.field)
      .map((f) => ({ name: f.title, group: 'Findings', run: () => sheet.goTo(f.field) })) ?? [])
  ];
}

/** The entries that are not one of a list, by their station and what they are called. */
const fields = planFields.filter(
  (path) =>
    path.includes('.') &&
    !path.includes('[') &&
    !planFields.some((other) => other.startsWith(`${path}.`) || other === `${path}[n]`)
);

function entries(sheet: SheetState): Deed[] {
  return fields.map((path) => ({ name: wordsOf(path), group: 'Fields', run: () => sheet.goTo(path) }));
}

/** The trials there are, and what can be wrong, as it is said. */
const tried = (sheet: SheetState): Deed[] => [
  ...catalogue.trials.map((t) => ({
    name: `Trial: ${t.name}`,
    says: t.about,
    also: `measure ${t.about}`.toLowerCase(),
    group: 'Trials',
    run: () => {
      sheet.show('trials');
      sheet.trials.choose(t.kind as Kind);
    }
  })),
  ...catalogue.symptoms.map((s) => ({
    name: `What is wrong: ${s.words}`,
    also: 'fault symptom trouble',
    group: 'What is wrong?',
    run: () => {
      sheet.show('fault');
      // A search that is under way is not thrown away.
      if (sheet.fault.done.length === 0) sheet.fault.choose(s.id);
    }
  }))
];

/** Everything the finder finds on a plan sheet. */
export const deedsOf = (sheet: SheetState): Deed[] => [
  ...places(sheet),
  ...acts(sheet),
  ...tried(sheet),
  ...answers(sheet, sheet.assessment),
  ...entries(sheet)
];
