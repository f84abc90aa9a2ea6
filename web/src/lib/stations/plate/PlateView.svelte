<script lang="ts">
  import type { nameplate } from '@pilgrim/core';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { textOf } from '$lib/ui/reading.svelte';
  import StampField from './StampField.svelte';
  import { mainStamps, moreStamps, secondStamps, type Stamp } from './stamps';
  import Fold from '$lib/ui/Fold.svelte';

  interface Props {
    /** Path of the plate in the case. */
    base?: string;
    title?: string;
    /** The pasted text as it was read, to show each field's words. */
    text?: nameplate.PlateText | null;
  }
  let { base = 'plate', title = 'Motor plate', text = null }: Props = $props();
  const desk = useDesk();
  const iec = $derived(desk().value('practice') === 'iec');
  const main = $derived(mainStamps(iec));

  const workedOut = [
    ['plate.poles', 'poles'],
    ['plate.synchronousSpeed', 'synchronous'],
    ['plate.slip', 'slip'],
    ['plate.ratedTorque', 'torque'],
    ['plate.apparentPower', 'apparent'],
    ['plate.inputPower', 'input'],
    ['plate.efficiencyMinimum', 'min eff'],
    ['plate.serviceFactorCurrent', 'at service factor'],
    ['plate.tableCurrent', 'table current'],
    ['plate.lockedRotorCurrentMin', 'locked rotor from'],
    ['plate.lockedRotorCurrentMax', 'to'],
    ['plate.currentHere', 'current on this supply'],
    ['plate.torqueHere', 'torque on this supply, share'],
  ] as const;

  const ringed = $derived(
    new Set(
      (desk().result?.findings ?? [])
        .filter((f) => f.station === 'plate' && f.level !== 'note')
        .flatMap((f) => f.fields),
    ),
  );

  /** Words of the text a stamp came from, while its value still is what the text says. */
  function wordsFor(stamp: Stamp): string | undefined {
    if (!text) return undefined;
    const said = stamp.key
      .split('.')
      .reduce<unknown>((at, k) => (typeof at === 'object' && at !== null ? Reflect.get(at, k) : undefined), text.plate);
    if (said === undefined || said !== desk().value(`${base}.${stamp.key}`)) return undefined;
    return text.pieces
      .filter((p) => p.fields.includes(stamp.key))
      .map((p) => p.text.trim())
      .join(' … ');
  }
  const filled = (list: readonly Stamp[]): boolean => list.some((s) => desk().value(`${base}.${s.key}`) !== undefined);
</script>

{#snippet rows(list: readonly Stamp[])}
  <!-- No form is sent: it says once, for all its fields, that nothing is filled in or corrected. -->
  <form
    class="grid grid-cols-2 gap-x-3 gap-y-2 @md:grid-cols-4"
    autocomplete="off"
    spellcheck="false"
    onsubmit={(e) => e.preventDefault()}
  >
    {#each list as stamp (stamp.key)}
      <StampField {stamp} {base} ringed={ringed.has(`${base}.${stamp.key}`)} from={wordsFor(stamp)} />
    {/each}
  </form>
{/snippet}

<div class="plate @container" role="group" aria-label={title}>
  {#each ['left: 8px', 'right: 8px'] as side (side)}
    <svg class="rivet" style="{side}; top: 8px" width="10" height="10" aria-hidden="true"
      ><circle cx="5" cy="5" r="4" fill="none" stroke="var(--on-metal)" /></svg
    >
  {/each}
  <p class="title">{base === 'plate' ? '3-phase induction motor' : title}</p>
  {@render rows(main)}
  <Fold
    class="mt-3"
    open={filled(moreStamps)}
    headClass="more"
    title="More of the plate: bearings, part load, drive, year …"
  >
    {@render rows(moreStamps)}
  </Fold>
  <Fold class="mt-2" open={filled(secondStamps)} headClass="more" title="Second block, for the other frequency">
    {@render rows(secondStamps)}
  </Fold>
  {#if base === 'plate'}
    <div class="mt-3 border-t pt-2" style="border-color: var(--on-metal)">
      <span class="worked">worked out</span>
      <div class="flex flex-wrap gap-x-4 gap-y-1">
        {#each workedOut as [id, label] (id)}
          {@const figure = desk().figure(id)}
          {#if figure}
            <button type="button" class="light" data-figure={id} onclick={() => (desk().working = id)}
              >{label} <span class="underline">{textOf(figure)}</span></button
            >
          {/if}
        {/each}
      </div>
    </div>
  {/if}
</div>

<style>
  .plate {
    position: relative;
    background: linear-gradient(160deg, var(--metal-light), var(--metal));
    color: var(--on-metal);
    border: 1px solid var(--edge);
    border-radius: 6px;
    padding: 16px 24px 14px;
    font-family: var(--font-condensed);
  }
  .rivet {
    position: absolute;
  }
  .title {
    text-align: center;
    letter-spacing: 0.08em;
    text-transform: uppercase;
    font-size: 13px;
    margin-bottom: 8px;
  }
  :global(.more) {
    font-size: 13.5px;
    margin-bottom: 6px;
  }
  .plate :global(.fold-head:focus-visible) {
    outline-color: #12535a;
  }
  .worked {
    display: block;
    font-size: 12px;
    letter-spacing: 0.06em;
    font-weight: 600;
  }
  .light {
    color: var(--on-metal);
    min-height: 24px;
    font-size: 14px;
  }
</style>
