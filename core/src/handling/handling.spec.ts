import { questionForItem } from '../rounds/index.js';
import { dominoSet, seeded } from '../numbers/index.js';
import { SKILLS } from '../skills/index.js';
import type { AnswerMode } from '../vocabulary/index.js';
import { dominoScene } from './dominoes.js';
import { type DotPicture, dotsScene } from './dots.js';
import { type FirstFinger, fingersFor, fingersScene } from './fingers.js';
import { cellsFor, frameScene } from './frame.js';
import { type AnyManipulative, type Control, MANIPULATIVES, type Scene, countOf } from './index.js';

/** What lies outside its scene by more than the width of a line, and round counters on each other. */
function faultsOf(scene: Scene): string[] {
  const outside = scene.pieces.filter((one) => {
    const half = Math.max(one.w, one.h) / 2;
    const across = one.turn === 0 ? one.w / 2 : Math.min(half, one.w);
    const down = one.turn === 0 ? one.h / 2 : Math.min(half, one.h);
    return (
      one.x - across < -0.2 ||
      one.y - down < -0.2 ||
      one.x + across > scene.width + 0.2 ||
      one.y + down > scene.height + 0.2
    );
  });
  const round = scene.pieces.filter((one) => one.look === 'counter');
  const touching = round.flatMap((one, i) =>
    round
      .slice(i + 1)
      .filter(
        (other) => Math.hypot(one.x - other.x, one.y - other.y) < Math.min(one.w, other.w) - 1e-6,
      )
      .map((other) => `${one.id} lies on ${other.id}`),
  );
  return [...outside.map((one) => `${one.id} lies outside`), ...touching];
}

/** Nothing lies outside, and nothing on top of another. */
const sound = (scene: Scene, name: string): void =>
  expect(faultsOf(scene)).withContext(name).toEqual([]);

const byId = (id: string): AnyManipulative => MANIPULATIVES.find((one) => one.id === id)!;
const never = (): number => 0.5;

describe('every manipulative', () => {
  /** Changes that anyone could make, one after the other. */
  function played(material: AnyManipulative, seed: number, look: (state: unknown) => void): void {
    const random = seeded(seed);
    const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
    let state = material.start;
    for (let i = 0; i < 60; i++) {
      const scene = material.scene(state);
      const open = (one: Control): boolean => one.type !== 'do' || !one.off;
      const control = pick(material.controls(state).filter(open));
      const roll = random();
      if (roll < 0.5 && control)
        state = material.set(state, control.id, valueOf(control, random), random);
      else {
        const loose = scene.pieces.filter((one) => one.moves && !one.hidden);
        const places = [...scene.under, ...scene.over].filter((one) => one.moves);
        const target = pick([...loose.map((one) => one.id), ...places.map((one) => one.id!)]);
        const place = pick(places.map((one) => one.id!));
        const moved = pick(loose);
        if (roll < 0.8 && target) state = material.tap(state, target, random);
        else if (moved && place) state = material.drop?.(state, moved.id, place) ?? state;
      }
      look(state);
    }
  }
  const valueOf = (control: Control, random: () => number): number | string => {
    if (control.type === 'do') return '';
    if (control.type === 'choice') {
      return control.options[Math.floor(random() * control.options.length)]![0];
    }
    return control.least + Math.floor(random() * (control.most - control.least + 1));
  };

  it('stays whole whatever is done with it: nothing lost, nothing on top of another, nothing outside', () => {
    for (const material of MANIPULATIVES) {
      for (let seed = 1; seed <= 12; seed++) {
        played(material, seed, (state) => {
          const scene = material.scene(state);
          sound(scene, material.id);
          const ids = scene.pieces.map((one) => one.id);
          expect(new Set(ids).size).withContext(material.id).toBe(ids.length);
          const steps = material.controls(state).filter((one) => one.type === 'step');
          for (const one of steps) {
            expect(one.value >= one.least && one.value <= one.most)
              .withContext(`${material.id} ${JSON.stringify(one)}`)
              .toBeTrue();
          }
        });
      }
    }
  });

  it('says a sentence and writes a sum that are true', () => {
    for (const material of MANIPULATIVES) {
      played(material, 5, (state) => {
        const { words, sum, partWhole } = material.sentence(state);
        expect(words)
          .withContext(material.id)
          .toMatch(/^[A-Z\d].*[.?…]$/);
        const told = /^(\d+(?: [+−] \d+)*) = (\d+)$/.exec(sum);
        if (told) {
          const [first = '0', ...rest] = told[1]!.split(' ');
          let value = Number(first);
          for (let i = 0; i < rest.length; i += 2) {
            value += (rest[i] === '−' ? -1 : 1) * Number(rest[i + 1]);
          }
          expect(value).withContext(`${material.id}: ${sum}`).toBe(Number(told[2]));
        }
        if (partWhole) {
          expect(partWhole.parts.reduce((a, b) => a + b, 0)).toBe(partWhole.whole);
        }
      });
    }
  });

  it('shows as many as it is set to, for every number it takes', () => {
    const counted: readonly (readonly [string, string])[] = [
      ['beads', 'n'],
      ['tray', 'n'],
      ['dots', 'n'],
      ['tally', 'n'],
      ['partners', 'n'],
      ['share', 'n'],
      ['fingers', 'n'],
    ];
    for (const [id, control] of counted) {
      const material = byId(id);
      const step = material.controls(material.start).find((one) => one.id === control)!;
      if (step.type !== 'step') throw new Error(id);
      for (let n = step.least; n <= step.most; n++) {
        expect(countOf(material.scene(material.set(material.start, control, n, never))))
          .withContext(`${id} ${n}`)
          .toBe(n);
      }
    }
    const frame = byId('frame');
    for (const size of ['five', 'ten', 'two']) {
      for (const fill of ['row', 'pairs', 'free']) {
        const empty = frame.set(frame.set(frame.start, 'size', size, never), 'fill', fill, never);
        const most = frame.scene(empty).under.length;
        for (let n = 0; n <= most; n++) {
          const scene = frame.scene(frame.set(empty, 'n', n, never));
          expect(countOf(scene)).withContext(`${size} ${fill} ${n}`).toBe(n);
        }
      }
    }
  });
});

