const REFUSALS = /^SQLITE_(READONLY|FULL|BUSY|CANTOPEN|IOERR)/;

/** Writes something that nobody needs, so that reading goes on where the disk takes nothing. */
export function ifItCan(write: () => void): void {
  try {
    write();
  } catch (error) {
    if (!REFUSALS.test(String((error as { code?: string }).code))) throw error;
  }
}
