import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { TextFieldModule } from '@angular/cdk/text-field';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { FamilyDraft, FamilyReports } from '@gumo/core/contract';
import { FamilyLetter, addDays } from '@gumo/core/vocabulary';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { TOGGLES } from '../../common/toggle';
import { Undo } from '../../common/undo';
import { LOCAL_RULES, dayWords } from '../../common/words';
import { Writes } from '../../state/writes';

type Part = 'knows' | 'growing' | 'next' | 'home' | 'cautions';
const PARTS: readonly (readonly [Part, string])[] = [
  ['knows', 'Secure'],
  ['growing', 'Growing'],
  ['next', 'What comes next'],
  ['home', 'Two things to do at home'],
  ['cautions', 'To take care'],
];
const SPANS: readonly (readonly [days: number, words: string])[] = [
  [28, 'four weeks'],
  [84, 'twelve weeks'],
  [182, 'half a year'],
  [365, 'a year'],
];

interface Sentence {
  readonly key: string;
  readonly words: string;
  readonly on: boolean;
}

/** A page for the family in plain sentences, chosen and worded by the educator before it is kept. */
@Component({
  selector: 'gumo-family-tab',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Icon,
    IconTip,
    MatButton,
    MatCheckbox,
    MatIconButton,
    FORM_FIELDS,
    MatInputModule,
    TOGGLES,
    TextFieldModule,
  ],
  templateUrl: './family-tab.html',
  styleUrl: './family-tab.scss',
})
export class FamilyTab {
  readonly id = input.required<string>();

  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly undo = inject(Undo);
  private readonly clock = inject(Clock);

  protected readonly parts = PARTS;
  protected readonly spans = SPANS;
  protected readonly rules = LOCAL_RULES;
  protected readonly dayWords = dayWords;
  protected readonly span = signal(84);
  protected readonly title = signal('');
  protected readonly note = signal('');
  protected readonly sentences = signal<Readonly<Record<Part, readonly Sentence[]>> | null>(null);
  protected readonly goals = signal<FamilyLetter['goals']>([]);
  protected readonly withGoals = signal(false);
  protected readonly letters = signal<readonly FamilyLetter[]>([]);
  protected readonly message = signal<string | null>(null);
  protected readonly said = signal('');
  private readonly to = computed(() => this.clock.today());
  private readonly from = computed(() => addDays(this.to(), -this.span()));
  protected readonly sources = computed(() => [...new Set(this.goals().map((one) => one.source))]);

  constructor() {
    effect(() => void this.load(this.id(), this.from(), this.to()));
  }

  private async load(id: string, from: string, to: string): Promise<void> {
    this.said.set('');
    try {
      const [draft, letters] = await Promise.all([
        this.api.get(`/families/draft?child=${id}&from=${from}&to=${to}`, FamilyDraft),
        this.api.get('/families', FamilyReports),
      ]);
      const lines = (part: Part): Sentence[] => draft[part].map((one) => ({ ...one, on: true }));
      this.title.set(draft.title);
      this.note.set(draft.note);
      this.goals.set(draft.goals);
      this.sentences.set({
        knows: lines('knows'),
        growing: lines('growing'),
        next: lines('next'),
        home: lines('home'),
        cautions: lines('cautions'),
      });
      this.letters.set(letters.filter((one) => one.childId === id).reverse());
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected change(part: Part, key: string, more: Partial<Sentence>): void {
    this.said.set('');
    this.sentences.update(
      (all) =>
        all && {
          ...all,
          [part]: all[part].map((one) => (one.key === key ? { ...one, ...more } : one)),
        },
    );
  }

  /** A sentence of one's own. */
  protected add(part: Part): void {
    this.sentences.update(
      (all) => all && { ...all, [part]: [...all[part], { key: uuid(), words: '', on: true }] },
    );
  }

  private chosen(part: Part): string[] {
    return (this.sentences()?.[part] ?? [])
      .filter((one) => one.on && one.words.trim() !== '')
      .map((one) => one.words.trim());
  }

  /** The page as plain words, to paste anywhere. */
  private asText(): string {
    const parts = PARTS.flatMap(([part, heading]) => {
      const lines = this.chosen(part);
      return lines.length === 0 ? [] : [[heading, ...lines.map((one) => `- ${one}`)].join('\n')];
    });
    return [this.title(), ...parts, this.note()].join('\n\n');
  }

  protected async copy(): Promise<void> {
    try {
      await navigator.clipboard.writeText(this.asText());
      this.said.set('Copied.');
    } catch {
      this.message.set('This browser does not let a page copy; save it and open the PDF.');
    }
  }

  /** Keeps what was chosen, as it is worded now. */
  protected async keep(): Promise<void> {
    this.message.set(null);
    const letter: FamilyLetter = {
      id: uuid(),
      childId: this.id(),
      from: this.from(),
      to: this.to(),
      keptOn: this.clock.today(),
      knows: this.chosen('knows'),
      growing: this.chosen('growing'),
      next: this.chosen('next'),
      home: this.chosen('home'),
      cautions: this.chosen('cautions'),
      withGoals: this.withGoals(),
      goals: this.withGoals() ? this.goals() : [],
      version: 1,
    };
    try {
      const kept = await this.writes.send('POST', '/families', letter, FamilyLetter);
      this.letters.update((all) => [kept, ...all]);
      this.said.set('Saved.');
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected async remove(letter: FamilyLetter): Promise<void> {
    try {
      await this.undo.remove('/families', letter, 'The page was removed.', (isBack) =>
        this.letters.update((all) =>
          isBack ? [letter, ...all] : all.filter((one) => one.id !== letter.id),
        ),
      );
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
