import type { Schemas } from '../api/client';
import { blankDraft, entryOf } from '../log/draft';

type Test = Schemas['FaultTest'];
type Done = Schemas['FaultDone'];

/** How a test came out, in its own words. */
export const outcomeOf = (test: Test, done: Done | undefined) =>
  test.outcomes.find((o) => o.id === done?.outcome)?.words ?? 'could not be told';

/** What was wrong, how it was found and what was done, as the log keeps it. */
export function entryOfFault(
  opinion: Schemas['FaultOpinion'],
  done: readonly Done[],
  cause: Schemas['FaultCause'],
  how: 'mended' | 'replaced',
  plan: string,
  now: number,
  id: string
) {
  const tried = opinion.made.map((t, i) => `${t.name}${t.danger === 'asked' ? '' : ':'} ${outcomeOf(t, done[i])}`);
  const cure = how === 'mended' ? cause.mend : cause.replace;
  const detail = [opinion.chosen?.words, ...tried, cure && `${how === 'mended' ? 'Mended' : 'Replaced'}: ${cure}`];
  const draft = {
    ...blankDraft(),
    sort: 'mended' as const,
    item: cause.part.slice(0, 40),
    title: cause.words.slice(0, 200),
    detail: detail
      .filter(Boolean)
      .map((s) => String(s).replace(/[.\s]*$/, '.'))
      .join(' ')
      .slice(0, 4000)
  };
  return entryOf(draft, plan, now, id);
}
