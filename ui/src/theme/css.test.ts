import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { expect, it } from 'vitest';

const css = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.css'));

/** Classes a sheet gives looks of their own: the last ones of its selectors. */
function defined(text: string) {
  const out = new Set<string>();
  for (const [, selectors] of text.replace(/\/\*[\s\S]*?\*\//g, '').matchAll(/([^{}]+)\{/g))
    for (const s of selectors!.split(','))
      for (const [, name] of /^\s*\.([a-z][\w-]*)/.exec(s) ? [/^\s*\.([a-z][\w-]*)/.exec(s)!] : [])
        if (!name!.startsWith('ant-')) out.add(name!);
  return out;
}

it('a view styles its own classes: none begins a rule in the sheets of two views', () => {
  const owners = new Map<string, string>();
  for (const f of css.filter((f) => dirname(f) !== 'theme'))
    for (const name of defined(readFileSync(join('src', f), 'utf8'))) {
      const other = owners.get(name);
      expect(other === undefined || dirname(other) === dirname(f), `.${name} in ${other} and ${f}`).toBe(
        true,
      );
      owners.set(name, f);
    }
  expect(owners.size).toBeGreaterThan(100);
});
