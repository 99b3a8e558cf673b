import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatRipple } from '@angular/material/core';
import {
  DRAWINGS,
  type Drawing,
  UNIT_ORDER,
  alikeCards,
  firstWrongPlace,
  lettersOf,
  mayAsk,
  repeatUnit,
  smallestUnit,
  withMistake,
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
const MATCHED = 5;
const ORDINALS = ['first', 'second', 'third'] as const;

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
  protected readonly units = UNIT_ORDER;
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

  protected readonly mistake = computed(
    () => 2 + Math.floor(seeded(this.seed())() * Math.min(5, this.row().length - 2)),
  );
  protected readonly mistaken = computed(() =>
    withMistake(
      this.row(),
      this.mistake(),
      TOKENS.filter((one) => !this.unit().includes(one)),
    ),
  );
  protected readonly pointed = signal<number | null>(null);

  protected readonly size = signal<2 | 3>(2);
  protected readonly model = computed(() => {
    const random = seeded(this.seed() * 7 + this.size());
    return Array.from({ length: this.size() ** 2 }, () => TOKENS[Math.floor(random() * 3)] ?? 'A');
  });
  protected readonly grid = signal<readonly (string | null)[]>([]);
  protected readonly held = signal<string>('A');

  protected readonly sought = computed(() => {
    const random = seeded(this.seed() * 13);
    return Array.from({ length: MATCHED }, () => TOKENS[Math.floor(random() * 3)] ?? 'A');
  });
  protected readonly among = computed(() => {
    const row = this.sought();
    const other = (at: number): string[] =>
      row.map((one, i) => (i === at ? (TOKENS.find((token) => token !== one) ?? 'A') : one));
    return shuffled([row, other(1), other(3), other(4)], this.seed());
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
    const wrong = firstWrongPlace(this.placed(), this.right());
    const letters = this.letters().toLowerCase();
    const known = (UNIT_ORDER as readonly string[]).includes(this.letters());
    this.tell(
      wrong === null,
      wrong === null
        ? 'That goes on.'
        : `Say the row aloud together: the ${ORDINALS[wrong - 1]} one is another.`,
      {
        skillId: 'pattern-next',
        itemId: known ? `${letters}-${this.asked()}` : 'ab-1',
        unit: this.unit(),
        shown: this.shown(),
        answer: this.placed(),
      },
    );
  }

  protected takeBack(): void {
    this.placed.update((some) => some.slice(0, -1));
    this.told.set(null);
  }

  protected point(place: number): void {
    this.pointed.set(place);
    const right = place === this.mistake();
    this.tell(
      right,
      right ? 'That is the one.' : 'Say the row aloud together, from the beginning.',
      {
        skillId: 'pattern-fix',
        itemId: `place-${Math.min(6, this.mistake())}`,
        unit: this.unit(),
        shown: this.shown(),
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
    const right = row.join('') === this.sought().join('');
    this.chosen.set(row.join(''));
    this.tell(right, right ? 'The same row.' : 'Go along both with a finger.', {
      skillId: 'pattern-match',
      itemId: `length-${MATCHED}`,
      unit: this.sought(),
      shown: MATCHED,
      answer: row,
    });
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
