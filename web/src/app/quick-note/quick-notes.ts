import { Injectable, Injector, inject } from '@angular/core';

/** Opens the jot from anywhere; it comes to the device only when it is asked for. */
@Injectable({ providedIn: 'root' })
export class QuickNotes {
  private readonly injector = inject(Injector);

  /** @param childId who it is most likely about; null where nobody is in particular */
  async open(childId: string | null = null): Promise<void> {
    const { openQuickNote } = await import('./quick-note-dialog');
    openQuickNote(this.injector, childId);
  }
}
