import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatRipple } from '@angular/material/core';
import {
  DRAWINGS,
  type Drawing,
  MISTAKES,
  UNIT_ORDER,
  alikeCards,
  firstWrongPlace,
  growingRow,
  lettersOf,
  mayAsk,
  repeatUnit,
  rowsLike,
  smallestUnit,
  withMistake,
  wrongWords,
} from '@gumo/core/measuring';
import { seeded, shuffled } from '@gumo/core/numbers';
import { TOGGLES } from '../../common/toggle';
import { MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';
import { TOKEN_SETS, Token, type TokenSet, tokenWords } from './token';

type Mode = 'next' | 'mistake' | 'copy' | 'match' | 'alike';

const MODES: readonly { readonly id: Mode; readonly words: string }[] = [
  { id: 'next', words: 'go on' },
  { id: 'mistake', words: 'find the mistake' },
  { id: 'copy', words: 'copy a grid' },
  { id: 'match', words: 'match rows' },
  { id: 'alike', words: 'alike and shadow' },
];
export const TOKENS = ['A', 'B', 'C', 'D'] as const;
const REPEATS = { least: 2, most: 4 } as const;
const CUTS = 3;
const GROWING = 4;
/** Lengths of rows to match. */
const LENGTHS = [3, 4, 5, 6] as const;
/** A pattern laid again of something else. */
const OTHER_SET: Readonly<Record<TokenSet, TokenSet>> = {
  shapes: 'pictures',
  beads: 'pictures',
  pictures: 'beads',
};

/** Patterns: what repeats, what comes next, what is wrong; grids and rows copied, shadows found. */
@Component({
  selector: 'gumo-patterns',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatRipple, TOGGLES, MeasuringParticipants, Token],
  templateUrl: './patterns.html',
  styleUrls: ['./kit.scss', './patterns.scss'],
})
export class Patterns {
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly session = inject(MeasuringSession);

  protected readonly modes = MODES;
  protected readonly units = [...UNIT_ORDER, 'ABCD'] as const;
  protected readonly tokens = TOKENS;
  protected readonly sets = TOKEN_SETS;
  protected readonly set = signal<TokenSet>('shapes');
  protected readonly words = (kind: string): string => tokenWords(kind, this.set());
  protected readonly mode = signal<Mode>('next');
  protected readonly unit = signal<readonly string[]>(['A', 'B']);
  protected readonly letters = computed(() => lettersOf(this.unit()));
  protected readonly repeats = signal(3);
  /** Places that are shown behind the last whole unit, and how many are asked for. */
  protected readonly cut = signal(0);
  protected readonly asked = signal(1);
  protected readonly seed = signal(1);

  protected readonly shown = computed(() => this.unit().length * this.repeats() + this.cut());
  protected readonly row = computed(() => repeatUnit(this.unit(), this.shown()));
  protected readonly right = computed(() =>
    repeatUnit(this.unit(), this.shown() + this.asked()).slice(this.shown()),
  );
  protected readonly placed = signal<readonly string[]>([]);
  protected readonly isReady = computed(() => mayAsk(this.unit(), this.shown()));

  /** Whether the row to be mended grows: A B, A B B, A B B B. */
  protected readonly grows = signal(false);
  /** A piece of the row in the wrong place, laid twice, or left out. */
  protected readonly mistaken = computed(() => {
    const row = this.grows() ? growingRow(GROWING) : this.row();
    const random = seeded(this.seed());
    const place = 2 + Math.floor(random() * (Math.min(row.length, 8) - 3));
    const isPlain = new Set(row).size < 2;
    const mistake = MISTAKES[this.seed() % MISTAKES.length] ?? 'another';
    return isPlain ? null : { place, ...withMistake(row, place, mistake) };
  });
  protected readonly pointed = signal<number | null>(null);

  protected readonly size = signal<2 | 3>(2);
  protected readonly model = computed(() => {
    const random = seeded(this.seed() * 7 + this.size());
    return Array.from({ length: this.size() ** 2 }, () => TOKENS[Math.floor(random() * 3)] ?? 'A');
  });
  protected readonly grid = signal<readonly (string | null)[]>([]);
  protected readonly held = signal<string>('A');

  protected readonly lengths = LENGTHS;
  protected readonly matched = signal<number>(5);
  /** Whether the same pattern is sought, laid of something else; else the very same row. */
  protected readonly byPattern = signal(false);
  protected readonly amongSet = computed(() =>
    this.byPattern() ? OTHER_SET[this.set()] : this.set(),
  );
  protected readonly sought = computed(() => {
    if (this.byPattern()) {
      const unit = UNIT_ORDER[this.seed() % UNIT_ORDER.length] ?? 'AB';
      return repeatUnit([...unit], LENGTHS[LENGTHS.length - 1] ?? 6);
    }
    const random = seeded(this.seed() * 13);
    const row = Array.from(
      { length: this.matched() },
      () => TOKENS[Math.floor(random() * 3)] ?? 'A',
    );
    return new Set(row).size > 1 ? row : [...row.slice(1), row[0] === 'A' ? 'B' : 'A'];
  });
  protected readonly among = computed(() => {
    const row = this.sought();
    return shuffled([row, ...rowsLike(row, TOKENS.slice(0, 3), this.seed())], this.seed());
  });

  protected readonly shadows = signal(true);
  protected readonly card = computed(
    () => alikeCards(DRAWINGS.length, this.seed())[this.seed() % DRAWINGS.length],
  );
  protected readonly chosen = signal<string | null>(null);

  protected readonly told = signal<{ readonly right: boolean; readonly words: string } | null>(
    null,
  );
  private noted = false;

  protected open(mode: Mode): void {
    this.mode.set(mode);
    this.again();
  }

