import { renamedEntry, renamedFile } from './index.js';

describe('names of household files up to version 4', () => {
  it('are read as today’s, of every list', () => {
    const old = {
      format: 'gumo-household',
      version: 4,
      household: { preferredWay: 'left-out', moments: [{ bands: ['woven', 'set-out', 'table'] }] },
      children: [{ name: 'Wren', mark: { shape: 'leaf' }, policy: 'follow-lead' }],
      things: [{ name: 'pegs' }],
      activities: [
        { band: 'set-out', ways: ['led', 'presented'], rounds: [{ thing: ['peg', 'pegs'] }] },
      ],
      kits: [{ contents: [{ thingId: 'a', count: 1 }] }],
      sittings: [{ takers: [{ childId: 'c', top: 5 }] }],
      observations: [
        {
          sittingId: 's',
          things: ['a'],
          record: { kind: 'weigh', thing: 'jar' },
          round: { top: 10 },
        },
        { sittingId: null, things: [], record: { kind: 'count', words: 4 } },
      ],
      words: [{ says: 'secure' }],
      pegs: [{ pegs: { say: 2 }, byAge: true }],
      plan: [{ takers: [{ childId: 'c', top: 10 }] }],
      days: [{ laidReady: ['x'], words: 'a good day' }],
      notes: [{ words: 'hums' }],
      weeks: [{ empty: [{ band: 'woven' }], worth: { basis: { things: 3 } } }],
      prints: [{ wish: { thingMm: 30 } }],
      songs: [{ words: 'One skein in' }],
    };
    expect(renamedFile(old)).toEqual({
      format: 'gumo-household',
      version: 4,
      household: { preferredWay: 'invitation', moments: [{ bands: ['anytime', 'play', 'table'] }] },
      children: [{ name: 'Wren', symbol: { shape: 'leaf' }, policy: 'follow-child' }],
      materials: [{ name: 'pegs' }],
      activities: [
        {
          band: 'play',
          ways: ['adult-led', 'presentation'],
          rounds: [{ material: ['peg', 'pegs'] }],
        },
      ],
      kits: [{ contents: [{ materialId: 'a', count: 1 }] }],
      sessions: [{ participants: [{ childId: 'c', rangeMax: 5 }] }],
      observations: [
        {
          sessionId: 's',
          materials: ['a'],
          record: { kind: 'weigh', material: 'jar' },
          // The top of a round's range was never called otherwise.
          round: { top: 10 },
        },
        { sessionId: null, materials: [], record: { kind: 'count', words: 4 } },
      ],
      overrides: [{ says: 'secure' }],
      placements: [{ levels: { say: 2 }, byAge: true }],
      plan: [{ participants: [{ childId: 'c', rangeMax: 10 }] }],
      days: [{ gotReady: ['x'], words: 'a good day' }],
      notes: [{ words: 'hums' }],
      weeks: [{ empty: [{ band: 'anytime' }], worth: { basis: { materials: 3 } } }],
      prints: [{ wish: { materialMm: 30 } }],
      songs: [{ words: 'One skein in' }],
    });
  });

  it('leave a file of today alone, and whatever is no file', () => {
    const today = { version: 5, words: 'of tomorrow', things: [{ thing: 1 }] };
    for (const other of [today, null, 7, 'text', [], {}, { version: '4' }]) {
      expect(renamedFile(other)).toBe(other);
    }
  });
});

describe('what waited on a device under an earlier name', () => {
  it('is sent under today’s', () => {
    for (const [before, after] of [
      [
        { kind: 'sitting', sitting: { id: 's', takers: [{ childId: 'c', top: 5 }] } },
        { kind: 'session', session: { id: 's', participants: [{ childId: 'c', rangeMax: 5 }] } },
      ],
      [
        { kind: 'word', word: { says: 'secure' } },
        { kind: 'override', override: { says: 'secure' } },
      ],
      [
        { kind: 'pegs', pegs: { pegs: { say: 1 }, byAge: false } },
        { kind: 'placement', placement: { levels: { say: 1 }, byAge: false } },
      ],
      [
        { kind: 'range', sittingId: 's', move: { childId: 'c', top: 10 } },
        { kind: 'range', sessionId: 's', move: { childId: 'c', rangeMax: 10 } },
      ],
      [
        { kind: 'observation', observation: { sittingId: 's', things: [], note: 'a word' } },
        { kind: 'observation', observation: { sessionId: 's', materials: [], note: 'a word' } },
      ],
    ]) {
      expect(renamedEntry(before)).toEqual(after);
      expect(renamedEntry(after)).toEqual(after);
    }
    expect(renamedEntry(null)).toBeNull();
  });
});
