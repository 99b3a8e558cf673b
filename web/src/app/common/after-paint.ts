import { PendingTasks, inject } from '@angular/core';

/** Longest wait: a page that is not seen paints nothing. */
const AT_MOST_MS = 120;

/**
 * A queue of one for work that may wait until the screen has shown what was just changed, so that
 * a tap is answered at once. A later piece of work takes the place of one that still waits.
 * Call in an injection context; specs wait for it like for everything else that is under way.
 */
export function afterPaint(): (work: () => void) => void {
  const pending = inject(PendingTasks);
  let latest = 0;
  return (work) => {
    const mine = ++latest;
    const done = pending.add();
    let over = false;
    const once = (): void => {
      if (over) return;
      over = true;
      if (mine === latest) work();
      done();
    };
    requestAnimationFrame(() => setTimeout(once));
    setTimeout(once, AT_MOST_MS);
  };
}
