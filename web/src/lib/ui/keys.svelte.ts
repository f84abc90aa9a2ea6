/** Whether the keyboard is in a field just now: single keys and undo then belong to the field. */
export function inField(event: Event): boolean {
  return (
    event.target instanceof HTMLElement && event.target.closest('input, select, textarea, [contenteditable]') !== null
  );
}

class SingleKeys {
  on = $state(true);

  /** Runs an action of a single key, unless single keys are off or a field has the keyboard. */
  apply(event: KeyboardEvent, action: () => void): void {
    if (!this.on || inField(event)) return;
    event.preventDefault();
    action();
  }
}

export const singleKeys = new SingleKeys();
