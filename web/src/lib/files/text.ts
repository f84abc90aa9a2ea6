/** Text of a file, or why it is none. */
export type TextReading =
  { readonly ok: true; readonly text: string } | { readonly ok: false; readonly message: string };

/**
 * Reads bytes as UTF-8, and says where they are not: the first line with a wrong byte, or the encoding that it looks
 * like.
 */
export function readUtf8(bytes: Uint8Array): TextReading {
  if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff))
    return { ok: false, message: 'It is UTF-16, not UTF-8: save it again as CSV UTF-8. Nothing was taken.' };
  if (bytes.subarray(0, 4096).includes(0))
    return { ok: false, message: 'It is no text file: save the sheet as CSV UTF-8. Nothing was taken.' };
  try {
    return { ok: true, text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return {
      ok: false,
      message:
        `It is not UTF-8: the first letter that cannot be read stands in line ` +
        `${lineOfWrongByte(bytes)}. Save it again as CSV UTF-8. Nothing was taken.`,
    };
  }
}

function lineOfWrongByte(bytes: Uint8Array): number {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let line = 1;
  let from = 0;
  for (let at = bytes.indexOf(10); ; at = bytes.indexOf(10, from)) {
    const end = at < 0 ? bytes.length : at;
    try {
      decoder.decode(bytes.subarray(from, end));
    } catch {
      return line;
    }
    if (at < 0) return line;
    from = at + 1;
    line++;
  }
}

/** The sign between columns: whichever of comma, semicolon and tab the heading has most of, outside quotes. */
export function delimiterOf(text: string): ',' | ';' | '\t' {
  const heading = (text.split(/\r?\n/, 1)[0] ?? '').replace(/"[^"]*"/g, '');
  const count = (sign: string): number => heading.split(sign).length - 1;
  const [semicolons, tabs, commas] = [count(';'), count('\t'), count(',')];
  if (tabs > semicolons && tabs > commas) return '\t';
  return semicolons > commas ? ';' : ',';
}
