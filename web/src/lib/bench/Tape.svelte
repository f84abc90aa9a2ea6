<script lang="ts">
  import { theme } from '$lib/ui/theme.svelte';
  import { tapeSeconds, type Bench } from './bench.svelte';

  /** Watts of both over the last minute, drawn with every frame. */
  let { bench, hidden }: { bench: Bench; hidden: boolean } = $props();
  let canvas: HTMLCanvasElement;
  let colours: Record<'ink' | 'rule' | 'throttle' | 'drive', string> | undefined;
  $effect(() => {
    void theme.dark;
    colours = undefined;
  });

  const margin = { left: 58, right: 88, top: 12, bottom: 22 };
  let top = 1;

  /** Draws the tape as it is. */
  export function draw(): void {
    const box = canvas.getBoundingClientRect();
    const scale = devicePixelRatio;
    const [width, height] = [box.width, box.height];
    if (width === 0) return;
    if (canvas.width !== Math.round(width * scale)) {
      canvas.width = Math.round(width * scale);
      canvas.height = Math.round(height * scale);
    }
    const pen = canvas.getContext('2d');
    if (!pen) return;
    const style = colours ? undefined : getComputedStyle(document.documentElement);
    const of = (name: string): string => style?.getPropertyValue(name).trim() ?? '';
    colours ??= { ink: of('--ink'), rule: of('--rule'), throttle: of('--series-2'), drive: of('--series-1') };
    pen.setTransform(scale, 0, 0, scale, 0, 0);
    pen.clearRect(0, 0, width, height);
    const { throttle, drive } = bench.tape;
    const count = throttle.length;
    let most = 0;
    for (let i = 0; i < count; i++) most = Math.max(most, throttle[i] || 0, drive[i] || 0);
    // The scale grows at once and shrinks slowly, so that it does not dance.
    const nice = niceTop(most || 1);
    top = nice > top ? nice : Math.max(nice, top * 0.985);
    const [w, h] = [width - margin.left - margin.right, height - margin.top - margin.bottom];
    const y = (value: number): number => margin.top + h * (1 - value / top);
    pen.font = '13px Barlow';
    pen.textBaseline = 'middle';
    for (let i = 0; i <= 4; i++) {
      const value = (niceTop(top) * i) / 4;
      if (value > top * 1.001) continue;
      pen.strokeStyle = colours.rule;
      pen.lineWidth = 1;
      pen.beginPath();
      pen.moveTo(margin.left, y(value));
      pen.lineTo(margin.left + w, y(value));
      pen.stroke();
      pen.fillStyle = colours.ink;
      pen.textAlign = 'right';
      pen.fillText(watts(value), margin.left - 6, y(value));
    }
    pen.textAlign = 'center';
    pen.fillText(`the last ${tapeSeconds} s`, margin.left + w / 2, height - 8);
    const ends: [string, string, number][] = [];
    for (const [name, of, colour, dash] of [
      ['throttled', throttle, colours.throttle, [6, 4]],
      ['on a drive', drive, colours.drive, []],
    ] as const) {
      pen.strokeStyle = colour;
      pen.lineWidth = 2;
      pen.setLineDash(dash);
      pen.beginPath();
      let down = false;
      let last = NaN;
      for (let i = 0; i < count; i++) {
        const value = of[(bench.head + i) % count] ?? NaN;
        if (Number.isNaN(value)) continue;
        const x = margin.left + (w * i) / (count - 1);
        if (down) pen.lineTo(x, y(value));
        else pen.moveTo(x, y(value));
        down = true;
        last = value;
      }
      pen.stroke();
      pen.setLineDash([]);
      if (down) ends.push([name, colour, y(last)]);
    }
    if (ends.length === 2 && Math.abs((ends[0]?.[2] ?? 0) - (ends[1]?.[2] ?? 0)) < 16) {
      const upper = (ends[0]?.[2] ?? 0) <= (ends[1]?.[2] ?? 0) ? 0 : 1;
      const middle = ((ends[0]?.[2] ?? 0) + (ends[1]?.[2] ?? 0)) / 2;
      for (const [i, end] of ends.entries()) end[2] = middle + (i === upper ? -8 : 8);
    }
    pen.textAlign = 'left';
    for (const [name, colour, at] of ends) {
      pen.fillStyle = colour;
      pen.fillText(name, margin.left + w + 8, Math.max(10, Math.min(height - 10, at)));
    }
  }

  const niceTop = (value: number): number => {
    const ten = 10 ** Math.floor(Math.log10(value));
    return ([1, 2, 4, 5, 8, 10].find((k) => k * ten >= value) ?? 10) * ten;
  };
  const watts = (value: number): string =>
    top >= 2000 ? `${Number((value / 1000).toPrecision(3))} kW` : `${Number(value.toPrecision(3))} W`;
</script>

<!-- What it shows stands in words beside it; while a guess is asked it would give the answer away. -->
<div role="img" aria-label="Watts of both over the last minute" class={hidden ? 'invisible' : ''}>
  <canvas bind:this={canvas} class="block h-[180px] w-full"></canvas>
</div>
