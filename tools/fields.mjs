// What every field of the case is called on its screen, read from the screens: for whoever speaks of a field elsewhere.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'svelte/compiler';

const folder = 'web/src/lib/stations';

/** Text of an attribute; an index of a list counts as its first place. Undefined where it is worked out otherwise. */
function textOf(attribute) {
  const parts = Array.isArray(attribute?.value) ? attribute.value : attribute?.value ? [attribute.value] : [];
  const texts = parts.map((p) => {
    if (p.type === 'Text') return p.data;
    if (p.type !== 'ExpressionTag') return undefined;
    return p.expression.type === 'Literal'
      ? String(p.expression.value)
      : p.expression.type === 'Identifier'
        ? '0'
        : undefined;
  });
  return texts.length > 0 && texts.every((t) => t !== undefined) ? texts.join('') : undefined;
}

function* componentsOf(node) {
  if (Array.isArray(node)) for (const n of node) yield* componentsOf(n);
  else if (node && typeof node === 'object') {
    if (node.type === 'Component') yield node;
    for (const [key, value] of Object.entries(node))
      if (key !== 'parent' && typeof value === 'object') yield* componentsOf(value);
  }
}

/** Names by path; where two screens call one path otherwise (another kind of demand), none. */
const names = {};
for (const file of readdirSync(folder, { recursive: true })
  .filter((f) => String(f).endsWith('.svelte'))
  .toSorted())
  for (const { attributes } of componentsOf(
    parse(readFileSync(join(folder, file), 'utf8'), { modern: true }).fragment,
  )) {
    const of = (name) => textOf(attributes.find((a) => a.type === 'Attribute' && a.name === name));
    const [path, label] = [of('path'), of('label')];
    if (!path || !label || !/^[a-z]+(\.|$)/i.test(path)) continue;
    names[path] = path in names && names[path] !== label ? null : label;
  }
mkdirSync('web/src/lib/generated', { recursive: true });
writeFileSync(
  'web/src/lib/generated/fields.json',
  `${JSON.stringify(Object.fromEntries(Object.entries(names).filter(([, label]) => label !== null)), null, 1)}\n`,
);
