import { partFields, planFields } from '../api/fields';

const known = { plan: new Set(planFields), part: new Set(partFields) };

/** Whether a path names a field, a group or a list of a plan with its machine, or of a part. What is written
 *  where there is no field would be refused with all the rest, again at every save. */
export function namesField(of: keyof typeof known, path: string): boolean {
  const is = known[of].has(path.replace(/\[\d+\]/g, '[n]'));
  if (!is) console.error(`no field is named ${path}`);
  return is;
}
