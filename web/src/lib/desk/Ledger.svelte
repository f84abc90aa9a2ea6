<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { useDesk } from './desk.svelte';
  import { fieldName, methodOfFigure, words, type StationId } from '$lib/ui/names';
  import FigureLine from '$lib/ui/FigureLine.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import Working from './Working.svelte';

  interface Props {
    station: StationId;
    goto: (path: string) => void;
  }
  let { station, goto }: Props = $props();
  const desk = useDesk();
  const result = $derived(desk().result);
  const waits = $derived(desk().waiting.get('choice') ?? []);
  const findings = $derived(result?.findings ?? []);
  // Of the start, the chosen method's figures; those of the others stand in the comparison.
  const own = $derived(
    Object.entries(result?.figures ?? {}).filter(
      ([id, f]) => f.station === station && [undefined, result?.subject?.method].includes(methodOfFigure(id)),
    ),
  );
  const wanted = $derived(result?.stations[station].wanted ?? []);
</script>

<aside aria-label="Ledger" class="box p-3 text-[14px]">
  {#if desk().working !== null}
    <Working id={desk().working ?? ''} {goto} />
  {:else}
    <h2>Ledger</h2>
    <p class="mb-3 border-b border-rule pb-2" data-testid="standing-choice" aria-live="polite">
      {#if waits.length > 0}
        <span class="block text-caution">The choice waits for {waits.map(fieldName).join(', ')}.</span>
      {/if}
      {#if result?.choice}
        <span class="font-semibold {waits.length > 0 ? 'waiting' : ''}">{result.choice.motor.name}</span>, {words(
          result.choice.method,
        )}{result.choice.control.ratedCurrent ? `, ${result.choice.control.ratedCurrent} A` : ''}
      {:else}
        <span class="text-quiet">No motor is chosen yet.</span>
      {/if}
    </p>
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
    {#if wanted.length > 0}
      <p class="mb-3 text-quiet">
        Still wanted here:
        {#each wanted as path, i (path)}{i > 0 ? ', ' : ' '}<Button class="link" onclick={() => goto(path)}
            >{fieldName(path)}</Button
          >{/each}
      </p>
    {/if}
    <ul aria-label="Findings" data-testid="findings">
      {#each findings as finding (finding.id + finding.text)}
        <li class="mb-2 flex gap-2 {finding.station === station ? '' : 'opacity-100'}">
          <span class="mt-0.5"><Mark state={finding.level} /></span>
          <span>
            {finding.text}
            {#if finding.accepted}<span class="text-quiet">Let stand: {finding.accepted}</span>{/if}
            {#each finding.fields.slice(0, 2) as path (path)}
              <Button class="link ml-1 text-[13px]" data-goto={path} onclick={() => goto(path)}
                >→ {fieldName(path)}</Button
              >
            {/each}
          </span>
        </li>
      {/each}
    </ul>
    {#if findings.length === 0}<p class="text-quiet">No findings.</p>{/if}
    {#if own.length > 0}
      <h3 class="mt-3 mb-1 font-medium">Figures of this station</h3>
      {#each own as [id] (id)}
        <FigureLine {id} />
      {/each}
    {/if}
  {/if}
</aside>
