import { describe, expect, it, vi } from 'vitest';
import { Outbox, type Kept, type Sent, type Waiting } from './outbox.svelte';

const inMemory = (): Kept => {
  let list: Waiting[] = [];
  return {
    read: () => Promise.resolve(list),
    change: (make) => {
      list = make(list);
      return Promise.resolve();
    }
  };
};
const waiting = (id: string) => ({ machineId: 'm', entry: { id }, pictures: [] }) as unknown as Waiting;

describe('entries that wait', () => {
  it('go in the order they were written, once the server is there, and none twice', async () => {
    vi.useFakeTimers();
    let there = false;
    const sent: string[] = [];
    const box = new Outbox(inMemory(), (w): Promise<Sent> => {
      if (!there) return Promise.resolve('away');
      sent.push(w.entry.id);
      return Promise.resolve('taken');
    });
    await box.add(waiting('a'));
    await box.add(waiting('b'));
    await vi.advanceTimersByTimeAsync(10);
    expect(box.of('m').map((w) => w.entry.id)).toEqual(['a', 'b']);
    there = true;
    await vi.advanceTimersByTimeAsync(5000);
    expect(sent).toEqual(['a', 'b']);
    expect(box.list).toEqual([]);
    await vi.advanceTimersByTimeAsync(10000);
    expect(sent).toEqual(['a', 'b']);
    vi.useRealTimers();
  });
  it('are kept and said where they are refused, and hold up nobody', async () => {
    const taken = vi.fn();
    const box = new Outbox(inMemory(), (w): Promise<Sent> =>
      Promise.resolve(w.entry.id === 'bad' ? { refused: 'no such sort', stays: true } : 'taken')
    );
    box.ontaken = taken;
    await box.add(waiting('bad'));
    await box.add(waiting('good'));
    await vi.waitFor(() => expect(taken).toHaveBeenCalledOnce());
    expect(box.list.map((w) => w.refused)).toEqual(['no such sort']);
    await box.drop('bad');
    expect(box.list).toEqual([]);
  });
  it('go by themselves once what refused them for a while is back', async () => {
    vi.useFakeTimers();
    let back = false;
    const box = new Outbox(inMemory(), (w): Promise<Sent> =>
      Promise.resolve(back || w.entry.id === 'other' ? 'taken' : { refused: 'the machine is deleted', stays: false })
    );
    await box.add(waiting('one'));
    await box.add(waiting('other'));
    await vi.advanceTimersByTimeAsync(10);
    expect(box.list.map((w) => w.refused)).toEqual(['the machine is deleted']);
    back = true;
    await vi.advanceTimersByTimeAsync(15_000);
    expect(box.list).toEqual([]);
    vi.useRealTimers();
  });
});
