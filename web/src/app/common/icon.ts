import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { DomSanitizer } from '@angular/platform-browser';
import activities from '@material-symbols/svg-400/outlined/extension.svg';
import add from '@material-symbols/svg-400/outlined/add.svg';
import back from '@material-symbols/svg-400/outlined/arrow_back.svg';
import check from '@material-symbols/svg-400/outlined/check.svg';
import children from '@material-symbols/svg-400/outlined/group.svg';
import close from '@material-symbols/svg-400/outlined/close.svg';
import copy from '@material-symbols/svg-400/outlined/content_copy.svg';
import materials from '@material-symbols/svg-400/outlined/shelves.svg';
import day from '@material-symbols/svg-400/outlined/light_mode.svg';
import down from '@material-symbols/svg-400/outlined/arrow_drop_down.svg';
import edit from '@material-symbols/svg-400/outlined/edit.svg';
import evening from '@material-symbols/svg-400/outlined/dark_mode.svg';
import forward from '@material-symbols/svg-400/outlined/arrow_forward.svg';
import household from '@material-symbols/svg-400/outlined/home.svg';
import note from '@material-symbols/svg-400/outlined/edit_note.svg';
import help from '@material-symbols/svg-400/outlined/help.svg';
import pin from '@material-symbols/svg-400/outlined/keep.svg';
import pinned from '@material-symbols/svg-400/outlined/keep-fill.svg';
import print from '@material-symbols/svg-400/outlined/print.svg';
import remove from '@material-symbols/svg-400/outlined/delete.svg';
import leave from '@material-symbols/svg-400/outlined/logout.svg';
import measure from '@material-symbols/svg-400/outlined/scale.svg';
import more from '@material-symbols/svg-400/outlined/more_horiz.svg';
import search from '@material-symbols/svg-400/outlined/search.svg';
import song from '@material-symbols/svg-400/outlined/music_note.svg';
import manipulatives from '@material-symbols/svg-400/outlined/interests.svg';
import speak from '@material-symbols/svg-400/outlined/volume_up.svg';
import today from '@material-symbols/svg-400/outlined/notes.svg';
import tune from '@material-symbols/svg-400/outlined/tune.svg';
import turn from '@material-symbols/svg-400/outlined/fullscreen.svg';
import time from '@material-symbols/svg-400/outlined/timer.svg';
import undo from '@material-symbols/svg-400/outlined/undo.svg';
import week from '@material-symbols/svg-400/outlined/calendar_view_week.svg';

/** Icons that ship with the application; only what is used is bundled. */
const ICONS = {
  activities,
  add,
  back,
  check,
  children,
  close,
  copy,
  materials,
  day,
  down,
  edit,
  evening,
  forward,
  household,
  note,
  help,
  leave,
  measure,
  more,
  pin,
  pinned,
  print,
  remove,
  search,
  song,
  speak,
  manipulatives,
  time,
  today,
  tune,
  turn,
  undo,
  week,
} as const;
export type IconName = keyof typeof ICONS;

/** A drawn sign beside words; it says nothing to a screen reader by itself. */
@Component({
  selector: 'gumo-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '',
  host: { 'aria-hidden': 'true', '[innerHTML]': 'svg()' },
  styles: `
    :host {
      display: inline-flex;
      inline-size: 22px;
      block-size: 22px;
      flex: none;
      fill: currentcolor;
    }
  `,
})
export class Icon {
  readonly name = input.required<IconName>();
  private readonly sanitizer = inject(DomSanitizer);
  // Shipped with the application, never from outside.
  protected readonly svg = computed(() =>
    this.sanitizer.bypassSecurityTrustHtml(
      ICONS[this.name()].replace(/ (width|height)="[^"]*"/g, ''),
    ),
  );
}
