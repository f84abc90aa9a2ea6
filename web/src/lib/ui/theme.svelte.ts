/** Light or dark: as the system has it (`static/theme.js`) until somebody chooses, then as the cookie says. */
export const theme: { dark: boolean } = $state({ dark: false });

export function setDark(dark: boolean): void {
  theme.dark = dark;
  document.documentElement.classList.toggle('dark', dark);
  document.cookie = `theme=${dark ? 'dark' : 'light'}; path=/; max-age=31536000; samesite=lax`;
}
