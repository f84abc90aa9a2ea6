<script lang="ts">
  interface Props {
    of: string;
  }
  let { of }: Props = $props();
  const ring = Array.from({ length: 12 }, (_, i) => (i * Math.PI) / 6);
  const at = (a: number, r: number): [number, number] => [24 + r * Math.cos(a), 24 + r * Math.sin(a)];
</script>

<!-- Drawn by us: a stator's twelve coil heads, a bearing, a shaft. What is damaged is filled or broken, never coloured alone. -->
<svg viewBox="0 0 48 48" width="48" height="48" aria-hidden="true" fill="none" stroke="currentColor" stroke-width="1.6">
  {#if of === 'overheated' || of === 'phase-burnt'}
    <circle cx="24" cy="24" r="21" /><circle cx="24" cy="24" r="9" />
    {#each ring as a, i (i)}
      {@const [x, y] = at(a, 15)}
      {@const burnt = of === 'overheated' || i % 6 < 2}
      <circle cx={x} cy={y} r="3" fill={burnt ? 'currentColor' : 'none'} />
    {/each}
  {:else if of === 'drive-end-bearing' || of === 'opposite-end-bearing'}
    <rect x="12" y="12" width="24" height="24" rx="2" />
    <path d={of === 'drive-end-bearing' ? 'M36 24h10' : 'M36 24h10M2 24h10'} stroke-width="4" />
    {#if of === 'drive-end-bearing'}
      <path d="M33 15v18" stroke-width="5" /><path d="M39 10l4-5M43 14l4-3" />
    {:else}
      <path d="M15 15v18" stroke-width="5" /><path d="M9 10L5 5M5 14l-4-3" />
    {/if}
  {:else if of === 'fluted-race'}
    <circle cx="24" cy="24" r="21" /><circle cx="24" cy="24" r="11" />
    {#each Array.from({ length: 30 }, (_, i) => (i * Math.PI) / 15) as a, i (i)}
      {@const [x1, y1] = at(a, 17)}
      {@const [x2, y2] = at(a, 21)}
      <path d="M{x1} {y1}L{x2} {y2}" stroke-width="1.2" />
    {/each}
    {#each ring.filter((_, i) => i % 2 === 0) as a, i (i)}
      {@const [x, y] = at(a, 14)}
      <circle cx={x} cy={y} r="2.6" />
    {/each}
  {:else if of === 'water'}
    <rect x="6" y="10" width="32" height="28" rx="2" />
    <path d="M38 24h8" stroke-width="4" />
    <path d="M6 29q4-4 8 0t8 0t8 0t8 0V38H6Z" fill="currentColor" />
    <path d="M22 14q-4 6 0 7q4-1 0-7Z" />
  {:else if of === 'dust'}
    <rect x="6" y="10" width="32" height="28" rx="2" />
    <path d="M38 24h8" stroke-width="4" />
    {#each [12, 18, 24, 30] as x, i (x)}
      <path d="M{x} 14v20" />
      {#each [16, 20, 24, 28, 32] as y (y)}<circle cx={x + 3} cy={y + (i % 2)} r="1.4" fill="currentColor" />{/each}
    {/each}
  {:else if of === 'shaft-broken'}
    <path d="M2 18h20l-3 4 4 4-3 4H2Z" /><path d="M46 18H28l3 4-4 4 3 4h16Z" />
  {:else if of === 'insulation-punctured'}
    <path d="M4 12h40M4 36h40" /><path d="M8 12v24M14 12v24M20 12v24M26 12v24M32 12v24M38 12v24" />
    <path d="M12 4L7 22l6-2-3 18" stroke-width="2.6" />
  {:else}
    <circle cx="24" cy="24" r="20" /><path d="M18 19q0-7 6-7t6 6q0 4-6 7v4M24 34v2" stroke-width="2.4" />
  {/if}
</svg>
