<script lang="ts">
  import { Breadcrumb, BreadcrumbItem } from 'flowbite-svelte';
  import { resolve } from '$app/paths';
  import { useDesk } from './desk.svelte';
  import { errandState } from '@pilgrim/core/errand';
  import { errands, errandStops } from '@pilgrim/core/vocabulary';
  import { errandWords } from '$lib/ui/options';
  import { fieldName, stateWords, stationIds, stationNames, type StationId } from '$lib/ui/names';
  import Mark from '$lib/ui/Mark.svelte';
  import Fold from '$lib/ui/Fold.svelte';

  interface Props {
    positionId: string;
    /** Name of the plant. */
    plant: string;
    tag: string;
    name: string;
    /** The one visited; null on the history. */
    station: StationId | null;
  }
  let { positionId, plant, tag, name, station }: Props = $props();
  const desk = useDesk();
  const stations = $derived(desk().stations);
  const waiting = $derived(desk().waiting);
  const waitsFor = (id: StationId): string | undefined => {
    const [first] = waiting.get(id) ?? [];
    return first === undefined ? undefined : `waits for ${fieldName(first)}`;
  };
  const stateOf = (id: StationId) => (waiting.has(id) ? 'waits' : (stations?.[id].state ?? 'empty'));
  const errand = $derived(errands.find((e) => e === desk().value('errand')));
  const standing = $derived(errand ? errandState(errand, desk().case, desk().result) : null);
  // An errand walks its own stops in its own order; the others are folded, never away.
  const stops = $derived(errand ? errandStops[errand] : stationIds);
  const others = $derived(stationIds.filter((s) => !stops.includes(s)));
  // The line is solid up to where the case is solved.
  const solved = $derived.by(() => {
    const first = stops.findIndex(
      (s) => waiting.has(s) || !stations || ['empty', 'waits', 'stop'].includes(stations[s].state),
    );
    return first < 0 ? stops.length : first;
  });
</script>

{#snippet stop(id: StationId, solid: boolean, last: boolean)}
  <li class="relative lg:pl-7">
    <span class="track" class:solid class:first-half={last} aria-hidden="true"></span>
    <a
      href={resolve('/positions/[id]/[station]', { id: positionId, station: id })}
      class="stop block px-2 py-1.5 {station === id
        ? 'box border-pine'
        : 'border border-transparent hover:border-rule'}"
      aria-current={station === id ? 'step' : undefined}
    >
      <span class="absolute top-[9px] left-0 hidden lg:block"><Mark decorative state={stateOf(id)} /></span>
      <span class="font-medium {station === id ? 'text-pine' : ''}">{stationNames[id]}</span>
      <span class="sr-only">({stateWords[stateOf(id)]})</span>
      <span
        class="block truncate font-condensed text-[13px] {waiting.has(id) ? 'text-caution' : 'text-quiet'}"
        data-testid="key-{id}">{waitsFor(id) ?? stations?.[id].key ?? 'nothing yet'}</span
      >
    </a>
  </li>
{/snippet}

<nav aria-label="Stations" class="stays screen-only" data-sveltekit-noscroll>
  <Breadcrumb ariaLabel="Where this is" class="hidden font-condensed lg:flex" classes={{ list: 'gap-1 space-x-0!' }}>
    <BreadcrumbItem href={resolve('/')} linkClass="link m-0!">
      {#snippet icon()}{/snippet}{plant}
    </BreadcrumbItem>
    <BreadcrumbItem spanClass="m-0! text-[1rem]! text-quiet!">
      {#snippet icon()}<span aria-hidden="true" class="mr-1 text-quiet">/</span>{/snippet}{tag}
    </BreadcrumbItem>
  </Breadcrumb>
  <h1 class="truncate leading-tight lg:mb-3 lg:whitespace-normal">
    <span class="font-condensed text-[15px] text-quiet lg:hidden">{tag}</span>
    {name}
  </h1>
  <ol class="flex lg:hidden" data-testid="bar">
    {#each stationIds as id (id)}
      <li class="min-w-0 flex-1">
        <a
          href={resolve('/positions/[id]/[station]', { id: positionId, station: id })}
          class="of-bar"
          aria-current={station === id ? 'step' : undefined}
        >
          <Mark decorative state={stateOf(id)} />
          <span>{stationNames[id]}<span class="sr-only"> ({stateWords[stateOf(id)]})</span></span>
        </a>
      </li>
    {/each}
  </ol>
  {#if errand && standing}
    <p class="mb-2 text-[13px]" data-testid="errand-state">
      <span class="text-quiet">{errandWords.find(([e]) => e === errand)?.[1]}:</span>
      <span class={standing.enough ? 'text-pass' : ''}>{standing.text}.</span>
    </p>
  {/if}
  <ol class="hidden lg:block">
    {#each stops as id, i (id)}{@render stop(id, i < solved, i === stops.length - 1)}{/each}
  </ol>
  {#if others.length > 0}
    <Fold
      class="mt-2 hidden lg:block"
      open={station !== null && others.includes(station)}
      headClass="text-[13px] text-quiet"
      title={`Other stops: ${others.map((s) => stationNames[s]).join(', ')}`}
    >
      <ol>
        {#each others as id, i (id)}{@render stop(id, false, i === others.length - 1)}{/each}
      </ol>
    </Fold>
  {/if}
</nav>

<style>
  .of-bar {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    min-height: 40px;
    border-bottom: 2px solid transparent;
    font: 11.5px/1.5 var(--font-condensed);
  }
  .of-bar[aria-current] {
    border-color: var(--pine);
    color: var(--pine);
    font-weight: 600;
  }
  .track {
    position: absolute;
    top: 0;
    left: 6px;
    height: 100%;
    border-left: 2px dashed var(--edge);
  }
  .track.solid {
    border-left: 2px solid var(--pine);
  }
  @media (width < 64rem) {
    .track {
      display: none;
    }
  }
  .first-half {
    height: 12px;
  }
</style>