describe('pictures', () => {
  it('show every domino to double nine and every picture to twenty', () => {
    for (const [a, b] of dominoSet(9)) expect(countOf(dominoScene(a, b))).toBe(a + b);
    const pictures: DotPicture[] = ['dice', 'line', 'ring', 'scatter', 'slant', 'heap', 'pairs'];
    for (const picture of pictures) {
      for (let n = 0; n <= 20; n++) {
        const scene = dotsScene(n, picture, 'seed');
        expect(countOf(scene)).withContext(`${picture} ${n}`).toBe(n);
        sound(scene, picture);
      }
    }
  });

  it('raise so many fingers, whichever a child begins with, the first hand full before the second', () => {
    for (const first of ['thumb', 'index', 'little'] as FirstFinger[]) {
      for (let n = 0; n <= 10; n++) {
        const up = fingersFor(n, first);
        expect(countOf(fingersScene(up))).toBe(n);
        expect(up.slice(0, 5).filter(Boolean).length).toBe(Math.min(5, n));
      }
    }
    expect(fingersFor(1, 'index')).toEqual([false, true, ...new Array<boolean>(8).fill(false)]);
  });

  it('fill a frame along the rows, or down in pairs', () => {
    const lies = (cells: readonly number[]): number[] =>
      cells.flatMap((one, i) => (one ? [i] : []));
    expect(lies(cellsFor(7, 10, 'row'))).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(lies(cellsFor(7, 10, 'pairs'))).toEqual([0, 1, 2, 3, 5, 6, 7]);
    expect(countOf(frameScene(cellsFor(14, 20, 'pairs')))).toBe(14);
  });

  it('lie there for every prompt of the map, as many as asked for where things are counted', () => {
    const ways: AnswerMode[][] = [['speaks'], ['points'], ['fingers']];
    let drawn = 0;
    for (const skill of SKILLS) {
      for (const item of skill.items) {
        for (const modes of ways) {
          const question = questionForItem(skill.id, item.id, modes);
          const scene = question?.scene;
          if (!scene) continue;
          drawn++;
          sound(scene, `${skill.id} ${item.id}`);
          expect(scene.words).withContext(skill.id).not.toBe('');
          if (['touch', 'glance', 'groups', 'rows', 'partner'].includes(skill.family)) {
            expect(countOf(scene))
              .withContext(`${skill.id} ${item.id}`)
              .toBe(
                question.right?.kind === 'groups'
                  ? question.right.groups * question.right.size
                  : item.number,
              );
          }
        }
      }
    }
    expect(drawn).toBeGreaterThan(900);
  });

  it('never show what is to be found out: the hidden part, the answer of a pattern', () => {
    const first = SKILLS.find((one) => one.id === 'hide-5')!.items[0]!.id;
    const hidden = questionForItem('hide-5', first, ['speaks'])!.scene!;
    expect(hidden.over.length).toBe(1);
    expect(hidden.pieces.some((one) => one.hidden)).toBeTrue();
    const next = questionForItem('pattern-next', 'ab-2', ['speaks'])!.scene!;
    expect(next.pieces.length).toBe(4);
    expect(next.under.filter((one) => one.look === 'hole').length).toBe(2);
  });
});
