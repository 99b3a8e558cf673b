import { LIBRARY, sceneOf } from '../activities/index.js';
import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import { onePage } from './layout.js';
import { type Mark, type Sheet, areaOf, line, rect, text } from './page.js';
import { sceneMarks } from './scene-marks.js';
import { fitted, linesOf } from './type.js';
import type { SheetWish } from './wish.js';
import type { Activity } from '../vocabulary/index.js';

/** The one sentence of a station; of an activity that has none, its child's turn. */
export const stationWords = ({ station, steps }: Pick<Activity, 'station' | 'steps'>): string =>
  station ?? steps.find((one) => one.kind === 'turn')?.text ?? steps[0]?.text ?? '';

/** A card that stands at a place: what to do here, in one picture and one sentence. */
export function stationCard(activity: Activity, { paper, seed, picture }: SheetWish): Sheet {
  const area = areaOf(paper, true);
  const head = fitted(activity.title, area.width - 24, 17, true);
  const lines = linesOf(stationWords(activity), 11, area.width - 24);
  const foot = lines.length * 15.5 + 12;
  const top = area.y + 34;
  const box = { x: area.x + 12, y: top, w: area.width - 24, h: area.height - 34 - foot };
  const scene = sceneOf(activity);
  const side = Math.min(box.h, box.w / 2);
  const marks: Mark[] = [
    rect(area.x, area.y, area.width, area.height, { round: 8, width: 2, ink: 'spruce' }),
    text(area.x + 12, area.y + 23, head.size, head.said, { anchor: 'start', bold: true }),
    ...(scene
      ? sceneMarks(scene, box)
      : picture === ''
        ? // Nothing lies on the table: room for a quick drawing of what to do.
          [rect(box.x, box.y, box.w, box.h, { round: 6, ink: 'gray' })]
        : drawing(picture, box.x + (box.w - side) / 2, box.y + (box.h - side) / 2, side)),
    ...lines.map((words, i) =>
      text(area.x + 12, area.y + area.height - foot + 14 + i * 15.5, 11, words, {
        anchor: 'start',
      }),
    ),
  ];
  return onePage({ paper, seed }, true, activity.title, marks);
}

export const STATION_CARDS: SheetKind = {
  id: 'station-cards',
  group: 'home',
  title: 'Station card',
  about: 'What to do here, in one picture and one sentence, for its place in the room.',
  asks: ['activity'],
  looks: [],
  suits: { activity: 'build-frame' },
  make: (wish) => {
    const activity = LIBRARY.find(({ id }) => id === wish.activity);
    if (!activity) throw new RangeError('choose an activity of the library');
    return stationCard(activity, wish);
  },
};

export const SONG_CARDS: SheetKind = {
  id: 'song-cards',
  group: 'home',
  title: 'Song card',
  about:
    'A counting song to choose: its name, a drawing, and an empty box for a quick one of yours.',
  asks: ['word'],
  looks: [
    ['one', 'one large card'],
    ['two', 'two cards'],
  ],
  make: ({ paper, seed, word, picture, look }) => {
    const many = look === 'two' ? 2 : 1;
    const area = areaOf(paper, many === 1);
    const gap = 10;
    const h = (area.height - gap * (many - 1)) / many;
    const marks = Array.from({ length: many }, (_, i): Mark[] => {
      const y = area.y + i * (h + gap);
      const room = h - 46;
      const side = Math.min(room, area.width / 2 - 24);
      const { size, said } = fitted(word, area.width - 28, 15, true);
      return [
        rect(area.x, y, area.width, h, { round: 8, width: 2, ink: 'spruce' }),
        ...(word === ''
          ? [line(area.x + 14, y + 26, area.x + area.width - 14, y + 26, { ink: 'gray' })]
          : [text(area.x + 14, y + 24, size, said, { anchor: 'start', bold: true })]),
        ...drawing(
          picture === '' ? 'drum' : picture,
          area.x + 14 + (area.width / 2 - 28 - side) / 2,
          y + 36 + (room - side) / 2,
          side,
        ),
        rect(area.x + area.width / 2 + 4, y + 36, area.width / 2 - 18, room, {
          round: 6,
          ink: 'gray',
        }),
      ];
    }).flat();
    return onePage({ paper, seed }, many === 1, word === '' ? 'Song card' : word, marks);
  },
};

