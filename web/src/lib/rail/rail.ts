import type { Assessment, Schemas, Station } from '../api/client';
import type { Panel } from '../sheet/sheet.svelte';

/** How far something is. */
interface Count {
  done: number;
  all: number;
}

/** What the states of the steps follow from. */
export interface Known {
  a: Pick<Assessment, 'jobs' | 'jobsDone' | 'mayPower' | 'next'> & {
    power: Pick<Assessment['power'], 'answer'>;
    does: Pick<Assessment['does'], 'answer'>;
    stations: Pick<Station, 'mark'>[];
  };
  /** What the dry run found, where there was one. */
  dry: Pick<Schemas['DryrunAnswer'], 'runs' | 'findings'> | undefined;
  parts: Count | undefined;
  steps: Count | undefined;
  /** What was measured: how many trials, and when. */
  trials: string;
  /** Of the log. */
  log: string;
}

export interface Step {
  panel: Panel;
  name: string;
  /** Its state, in three words. */
  state: string;
  bad: boolean;
}

/** What stands in the bar at a phone's foot; the rest is under "More". */
export const onPhone: readonly Panel[] = ['', 'power', 'trials', 'log'];

/** The steps of the work, in the order it is done. */
export function stepsOf({ a, dry, parts, steps, trials, log }: Known): Step[] {
  const all = a.jobs.length;
  const judged = a.jobs.some((j) => j.outcome !== 'cannot-tell');
  return [
    {
      panel: '',
      name: 'Plan',
      state: all === 0 ? 'no job yet' : judged ? `${a.jobsDone} of ${all} jobs` : 'not known yet',
      bad: a.does.answer === 'no'
    },
    { panel: 'dry', name: 'Dry run', ...dryState(dry) },
    {
      panel: 'build',
      name: 'Build',
      state: !parts || parts.all === 0 ? 'nothing yet' : `${parts.done} of ${parts.all} parts`,
      bad: false
    },
    {
      panel: 'power',
      name: 'Power up',
      state:
        a.power.answer === 'unknown'
          ? 'not known yet'
          : a.power.answer === 'no'
            ? 'not yet'
            : !steps || steps.all === 0
              ? 'nothing yet'
              : steps.done === steps.all
                ? 'all done'
                : `step ${steps.done + 1} of ${steps.all}`,
      bad: a.power.answer === 'no'
    },
    { panel: 'trials', name: 'Trials', state: trials, bad: false },
    { panel: 'log', name: 'Log', state: log, bad: false },
    { panel: 'fault', name: 'What is wrong?', state: '', bad: false },
    { panel: 'sheets', name: 'Sheets', state: '4 to print', bad: false }
  ];
}

/** How the dry run went, in three words. */
function dryState(dry: Known['dry']): Pick<Step, 'state' | 'bad'> {
  if (!dry?.runs) return { state: 'not yet', bad: false };
  const of = (level: string) => dry.findings.filter((f) => f.level === level).length;
  const stops = of('stop');
  const cautions = of('caution');
  if (stops > 0) return { state: stops === 1 ? 'one stop' : `${stops} stops`, bad: true };
  if (cautions > 0) return { state: cautions === 1 ? 'one to watch' : `${cautions} to watch`, bad: false };
  return { state: 'nothing stalls', bad: false };
}

/** What comes next: the next thing that is not known, then the next step that is not done. */
export function nextOf({ a, parts, steps }: Known): { words: string; field: string; panel: Panel } {
  if (a.next.field) return { words: a.next.text, field: a.next.field, panel: '' };
  if (a.mayPower && parts && parts.done < parts.all) return { words: 'gather the parts', field: '', panel: 'build' };
  if (a.mayPower && steps && steps.done < steps.all)
    return { words: `power-up, step ${steps.done + 1}`, field: '', panel: 'power' };
  return a.mayPower
    ? { words: 'print the speed plate', field: '', panel: 'sheets' }
    : { words: 'clear what is open in the verdict', field: '', panel: '' };
}
