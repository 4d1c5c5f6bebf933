import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { openDocs } from './openDocs';
import { SavedDoc, type Keeper, type Sent } from './saved.svelte';

interface Doc {
  name: string;
  place: string;
}
const base: Doc = { name: 'Vice', place: '' };

/** A browser's storage: what is kept are its own keys. */
const emptyStorage = () =>
  Object.create({
    getItem(this: Record<string, string>, key: string) {
      return this[key] ?? null;
    },
    setItem(this: Record<string, string>, key: string, value: string) {
      this[key] = value;
    },
    removeItem(this: Record<string, string>, key: string) {
      Reflect.deleteProperty(this, key);
    }
  }) as Storage;
let storage: Storage;

/** A server that answers when it is told to. */
class Server implements Keeper<Doc, number> {
  id = 'part.1';
  asked: { doc: Doc; version: number; answer: (sent: Sent<Doc, number>) => void }[] = [];
  put = (doc: Doc, version: number) =>
    new Promise<Sent<Doc, number>>((answer) => this.asked.push({ doc, version, answer }));

  /** Answers the newest request and lets what follows from it happen. */
  async answer(sent: Sent<Doc, number>) {
    this.asked.at(-1)?.answer(sent);
    await vi.advanceTimersByTimeAsync(0);
  }
}

