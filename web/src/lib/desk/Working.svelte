<script lang="ts">
  import { Button, Table } from 'flowbite-svelte';
  import { useDesk } from './desk.svelte';
  import { cited, fieldName, figureName } from '$lib/ui/names';
  import { textOf } from '$lib/ui/reading.svelte';

  interface Props {
    id: string;
    goto: (path: string) => void;
  }
  let { id, goto }: Props = $props();
  const desk = useDesk();
  const figure = $derived(desk().figure(id));
  const dependents = $derived(
    Object.entries(desk().result?.figures ?? {}).filter(([, f]) => Object.values(f.inputs).includes(id)),
  );

  const typeset = import('$lib/generated/formulas.json').then((m): Record<string, string> => m.default);
</script>

<section aria-label="Working" data-testid="working">
  <div class="mb-2 flex items-baseline justify-between gap-2">
    <h2>Working</h2>
    <Button class="link" onclick={() => (desk().working = null)}>back to the ledger</Button>
  </div>
  {#if figure}
    <p class="font-medium">{figureName(id)}</p>
    <p class="mb-2 font-condensed text-[1.25rem] font-semibold">{figure.symbol} = {textOf(figure)}</p>
    {#if figure.formula === 'given'}
      <p class="mb-2 text-quiet">Given: stamped on the plate or typed.</p>
    {:else}
      {#await typeset}
        <p class="mb-2 font-condensed break-words">{figure.symbol} = {figure.formula}</p>
      {:then formulas}
        {@const math = formulas[figure.formula]}
        {#if math && !figure.formula.includes('read from')}
          <!-- MathML of our own laws, made when the application is built. -->
          <!-- eslint-disable-next-line svelte/no-at-html-tags -->
          <div class="mb-2 overflow-x-auto py-1 text-[1.05rem]" data-testid="formula">{@html math}</div>
        {/if}
        <p class="mb-2 font-condensed text-[13px] break-words text-quiet">{figure.symbol} = {figure.formula}</p>
      {/await}
    {/if}
    {#if Object.keys(figure.inputs).length > 0}
      <h3 class="mt-3 font-medium">Put in</h3>
      <Table class="dense mb-2">
        <tbody>
          {#each Object.entries(figure.inputs) as [symbol, input] (symbol)}
            {@const from = typeof input === 'string' ? desk().figure(input) : undefined}
            {@const origin = figure.origins[symbol]}
            <tr>
              <td>{symbol}</td>
              <td class="n">{from ? textOf(from) : (origin?.text ?? input)}</td>
              <td>
                {#if typeof input === 'string'}
                  <Button class="link" onclick={() => (desk().working = input)}>{figureName(input)}</Button>
                {:else if origin?.field}
                  {@const path = origin.field}
                  <Button class="link" onclick={() => goto(path)}>{fieldName(path)}</Button>
                {:else if origin?.source}
                  {cited(origin.source)}
                {/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </Table>
    {/if}
    {#each figure.assumed as a (a.field)}
      <p class="mb-1 text-caution">
        <span aria-hidden="true">▲ </span>Assumed: {fieldName(a.field)} = {a.value}, {a.why}.
      </p>
    {/each}
    {#if figure.estimate}
      <p class="mb-1 text-quiet">
        An estimate{figure.band ? `, between ${figure.band.map((b) => Number(b.toPrecision(3))).join(' and ')}` : ''}.
      </p>
    {/if}
    <h3 class="mt-3 font-medium">Source</h3>
    <p class="text-quiet">
      {cited(figure.source)} <span class="whitespace-nowrap">· {figure.source.kind.replaceAll('-', ' ')}</span>
    </p>
    {#if dependents.length > 0}
      <h3 class="mt-3 font-medium">What depends on it</h3>
      <ul>
        {#each dependents as [other] (other)}
          <li>
            <Button class="link" onclick={() => (desk().working = other)}>{figureName(other)}</Button>
          </li>
        {/each}
      </ul>
    {/if}
  {:else}
    <p class="text-quiet">{figureName(id)} is not worked out at the moment.</p>
  {/if}
</section>