const CONTENTS_ROWS = 14;

export const NUMBER_BOOK: SheetKind = {
  id: 'number-book',
  group: 'home',
  title: 'Number book',
  about: 'A cover, a page of contents and a page to glue on: they bind a child’s dated sheets.',
  asks: ['word'],
  looks: [
    ['book', 'cover and contents'],
    ['page', 'a page to glue on'],
  ],
  each: true,
  make: ({ paper, seed, word, owner, picture, look }) => {
    const area = areaOf(paper, false);
    const name = word || owner;
    const title = 'Number book';
    // Holes are punched at the left: nothing stands there.
    const left = area.x + 16;
    const wide = area.width - 16;
    if (look === 'page') {
      return onePage({ paper, seed }, false, title, [
        text(left, area.y + 12, 6.4, 'Day', { anchor: 'start' }),
        line(left + 16, area.y + 13, left + 76, area.y + 13, { ink: 'gray' }),
        rect(left, area.y + 22, wide, area.height - 62, { round: 6, width: 1, ink: 'spruce' }),
        text(left, area.y + area.height - 24, 6.4, 'I said', { anchor: 'start' }),
        line(left + 24, area.y + area.height - 23, left + wide, area.y + area.height - 23, {
          ink: 'gray',
        }),
        line(left, area.y + area.height - 6, left + wide, area.y + area.height - 6, {
          ink: 'gray',
        }),
      ]);
    }
    const side = Math.min(wide - 40, 120);
    const head = fitted(
      name === '' ? 'My number book' : `${name}’s number book`,
      wide - 16,
      16,
      true,
    );
    const cover: Mark[] = [
      rect(left, area.y, wide, area.height, { round: 8, width: 2, ink: 'spruce' }),
      text(left + wide / 2, area.y + 44, head.size, head.said, { bold: true }),
      ...(picture === ''
        ? [rect(left + (wide - side) / 2, area.y + 74, side, side, { round: 6, ink: 'gray' })]
        : drawing(picture, left + (wide - side) / 2, area.y + 74, side)),
      text(left + 16, area.y + area.height - 18, 6.4, 'from', { anchor: 'start' }),
      line(left + 34, area.y + area.height - 17, left + wide / 2 - 4, area.y + area.height - 17, {
        ink: 'gray',
      }),
      text(left + wide / 2 + 2, area.y + area.height - 18, 6.4, 'to', { anchor: 'start' }),
      line(
        left + wide / 2 + 12,
        area.y + area.height - 17,
        left + wide - 16,
        area.y + area.height - 17,
        {
          ink: 'gray',
        },
      ),
    ];
    const top = area.y + 34;
    const step = (area.height - 34) / CONTENTS_ROWS;
    const contents: Mark[] = [
      text(left, area.y + 14, 11, 'What is in it', { anchor: 'start', bold: true }),
      text(left, area.y + 29, 5, 'day', { anchor: 'start' }),
      text(left + 42, area.y + 29, 5, 'what I did', { anchor: 'start' }),
      ...Array.from({ length: CONTENTS_ROWS + 1 }, (_, r) =>
        line(left, top + r * step, left + wide, top + r * step, { ink: 'gray' }),
      ),
      line(left + 38, top, left + 38, top + CONTENTS_ROWS * step, { ink: 'gray' }),
    ];
    const pages = [cover, contents].flatMap(
      (marks) => onePage({ paper, seed }, false, title, marks).pages,
    );
    return { title, pages, notes: ['The left edge stays free for a binder or a ribbon.'] };
  },
};
