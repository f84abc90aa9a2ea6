<script lang="ts">
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt, type Json } from '$lib/desk/paths';

  interface Row {
    readonly hours: number;
    readonly flow: number;
    /** Times of the week, as the case has them. */
    readonly when?: Readonly<Record<string, Json>>;
  }
  const desk = useDesk();
  const rows = $derived.by((): readonly Row[] => {
    const value = desk().value('speed.profile');
    if (!Array.isArray(value)) return [];
    return value.flatMap((r): Row[] => {
      if (typeof r !== 'object' || r === null || Array.isArray(r)) return [];
      const { hours, flow, ...when } = r;
      const [h, f] = [Number(hours ?? NaN), Number(flow ?? NaN)];
      return Number.isFinite(h) && Number.isFinite(f) ? [{ hours: h, flow: f, when }] : [];
    });
  });
  /** Bars at tenths of flow: the year as it can be drawn. */
  const bins = $derived(
    Array.from({ length: 11 }, (_, i) => {
      const flow = (i + 2) / 10;
      return {
        flow,
        hours: rows
          .filter((r) => Math.abs(r.flow - flow) < 0.05 + 1e-9 && Math.round(r.flow * 10) === i + 2)
          .reduce((s, r) => s + r.hours, 0),
      };
    }),
  );
  const total = $derived(rows.reduce((s, r) => s + r.hours, 0));
  const scale = $derived(Math.max(2000, Math.ceil(Math.max(...bins.map((b) => b.hours), 0) / 1000) * 1000));

  const [width, height, left, bottom, top] = [600, 190, 52, 32, 10];
  const step = (width - left - 8) / 11;
  const py = (h: number): number => height - bottom - (h / scale) * (height - bottom - top);
  let svg: SVGSVGElement;
  let drawing = $state(false);

  function put(flow: number, hours: number): void {
    const others = rows.filter((r) => Math.round(r.flow * 10) !== Math.round(flow * 10));
    const room = 8784 - others.reduce((s, r) => s + r.hours, 0);
    const whole = Math.min(room, Math.max(0, Math.round(hours / 50) * 50));
    const next: Row[] = [...others, ...(whole > 0 ? [{ hours: whole, flow }] : [])].sort((a, b) => a.flow - b.flow);
    const json: Json = next.map(({ hours, flow, when = {} }) => ({ hours, flow, ...when }));
    desk().change('speed.profile', (draft) => putAt(draft, 'speed.profile', next.length > 0 ? json : undefined));
  }
  function draw(e: PointerEvent): void {
    if (!drawing) return;
    const box = svg.getBoundingClientRect();
    const x = ((e.clientX - box.left) / box.width) * width;
    const y = ((e.clientY - box.top) / box.height) * height;
    const bin = bins[Math.floor((x - left) / step)];
    if (bin) put(bin.flow, ((height - bottom - y) / (height - bottom - top)) * scale);
  }
  function key(e: KeyboardEvent, flow: number, hours: number): void {
    const by = e.shiftKey ? 500 : 50;
    const to = { ArrowUp: hours + by, ArrowDown: hours - by, Home: 0, Delete: 0 }[e.key];
    if (to === undefined) return;
    e.preventDefault();
    put(flow, to);
  }
</script>

<svelte:window onpointermove={draw} onpointerup={() => (drawing = false)} />
<svg
  bind:this={svg}
  viewBox="0 0 {width} {height}"
  class="w-full touch-none select-none"
  role="group"
  aria-label="The year: draw bars with the pointer, or Tab to one and use the arrow keys"
  onpointerdown={(e) => ((drawing = true), draw(e))}
>
  {#each [0, 0.5, 1] as f (f)}
    <path d="M{left} {py(f * scale)}H{width - 8}" stroke="var(--rule)" />
    <text x={left - 6} y={py(f * scale) + 4} text-anchor="end">{f * scale} h</text>
  {/each}
  {#each bins as b, i (b.flow)}
    <rect x={left + i * step} y={top} width={step} height={height - top - bottom} fill="transparent" />
    <rect
      x={left + i * step + 3}
      y={py(b.hours)}
      width={step - 6}
      height={Math.max(2, height - bottom - py(b.hours))}
      fill="var(--series-1)"
      class="bar"
      role="slider"
      tabindex="0"
      aria-label="At {Math.round(b.flow * 100)} % flow"
      aria-valuemin={0}
      aria-valuemax={8784}
      aria-valuenow={b.hours}
      aria-valuetext="{b.hours} hours"
      onkeydown={(e) => key(e, b.flow, b.hours)}
    />
    {#if b.hours > 0}<text x={left + (i + 0.5) * step} y={py(b.hours) - 3} text-anchor="middle">{b.hours}</text>{/if}
    <text x={left + (i + 0.5) * step} y={height - bottom + 13} text-anchor="middle">{Math.round(b.flow * 100)}</text>
  {/each}
  <text x={(left + width) / 2} y={height - 3} text-anchor="middle">flow, % of the demand’s</text>
</svg>
<p class="text-[13px] text-quiet">{total.toLocaleString('en')} of 8784 hours; the rest of the year it stands.</p>

<style>
  text {
    font-size: 11px;
    fill: var(--ink);
    font-family: var(--font-condensed);
    pointer-events: none;
  }
  .bar {
    cursor: ns-resize;
  }
</style>
