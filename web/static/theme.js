// Before anything is painted: dark where it was chosen, or where nothing was chosen and the system is dark.
{
  const chosen = /(?:^|; )theme=(dark|light)/.exec(document.cookie)?.[1];
  const dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.classList.toggle('dark', dark);
}
