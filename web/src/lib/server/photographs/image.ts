/** A photograph without what a camera writes beside the picture: place, time, owner, comments. */
export interface CleanImage {
  readonly type: 'image/jpeg' | 'image/png' | 'image/webp';
  readonly width: number;
  readonly height: number;
  readonly content: Buffer;
}

/**
 * Reads a JPEG, PNG or WebP by its content, not its name, and strips its metadata; undefined where it is none of them.
 */
export function cleanImage(bytes: Buffer): CleanImage | undefined {
  try {
    return cleanJpeg(bytes) ?? cleanPng(bytes) ?? cleanWebp(bytes);
  } catch (error) {
    // Cut off in the middle of a segment.
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

/** Longest side and most pixels of a photograph: beyond what cameras make, and what would fill a browser's memory. */
const longestSide = 20_000;
const mostPixels = 120e6;

const image = (
  type: CleanImage['type'],
  width: number,
  height: number,
  parts: readonly Buffer[],
): CleanImage | undefined =>
  width > 0 && height > 0 && Math.max(width, height) <= longestSide && width * height <= mostPixels
    ? { type, width, height, content: Buffer.concat(parts) }
    : undefined;

/**
 * ISO/IEC 10918-1: segments and scans up to the end of the image, nothing behind it; APP0 (JFIF) and APP14 (colour
 * transform) stay, other APPn and comments go.
 */
function cleanJpeg(bytes: Buffer): CleanImage | undefined {
  if (bytes.length < 4 || bytes.readUInt16BE(0) !== 0xffd8) return undefined;
  const kept = [bytes.subarray(0, 2)];
  let [width, height] = [0, 0];
  let at = 2;
  for (;;) {
    if (bytes.readUInt8(at) !== 0xff) return undefined;
    const marker = bytes.readUInt8(at + 1);
    if (marker === 0xff) {
      at++;
      continue;
    }
    const length = bytes.readUInt16BE(at + 2);
    const next = at + 2 + length;
    if (length < 2 || next > bytes.length) return undefined;
    const frame = marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
    if (frame) [height, width] = [bytes.readUInt16BE(at + 5), bytes.readUInt16BE(at + 7)];
    const metadata = (marker >= 0xe1 && marker <= 0xef && marker !== 0xee) || marker === 0xfe;
    const end = marker === 0xda ? endOfScan(bytes, next) : next;
    if (!metadata) kept.push(bytes.subarray(at, end));
    at = end;
    if (marker !== 0xda || bytes.readUInt8(at + 1) !== 0xd9) continue;
    return image('image/jpeg', width, height, [...kept, bytes.subarray(at, at + 2)]);
  }
}

/** Where the marker behind a scan's data stands: stuffed zeros and restarts belong to the data. */
function endOfScan(bytes: Buffer, from: number): number {
  for (let at = from; ; at++) {
    if (bytes.readUInt8(at) !== 0xff) continue;
    const next = bytes.readUInt8(at + 1);
    if (next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
}

const pngSignature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
const pngKept = new Set(['tRNS', 'gAMA', 'cHRM', 'sRGB', 'iCCP', 'sBIT', 'pHYs', 'bKGD']);

/** ISO/IEC 15948: critical chunks and those that change how it looks stay; text, time and EXIF go. */
function cleanPng(bytes: Buffer): CleanImage | undefined {
  if (!bytes.subarray(0, 8).equals(pngSignature)) return undefined;
  const kept = [bytes.subarray(0, 8)];
  // The header comes first and says the size; what stands elsewhere is not a picture's.
  if (bytes.readUInt32BE(8) !== 13 || bytes.toString('latin1', 12, 16) !== 'IHDR') return undefined;
  for (let at = 8; ;) {
    const length = bytes.readUInt32BE(at);
    const type = bytes.toString('latin1', at + 4, at + 8);
    const next = at + 12 + length;
    if (next > bytes.length) return undefined;
    if (/^[A-Z]/.test(type) || pngKept.has(type)) kept.push(bytes.subarray(at, next));
    if (type === 'IEND') return image('image/png', bytes.readUInt32BE(16), bytes.readUInt32BE(20), kept);
    at = next;
  }
}

/** RFC 9649: EXIF and XMP chunks go, and the flags that announce them. */
function cleanWebp(bytes: Buffer): CleanImage | undefined {
  if (bytes.toString('latin1', 0, 4) !== 'RIFF' || bytes.toString('latin1', 8, 12) !== 'WEBP') return undefined;
  const kept: Buffer[] = [];
  let [width, height] = [0, 0];
  // What follows the container is no part of it.
  const whole = Math.min(bytes.length, 8 + bytes.readUInt32LE(4));
  for (let at = 12; at + 8 <= whole;) {
    const type = bytes.toString('latin1', at, at + 4);
    const length = bytes.readUInt32LE(at + 4);
    const next = at + 8 + length + (length % 2);
    if (at + 8 + length > whole) return undefined;
    const chunk = Buffer.from(bytes.subarray(at, Math.min(next, whole)));
    if (type === 'VP8X') {
      chunk.writeUInt8(chunk.readUInt8(8) & ~0x0c, 8);
      [width, height] = [1 + chunk.readUIntLE(12, 3), 1 + chunk.readUIntLE(15, 3)];
    } else if (type === 'VP8 ' && width === 0) {
      [width, height] = [chunk.readUInt16LE(14) & 0x3fff, chunk.readUInt16LE(16) & 0x3fff];
    } else if (type === 'VP8L' && width === 0) {
      const bits = chunk.readUInt32LE(9);
      [width, height] = [1 + (bits & 0x3fff), 1 + ((bits >> 14) & 0x3fff)];
    }
    if (type !== 'EXIF' && type !== 'XMP ') kept.push(chunk);
    at = next;
  }
  const size = kept.reduce((sum, c) => sum + c.length, 4);
  const head = Buffer.alloc(12);
  head.write('RIFF', 0, 'latin1');
  head.writeUInt32LE(size, 4);
  head.write('WEBP', 8, 'latin1');
  return image('image/webp', width, height, [head, ...kept]);
}
