import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { Ask, type Reply } from './ask.svelte';

/** Questions that are answered when they are told to be. */
const questions = () => {
  const asked: { signal: AbortSignal; answer: (reply: Reply<string>) => Promise<void> }[] = [];
  const heard: (string | undefined)[] = [];
  const ask = new Ask<string>(
    (signal) =>
      new Promise((resolve) => {
        const answer = async (reply: Reply<string>) => {
          resolve(reply);
          await vi.advanceTimersByTimeAsync(0);
        };
        asked.push({ signal, answer });
      }),
    (reply) => heard.push(reply.data)
  );
  return { ask, asked, heard };
};
const said = (data: string): Reply<string> => ({ data, status: 200 });

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('a question', () => {
  test('that nobody answers is asked again by itself, unless it is let go of or refused', async () => {
    const { ask, asked } = questions();
    ask.again();
    await asked[0]?.answer({ problem: { detail: 'away' }, status: 0 });
    await vi.advanceTimersByTimeAsync(2000);
    expect(asked).toHaveLength(2);
    await asked[1]?.answer({ problem: { detail: 'away' }, status: 503 });
    ask.stop();
    await vi.advanceTimersByTimeAsync(10_000);
    expect(asked).toHaveLength(2);
    ask.again();
    await asked[2]?.answer({ problem: { detail: 'too much' }, status: 413 });
    await vi.advanceTimersByTimeAsync(10_000);
    expect(asked).toHaveLength(3);
  });

  test('is on its way alone; of those that come up meanwhile only the newest follows', async () => {
    const { ask, asked, heard } = questions();
    ask.again();
    ask.again();
    ask.again();
    expect([asked.length, ask.asking]).toEqual([1, true]);
    await asked[0]?.answer(said('first'));
    expect([asked.length, ask.answer]).toEqual([2, 'first']);
    await asked[1]?.answer(said('second'));
    expect([asked.length, ask.answer, ask.asking, heard]).toEqual([2, 'second', false, ['first', 'second']]);
  });

  test('in place of another stops it, and an answer to that is not heard', async () => {
    const { ask, asked, heard } = questions();
    ask.again();
    ask.instead();
    expect([asked.length, asked[0]?.signal.aborted]).toEqual([2, true]);
    await asked[1]?.answer(said('newer'));
    await asked[0]?.answer(said('older'));
    expect([ask.answer, heard]).toEqual(['newer', ['newer']]);
  });

  test('that fails leaves the last answer and says why', async () => {
    const { ask, asked } = questions();
    ask.again();
    await asked[0]?.answer(said('there'));
    ask.again();
    await asked[1]?.answer({ problem: { detail: 'away' }, status: 503 });
    expect([ask.answer, ask.problem]).toEqual(['there', { detail: 'away' }]);
    ask.again();
    await asked[2]?.answer(said('back'));
    expect([ask.answer, ask.problem]).toEqual(['back', undefined]);
  });

  test('that is let go of is not heard, and nothing follows it', async () => {
    const { ask, asked, heard } = questions();
    ask.again();
    ask.again();
    ask.stop();
    await asked[0]?.answer(said('late'));
    expect([asked.length, heard, ask.asking]).toEqual([1, [], false]);
  });
});
