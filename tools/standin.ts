import { readFileSync } from 'node:fs';
import { parseJson, readCase, solveWith } from '@pilgrim/core';
import { startStandIn } from '../web/src/lib/server/drives/standIn';

/** `pilgrim standin FILE [PORT]`: a case's motor and drive in time, on Modbus TCP. Exit 2: not a case that runs. */
const [file, port = '1502'] = process.argv.slice(2);

function fail(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(2);
}

if (file === undefined) fail('usage: pilgrim standin FILE [PORT]');
if (!/^\d+$/.test(port) || Number(port) > 65535) fail(`PORT: ${port} is no port`);
let text = '';
try {
  text = readFileSync(file, 'utf8');
} catch {
  fail(`case: cannot be read: ${file}`);
}
const json = parseJson(text);
if (!json.ok) fail(json.errors.map((e) => `${e.path}: ${e.message}`).join('\n'));
const reading = readCase(json.value);
if (!reading.ok) fail(reading.errors.map((e) => `${e.path}: ${e.message}`).join('\n'));
const { driven, result } = solveWith(reading.value);
if (!driven) fail('case: there is no motor with a load behind a drive to run');
const standIn = await startStandIn(driven, Number(port)).catch((error: unknown) => fail(`PORT: ${String(error)}`));
process.stdout.write(
  `${result.subject?.name ?? 'A motor'} stands in at ${standIn.host}:${standIn.port} (Modbus TCP; ` +
    `registers in docs/stand-in-drive.md). Ctrl-C ends it.\n`,
);
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => void standIn.close().then(() => process.exit(0)));