  /** Another of the same kind. */
  protected again(): void {
    this.seed.update((n) => n + 1);
    this.clear();
  }

  private clear(): void {
    this.placed.set([]);
    this.pointed.set(null);
    this.chosen.set(null);
    this.grid.set(Array.from({ length: this.size() ** 2 }, () => null));
    this.told.set(null);
    this.noted = false;
  }

  protected choose(letters: string): void {
    this.unit.set([...letters]);
    this.clear();
  }

  /** The unit by hand: the next token behind it, or the last one gone. */
  protected extend(token: string | null): void {
    this.unit.update((unit) => (token === null ? unit.slice(0, -1) : [...unit, token].slice(0, 6)));
    this.clear();
  }

  protected readonly unitWords = computed(() => {
    const small = smallestUnit(this.unit());
    const repeats = this.unit().length / Math.max(1, small.length);
    if (this.unit().length === 0) return 'Choose what repeats.';
    return Number.isInteger(repeats) && repeats > 1
      ? `That is ${lettersOf(small)} said ${repeats} times.`
      : '';
  });

  protected step(what: 'repeats' | 'cut' | 'asked', by: number): void {
    const within = (n: number, least: number, most: number): number =>
      Math.min(most, Math.max(least, n));
    if (what === 'repeats') this.repeats.update((n) => within(n + by, REPEATS.least, REPEATS.most));
    if (what === 'cut') this.cut.update((n) => within(n + by, 0, this.unit().length - 1));
    if (what === 'asked') this.asked.update((n) => within(n + by, 1, CUTS));
    this.clear();
  }

  protected place(token: string): void {
    if (this.placed().length >= this.asked()) return;
    this.placed.update((some) => [...some, token]);
    if (this.placed().length < this.asked()) return;
    const wrong = wrongWords(this.row(), this.placed(), this.right());
    const letters = this.letters().toLowerCase();
    const known = (UNIT_ORDER as readonly string[]).includes(this.letters());
    this.tell(wrong === '', wrong === '' ? 'That goes on.' : wrong, {
      skillId: 'pattern-next',
      itemId: known ? `${letters}-${this.asked()}` : 'ab-1',
      unit: this.unit(),
      shown: this.shown(),
      answer: this.placed(),
    });
  }

  protected takeBack(): void {
    this.placed.update((some) => some.slice(0, -1));
    this.told.set(null);
  }

  protected point(place: number): void {
    const mistaken = this.mistaken();
    if (!mistaken) return;
    this.pointed.set(place);
    const right = mistaken.places.includes(place);
    this.tell(
      right,
      right
        ? `That is the one. ${mistaken.words}`
        : 'Say the row aloud together, from the beginning.',
      {
        skillId: 'pattern-fix',
        itemId: `place-${Math.min(6, mistaken.place)}`,
        unit: this.grows() ? [] : this.unit(),
        shown: mistaken.row.length,
        answer: [String(place)],
      },
    );
  }

  protected lay(at: number): void {
    const before = this.grid();
    const cells = this.model().map((_, i) => (i === at ? this.held() : (before[i] ?? null)));
    this.grid.set(cells);
    if (cells.includes(null)) return;
    const wrong = firstWrongPlace(cells as string[], this.model());
    this.tell(wrong === null, wrong === null ? 'Just the same.' : `Look at place ${wrong}.`, {
      skillId: 'pattern-copy',
      itemId: `grid-${this.size()}`,
      unit: this.model(),
      shown: this.model().length,
      answer: cells as string[],
    });
  }

  protected resize(size: 2 | 3): void {
    this.size.set(size);
    this.clear();
  }

  protected match(row: readonly string[]): void {
    const wrong = firstWrongPlace(row, this.sought());
    this.chosen.set(row.join(''));
    this.tell(
      wrong === null,
      wrong === null
        ? this.byPattern()
          ? 'The same pattern, of something else.'
          : 'The same row.'
        : `Go along both with a finger: look at place ${wrong}.`,
      {
        skillId: 'pattern-match',
        itemId: `length-${this.sought().length}`,
        unit: this.sought(),
        shown: this.sought().length,
        answer: row,
      },
    );
  }

  protected lengthen(length: number): void {
    this.matched.set(length);
    this.clear();
  }

  protected matchBy(pattern: boolean): void {
    this.byPattern.set(pattern);
    this.clear();
  }

  protected grow(grows: boolean): void {
    this.grows.set(grows);
    this.clear();
  }

  protected find(drawing: Drawing): void {
    const sought = this.card()?.sought;
    const right = drawing.id === sought?.id;
    this.chosen.set(drawing.id);
    this.tell(right, right ? 'That one.' : 'Follow the edge with a finger.', {
      skillId: 'alike',
      itemId: this.shadows() ? 'shadow' : 'picture',
      unit: [],
      shown: 0,
      answer: [drawing.name],
    });
  }

  /** Says how it is, and keeps the first answer for whoever takes part. */
  private tell(
    right: boolean,
    words: string,
    what: {
      readonly skillId: string;
      readonly itemId: string;
      readonly unit: readonly string[];
      readonly shown: number;
      readonly answer: readonly string[];
    },
  ): void {
    this.told.set({ right, words });
    void this.announcer.announce(words);
    if (this.noted) return;
    this.noted = true;
    const { skillId, itemId, unit, shown, answer } = what;
    for (const { id: childId } of this.session.participants()) {
      this.session.note(skillId === 'alike' ? 'sort-basket' : 'pattern-tray', {
        childId,
        skillId,
        itemId,
        outcome: right ? 'own' : 'not-yet',
        record:
          skillId === 'alike'
            ? { kind: 'sort', rule: itemId, groups: [], placedRight: right ? 1 : 0 }
            : { kind: 'pattern', unit: [...unit], shown, answer: [...answer] },
      });
    }
  }
}
