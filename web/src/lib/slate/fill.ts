import { catalogue } from '../catalogue.svelte';
import { write } from '../form/path';
import { newId } from '../newId';
import type { Schemas } from '../api/client';
import type { Doc } from '../sheet/sheet.svelte';

export type Answer = Schemas['SlateAnswer'];
type Fill = Schemas['SlateFill'];

/** The lists an answer adds one to, by how its fields begin. */
const lists: readonly (readonly [begins: string, add: (doc: Doc) => number])[] = [
  [
    'machine.jobs[0]',
    ({ machine }) => {
      const job = catalogue.blankJob;
      return job ? machine.jobs.push({ ...structuredClone(job), id: newId(), name: 'From the slate' }) - 1 : -1;
    }
  ],
  [
    'motor.readings[0]',
    ({ plan }) => {
      const reading = catalogue.blankReading;
      return reading ? plan.motor.readings.push(structuredClone(reading)) - 1 : -1;
    }
  ],
  [
    'reduction.stages[0]',
    ({ plan }) => {
      const stage = catalogue.blankStage;
      if (plan.reduction.stages.length === 0 && stage) plan.reduction.stages.push(structuredClone(stage));
      return plan.reduction.stages.length > 0 ? 0 : -1;
    }
  ]
];

/** Puts what an answer holds into a plan: a job and a reading as new ones, a stage in place of the first. */
export function fillIn(doc: Doc, fills: readonly Fill[]) {
  const places = new Map<string, number>();
  for (const { field, text } of fills) {
    const list = lists.find(([begins]) => field.startsWith(begins));
    let path = field;
    if (list) {
      const [begins, add] = list;
      const place = places.get(begins) ?? add(doc);
      if (place < 0) continue;
      places.set(begins, place);
      path = begins.replace('[0]', `[${place}]`) + field.slice(begins.length);
    }
    write(doc, path.startsWith('machine') ? path : `plan.${path}`, text);
  }
}
