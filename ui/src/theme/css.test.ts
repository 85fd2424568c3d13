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

/** Every class a sheet speaks of. */
const all = (text: string) =>
  new Set([...text.replace(/\/\*[\s\S]*?\*\//g, '').matchAll(/\.([a-z][\w-]*)/g)].map(([, name]) => name!));

/** Classes a piece of a view is given: written out, or chosen by a condition. */
const written = (worn: string) =>
  [...worn.matchAll(/"([^"]*)"|'([^']*)'|`([^`]*)`/g)].flatMap(([, ...text]) =>
    text.flatMap((t) =>
      (t ?? '')
        .replace(/\$\{[^}]*\}/g, ' ')
        .split(' ')
        .filter((n) => /^[a-z][\w-]*$/.test(n)),
    ),
  );

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

it('a view relies on no sheet of another view: what it wears is styled beside it or in the theme', () => {
  const sheets = css.map((f) => {
    const text = readFileSync(join('src', f), 'utf8');
    return { f, dir: dirname(f), defines: defined(text), speaksOf: all(text) };
  });
  const views = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter(
    (f) => f.endsWith('.tsx') && !f.includes('.test.'),
  );
  const borrowed: string[] = [];
  for (const f of views) {
    const text = readFileSync(join('src', f), 'utf8');
    // Its own sheets, the theme's, and those it names.
    const named = [...text.matchAll(/import '([^']+\.css)'/g)].map(([, path]) => join(dirname(f), path!));
    for (const [worn] of text.matchAll(/className=(?:"[^"]+"|\{[^\n]*)/g))
      for (const name of written(worn)) {
        const by = sheets.filter((s) => s.defines.has(name));
        const near = sheets.filter((s) => s.dir === 'theme' || s.dir === dirname(f) || named.includes(s.f));
        if (by.length > 0 && !near.some((s) => s.speaksOf.has(name)))
          borrowed.push(`${f} wears .${name} of ${by.map((s) => s.f).join(', ')}`);
      }
  }
  expect([...new Set(borrowed)]).toEqual([]);
});
