/** A margin in words: a share as far as it tells something; beyond twice what is asked it is ample. */
export function marginText(margin: number | null): string {
  if (margin === null) return '';
  if (margin > 2) return 'ample';
  const share = Math.round(margin * 100);
  // Half a per cent is what plates are rounded by.
  if (share === 0) return 'just so';
  return share <= -100 ? 'nothing left' : `${share > 0 ? '+' : '−'}${Math.abs(share)} %`;
}
