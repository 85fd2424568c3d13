import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { allOf, anyOf, counted, sentences } from './joined';

const src = join(__dirname, '..');
const files = (readdirSync(src, { recursive: true }) as string[]).filter(
  (f) => /\.tsx?$/.test(f) && !/\.test\.|schema\.d|testkit/.test(f),
);
const rooms = import.meta.glob<Record<string, Record<string, unknown>>>(
  ['./*.ts', './*.tsx', '!./*.test.ts'],
  {
    eager: true,
  },
);

/** Every room of words with its name: ahead, back, … */
const spoken = Object.entries(rooms).flatMap(([file, module]) => {
  const name = file.replace(/^\.\/|\.tsx?$/g, '');
  return name === 'joined' ? [] : [{ name, words: module[name]! }];
});

/** Where a room's words are used, as one text. */
const usersOf = (room: string) =>
  files
    .map((f) => readFileSync(join(src, f), 'utf8'))
    .filter((t) => t.includes(`/words/${room}'`))
    .join('\n');

describe('the words', () => {
  it('are all of them said somewhere', () => {
    expect(spoken.length).toBeGreaterThan(15);
    for (const { name, words } of spoken) {
      const users = usersOf(name);
      const idle = Object.keys(words).filter((k) => !new RegExp(`\\bsay\\.${k}\\b`).test(users));
      expect(idle, name).toEqual([]);
    }
  });

  it('are whole: none begins or ends where another would have to be glued to it', () => {
    const glued: string[] = [];
    for (const { name, words } of spoken)
      for (const [key, word] of Object.entries(words)) {
        let said: unknown = word;
        if (typeof word === 'function')
          try {
            said = (word as (...holes: string[]) => unknown)(
              ...Array.from({ length: word.length }, () => '§'),
            );
          } catch {
            // It takes something else apart than words; its sentence has words about its holes all the same.
            continue;
          }
        if (typeof said === 'string' && /^[\s,;.]|[\s,]$/.test(said)) glued.push(`${name}.${key}: “${said}”`);
      }
    expect(glued).toEqual([]);
  });

  it('are listed and counted as the language does it', () => {
    expect(allOf(['a bar'])).toBe('a bar');
    expect(allOf(['a bar', 'a pier', 'a ledge'])).toBe('a bar, a pier and a ledge');
    expect(anyOf(['a bar', 'a pier'])).toBe('a bar or a pier');
    expect(counted(1, 'spell', 'spells')).toBe('1 spell');
    expect(counted(0, 'spell', 'spells')).toBe('0 spells');
    expect(sentences('It ebbs.', false, undefined, 'It blows.')).toBe('It ebbs. It blows.');
  });
});
