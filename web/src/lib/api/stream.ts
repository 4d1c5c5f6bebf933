import { EventSourceParserStream } from 'eventsource-parser/stream';
import { filledOnly, type Problem, type Schemas } from './client';

/** What comes of long work while it is done and at its end. */
export interface Heard<Result> {
  progress: (p: Schemas['Progress']) => void;
  result: (r: Result) => void;
  problem: (p: Problem | undefined) => void;
}

/** Asks for long work, whose progress is streamed; the signal stops it on both sides. */
export async function stream<Result>(
  path: string,
  body: unknown,
  signal: AbortSignal,
  heard: Heard<Result>
): Promise<void> {
  try {
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: filledOnly(body),
      signal
    });
    if (!answer.body || !answer.ok) return heard.problem((await answer.json()) as Problem);
    const events = answer.body
      .pipeThrough(new TextDecoderStream())
      .pipeThrough(new EventSourceParserStream())
      .getReader();
    for (let next = await events.read(); !next.done; next = await events.read()) {
      const data: unknown = JSON.parse(next.value.data);
      if (next.value.event === 'progress') heard.progress(data as Schemas['Progress']);
      else if (next.value.event === 'result') heard.result(data as Result);
      else heard.problem(data as Problem);
    }
  } catch {
    if (!signal.aborted) heard.problem(undefined);
  }
}
