import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { cite, lawsIn, physics, practice, rangeText, unitLabel, type Law, type UnitId } from '@pilgrim/core';
import { mathml } from './typeset';

/** Writes docs/laws.md and the typeset formulas that the interface shows, both from the laws themselves. */
const [, , documentPath, formulasPath] = process.argv;

const groups: readonly (readonly [string, readonly Law[]])[] = [
  ['Physics', lawsIn(physics)],
  ['Practice', lawsIn(practice)],
];

if (documentPath) writeFileSync(documentPath, document());
if (formulasPath) {
  mkdirSync(dirname(formulasPath), { recursive: true });
  const typeset = groups.flatMap(([, laws]) =>
    laws.filter((l) => !l.method).map((l) => [l.formula, mathml(l)] as const),
  );
  const content = `${JSON.stringify(Object.fromEntries(typeset), null, 1)}\n`;
  // Left alone where nothing changed, so that the build does not take it for new.
  if (!existsSync(formulasPath) || readFileSync(formulasPath, 'utf8') !== content) writeFileSync(formulasPath, content);
}

function document(): string {
  const lines = [
    '# Laws',
    '',
    'Made by `npm run laws` from the code; do not edit. A formula is ' +
      'evaluated against its code on random inputs in the tests.',
    '"In words" marks a numerical method. Every example is run by the tests; a ' +
      'value outside what a law holds for is noted in the result.',
    'Laws that read off a simulated run carry no example: the run itself ' +
      'is tested against closed forms and another integrator.',
  ];
  for (const [title, laws] of groups) {
    lines.push('', `## ${title}`);
    for (const law of laws) {
      lines.push('', `### ${law.name}`, '', `\`${law.symbol} = ${law.formula}\`${law.method ? ' (in words)' : ''}`, '');
      const takes = Object.entries(law.takes).map(([name, unit]) => `${name} in ${label(unit)}`);
      lines.push(`- takes: ${takes.join(', ') || 'the rows of the case'}`);
      lines.push(`- gives: ${law.symbol} in ${label(law.unit)}`);
      const ranges = Object.entries(law.range).filter(([, range]) => range[0] !== -Infinity || range[1] !== Infinity);
      if (ranges.length > 0)
        lines.push(`- holds for: ${ranges.map(([name, range]) => `${name} ${rangeText(range)}`).join(', ')}`);
      if (law.example) {
        const { of, gives, from, made } = law.example;
        const inputs = Object.entries(of).map(([name, value]) => `${name} = ${value}`);
        const what = [...(made ? [made.for] : []), ...inputs].join(', ');
        lines.push(`- example: ${what} gives ${gives} (${from})`);
      }
      if (law.estimate)
        lines.push(
          `- estimate: ${law.estimate.basis}; between ${law.estimate.band[0]} and ${law.estimate.band[1]} of the value`,
        );
      lines.push(`- source: ${law.source.kind}: ${cite(law.source)}`);
    }
  }
  return `${lines.join('\n')}\n`;
}

function label(unit: UnitId): string {
  return unit === '1' ? 'a pure number' : unitLabel(unit) || unit;
}
