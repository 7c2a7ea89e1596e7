const SITTING = 'uplandia.sitting';

/** Whether a test is open in some tab: then nothing is put in the place of its page. */
export async function isSomebodySitting(): Promise<boolean> {
  const { locks } = navigator as { locks?: LockManager };
  const held = (await locks?.query())?.held ?? [];
  return held.some(({ name }) => name === SITTING);
}

/** Says that a test is open in this page, until it is not. */
export function sitHere(): () => void {
  const { locks } = navigator as { locks?: LockManager };
  let end: () => void = () => undefined;
  const ended = new Promise<void>((done) => (end = done));
  void locks?.request(SITTING, { mode: 'shared' }, () => ended);
  return end;
}
