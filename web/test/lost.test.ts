import { describe, expect, it } from 'vitest';
import { diskProblem, isLateWrite, isLost } from '$lib/server/db/lost';
import { answer } from '$lib/server/http/http';

const coded = (code: string): Error => Object.assign(new Error('no'), { code });

describe('a disk that takes no more', () => {
  it.each([
    ['53100', 'is full'],
    ['ENOSPC', 'is full'],
    ['EDQUOT', 'is full'],
    ['25006', 'is read-only'],
    ['EROFS', 'is read-only'],
    ['58030', 'cannot be read or written'],
  ])('%s is said in words: %s', async (code, words) => {
    const response = await answer(() => Promise.reject(coded(code)));
    expect(response.status).toBe(507);
    expect(response.headers.get('content-type')).toBe('application/problem+json');
    const told: unknown = await response.json();
    expect(told).toMatchObject({ title: `The disk of the database ${words}: nothing was saved` });
  });
  it.each(['23505', '53200', 'ENOENT'])('%s is none of it', async (code) => {
    expect(diskProblem(coded(code))).toBeUndefined();
    expect((await answer(() => Promise.reject(coded(code)))).status).toBe(500);
  });
  it('nor is what has no code', () => {
    expect([undefined, 'ENOSPC', { code: 'ENOSPC' }, new Error('disk full')].map(diskProblem)).toEqual(
      Array(4).fill(undefined),
    );
  });
});

describe('a database that is not there', () => {
  it.each([
    ...['CONNECTION_CLOSED', 'CONNECTION_ENDED', 'CONNECTION_DESTROYED', 'CONNECT_TIMEOUT', 'ECONNREFUSED'],
    ...['57P01', '57P02', '57P03', '08006', '08001', '53300'],
  ])('%s is a loss', (code) => expect(isLost(coded(code))).toBe(true));

  it.each(['23505', '22P02', '40001', '57014', 'ENOENT', 'CONNECTION', '0800'])(
    '%s is something wrong with the request or here',
    (code) => expect(isLost(coded(code))).toBe(false),
  );

  it('a socket to it that breaks is a loss; a sender that breaks off its request is none', () => {
    for (const code of ['ECONNRESET', 'EPIPE']) {
      expect(isLost(Object.assign(coded(code), { syscall: 'read' }))).toBe(true);
      expect(isLost(coded(code))).toBe(false);
    }
  });

  it('what is no error, or has no code, is none', () => {
    expect([undefined, null, 'ECONNREFUSED', { code: 'ECONNREFUSED' }, new Error('x')].some(isLost)).toBe(false);
  });

  it('the driver’s late write is known by what it says and where it comes from', () => {
    const late = new TypeError("Cannot read properties of null (reading 'write')");
    late.stack = `${late.message}\n    at Immediate.nextWrite (connection.js:255:22)`;
    expect(isLateWrite(late)).toBe(true);
    expect(isLost(late)).toBe(true);
    const elsewhere = new TypeError("Cannot read properties of null (reading 'write')");
    elsewhere.stack = `${elsewhere.message}\n    at respond (server.js:1:1)`;
    expect(isLateWrite(elsewhere)).toBe(false);
    expect(isLateWrite(new TypeError('nextWrite'))).toBe(false);
  });
});
