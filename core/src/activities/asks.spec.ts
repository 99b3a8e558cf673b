import { expectedRecord } from '../pads/index.js';
import { SKILLS } from '../skills/index.js';
import type { AnswerMode } from '../vocabulary/index.js';
import { type Prompt, promptFor } from './prompts.js';

const every = (modes: readonly AnswerMode[]): Prompt[] =>
  SKILLS.flatMap((skill) =>
    skill.items.map((item) => {
      const prompt = promptFor(skill.id, item.id, modes);
      if (!prompt) throw new Error(`nothing to ask for ${skill.id} ${item.id}`);
      return prompt;
    }),
  );
const SPOKEN = every(['speaks']);
const name = (prompt: Prompt): string => `${prompt.skillId} ${prompt.itemId}`;
const ofSkill = (...ids: string[]): Prompt[] =>
  SPOKEN.filter((prompt) => ids.includes(prompt.skillId));
const parts = (prompt: Prompt): [number, number] => [prompt.parts[0] ?? 0, prompt.parts[1] ?? 0];

describe('asking', () => {
  it('has a whole sentence for every item of the map, spoken and shown', () => {
    for (const prompt of [...SPOKEN, ...every(['points'])]) {
      for (const words of [prompt.ask, prompt.lay]) {
        expect(words)
          .withContext(name(prompt))
          .toMatch(/^[A-Z\d].*[.?…]$/);
        expect(words)
          .withContext(name(prompt))
          .not.toMatch(/undefined|null|NaN|\s\s/);
      }
      expect(Number.isInteger(prompt.expected)).withContext(name(prompt)).toBeTrue();
      expect(prompt.expected).withContext(name(prompt)).toBeGreaterThanOrEqual(0);
      expect(prompt.expected).withContext(name(prompt)).toBeLessThanOrEqual(1000);
    }
  });

  it('does not ask a child who shows to say how many', () => {
    for (const prompt of every(['fingers']).filter((one) => one.kind === 'count')) {
      expect(prompt.ask)
        .withContext(name(prompt))
        .toMatch(/show me|touch each|give me/i);
    }
  });

  it('gives the same prompt the same key, and no two items of a skill the same', () => {
    for (const skill of SKILLS) {
      const keys = SPOKEN.filter((one) => one.skillId === skill.id).map((one) => one.key);
      expect(new Set(keys).size).withContext(skill.id).toBe(skill.items.length);
    }
  });

  it('is null for what is not on the map', () => {
    expect(promptFor('touch-5', 'n99', ['speaks'])).toBeNull();
    expect(promptFor('fly', 'n1', ['speaks'])).toBeNull();
  });
});

describe('what is expected (own arithmetic)', () => {
  it('is the other part where a whole is split', () => {
    const found = SPOKEN.filter(({ skillId }) => /^(bond|hide)-\d/.test(skillId));
    expect(found.length).toBeGreaterThan(60);
    for (const prompt of found) {
      const [a, b] = parts(prompt);
      expect(prompt.expected).withContext(name(prompt)).toBe(b);
      const record = expectedRecord(prompt, 'en');
      expect(record)
        .withContext(name(prompt))
        .toEqual(jasmine.objectContaining({ whole: a + b, inView: [a], answer: b }));
    }
  });

  it('is what stays when some go away', () => {
    const found = SPOKEN.filter(({ skillId }) => /^away-/.test(skillId));
    expect(found.length).toBeGreaterThan(5);
    for (const prompt of found) {
      const [a, b] = parts(prompt);
      expect(prompt.expected)
        .withContext(name(prompt))
        .toBe(a - b);
      expect(prompt.expected).withContext(name(prompt)).toBeGreaterThanOrEqual(0);
    }
  });

  it('is the sum when some join', () => {
    const found = SPOKEN.filter(({ skillId }) => /^(join|double|on|add-three)-/.test(skillId));
    expect(found.length).toBeGreaterThan(10);
    for (const prompt of found) {
      const sum = prompt.parts.reduce((total, part) => total + part, 0);
      expect(prompt.expected).withContext(name(prompt)).toBe(sum);
    }
  });

  it('makes a true sentence of numbers', () => {
    for (const prompt of SPOKEN.filter(({ skillId }) => skillId.startsWith('sentence'))) {
      const told = /(\d+) ([+−]) (\d+|\?) = (\d+)/.exec(prompt.lay);
      expect(told).withContext(name(prompt)).not.toBeNull();
      const [, a, sign, b, whole] = told!;
      const second = b === '?' ? prompt.expected : Number(b);
      expect(sign === '+' ? Number(a) + second : Number(a) - second)
        .withContext(prompt.lay)
        .toBe(Number(whole));
    }
  });

  it('is the next number, the one before, one more and one fewer', () => {
    for (const prompt of ofSkill('say-next-5', 'say-next-10', 'plus1-5', 'plus1-10')) {
      const number = Number(prompt.itemId.replace(/^\D*/, ''));
      expect(Math.abs(prompt.expected - number))
        .withContext(name(prompt))
        .toBe(1);
    }
    expect(ofSkill('plus1-5').every((one) => one.expected >= 1)).toBeTrue();
  });

  it('is how many more to ten on a frame', () => {
    const toTen = SPOKEN.filter((one) => one.kind === 'frame' && one.form === 'to-ten');
    expect(toTen.length).toBeGreaterThan(3);
    for (const prompt of toTen) {
      const record = expectedRecord(prompt, 'en');
      if (record.kind !== 'frame') throw new Error('not a frame');
      expect(record.n + (record.toTen ?? 0))
        .withContext(name(prompt))
        .toBe(10);
    }
  });

  it('goes back to zero, and on by three words', () => {
    for (const prompt of SPOKEN.filter(({ kind, step }) => kind === 'reach' && step === 1)) {
      if (prompt.direction === 'down') expect(prompt.expected).toBe(0);
      else if (prompt.from > 1) expect(prompt.expected).toBe(prompt.from + 3);
      else expect(prompt.expected).toBeGreaterThanOrEqual(3);
    }
  });
});
