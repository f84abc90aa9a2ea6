<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import PartSymbol from './PartSymbol.svelte';

  const desk = useDesk();
  const parts = $derived(desk().result?.guard?.parts ?? []);
  const waits = $derived(desk().waiting.has('guard'));
  const fused = $derived(String(desk().value('guard.device') ?? '').includes('fuse'));
  const northAmerican = $derived(desk().value('practice') === 'north-america');
  const row = 52;
  const paths = (spans: number) =>
    ({
      across: `M30 ${-row - 20}H50V20H30`,
      'far-ends': `M30 ${-row - 20}H50V18`,
      'star-point': 'M50 -17V20M43 20H57',
      hangs: `M45 ${-row}H50V0`,
      leaves: `M30 ${-spans * row - 20}H${around}V${row / 2}`,
      joins: `M${around} ${-row / 2}V20H30`,
    }) as const;
  /** Where a way round a part of the line runs: left of it, for what hangs on a part hangs on its right. */
  const around = 13;
  const placeOf = (beside: string | undefined): number =>
    beside === undefined ? 30 : beside === 'leaves' || beside === 'joins' ? around : 50;
  const dots: Readonly<Record<string, number>> = { 'far-ends': 21, 'star-point': -20 };
  const height = $derived(parts.length * row + 12);
  let drawing: SVGSVGElement | undefined = $state();

  const open = (figure: string | null): void => {
    if (figure !== null) desk().working = figure;
  };
  function keyed(event: KeyboardEvent, figure: string | null): void {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    open(figure);
  }
  async function save(): Promise<void> {
    if (!drawing) return;
    const { saveDrawing } = await import('$lib/ui/chartFiles');
    saveDrawing(drawing, `Line of ${String(desk().value('name') ?? 'a motor')}`);
  }
</script>

{#if parts.length === 0}
  <p class="text-quiet">A plate or a chosen motor gives the line.</p>
{:else}
  <svg
    bind:this={drawing}
    viewBox="0 0 760 {height}"
    class="w-full"
    role="group"
    aria-label="The line, from supply to machine"
    font-family="Barlow, sans-serif"
    font-size="13.5"
  >
    <line x1="30" y1="26" x2="30" y2={height - 34} stroke="var(--ink)" stroke-width="1.5" />
    {#each parts as part, i (part.kind + part.name)}
      {@const said = [part.rating, part.range, part.margin].filter((t) => t !== '').join(', ')}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <g
        transform="translate(0, {26 + i * row})"
        data-part={part.kind}
        role={part.figure === null ? 'img' : 'button'}
        tabindex={part.figure === null ? undefined : 0}
        aria-label="{part.name}: {said || 'not known'}"
        class={part.figure === null ? '' : 'cursor-pointer'}
        onclick={() => open(part.figure)}
        onkeydown={(event) => keyed(event, part.figure)}
      >
        <rect x="0" y={-row / 2} width="760" height={row} fill="transparent" />
        {#if part.beside}
          <!-- A path of its own beside the line; an open dot is the far ends of the windings. -->
          <g fill="none" stroke="var(--ink)" stroke-width="1.5">
            <path d={paths(part.spans ?? 1)[part.beside]} />
            {#if dots[part.beside] !== undefined}<circle cx="50" cy={dots[part.beside]} r="2.5" />{/if}
          </g>
        {/if}
        <g transform="translate({placeOf(part.beside)}, 0)"><PartSymbol kind={part.kind} {fused} {northAmerican} /></g>
        <text x="64" y="-3" fill="var(--quiet)">{part.name}</text>
        <text
          x="64"
          y="14"
          fill={waits ? 'var(--quiet)' : 'var(--ink)'}
          font-style={waits ? 'italic' : 'normal'}
          font-weight="600"
          text-decoration={part.figure === null ? undefined : 'underline'}>{part.rating || '—'}</text
        >
        <text x="290" y="-3" fill="var(--ink)">{[part.range, part.margin].filter((t) => t !== '').join(' · ')}</text>
        <text x="290" y="14" fill="var(--quiet)">{part.below}</text>
      </g>
    {/each}
  </svg>
  <p class="screen-only text-right text-[13px]">
    <Button class="link" aria-label="Save the line as SVG" onclick={() => void save()}>SVG</Button>
  </p>
{/if}
