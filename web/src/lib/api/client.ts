import createClient from 'openapi-fetch';
import { prefs } from '../prefs.svelte';
import { answerInWords } from '../region';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Sheet = Schemas['Sheet'];
export type Plan = Schemas['Plan'];
export type Machine = Schemas['WorkMachine'];
export type Job = Schemas['WorkJob'];
export type Assessment = Schemas['Assessment'];
export type Station = Schemas['AssessStation'];
export type StationName = Station['station'];
export type Drawing = Schemas['Drawing'];
export type Finding = Schemas['Finding'];
export type Level = Finding['level'];
export type Remedy = Schemas['Remedy'];
export type Working = Schemas['Working'];
export type Workshop = Schemas['Workshop'];
export type ShelfLabel = Schemas['ShelfLine'];
export type ShelfItem = Schemas['ShelfItem'];
export type ShelfEntry = Schemas['ShelfEntry'];
export type Catalogue = Schemas['Catalogue'];
export type Problem = Partial<Schemas['ErrorModel']>;

export const api = createClient<paths>({ baseUrl: location.origin });

/** What holds only what people typed, which stays as they typed it. */
const typed = /^\/api\/(plans|machines|shelf)/;

// What the server works out is told in the words of the region.
api.use({
  async onResponse({ response, schemaPath }) {
    if (prefs.region !== 'north-america' || !response.ok || typed.test(schemaPath)) return undefined;
    if (!response.headers.get('Content-Type')?.includes('json')) return undefined;
    return new Response(answerInWords(await response.text(), prefs.region), response);
  }
});

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

const BUSY_TRIES = 4;
/** A save that has no answer by then is taken for lost, and tried again. */
const SAVE_WITHIN = 20_000;

/** Ends a save that a server holds on to without a word. */
export const saveInTime = () => AbortSignal.timeout(SAVE_WITHIN);

/** Runs a call and turns a network failure into a problem like any other. A server that has too much to
 *  do is asked again when it says. */
export async function call<T>(
  run: () => Promise<{ data?: T; error?: unknown; response: Response }>
): Promise<{ data?: T; problem?: Problem; status: number }> {
  for (let tries = 1; ; tries++) {
    try {
      const { data, error, response } = await run();
      const wait = Number(response.headers.get('Retry-After'));
      if (response.status !== 503 || !wait || tries === BUSY_TRIES) {
        return { data, problem: error as Problem | undefined, status: response.status };
      }
      await new Promise((resolve) => setTimeout(resolve, wait * 1000));
    } catch {
      return { problem: { detail: 'The server is not answering. What you typed is kept here.' }, status: 0 };
    }
  }
}

/** The fields that cannot be used, with what is wrong with each. */
export const byField = (entries: { field: string; message: string }[]): Record<string, string> =>
  Object.fromEntries(entries.map((e) => [e.field, e.message]));

/** The same of a refused request. */
export const fieldsOf = (problem: Problem | undefined): Record<string, string> =>
  byField((problem?.errors ?? []).map((e) => ({ field: e.location ?? '', message: e.message ?? 'cannot be used' })));
