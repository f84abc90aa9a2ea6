import type { DriveSetting } from '@pilgrim/core';
import { stringify } from 'csv-stringify/browser/esm/sync';
import { saveFile } from '$lib/files/save';
import type { EChart } from './chartWhenSeen';
import { init } from './echarts';

/** One line of a chart: its name, what its values are, and its points. */
export interface ChartLine {
  readonly name: string;
  readonly y: string;
  readonly points: readonly (readonly [number, number])[];
}

const named = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');

/** Draws a chart once more, unseen, and saves it as a picture: PNG at twice its size, or SVG. */
export function savePicture(chart: EChart, title: string, kind: 'png' | 'svg'): void {
  const ground = getComputedStyle(document.documentElement).getPropertyValue('--sheet').trim();
  const box = document.createElement('div');
  const size = { width: chart.getWidth(), height: chart.getHeight() };
  const copy = init(box, null, { renderer: kind === 'svg' ? 'svg' : 'canvas', ...size });
  copy.setOption({ ...chart.getOption(), animation: false, backgroundColor: ground });
  if (kind === 'svg') saveFile(`${named(title)}.svg`, new Blob([copy.renderToSVGString()], { type: 'image/svg+xml' }));
  else
    copy.renderToCanvas({ pixelRatio: 2 }).toBlob((blob) => {
      if (blob) saveFile(`${named(title)}.png`, blob);
    });
  copy.dispose();
}

/** Saves a drawing of the page as SVG that stands alone: its colours as they are here. */
export function saveDrawing(drawing: SVGSVGElement, title: string): void {
  const style = getComputedStyle(document.documentElement);
  const copy = drawing.cloneNode(true);
  if (!(copy instanceof SVGSVGElement)) return;
  const { width, height } = drawing.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const text = new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) => style.getPropertyValue(name).trim());
  saveFile(`${named(title)}.svg`, new Blob([text], { type: 'image/svg+xml' }));
}

/** Saves what a chart shows as a table: a row for each point. */
export function saveData(
  title: string,
  x: string,
  lines: readonly ChartLine[],
  writeX: (x: number) => string | number = (value) => value,
): void {
  const rows = lines.flatMap((l) => l.points.map(([px, py]) => [l.y, l.name, writeX(px), py]));
  const text = stringify([['Quantity', 'Series', x, 'Value'], ...rows], { bom: true, escape_formulas: true });
  saveFile(`${named(title)}.csv`, new Blob([text], { type: 'text/csv' }));
}

/** Saves what is to be programmed, for whoever commissions it: a row or an object for each setting. */
export function saveSettings(title: string, settings: readonly DriveSetting[], kind: 'csv' | 'json'): void {
  const columns = ['id', 'name', 'value', 'why', 'otherwise', 'source'] as const;
  const text =
    kind === 'json'
      ? JSON.stringify({ format: 'pilgrim.drive-settings/1', name: title, settings }, null, 2)
      : stringify([[...columns], ...settings.map((s) => columns.map((c) => s[c]))], {
          bom: true,
          escape_formulas: true,
        });
  saveFile(`${named(title)}.${kind}`, new Blob([text], { type: kind === 'json' ? 'application/json' : 'text/csv' }));
}
