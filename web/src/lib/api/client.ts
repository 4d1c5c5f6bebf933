import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Sheet = Schemas['Sheet'];
export type Plan = Schemas['LinePlan'];
export type Machine = Schemas['WorkMachine'];
export type Job = Schemas['WorkJob'];
export type Assessment = Schemas['LineAssessment'];
export type Station = Schemas['LineStation'];
export type StationName = Station['station'];
export type Drawing = Schemas['LineDrawing'];
export type Finding = Schemas['Finding'];
export type Level = Finding['level'];
export type Remedy = Schemas['LineRemedy'];
export type Working = Schemas['Working'];
export type Workshop = Schemas['Workshop'];
export type ShelfItem = Schemas['ShelfItem'];
export type ShelfEntry = Schemas['ShelfEntry'];
export type Catalogue = Schemas['Catalogue'];
export type Problem = Partial<Schemas['ErrorModel']>;

export const api = createClient<paths>({ baseUrl: location.origin });

/** A body without its empty boxes, which say nothing and are half of a workshop's length. Only for
 *  what is worked out and not kept: what is kept names every field. */
export const filledOnly = (body: unknown) =>
  JSON.stringify(body, function (this: unknown, _, v: unknown) {
    return v === '' && !Array.isArray(this) ? undefined : v;
  });

/** What went wrong, in words, when a call did not succeed. */
export function sayProblem(problem: Problem | undefined): string {
  const first = problem?.errors?.[0];
  if (first?.message) return [first.location, first.message].filter(Boolean).join(': ');
  return problem?.detail ?? 'The server did not answer.';
}

/** Runs a call and turns a network failure into a problem like any other. */
export async function call<T>(
  run: () => Promise<{ data?: T; error?: unknown; response: Response }>
): Promise<{ data?: T; problem?: Problem; status: number }> {
  try {
    const { data, error, response } = await run();
    return { data, problem: error as Problem | undefined, status: response.status };
  } catch {
    return { problem: { detail: 'The server is not answering. What you typed is kept here.' }, status: 0 };
  }
}
