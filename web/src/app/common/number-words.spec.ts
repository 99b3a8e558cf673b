import { TestBed } from '@angular/core/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { numberWord } from '@gumo/core/numbers';
import { COUNTING_LANGUAGES, NumberWords } from './number-words';

describe('number words', () => {
  const words = (): NumberWords => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    return TestBed.inject(NumberWords);
  };

  // Unicode CLDR, rule-based number format "spellout-numbering", from memory.
  it('are those of the language', async () => {
    const all = words();
    for (const [tag, one, twelve, twentyOne] of [
      ['de', 'eins', 'zwölf', 'einundzwanzig'],
      ['es', 'uno', 'doce', 'veintiuno'],
      ['fr', 'un', 'douze', 'vingt et un'],
      ['pl', 'jeden', 'dwanaście', 'dwadzieścia jeden'],
      ['tr', 'bir', 'on iki', 'yirmi bir'],
    ] as const) {
      const say = await all.in(tag);
      expect([say(1), say(12), say(21)])
        .withContext(tag)
        .toEqual([one, twelve, twentyOne]);
    }
  });

  it('are those of the language where a country is named as well, and English elsewhere', async () => {
    const all = words();
    expect((await all.in('de-AT'))(2)).toBe('zwei');
    for (const tag of ['en', 'en-US', 'tlh', '']) expect(await all.in(tag)).toBe(numberWord);
  });

  it('are there for every language that can be chosen, each number another word', async () => {
    const all = words();
    for (const tag of COUNTING_LANGUAGES) {
      const say = await all.in(tag);
      const said = Array.from({ length: 30 }, (_, i) => say(i + 1));
      expect(new Set(said).size).withContext(tag).toBe(30);
      expect(said.every((word) => word.trim() !== '' && !/\d/.test(word)))
        .withContext(tag)
        .toBeTrue();
    }
  });
});
