<script lang="ts">
  import { resolve } from '$app/paths';
  import { useDesk } from './desk.svelte';
  import { fieldName, stationIds, stationNames, type StationId } from '$lib/ui/names';
  import Mark from '$lib/ui/Mark.svelte';

  interface Props {
    positionId: string;
    tag: string;
    name: string;
    station: StationId;
  }
  let { positionId, tag, name, station }: Props = $props();
  const desk = useDesk();
  const stations = $derived(desk().result?.stations);
  const waiting = $derived(desk().waiting);
  const waitsFor = (id: StationId): string | undefined => {
    const [first] = waiting.get(id) ?? [];
    return first === undefined ? undefined : `waits for ${fieldName(first)}`;
  };
  const stateOf = (id: StationId) => (waiting.has(id) ? 'waits' : (stations?.[id].state ?? 'empty'));
  // The line is solid up to where the case is solved.
  const solved = $derived.by(() => {
    const first = stationIds.findIndex(
      (s) => waiting.has(s) || !stations || stations[s].state === 'empty' || stations[s].state === 'stop',
    );
    return first < 0 ? stationIds.length : first;
  });
</script>

<nav aria-label="Stations" class="screen-only">
  <p class="font-condensed text-quiet">{tag}</p>
  <h1 class="mb-3 leading-tight">{name}</h1>
  <ol class="grid grid-cols-2 sm:grid-cols-5 lg:block">
    {#each stationIds as id, i (id)}
      <li class="relative lg:pl-7">
        <span
          class="absolute top-0 left-[6px] hidden h-full border-l-2 lg:block {i < solved
            ? 'border-solid border-pine'
            : 'border-dashed border-edge'}"
          class:first-half={i === stationIds.length - 1}
          aria-hidden="true"
        ></span>
        <a
          href={resolve('/positions/[id]/[station]', { id: positionId, station: id })}
          class="stop block px-2 py-1.5 {station === id
            ? 'box border-pine'
            : 'border border-transparent hover:border-rule'}"
          aria-current={station === id ? 'step' : undefined}
          data-sveltekit-noscroll
        >
          <span class="absolute top-[9px] left-0 hidden lg:block"
            ><Mark decorative state={waiting.has(id) ? 'empty' : (stations?.[id].state ?? 'empty')} /></span
          >
          <span class="font-medium {station === id ? 'text-pine' : ''}">{stationNames[id]}</span>
          <span class="sr-only">({stateOf(id)})</span>
          <span
            class="block truncate font-condensed text-[13px] {waiting.has(id) ? 'text-caution' : 'text-quiet'}"
            data-testid="key-{id}">{waitsFor(id) ?? stations?.[id].key ?? 'nothing yet'}</span
          >
        </a>
      </li>
    {/each}
  </ol>
</nav>

<style>
  .first-half {
    height: 12px;
  }
</style>
