import type { Finding, StationName } from '../api/client';

/** Findings that open to be read, under what is said of them. */
export interface Fold {
  says: string;
  findings: Finding[];
}

/** So many cautions stand open, and those of the station that is looked at; the rest are found by their station. */
const openCautions = 3;

/** What stands open at the head of a verdict, what is folded away, and what is good. */
export function partsOf(
  findings: readonly Finding[],
  at: StationName
): { missing: Finding[]; first: Finding[]; folds: Fold[]; good: Finding[] } {
  const cautions = findings.filter((f) => f.level === 'caution' && !f.always);
  const late = cautions.slice(openCautions).filter((f) => f.station !== at);
  const always = findings.filter((f) => f.level === 'caution' && f.always);
  const stations = [...new Set(late.map((f) => f.station))];
  const missing = findings.filter((f) => f.level === 'missing' && f.field !== '');
  const elsewhere = [...always, ...late, ...missing];
  return {
    missing,
    first: findings.filter((f) => f.level !== 'good' && !elsewhere.includes(f)),
    folds: [
      ...stations.map((station) => {
        const here = late.filter((f) => f.station === station);
        return { says: `${here.length} more at the ${station}`, findings: here };
      }),
      ...(always.length > 0 ? [{ says: `Before you power it: ${always.length} to mind`, findings: always }] : [])
    ],
    good: findings.filter((f) => f.level === 'good')
  };
}
