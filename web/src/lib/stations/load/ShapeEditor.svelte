<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt } from '$lib/desk/paths';
  import { factorOf } from './shapes';

  type Point = readonly [number, number];
  const desk = useDesk();
  const shape = $derived(desk().value('load.shape'));
  const own = $derived.by((): readonly Point[] => {
    const points: unknown = typeof shape === 'object' && shape !== null && 'points' in shape ? shape.points : undefined;
    return Array.isArray(points)
      ? points.filter((p): p is Point => Array.isArray(p) && typeof p[0] === 'number' && typeof p[1] === 'number')
      : [];
  });
  const usual = $derived(factorOf(typeof shape === 'string' ? shape : undefined, desk().value('load.machine')));
  const start = $derived(Number(desk().value('load.startRatio') ?? 1));
  const breakaway = $derived(desk().figure('load.breakawayTorque'));
  const motorTorque = $derived(desk().figure('load.motorTorque'));
  const k = $derived(
    breakaway && motorTorque && motorTorque.value > 0 ? breakaway.value / motorTorque.value : undefined,
  );

  // The drawing: speed ratio 0 to 1.25 to the right, torque ratio 0 to 2 upwards.
  const [width, height, left, bottom, right, top] = [460, 220, 44, 30, 12, 10];
  const px = (x: number): number => left + (x / 1.25) * (width - left - right);
  const py = (y: number): number => height - bottom - (Math.min(y, 2) / 2) * (height - bottom - top);
  const sx = (p: number): number => ((p - left) / (width - left - right)) * 1.25;
  const sy = (p: number): number => ((height - bottom - p) / (height - bottom - top)) * 2;
  const round = (v: number): number => Math.round(v * 100) / 100;

  const line = $derived(
    own.length > 0
      ? own.toSorted((a, b) => a[0] - b[0])
      : Array.from({ length: 26 }, (_, i): Point => [i * 0.05, usual(i * 0.05)]),
  );
  let svg: SVGSVGElement;
  let held = $state<number | null>(null);

  function put(points: readonly Point[]): void {
    desk().change('load.shape', (draft) =>
      putAt(draft, 'load.shape', points.length > 0 ? { points: points.map(([x, y]) => [x, y]) } : undefined),
    );
  }
  function toOwn(): void {
    put([0, 0.25, 0.5, 0.75, 1].map((x): Point => [x, round(usual(x))]));
  }
  function move(i: number, x: number, y: number): void {
    const at: Point = [round(Math.min(1.25, Math.max(0, x))), round(Math.min(2, Math.max(0, y)))];
    put(own.map((p, n) => (n === i ? at : p)));
  }
  function drag(e: PointerEvent): void {
    if (held === null) return;
    const box = svg.getBoundingClientRect();
    move(held, sx(((e.clientX - box.left) / box.width) * width), sy(((e.clientY - box.top) / box.height) * height));
  }
  function key(e: KeyboardEvent, i: number): void {
    const [x, y] = own[i] ?? [0, 0];
    const by = e.shiftKey ? 0.1 : 0.01;
    const to: Point | undefined = {
      ArrowLeft: [x - by, y] as const,
      ArrowRight: [x + by, y] as const,
      ArrowUp: [x, y + by] as const,
      ArrowDown: [x, y - by] as const,
    }[e.key];
    if (e.key === 'Delete' && own.length > 2) put(own.filter((_, n) => n !== i));
    if (!to) return;
    e.preventDefault();
    move(i, to[0], to[1]);
  }
  function add(): void {
    const sorted = own.toSorted((a, b) => a[0] - b[0]);
    const last = sorted.at(-1) ?? [0.5, 1];
    const before = sorted.at(-2) ?? [0, 0];
    put([...own, [round((last[0] + before[0]) / 2), round((last[1] + before[1]) / 2)]]);
  }
</script>

<svelte:window onpointermove={drag} onpointerup={() => (held = null)} />
<div class="grid gap-3 sm:grid-cols-[minmax(0,1fr)_150px]">
  <svg
    bind:this={svg}
    viewBox="0 0 {width} {height}"
    class="w-full touch-none select-none"
    role="group"
    aria-label="Torque of the machine against its speed, both as a share of the demand"
  >
    {#each [0, 0.5, 1, 1.5, 2] as y (y)}
      <path d="M{left} {py(y)}H{width - right}" stroke="var(--rule)" />
      <text x={left - 6} y={py(y) + 4} text-anchor="end">{y * 100} %</text>
    {/each}
    {#each [0, 0.25, 0.5, 0.75, 1, 1.25] as x (x)}
      <path d="M{px(x)} {top}V{height - bottom}" stroke="var(--rule)" />
      <text x={px(x)} y={height - bottom + 14} text-anchor="middle">{x * 100} %</text>
    {/each}
    <text x={(left + width) / 2} y={height - 2} text-anchor="middle">speed</text>
    <path
      d="M{line.map(([x, y]) => `${px(x).toFixed(1)} ${py(y * start).toFixed(1)}`).join('L')}"
      fill="none"
      stroke="var(--series-1)"
      stroke-width="2.5"
      stroke-dasharray={start < 1 ? '5 4' : undefined}
    />
    {#if k !== undefined}
      <path d="M{px(0)} {py(k)}h12" stroke="var(--series-2)" stroke-width="3" />
      <text x={px(0) + 16} y={py(k) + 4}>breakaway {Math.round(k * 100)} %</text>
    {/if}
    <circle cx={px(1)} cy={py(1)} r="4" fill="none" stroke="var(--ink)" stroke-width="1.5" />
    <text x={px(1) + 7} y={py(1) - 6}>demand</text>
    {#each own as [x, y], i (i)}
      <circle
        cx={px(x)}
        cy={py(y)}
        r="7"
        class="grip"
        role="slider"
        tabindex="0"
        aria-label="Point {i + 1} of the torque curve"
        aria-valuenow={Math.round(y * 100)}
        aria-valuemin={0}
        aria-valuemax={200}
        aria-valuetext="{Math.round(y * 100)} % torque at {Math.round(x * 100)} % speed; arrow keys move it"
        onpointerdown={(e) => ((held = i), e.preventDefault(), e.currentTarget.focus())}
        onkeydown={(e) => key(e, i)}
      />
    {/each}
  </svg>
  <div class="flex flex-col items-start gap-2" data-path="load.shape">
    {#if own.length === 0}
      <p class="text-[13px] text-quiet">
        The curve usual for the machine. Make it your own to drag its points, or to move them by arrow keys.
      </p>
      <Button class="push" onclick={toOwn}>Draw my own curve</Button>
    {:else}
      <p class="text-[13px] text-quiet">Drag a point, or Tab to it and use the arrow keys; Delete takes it away.</p>
      <Button class="push" onclick={add}>Add a point</Button>
      <Button class="push" onclick={() => put([])}>Back to the usual</Button>
    {/if}
  </div>
</div>

<style>
  text {
    font-size: 11px;
    fill: var(--ink);
    font-family: var(--font-condensed);
  }
  .grip {
    fill: var(--sheet);
    stroke: var(--pine);
    stroke-width: 2.5;
    cursor: grab;
  }
</style>
