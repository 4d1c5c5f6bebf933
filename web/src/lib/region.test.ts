import { describe, expect, it } from 'vitest';
import { answerInWords, guess, inWords, withMoney } from './region';

describe('what a browser tells', () => {
  it('is guessed from its language', () => {
    expect(guess('en-US')).toEqual({ units: 'inch', region: 'north-america', money: '$' });
    expect(guess('en-GB')).toEqual({ units: 'metric', region: 'europe', money: '£' });
    expect(guess('de')).toEqual({ units: 'metric', region: 'europe', money: '€' });
    expect(guess('en-CA').units).toBe('metric');
    expect(guess('en-AU').region).toBe('asia-pacific');
    expect(guess('pt-BR')).toEqual({ units: 'metric', region: 'elsewhere', money: '' });
    expect(guess('no language').region).toBe('europe');
  });

  it('puts a cost in its money', () => {
    expect(withMoney('12.50', '£')).toBe('£12.50');
    expect(withMoney('90', 'kr')).toBe('90 kr');
    expect(withMoney('$8', '£')).toBe('$8');
    expect(withMoney('12', '')).toBe('12');
  });

  it('puts words in those of the region', () => {
    expect(inWords('Earth the frame; an earthed box on the mains.', 'north-america')).toBe(
      'Ground the frame; a grounded box on line power.'
    );
    expect(inWords('Earth the frame.', 'europe')).toBe('Earth the frame.');
    expect(
      answerInWords('{"id":"earth","title":"Earth it, at the socket","note":"un\\"earthed\\" box"}', 'north-america')
    ).toBe('{"id":"earth","title":"Ground it, at the outlet","note":"un\\"grounded\\" box"}');
    const own = '{"name":"Motor off the mains","title":"Off the mains"}';
    expect(answerInWords(own, 'north-america')).toBe('{"name":"Motor off the mains","title":"Off line power"}');
  });
});
