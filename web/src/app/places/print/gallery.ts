import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { SHEETS, SHEET_GROUPS, type SheetKind, sheetFor, svgOf, wishFor } from '@gumo/core/sheets';
import { Store } from '@ngrx/store';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { Counted } from '../../common/plural';
import { SmallPicture } from '../../common/small-picture';
import { householdFeature } from '../../state/household';

/** A sheet as it comes without any wish, its first page. */
const firstPage = (kind: SheetKind) => (): string | null => {
  const { pages } = sheetFor(kind, wishFor(kind, { owner: 'Name' }));
  return pages[0] ? svgOf(pages[0]) : null;
};

const GROUPS = SHEET_GROUPS.map(([id, title]) => ({
  id,
  title,
  kinds: SHEETS.filter((kind) => kind.group === id).map((kind) => ({
    ...kind,
    draw: firstPage(kind),
    words: [title, kind.title, kind.about, ...kind.looks.map((look) => look[1])]
      .join(' ')
      .toLowerCase(),
  })),
}));

/** Every sheet with its drawing, in groups, to look through or to search. */
@Component({
  selector: 'gumo-print-gallery',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Counted,
    FORM_FIELDS,
    Icon,
    MatButton,
    MatInputModule,
    ReactiveFormsModule,
    RouterLink,
    SmallPicture,
  ],
  template: `
    <header>
      <h1>Print</h1>
      <mat-form-field>
        <gumo-icon matPrefix name="search" />
        <mat-label>Search sheets</mat-label>
        <input matInput type="search" [formControl]="search" />
      </mat-form-field>
      <a matButton="outlined" routerLink="/print/list"><gumo-icon name="print" /> Print list</a>
    </header>
    <p class="soft" role="status">
      {{ many() | counted: 'sheet' : 'sheets' }}, in true size on {{ paper() }}
    </p>
    @for (group of found(); track group.id) {
      <section [attr.aria-labelledby]="'sheets-' + group.id">
        <h2 [id]="'sheets-' + group.id">{{ group.title }}</h2>
        <ul>
          @for (kind of group.kinds; track kind.id) {
            <li>
              <a class="sheet" [routerLink]="['/print', kind.id]">
                <gumo-small-picture [of]="kind.draw" [draw]="kind.draw" />
                <strong>{{ kind.title }}</strong>
              </a>
            </li>
          }
        </ul>
      </section>
    } @empty {
      <p class="sheet none">
        No sheet is called so. Try what lies on it, such as “dots” or “frame”.
      </p>
    }
  `,
  styleUrl: './gallery.scss',
})
export class Gallery {
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  protected readonly search = new FormControl('', { nonNullable: true });
  private readonly typed = toSignal(this.search.valueChanges, { initialValue: '' });
  protected readonly found = computed(() => {
    const parts = this.typed()
      .toLowerCase()
      .split(/\s+/)
      .filter((part) => part !== '');
    return GROUPS.map((group) => ({
      ...group,
      kinds: group.kinds.filter(({ words }) => parts.every((part) => words.includes(part))),
    })).filter(({ kinds }) => kinds.length > 0);
  });
  protected readonly many = computed(() =>
    this.found().reduce((sum, { kinds }) => sum + kinds.length, 0),
  );
  protected readonly paper = computed(() =>
    this.household()?.paper === 'letter' ? 'Letter' : 'A4',
  );
}
