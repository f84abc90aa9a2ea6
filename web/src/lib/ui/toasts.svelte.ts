export interface Told {
  readonly text: string;
  /** What can be done about it at once. */
  readonly act?: { readonly name: string; readonly do: () => Promise<void> };
}

/** What was done on a page that is left by doing it, said on the next one; the newest alone. */
export const toasts: { told: Told | null } = $state({ told: null });
