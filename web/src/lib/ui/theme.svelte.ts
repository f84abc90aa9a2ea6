/** Light or dark; kept in a cookie so that the server sends the right one and nothing flashes. */
export const theme: { dark: boolean } = $state({ dark: false });

export function setDark(dark: boolean): void {
  theme.dark = dark;
  document.documentElement.classList.toggle('dark', dark);
  document.cookie = `theme=${dark ? 'dark' : 'light'}; path=/; max-age=31536000; samesite=lax`;
}
