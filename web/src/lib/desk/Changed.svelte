<script lang="ts">
  import type { Changes } from '@pilgrim/core/changes';
  import { textOf } from '$lib/ui/reading.svelte';
  import { figureName, stationNames, type StationId } from '$lib/ui/names';
  import Mark from '$lib/ui/Mark.svelte';
  import Fold from '$lib/ui/Fold.svelte';

  interface Props {
    changes: Changes;
    /** Figures of this station stand open, those of the others are counted; without it all are open. */
    station?: StationId;
  }
  let { changes, station }: Props = $props();
  const here = $derived(changes.figures.filter((f) => station === undefined || f.station === station));
  /** Beside a station no more stand open than can be read at a glance. */
  const most = $derived(station === undefined ? Infinity : 6);
  const elsewhere = $derived(changes.figures.filter((f) => station !== undefined && f.station !== station));
  const counts = $derived(
    [...new Set(elsewhere.map((f) => f.station))].map(
      (s) => `${stationNames[s]} ${elsewhere.filter((f) => f.station === s).length}`,
    ),
  );
</script>

{#snippet figures(list: Changes['figures'])}
  <ul class={station === undefined ? 'gap-x-6 sm:columns-2' : ''}>
    {#each list as { id, before, after } (id)}
      <li class="flex break-inside-avoid flex-wrap justify-between gap-x-3 border-b border-rule py-0.5">
        <span class="text-quiet">{figureName(id)}</span>
        <span class="font-condensed"
          >{before ? textOf(before) : '—'} → <b class="font-semibold">{after ? textOf(after) : '—'}</b></span
        >
      </li>
    {/each}
  </ul>
{/snippet}

{#if changes.choice}
  <p class="mb-1" data-testid="changed-choice">
    <span class="text-quiet">{changes.choice.before ?? 'no choice'}</span> →
    <b class="font-semibold">{changes.choice.after ?? 'no choice'}</b>
  </p>
{/if}
{#each [['new', changes.come], ['now', changes.reworded], ['gone', changes.gone]] as const as [word, list] (word)}
  {#each list as f (f.id + f.text)}
    <p class="mb-1 flex gap-2">
      <span class="mt-0.5"><Mark state={f.level} /></span>
      <span class={word === 'gone' ? 'text-quiet' : ''}><b class="font-semibold">{word}:</b> {f.text}</span>
    </p>
  {/each}
{/each}
{@render figures(here.slice(0, most))}
{#if here.length > most}
  <Fold headClass="text-[13px]" title="{here.length - most} more figures here">{@render figures(here.slice(most))}</Fold
  >
{/if}
{#if elsewhere.length > 0}
  <Fold headClass="text-[13px]" title={`${here.length > 0 ? 'Figures elsewhere' : 'Figures'}: ${counts.join(', ')}`}>
    {@render figures(elsewhere)}
  </Fold>
{/if}
