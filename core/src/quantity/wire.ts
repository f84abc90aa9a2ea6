/** A size as it is written: "8 AWG", "350 kcmil", "16 mm2". Its area in mm²; undefined where it is none. */
export function readConductorSize(text: string): number | undefined {
  const wire = /^\s*#?\s*(\d+(?:\.\d+)?)(\/0)?\s*(awg|kcmil|mcm|mm2|mm²|sqmm|sq mm)\s*$/i.exec(text);
  if (!wire) return undefined;
  const [, digits = '', noughts, unit = ''] = wire;
  const n = Number(digits);
  if (/awg/i.test(unit)) {
    const gauge = noughts ? 1 - n : n;
    if (!Number.isInteger(n) || gauge < -3 || gauge > 40) return undefined;
    // ASTM B258: 0.005 in at 36, ratio 92 over 39 sizes.
    const mm = 0.127 * 92 ** ((36 - gauge) / 39);
    return (Math.PI / 4) * mm * mm;
  }
  if (noughts || !(n > 0)) return undefined;
  return /k|mcm/i.test(unit) ? n * 0.506707 : n;
}
