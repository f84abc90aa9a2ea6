import { describe, expect, it } from 'vitest';
import { cleanImage } from '$lib/server/photographs/image';

const bytes = (...list: (number | string)[]): Buffer =>
  Buffer.concat(list.map((x) => (typeof x === 'number' ? Buffer.from([x]) : Buffer.from(x, 'latin1'))));
const segment = (marker: number, content: Buffer): Buffer => {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(content.length + 2, 2);
  return Buffer.concat([head, content]);
};
const frame = segment(0xc0, Buffer.from([8, 0, 60, 0, 90, 1, 1, 0x11, 0]));
const jpeg = (...extra: Buffer[]): Buffer =>
  Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, bytes('JFIF\0', 1, 1, 0, 0, 1, 0, 1, 0, 0)),
    ...extra,
    frame,
    segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])),
    Buffer.from([0x12, 0xff, 0x00, 0x34, 0xff, 0xd9]),
  ]);

const chunk = (type: string, content: Buffer): Buffer => {
  const head = Buffer.alloc(8);
  head.writeUInt32BE(content.length, 0);
  head.write(type, 4, 'latin1');
  return Buffer.concat([head, content, Buffer.alloc(4)]);
};
const header = Buffer.alloc(13);
header.writeUInt32BE(640, 0);
header.writeUInt32BE(480, 4);
const png = (...extra: Buffer[]): Buffer =>
  Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    ...extra,
    chunk('IDAT', Buffer.from([1, 2, 3])),
    chunk('IEND', Buffer.alloc(0)),
  ]);

/** The same with another size in its header. */
function sized(width: number, height: number): Buffer {
  const other = png();
  other.writeUInt32BE(width, 16);
  other.writeUInt32BE(height, 20);
  return other;
}

const riff = (type: string, content: Buffer): Buffer => {
  const head = Buffer.alloc(8);
  head.write(type, 0, 'latin1');
  head.writeUInt32LE(content.length, 4);
  return Buffer.concat([head, content, Buffer.alloc(content.length % 2)]);
};
function webp(...chunks: Buffer[]): Buffer {
  const head = Buffer.alloc(12);
  head.write('RIFF', 0, 'latin1');
  head.writeUInt32LE(4 + chunks.reduce((n, c) => n + c.length, 0), 4);
  head.write('WEBP', 8, 'latin1');
  return Buffer.concat([head, ...chunks]);
}

describe('a photograph is kept without what the camera wrote beside it', () => {
  it('JPEG: EXIF and comments go, the picture and its size stay', () => {
    const clean = cleanImage(jpeg(segment(0xe1, bytes('Exif\0\0', 'GPS 51.5 N')), segment(0xfe, bytes('secret'))));
    expect(clean).toMatchObject({ type: 'image/jpeg', width: 90, height: 60 });
    expect(clean?.content.toString('latin1')).not.toMatch(/GPS|secret/);
    expect(clean?.content.equals(jpeg())).toBe(true);
  });
  it('JPEG: the colour transform stays, and nothing hides behind the end', () => {
    const adobe = segment(0xee, bytes('Adobe', 0, 100, 0, 0, 0, 0, 0));
    const clean = cleanImage(Buffer.concat([jpeg(adobe), bytes('trailing')]));
    expect(clean?.content.includes('Adobe')).toBe(true);
    expect(clean?.content.includes('trailing')).toBe(false);
  });
  it('JPEG: the end is that of the picture, not one in what is hidden behind it; scans follow each other', () => {
    const hidden = Buffer.concat([jpeg(), bytes('secret', 0xff, 0xd9)]);
    expect(cleanImage(hidden)?.content.equals(jpeg())).toBe(true);
    const scan = segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0]));
    const restarts = Buffer.from([0x11, 0xff, 0xd3, 0x22]);
    const two = Buffer.concat([jpeg().subarray(0, -2), scan, restarts, Buffer.from([0xff, 0xd9])]);
    expect(cleanImage(two)?.content.equals(two)).toBe(true);
    const between = Buffer.concat([
      jpeg().subarray(0, -2),
      segment(0xfe, bytes('secret')),
      scan,
      restarts,
      Buffer.from([0xff, 0xd9]),
    ]);
    expect(cleanImage(between)?.content.equals(two)).toBe(true);
  });
  it('WebP: what follows the container goes', () => {
    const extended = Buffer.alloc(10);
    extended.writeUIntLE(99, 4, 3);
    extended.writeUIntLE(99, 7, 3);
    const whole = webp(riff('VP8X', extended), riff('VP8L', Buffer.alloc(8)));
    expect(cleanImage(Buffer.concat([whole, riff('JUNK', bytes('secret'))]))?.content.equals(whole)).toBe(true);
  });
  it('PNG: text, time and EXIF chunks go', () => {
    const clean = cleanImage(
      png(chunk('tEXt', bytes('Author\0me')), chunk('eXIf', bytes('GPS')), chunk('pHYs', Buffer.alloc(9))),
    );
    expect(clean).toMatchObject({ type: 'image/png', width: 640, height: 480 });
    expect(clean?.content.equals(png(chunk('pHYs', Buffer.alloc(9))))).toBe(true);
  });
  it('WebP: EXIF and XMP go, with the flags that announce them', () => {
    const extended = Buffer.alloc(10);
    extended[0] = 0x0c;
    extended.writeUIntLE(319, 4, 3);
    extended.writeUIntLE(199, 7, 3);
    const clean = cleanImage(
      webp(
        riff('VP8X', extended),
        riff('VP8L', Buffer.alloc(8)),
        riff('EXIF', bytes('GPS')),
        riff('XMP ', bytes('me')),
      ),
    );
    expect(clean).toMatchObject({ type: 'image/webp', width: 320, height: 200 });
    expect(clean?.content.toString('latin1')).not.toMatch(/GPS|XMP |EXIF/);
    expect(clean?.content[20]).toBe(0);
    expect(clean?.content.readUInt32LE(4)).toBe((clean?.content.length ?? 0) - 8);
  });
  it.each([
    ['text', bytes('hello')],
    ['nothing', Buffer.alloc(0)],
    ['a page that calls itself a picture', bytes('<html><img>')],
    ['a JPEG cut off', jpeg().subarray(0, 30)],
    ['a PNG cut off', png().subarray(0, 40)],
    ['a PNG without its header', Buffer.concat([png().subarray(0, 8), png().subarray(33)])],
    ['a PNG of absurd size', sized(50_000, 10)],
    ['a PNG of more pixels than a browser bears', sized(19_000, 19_000)],
    ['a JPEG without an end', jpeg().subarray(0, -2)],
    ['a WebP that lies about its length', webp(riff('VP8L', Buffer.alloc(8))).subarray(0, 24)],
    [
      'a JPEG of no size',
      Buffer.concat([Buffer.from([0xff, 0xd8]), segment(0xda, Buffer.alloc(6)), Buffer.from([0xff, 0xd9])]),
    ],
  ])('%s is refused', (_, content) => expect(cleanImage(content)).toBeUndefined());
});
