/** Outcome codes in the columns; `none` where a requirement does not apply. */
export const code = { none: -1, pass: 0, caution: 1, fail: 2 } as const;
