// Tells of each mutant as soon as it was tried: a line for every one that no test killed, a count for the rest.
import { relative } from 'node:path';
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';

/** Code on one line, cut. */
export const short = (text) => {
  const one = text.replace(/\s+/g, ' ');
  return one.length > 90 ? `${one.slice(0, 87)}…` : one;
};

class Living {
  tried = 0;
  alive = 0;

  onMutantTested({ status, fileName, location, mutatorName, replacement }) {
    if (status === 'Ignored' || status === 'CompileError' || status === 'RuntimeError') return;
    this.tried++;
    if (status === 'Killed' || status === 'Timeout') return;
    this.alive++;
    const { line, column } = location.start;
    const place = `${relative(process.cwd(), fileName)}:${line}:${column}`;
    console.log(`  ${this.alive}/${this.tried}  ${place}  ${mutatorName} → ${short(replacement ?? '')}  (${status})`);
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.Reporter, 'living', Living)];
