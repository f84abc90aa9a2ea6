<script lang="ts">
  import type { Finding } from '@pilgrim/core';
  import { Button, Drawer, TextPlaceholder } from 'flowbite-svelte';
  import { tick } from 'svelte';
  import { MediaQuery } from 'svelte/reactivity';
  import { useDesk } from './desk.svelte';
  import { changesBetween } from '@pilgrim/core/changes';
  import { fieldName, methodOfFigure, stationNames, type StationId } from '$lib/ui/names';
  import FigureLine from '$lib/ui/FigureLine.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import Changed from './Changed.svelte';
  import FindingLine from './FindingLine.svelte';
  import OpenList from './OpenList.svelte';
  import Working from './Working.svelte';
  import Fold from '$lib/ui/Fold.svelte';

  interface Props {
    station: StationId;
    goto: (path: string) => void;
  }
  let { station, goto }: Props = $props();
  const desk = useDesk();
  const result = $derived(desk().result);
  const waits = $derived(desk().waiting.get('choice') ?? []);
  const findings = $derived(result?.findings ?? []);
  // This station's, what keeps it from enough, every stop and what is new stand open; what else was found is counted.
  const because = $derived(result?.stations[station].because ?? []);
  const near = $derived(
    findings.filter((f) => f.station === station || f.level === 'stop' || because.includes(f.id) || isNew(f)),
  );
  const far = $derived(findings.filter((f) => !near.includes(f)));
  const counted = $derived(
    (['caution', 'note'] as const)
      .map((level) => [level, far.filter((f) => f.level === level)] as const)
      .filter(([, list]) => list.length > 0)
      .map(([level, list]) => {
        const at = [...new Set(list.map((f) => stationNames[f.station]))];
        return `${list.length} ${level}${list.length === 1 ? '' : 's'} (${at.join(', ')})`;
      })
      .join(', '),
  );
  const changes = $derived.by(() => {
    const { since, result, errors } = desk();
    if (!since?.result || !result) return null;
    const told = changesBetween(since.result, result);
    // While a field cannot be read, what is gone may only be waiting for it.
    return errors.length === 0 ? told : { ...told, gone: [], figures: told.figures.filter((f) => f.after) };
  });
  const isNew = (f: Finding): boolean => changes?.come.some((c) => c.id === f.id && c.text === f.text) ?? false;
  // Of the start, the chosen method's figures; those of the others stand in the comparison.
  const own = $derived(
    Object.entries(result?.figures ?? {}).filter(
      ([id, f]) => f.station === station && [undefined, result?.subject?.method].includes(methodOfFigure(id)),
    ),
  );
  const program = $derived(desk().program);
  const wanted = $derived(desk().stations?.[station].wanted ?? []);
  // Where the ledger stands below the station a working asked for there would open out of sight.
  const narrow = new MediaQuery('(width < 64rem)', false);
  const close = (): void => void (desk().working = null);
  /** What had the keyboard when a working came up, and has it again when it is gone. */
  let opener: Element | null = null;
  $effect.pre(() => {
    if (!narrow.current) return;
    if (desk().working !== null) opener ??= document.activeElement;
    else {
      const back = opener;
      opener = null;
      if (back instanceof HTMLElement) void tick().then(() => back.focus());
    }
  });
</script>

<aside aria-label="Ledger" class="box p-3 text-[14px]">
  {#if desk().working !== null && !narrow.current}
    <Working id={desk().working ?? ''} {goto} />
  {:else}
    <h2>Ledger</h2>
    <p class="mb-3 border-b border-rule pb-2" data-testid="standing-choice" aria-live="polite">
      {#if waits.length > 0}
        <span class="block text-caution">The choice waits for {waits.map(fieldName).join(', ')}.</span>
      {/if}
      {#if desk().choice !== null}
        <span class="font-semibold {waits.length > 0 ? 'waiting' : ''}">{desk().choice}</span>
      {:else}
        <span class="text-quiet">No motor is chosen yet.</span>
      {/if}
    </p>
    {#if desk().copied}
      <p class="mb-3 text-quiet" data-testid="copied">
        Copied from {desk().copied}. What is marked “from {desk().copied}” was carried over: look at it here.
        <Button class="link" onclick={() => void desk().save('What was carried over was looked at')}
          >All of it is so</Button
        >
      </p>
    {/if}
    {#if desk().errors.length > 0}
      <ul class="mb-3" aria-label="Cannot be read">
        {#each desk().errors as error (error.path + error.message)}
          <li class="mb-1 flex gap-2">
            <Mark state="stop" />
            <span
              ><Button class="link" onclick={() => goto(error.path)}>{fieldName(error.path)}</Button>
              {error.message}</span
            >
          </li>
        {/each}
      </ul>
    {/if}
    <OpenList only={station === 'choice' || station === 'sheet' ? null : because} />
    {#if wanted.length > 0}
      <p class="mb-3 text-quiet">
        Still wanted here:
        {#each wanted as path, i (path)}{i > 0 ? ', ' : ' '}<Button class="link" onclick={() => goto(path)}
            >{fieldName(path)}</Button
          >{/each}
      </p>
    {/if}
    {#if changes && (changes.choice || changes.figures.length > 0 || changes.gone.length > 0)}
      <section class="mb-3 rounded-[3px] bg-paper p-2 text-[13px]" aria-label="What changed" data-testid="changed">
        <h3 class="mb-1 font-medium">With {desk().since?.called}</h3>
        <Changed changes={{ ...changes, come: [], reworded: [] }} {station} />
      </section>
    {/if}
    {#if program}
      <Fold
        data-program
        headClass="text-[13px]"
        title="Saved with core {desk().head?.coreVersion}; this one answers otherwise"
      >
        <p class="mb-1 text-[13px] text-quiet">The same case: nobody changed it. Before and now:</p>
        <div class="text-[13px]"><Changed changes={program} {station} /></div>
      </Fold>
    {/if}
    <div data-testid="findings">
      <ul aria-label="Findings">
        {#each near as finding (finding.id + finding.text)}<FindingLine {finding} fresh={isNew(finding)} />{/each}
      </ul>
      {#if far.length > 0}
        <Fold data-elsewhere title={`Elsewhere: ${counted}`}>
          <ul aria-label="Findings elsewhere" class="mt-2">
            {#each far as finding (finding.id + finding.text)}<FindingLine {finding} />{/each}
          </ul>
        </Fold>
      {/if}
    </div>
    {#if desk().opening}<TextPlaceholder size="sm" class="opening" />{:else if findings.length === 0}<p
        class="text-quiet"
      >
        No findings.
      </p>{/if}
    {#if own.length > 0}
      <h3 class="mt-3 mb-1 font-medium">Figures of this station</h3>
      {#each own as [id] (id)}
        <FigureLine {id} />
      {/each}
    {/if}
  {/if}
</aside>
{#if narrow.current}
  <Drawer
    placement="bottom"
    class="draws"
    aria-label="Working of a figure"
    dismissable={false}
    transitionParams={{ duration: 0 }}
    bind:open={() => desk().working !== null, (to) => to || close()}
  >
    <Working id={desk().working ?? ''} goto={(path) => ((opener = null), close(), goto(path))} />
  </Drawer>
{/if}
