import { partUnits, planUnits } from '../api/fields';
import type { Units } from '../prefs.svelte';
import { withMoney } from '../region';

/** What a bare number in a field is taken in, and what one means that was kept without a unit. */
export interface Beside {
  shown: string;
  kept: string;
}

const table = (units: string[]) => new Map(units.map((u) => u.split('=') as [path: string, tag: string]));
const known = { plan: table(planUnits), part: table(partUnits) };

/** Reads a tag of the core: "mm|in", "m|ft|mm", "V". */
export function readTag(tag: string, units: Units): Beside {
  const [metric = '', inch = metric, kept = metric] = tag.split('|');
  return { shown: units === 'inch' ? inch : metric, kept };
}

/** The units beside a field; none for words and counts. A path both a plan and a part have means the same in both. */
export function besideOf(path: string, units: Units): Beside {
  const name = path.replace(/\[\d+\]/g, '[n]');
  return readTag(known.plan.get(name) ?? known.part.get(name) ?? '', units);
}

/** A blank for a cost: its currency beside it, and kept with it. */
export const inMoney = (mark: string) => ({
  beside: { shown: mark, kept: '' },
  keep: (text: string) => withMoney(text, mark)
});

const marks = '½¼¾⅓⅔⅛⅜⅝⅞';
const bareForm = new RegExp(`^[-+−]?(\\d+([.,]\\d*)?|[.,]\\d+|(\\d+[ -])?\\d+/(2|3|4|8|16|32|64)|\\d*\\s?[${marks}])$`);

const oneUnit = new RegExp(`^[-+−]?[\\d.,/ ${marks}-]*[\\d${marks}]\\s*([\\p{L}°%µΩ"'][\\p{L}°%µΩ·²³/"']*)$`, 'u');

/** The unit of one figure as it stands in a field; empty for none, and for what is more than a figure and its unit. */
export const unitIn = (text: string) => oneUnit.exec(text.trim())?.[1] ?? '';

/** Whether a text is a number and nothing else. */
export const isBare = (text: string) => bareForm.test(text.trim());

/** A text as it is kept: a bare number with the unit it was typed beside. */
export function withUnit(text: string, unit: string): string {
  if (!unit || !isBare(text)) return text;
  return text.trim() + (unit === '°' || unit === '%' ? '' : ' ') + unit;
}

/** Units that stand behind one plain figure. */
const plainUnits = new Set([
  'rpm',
  'V',
  'A',
  'Hz',
  'Ω',
  's',
  '°',
  '%',
  'µF',
  'mH',
  'mm',
  'kg',
  'm',
  '°C',
  'm/min',
  'N'
]);

/** The keyboard that suits a field on a phone: of figures where a unit stands beside it that nobody types fractions
 *  or two figures in. */
export const keyboardFor = (unit: string, mixed: boolean) => (plainUnits.has(unit) && !mixed ? 'decimal' : 'text');
