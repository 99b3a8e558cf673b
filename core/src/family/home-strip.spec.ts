import { LIBRARY } from '../activities/index.js';
import { type Observation, ROUND_KINDS } from '../vocabulary/index.js';
import { aTry } from '../vocabulary/testing.js';
import { homeStrip } from './index.js';
import { KITCHEN } from './kitchen.js';

const WREN = { id: '00000000-0000-4000-8000-000000000001', name: 'Wren' };
const plates = LIBRARY.find(({ id }) => id === 'two-plates')!;

const plate = (parts: number[], more: Partial<Observation> = {}): Observation =>
  aTry({
    childId: WREN.id,
    skillId: 'bond-5',
    itemId: null,
    record: { kind: 'bond', whole: 5, parts, inView: [], answer: null },
    round: { kind: 'ways', part: 0, lap: 0, key: 'w', cameUp: [], lay: parts },
    ...more,
  });

describe('a strip for home', () => {
  it('names the game, the child’s own numbers, three things and one sentence', () => {
    const { title, lines } = homeStrip(WREN, plates, '2026-03-10', [
      plate([4, 1]),
      plate([4, 1]),
      plate([3, 2], { outcome: 'help' }),
      plate([2, 3]),
      plate([1, 4], { adultTurn: true }),
    ]);
    expect(title).toContain('Wren');
    expect(lines).toEqual([
      `We played “${plates.title}”.`,
      'On their own: 2 and 3 make 5; 4 and 1 make 5.',
      'At home, take two plates, spoons and lids.',
      'Say: “How many here, how many there, and how many in all?”',
    ]);
  });

  it('gives no numbers where nothing was on their own', () => {
    const { lines } = homeStrip(WREN, plates, '2026-03-10', [
      plate([3, 2], { outcome: 'not-yet' }),
    ]);
    expect(lines.length).toBe(3);
    expect(lines.join(' ')).not.toMatch(/\d/);
  });

  it('has for every way a game goes three different things, none small enough for a mouth or of glass', () => {
    for (const kind of ROUND_KINDS) {
      const { things, say } = KITCHEN[kind];
      expect(new Set(things).size).withContext(kind).toBe(3);
      expect(things.join(' ')).not.toMatch(/bean|button|coin|bead|nut|pea\b|glass|plastic bag/i);
      expect(say).toMatch(/^[A-Z].*[.?!]$/);
    }
  });
});
