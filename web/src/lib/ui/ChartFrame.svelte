<script lang="ts">
  import { Button, Range, Table } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';
  import type { ChartLine } from './chartFiles';
  import type { EChart } from './chartWhenSeen';
  import { readAt } from './readAt';

  /** What every chart has around it: its name, its data, a value read by keys, and how it is saved. */
  interface Props {
    title: string;
    x: string;
    lines: readonly ChartLine[];
    chart: EChart | undefined;
    /** How a place along x is written, where it is no plain number. */
    writeX?: (x: number) => string;
    children: Snippet;
  }
  const write = (value: number): string => Number(value.toPrecision(3)).toString();
  let { title, x, lines, chart, writeX, children }: Props = $props();
  const along = (value: number, digits = 3): string => writeX?.(value) ?? Number(value.toPrecision(digits)).toString();
  let tabled = $state(false);
  let reading = $state(false);
  let at = $state<number | null>(null);

  const ends = $derived(lines.flatMap((l) => l.points.map(([px]) => px)));
  const least = $derived(Math.min(...ends));
  const most = $derived(Math.max(...ends));
  const here = $derived(Math.min(most, Math.max(least, at ?? (least + most) / 2)));
  const said = $derived(
    lines
      .flatMap((l) => {
        const value = readAt(l.points, here);
        return value === undefined ? [] : [`${l.name} ${write(value)}`];
      })
      .join(' · '),
  );

  const save = async (kind: 'png' | 'svg' | 'csv'): Promise<void> => {
    const files = await import('./chartFiles');
    if (kind === 'csv') files.saveData(title, x, lines, writeX);
    else if (chart) files.savePicture(chart, title, kind);
  };
</script>

<figure class="box p-3">
  <figcaption class="mb-1 flex flex-wrap items-baseline justify-between gap-x-3">
    <span class="font-medium">{title}</span>
    <span class="screen-only flex gap-x-3 text-[13px]">
      <Button class="link" aria-expanded={reading} onclick={() => (reading = !reading)}>read a value</Button>
      <Button class="link" aria-expanded={tabled} onclick={() => (tabled = !tabled)}
        >{tabled ? 'hide the data' : 'data as a table'}</Button
      >
      {#each ['png', 'svg', 'csv'] as const as kind (kind)}
        <Button
          class="link"
          aria-label="Save {title} as {kind.toUpperCase()}"
          disabled={kind !== 'csv' && !chart}
          onclick={() => void save(kind)}>{kind.toUpperCase()}</Button
        >
      {/each}
    </span>
  </figcaption>
  {@render children()}
  {#if reading && ends.length > 0}
    <label class="mt-1 block text-[13px]"
      >{x}: <b class="font-semibold">{along(here)}</b>
      <Range
        min={least}
        max={most}
        step={(most - least) / 100 || 1}
        bind:value={() => here, (to) => (at = Number(to))}
        aria-label="{title}, {x}"
        aria-valuetext="{along(here)}: {said}"
      />
      <span data-testid="read" aria-live="polite">{said}</span></label
    >
  {/if}
  {#if tabled}
    <div class="max-h-80 overflow-auto">
      <Table class="dense mt-2">
        <caption class="sr-only">{title}</caption>
        <thead><tr><th>Quantity</th><th>Series</th><th class="n">{x}</th><th class="n">Value</th></tr></thead>
        <tbody>
          {#each lines as l (l.y + l.name)}
            {#each l.points as [px, py], i (i)}
              <tr><td>{l.y}</td><td>{l.name}</td><td class="n">{along(px, 4)}</td><td class="n">{write(py)}</td></tr>
            {/each}
          {/each}
        </tbody>
      </Table>
    </div>
  {/if}
</figure>