beforeEach(() => {
  vi.useFakeTimers();
  storage = emptyStorage();
  vi.stubGlobal('localStorage', storage);
  openDocs.clear();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const opened = async (server: Server) => SavedDoc.open({ doc: base, version: 1 }, server);
const drafts = () => Object.keys(storage).filter((k) => k.startsWith('jiriki.draft.'));

describe('a saved document', () => {
  test('is saved a moment after the last change, once', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'L');
    saved.set('place', 'Loft');
    expect([saved.state, drafts().length]).toEqual(['unsaved', 1]);
    await vi.advanceTimersByTimeAsync(500);
    expect(server.asked.map((a) => [a.doc.place, a.version])).toEqual([['Loft', 1]]);
    await server.answer({ version: 2 });
    expect([saved.state, drafts().length]).toEqual(['saved', 0]);
  });

  test('has one save on its way, however slow, and the next goes from the new version', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'Loft');
    await vi.advanceTimersByTimeAsync(500);
    saved.set('name', 'Old vice');
    await vi.advanceTimersByTimeAsync(60_000);
    expect(server.asked).toHaveLength(1);
    await server.answer({ version: 2 });
    expect(saved.state).toBe('unsaved');
    await vi.advanceTimersByTimeAsync(500);
    expect(server.asked.map((a) => a.version)).toEqual([1, 2]);
    expect(server.asked[1]?.doc).toEqual({ name: 'Old vice', place: 'Loft' });
  });

  test('tries again while the server is away, also after it is closed, and is the same when opened again', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'Loft');
    saved.close();
    await server.answer({ problem: 'away' });
    expect(saved.state).toBe('away');
    expect(SavedDoc.unsaved('part.1')).toBe(saved);
    saved.close();
    await vi.advanceTimersByTimeAsync(2000);
    expect(server.asked).toHaveLength(2);
    await server.answer({ version: 2 });
    expect([saved.state, SavedDoc.unsaved('part.1'), drafts().length]).toEqual(['saved', undefined, 0]);
  });

  test('is not tried again when it is gone, and keeps its draft', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'Loft');
    await vi.advanceTimersByTimeAsync(500);
    await server.answer({ problem: 'It was deleted elsewhere.', gone: true });
    await vi.advanceTimersByTimeAsync(60_000);
    expect(server.asked).toHaveLength(1);
    expect([saved.state, drafts().length]).toEqual(['away', 1]);
  });

  test('takes in what was changed elsewhere and saves both, undone as one', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'Loft');
    await vi.advanceTimersByTimeAsync(500);
    await server.answer({ theirs: { doc: { name: 'Big vice', place: '' }, version: 5 } });
    expect(saved.snapshot()).toEqual({ name: 'Big vice', place: 'Loft' });
    await vi.advanceTimersByTimeAsync(500);
    expect(server.asked[1]).toMatchObject({ version: 5, doc: { name: 'Big vice', place: 'Loft' } });
  });

  test('asks about what both changed, is not saved until it is settled, and can go back', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'Loft');
    await vi.advanceTimersByTimeAsync(500);
    await server.answer({ theirs: { doc: { name: 'Vice', place: 'Cellar' }, version: 5 } });
    expect([saved.state, saved.clashes]).toEqual(['conflict', [{ path: 'place', mine: 'Loft', theirs: 'Cellar' }]]);
    saved.set('name', 'Still typing');
    await vi.advanceTimersByTimeAsync(60_000);
    expect(server.asked).toHaveLength(1);
    saved.settle(() => true);
    await vi.advanceTimersByTimeAsync(500);
    expect(server.asked[1]).toMatchObject({ version: 5, doc: { name: 'Still typing', place: 'Cellar' } });
    await server.answer({ version: 6 });
    saved.undo();
    expect(saved.snapshot()).toEqual({ name: 'Still typing', place: 'Loft' });
  });

  test('undoes its own change, and leaves what another window saved meanwhile', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'Loft');
    await vi.advanceTimersByTimeAsync(500);
    await server.answer({ version: 2 });
    vi.advanceTimersByTime(2000);
    saved.set('place', 'Cellar');
    await vi.advanceTimersByTimeAsync(500);
    await server.answer({ theirs: { doc: { name: 'Big vice', place: 'Loft' }, version: 3 } });
    expect(saved.snapshot()).toEqual({ name: 'Big vice', place: 'Cellar' });
    saved.undo();
    expect([saved.snapshot(), saved.passed]).toEqual([{ name: 'Big vice', place: 'Loft' }, []]);
    saved.undo();
    expect(saved.snapshot()).toEqual({ name: 'Big vice', place: '' });
    saved.redo();
    saved.redo();
    expect(saved.snapshot()).toEqual({ name: 'Big vice', place: 'Cellar' });
    expect([saved.canUndo, saved.canRedo]).toEqual([true, false]);
  });

  test('leaves a field another window has changed since as it is, and says which', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.change((doc) => {
      doc.place = 'Loft';
      doc.name = 'Old vice';
    });
    await vi.advanceTimersByTimeAsync(500);
    await server.answer({ version: 2 });
    vi.advanceTimersByTime(2000);
    saved.set('name', 'Older vice');
    await vi.advanceTimersByTimeAsync(500);
    await server.answer({ theirs: { doc: { name: 'Old vice', place: 'Cellar' }, version: 3 } });
    saved.undo();
    saved.undo();
    expect([saved.snapshot(), saved.passed]).toEqual([{ name: 'Vice', place: 'Cellar' }, ['place']]);
    saved.set('name', 'Vice, blue');
    expect(saved.passed).toEqual([]);
  });

  test('typing on after something came in from elsewhere is undone by itself', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'L');
    await vi.advanceTimersByTimeAsync(500);
    await server.answer({ theirs: { doc: { name: 'Big vice', place: '' }, version: 2 } });
    saved.set('place', 'Loft');
    saved.undo();
    expect(saved.snapshot()).toEqual({ name: 'Big vice', place: 'L' });
    saved.undo();
    expect(saved.snapshot()).toEqual({ name: 'Big vice', place: '' });
  });

  test('a draft brought in is undone without what was saved elsewhere', async () => {
    const server = new Server();
    const first = await opened(server);
    first.set('place', 'Loft');
    openDocs.clear();
    const again = await SavedDoc.open({ doc: { name: 'Big vice', place: '' }, version: 4 }, server);
    expect(again.snapshot()).toEqual({ name: 'Big vice', place: 'Loft' });
    again.undo();
    expect(again.snapshot()).toEqual({ name: 'Big vice', place: '' });
  });

  test('finds its clash again after a reload', async () => {
    const server = new Server();
    const saved = await opened(server);
    saved.set('place', 'Loft');
    await vi.advanceTimersByTimeAsync(500);
    const theirs = { doc: { name: 'Vice', place: 'Cellar' }, version: 5 };
    await server.answer({ theirs });
    openDocs.clear();
    const again = await SavedDoc.open(theirs, new Server());
    expect([again.state, again.text('place')]).toEqual(['conflict', 'Loft']);
  });

  test('says so when the browser has no room for the draft', async () => {
    const saved = await opened(new Server());
    storage.setItem = () => {
      throw new Error('full');
    };
    saved.set('place', 'Loft');
    expect([saved.kept, saved.text('place')]).toEqual([false, 'Loft']);
  });
});
