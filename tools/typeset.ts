import { parse } from 'mathjs';
import temml from 'temml';
import type { Law } from '@pilgrim/core';

const greek = new Set(['eta', 'rho', 'theta', 'pi']);

/** A law as MathML, from its symbol and the text of its formula. Throws at a command the typesetter does not know. */
export function mathml(law: Pick<Law, 'symbol' | 'formula'>): string {
  const tex = `${texName(law.symbol)} = ${parse(law.formula).toTex({ handler: names })}`;
  return temml.renderToString(tex, { displayMode: true, throwOnError: true });
}

/**
 * Symbols such as T_LR or eta_min set with a real subscript and Greek letters; blanks around them, for a product is set
 * with nothing between its dot and the symbol.
 */
function names(node: { readonly type: string; readonly name?: string }): string | undefined {
  return node.type === 'SymbolNode' && node.name !== undefined ? ` ${texName(node.name)} ` : undefined;
}

function texName(name: string): string {
  const [head = '', sub] = name.split('_');
  const letter = greek.has(head) ? `\\${head}` : head.length > 1 ? `\\mathrm{${head}}` : head;
  return sub === undefined ? letter : `${letter}_{\\mathrm{${sub}}}`;
}
