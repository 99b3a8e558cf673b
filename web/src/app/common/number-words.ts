import { Injectable } from '@angular/core';
import { numberWord } from '@gumo/core/numbers';

type Say = (n: number) => string;
interface Numerals {
  toCardinal(value: number): string;
}

/** Languages with number words, by their BCP 47 tag; each comes only when it is asked for. */
const SPOKEN: Readonly<Record<string, () => Promise<Numerals>>> = {
  ar: () => import('n2words/ar-SA'),
  cs: () => import('n2words/cs-CZ'),
  da: () => import('n2words/da-DK'),
  de: () => import('n2words/de-DE'),
  el: () => import('n2words/el-GR'),
  es: () => import('n2words/es-ES'),
  fa: () => import('n2words/fa-IR'),
  fi: () => import('n2words/fi-FI'),
  fr: () => import('n2words/fr-FR'),
  he: () => import('n2words/he-IL'),
  hi: () => import('n2words/hi-IN'),
  hr: () => import('n2words/hr-HR'),
  hu: () => import('n2words/hu-HU'),
  it: () => import('n2words/it-IT'),
  ja: () => import('n2words/ja-JP'),
  ko: () => import('n2words/ko-KR'),
  nl: () => import('n2words/nl-NL'),
  pl: () => import('n2words/pl-PL'),
  pt: () => import('n2words/pt-PT'),
  ro: () => import('n2words/ro-RO'),
  ru: () => import('n2words/ru-RU'),
  sv: () => import('n2words/sv-SE'),
  tr: () => import('n2words/tr-TR'),
  uk: () => import('n2words/uk-UA'),
  vi: () => import('n2words/vi-VN'),
};

/** Languages that children can count in here; English first, the others by tag. */
export const COUNTING_LANGUAGES: readonly string[] = ['en', ...Object.keys(SPOKEN)];

/** Number words in the languages of the household. */
@Injectable({ providedIn: 'root' })
export class NumberWords {
  /** How numbers are said in a language; in English where there are no words for it. */
  async in(tag: string): Promise<Say> {
    const main = tag.split('-')[0] ?? tag;
    const load = SPOKEN[main];
    if (!load) return numberWord;
    const numerals = await load().catch(() => null);
    return numerals ? (n) => numerals.toCardinal(n) : numberWord;
  }
}
