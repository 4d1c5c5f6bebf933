import { describe, expect, it, vi } from 'vitest';
import { partFields, planFields } from '../api/fields';
import { namesField } from './fields';

const sources = Object.entries(
  import.meta.glob<string>(['../../**/*.{svelte,ts}', '!../../**/*.test.ts', '!../api/**'], {
    query: '?raw',
    import: 'default',
    eager: true
  })
);

/** Where a path is written: a field's own, or one read, set or gone to. */
const written = [
  /(?<![-\w])path="([^"]+)"/g,
  /\bpath=\{`([^`]+)`\}/g,
  /\b(?:sheet|form|item)\.(?:text|value|set|edit|goTo)\(\s*'([^']+)'/g,
  /\b(?:sheet|form|item)\.(?:text|value|set|edit|goTo)\(\s*`([^`]+)`/g
];

/** What a written path may stand for: an expression at its head is any group, in brackets a place in a list,
 *  elsewhere one name. */
function patternOf(path: string): RegExp {
  const whole = path.replace(/\$?\{[^}]*\}/g, '\0').replace(/\[(\d+|\0)\]/g, '[n]');
  const escaped = whole.replace(/[.[\]]/g, '\\$&');
  return new RegExp(`^${escaped.replace(/^\0/, '[\\w.[\\]]*').replace(/\0/g, '[\\w.[\\]]+')}$`);
}

describe('paths of fields', () => {
  it('are those of the core wherever they are written', () => {
    const all = [...planFields, ...partFields];
    let checked = 0;
    for (const [file, text] of sources) {
      for (const form of written) {
        for (const [, path] of text.matchAll(form)) {
          if (!path || /^\$?\{[^}]*\}$/.test(path)) continue;
          expect(
            all.some((f) => patternOf(path).test(f)),
            `${file}: ${path} names no field`
          ).toBe(true);
          checked++;
        }
      }
    }
    expect(checked).toBeGreaterThan(150);
  });

  it('are looked at before anything is written', () => {
    const said = vi.spyOn(console, 'error').mockImplementation(() => {});
    expect(namesField('plan', 'machine.jobs[3].load.torque')).toBe(true);
    expect(namesField('plan', 'checks[0].measured')).toBe(true);
    expect(namesField('part', 'wheel.diameter')).toBe(true);
    expect(said).not.toHaveBeenCalled();
    expect(namesField('plan', 'motor.plate.sped')).toBe(false);
    expect(namesField('part', 'machine.jobs')).toBe(false);
    expect(said).toHaveBeenCalledTimes(2);
  });
});
