import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { SHEETS, type SheetKind, sheetFor, suitedTo, svgOf, usualWish } from '@gumo/core/sheets';
import { Icon } from '../../common/icon';
import { type OnShelf, Shelf } from '../../common/shelf';

/** A sheet as it comes without any wish, its first page. */
function firstPage(kind: SheetKind): string | null {
  const look = kind.looks[0]?.[0] ?? '';
  const { pages } = sheetFor(kind, { ...usualWish(), ...suitedTo(kind.id), look, owner: 'Name' });
  return pages[0] ? svgOf(pages[0]) : null;
}

const KINDS: readonly OnShelf[] = SHEETS.map((kind) => ({
  id: kind.id,
  title: kind.title,
  link: ['/print', kind.id],
  draw: () => firstPage(kind),
}));

/** The sheets there are, and those that were collected. */
@Component({
  selector: 'gumo-sheet-kinds',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, MatButton, RouterLink, Shelf],
  template: `
    <gumo-shelf label="Sheets" [all]="kinds" [here]="here()">
      <a
        [matButton]="here() === 'tray' ? 'tonal' : 'text'"
        routerLink="/print/list"
        [attr.aria-current]="here() === 'tray' ? 'page' : null"
      >
        <gumo-icon name="print" /> Print list
      </a>
    </gumo-shelf>
  `,
})
export class SheetKinds {
  /** The kind that is open, or the tray. */
  readonly here = input.required<string>();
  protected readonly kinds = KINDS;
}
