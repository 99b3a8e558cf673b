import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Drawing, SmallPicture } from './small-picture';

/** Something on a shelf: what it is called, where it is opened, how it looks. */
export interface OnShelf {
  readonly id: string;
  readonly title: string;
  readonly link: readonly string[];
  readonly draw: () => Drawing;
}

/** Things to choose from, each with its drawing: beside a page, or above it where there is little room. */
@Component({
  selector: 'gumo-shelf',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, SmallPicture],
  template: `
    <nav [attr.aria-label]="label()">
      <ng-content />
      @for (one of all(); track one.id) {
        <a [routerLink]="one.link" [attr.aria-current]="one.id === here() ? 'page' : null">
          <gumo-small-picture [of]="one.draw" [draw]="one.draw" />
          {{ one.title }}
        </a>
      }
    </nav>
  `,
  styles: `
    @use 'scale';
    :host {
      min-inline-size: 0;
    }
    nav {
      display: flex;
      flex-direction: column;
      gap: 2px;
    }
    a {
      display: grid;
      grid-template-columns: 56px minmax(0, 1fr);
      gap: 10px;
      align-items: center;
      padding: 2px 10px 2px 4px;
      border-radius: 10px;
      color: var(--ink-soft);
      text-decoration: none;
      font-size: var(--text-small);
      line-height: 1.25;
    }
    gumo-small-picture {
      inline-size: 56px;
      block-size: 42px;
      padding: 3px;
    }
    a:hover {
      color: var(--ink);
    }
    [aria-current] {
      background: var(--sheet);
      color: var(--ink);
      font-weight: 650;
    }
    @media (max-width: scale.$laptop) {
      nav {
        flex-direction: row;
        overflow-x: auto;
      }
      a {
        grid-template-columns: 96px;
        flex: none;
        justify-items: center;
        text-align: center;
        gap: 0;
        padding: 4px;
      }
    }
  `,
})
export class Shelf {
  readonly label = input.required<string>();
  readonly all = input.required<readonly OnShelf[]>();
  /** The one that is open. */
  readonly here = input.required<string>();
}
