import { describe, expect, test } from 'vitest';
import { merge } from './merge';
import { read, write } from './path';

const base = {
  name: 'Wheel',
  plate: { power: '½ hp', volts: '180 V' },
  jobs: [
    { id: 'a', load: '2 N·m' },
    { id: 'b', load: '4 N·m' }
  ]
};
type Doc = typeof base;
const changed = (make: (d: Doc) => void): Doc => {
  const d = structuredClone(base);
  make(d);
  return d;
};

describe('what two windows changed is put together', () => {
  test('each field that one side changed is that side’s', () => {
    const mine = changed((d) => (d.plate.power = '0.6 hp'));
    const theirs = changed((d) => {
      d.plate.volts = '170 V';
      d.name = 'Kick wheel';
    });
    const { doc, clashes } = merge(base, mine, theirs);
    expect(clashes).toEqual([]);
    expect(doc).toEqual({ ...base, name: 'Kick wheel', plate: { power: '0.6 hp', volts: '170 V' } });
  });

  test('a field that both changed, differently, is mine and a clash', () => {
    const mine = changed((d) => (d.plate.power = '0.6 hp'));
    const theirs = changed((d) => (d.plate.power = '0.7 hp'));
    const { doc, clashes } = merge(base, mine, theirs);
    expect(doc.plate.power).toBe('0.6 hp');
    expect(clashes).toEqual([{ path: 'plate.power', mine: '0.6 hp', theirs: '0.7 hp' }]);
  });

  test('a field that both changed alike is no clash', () => {
    const both = changed((d) => (d.plate.power = '0.6 hp'));
    expect(merge(base, both, structuredClone(both))).toEqual({ doc: both, clashes: [] });
  });

  test('nothing changed here is what is there, and the other way about', () => {
    const one = changed((d) => d.jobs.push({ id: 'c', load: '1 N·m' }));
    expect(merge(base, base, one)).toEqual({ doc: one, clashes: [] });
    expect(merge(base, one, base)).toEqual({ doc: one, clashes: [] });
  });

  test('rows with names of their own are joined: added on both sides, changed here, taken away there', () => {
    const mine = changed((d) => {
      d.jobs.push({ id: 'mine', load: '7 N·m' });
      write(d, 'jobs[0].load', '3 N·m');
    });
    const theirs = changed((d) => {
      d.jobs.push({ id: 'theirs', load: '8 N·m' });
      d.jobs.splice(1, 1);
    });
    const { doc, clashes } = merge(base, mine, theirs);
    expect(clashes).toEqual([]);
    expect(doc.jobs).toEqual([
      { id: 'a', load: '3 N·m' },
      { id: 'theirs', load: '8 N·m' },
      { id: 'mine', load: '7 N·m' }
    ]);
  });

  test('a row changed here and taken away there stays: what was typed is not lost', () => {
    const mine = changed((d) => write(d, 'jobs[1].load', '5 N·m'));
    const theirs = changed((d) => d.jobs.pop());
    expect(merge(base, mine, theirs).doc.jobs).toEqual(mine.jobs);
    expect(merge(base, theirs, mine).doc.jobs).toEqual(mine.jobs);
  });

  test('rows without names are one field when their number changed, and are joined one by one when not', () => {
    const was = { steps: [{ d: '80' }, { d: '100' }] };
    const longer = { steps: [...was.steps, { d: '120' }] };
    const other = { steps: [{ d: '81' }, { d: '100' }] };
    expect(merge(was, longer, other).clashes).toEqual([{ path: 'steps', mine: longer.steps, theirs: other.steps }]);
    const second = { steps: [{ d: '80' }, { d: '101' }] };
    expect(merge(was, second, other)).toEqual({ doc: { steps: [{ d: '81' }, { d: '101' }] }, clashes: [] });
  });

  test('two rows of one name are not told apart by it', () => {
    const was = {
      jobs: [
        { id: 'x', n: 1 },
        { id: 'x', n: 2 }
      ]
    };
    const mine = { jobs: [...was.jobs, { id: 'y', n: 3 }] };
    const theirs = {
      jobs: [
        { id: 'x', n: 9 },
        { id: 'x', n: 2 }
      ]
    };
    expect(merge(was, mine, theirs).clashes).toHaveLength(1);
  });

  test('without a base every difference is a clash, and mine is kept', () => {
    const mine = changed((d) => (d.plate.power = '0.6 hp'));
    const { doc, clashes } = merge(undefined, mine, base);
    expect(doc).toEqual(mine);
    expect(clashes.map((c) => c.path)).toEqual(['plate.power']);
  });

  test('whatever one field each side changed, both are there, or the one they share is asked about', () => {
    const edits: [path: string, value: string][] = [
      ['name', 'New'],
      ['plate.power', '1 hp'],
      ['plate.volts', '90 V'],
      ['jobs[0].load', '6 N·m'],
      ['jobs[1].load', '7 N·m']
    ];
    for (const [myPath, myValue] of edits)
      for (const [theirPath, theirValue] of edits) {
        const mine = changed((d) => write(d, myPath, myValue));
        const theirs = changed((d) => write(d, theirPath, `${theirValue}, theirs`));
        const { doc, clashes } = merge(base, mine, theirs);
        expect(read(doc, myPath)).toBe(myValue);
        if (myPath === theirPath)
          expect(clashes).toEqual([{ path: myPath, mine: myValue, theirs: `${theirValue}, theirs` }]);
        else expect([clashes, read(doc, theirPath)]).toEqual([[], `${theirValue}, theirs`]);
      }
  });
});

