import { describe, expect, it } from 'vitest';
import { glossary, meaning, pieces, wordIn } from './words';

describe('special words', () => {
  it('stand once each, with what they mean', () => {
    const words = glossary.map(([word]) => word);
    expect(new Set(words).size).toBe(words.length);
    for (const [word, means] of glossary) expect(means.length, word).toBeGreaterThan(20);
    expect(meaning('Slip')).not.toBe('');
    expect(meaning('spanner')).toBe('');
  });

  it('are found in labels, the longest of them', () => {
    expect(wordIn('Module, or diametral pitch')).toBe('diametral pitch');
    expect(wordIn('Power factor')).toBe('Power factor');
    expect(wordIn('Notes')).toBeUndefined();
    expect(wordIn('Leads sorted')).toBe('Lead');
    expect(wordIn('leadership')).toBeUndefined();
    expect(wordIn('Start and stop')).toBeUndefined();
  });

  it('are left alone in sentences where they may mean something else', () => {
    expect(pieces(['Fuse the line, within reach of the stop.'])[0]).toEqual([
      { text: 'Fuse the line, within reach of the stop.' }
    ]);
  });

  it('are marked where they stand first', () => {
    expect(pieces(['The slip of it.', 'More slip, less wrap.'])).toEqual([
      [{ text: 'The ' }, { text: 'slip', word: 'slip' }, { text: ' of it.' }],
      [{ text: 'More slip, less ' }, { text: 'wrap', word: 'wrap' }, { text: '.' }]
    ]);
  });
});
