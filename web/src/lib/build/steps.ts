import type { Schemas } from '../api/client';

type Step = Schemas['PowerupStep'];
type Check = Schemas['PlanCheck'];

/** How a step of the first power-up stands, as the core judged what is written down now; what was written since it was
 *  asked is not judged yet. */
export interface Standing {
  done: boolean;
  /** It may be ticked off now. */
  may: boolean;
  /** What was read is not right. */
  fails: boolean;
  /** Why not, in words; empty where nothing is against it. */
  why: string;
}

export function standing(step: Step, check: Check | undefined): Standing {
  const judged = step.read === (check?.measured ?? '');
  const read = !step.reads || step.outcome === 'meets';
  const right = judged && step.says === '' && read;
  const done = check !== undefined && !check.open && right && step.held === '';
  return {
    done,
    may: step.held === '' && (right || (!check && !step.reads)),
    fails: judged && step.outcome === 'fails',
    why: judged && check && step.says !== '' ? step.says : done ? '' : step.held
  };
}