describe('a change taken back is put onto what is there', () => {
  const rows = (...list: [id: string, n: number][]) => ({ rows: list.map(([id, n]) => ({ id, n })) });
  const back = (
    before: ReturnType<typeof rows>,
    after: ReturnType<typeof rows>,
    now: ReturnType<typeof rows>
  ): [string, string[]] => {
    const { doc, clashes } = merge(after, before, now, 'theirs');
    return [doc.rows.map((r) => `${r.id}${r.n}`).join(' '), clashes.map((c) => c.path)];
  };

  test('a row added goes, one added elsewhere stays', () => {
    expect(back(rows(['a', 1]), rows(['a', 1], ['b', 2]), rows(['a', 1], ['b', 2], ['c', 3]))).toEqual(['a1 c3', []]);
  });

  test('a row taken out comes back where it stood', () => {
    const before = rows(['a', 1], ['b', 2], ['c', 3], ['d', 4]);
    expect(back(before, rows(['a', 1], ['d', 4]), rows(['a', 1], ['d', 4], ['e', 5]))).toEqual(['a1 b2 c3 d4 e5', []]);
    expect(back(before, rows(['b', 2], ['c', 3], ['d', 4]), rows(['c', 3], ['d', 9]))).toEqual(['a1 c3 d9', []]);
  });

  test('a row changed elsewhere since it was added stays, and is told', () => {
    expect(back(rows(['a', 1]), rows(['a', 1], ['b', 2]), rows(['a', 1], ['b', 7]))).toEqual(['a1 b7', ['rows[1]']]);
  });

  test('a row changed here and taken out elsewhere is not brought back, and is told', () => {
    expect(back(rows(['a', 1], ['b', 2]), rows(['a', 1], ['b', 3]), rows(['a', 1]))).toEqual(['a1', ['rows[1]']]);
  });

  test('an order is taken back where nobody else made another', () => {
    const [before, after] = [rows(['a', 1], ['b', 2], ['c', 3]), rows(['c', 3], ['a', 1], ['b', 2])];
    expect(back(before, after, rows(['c', 3], ['a', 1], ['b', 9]))).toEqual(['a1 b9 c3', []]);
    expect(back(before, after, rows(['b', 2], ['c', 3], ['a', 1]))).toEqual(['b2 c3 a1', []]);
  });

  test('a field changed elsewhere since stays, and is told', () => {
    const { doc, clashes } = merge(
      { volts: '20', amps: '3' },
      { volts: '16', amps: '3' },
      { volts: '25', amps: '4' },
      'theirs'
    );
    expect([doc, clashes.map((c) => c.path)]).toEqual([{ volts: '25', amps: '4' }, ['volts']]);
  });
});
