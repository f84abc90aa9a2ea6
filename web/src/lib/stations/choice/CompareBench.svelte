<script lang="ts">
  import { writeAmount } from '@pilgrim/core/quantity';
  import { Button, Table } from 'flowbite-svelte';
  import { stockText, type Candidate } from '@pilgrim/core';
  import { markOf, markOfAll, words } from '$lib/ui/names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { explained } from '$lib/solver';
  import Mark from '$lib/ui/Mark.svelte';

  interface Props {
    ids: readonly string[];
    drop: (id: string) => void;
  }
  let { ids, drop }: Props = $props();
  const desk = useDesk();
  const currency = $derived(String(desk().value('money.currency') ?? ''));
  let list = $state.raw<readonly Candidate[]>([]);
  $effect(() => {
    void desk().answers;
    void explained(ids).then((found) => (list = found));
  });

  const lines: readonly (readonly [string, (c: Candidate) => string])[] = [
    ['Power', (c) => c.motor.power],
    ['Method', (c) => words(c.method)],
    ['Speed', (c) => c.motor.speed],
    ['Current', (c) => `${c.motor.current} at ${c.motor.voltage}`],
    ['Efficiency', (c) => `${(c.motor.efficiency * 100).toFixed(1)} %`],
    ['Frame', (c) => c.motor.frame ?? 'not standardised'],
    ['Enclosure', (c) => c.motor.enclosure],
    ['Made of', (c) => words(c.motor.construction)],
    ['Design', (c) => c.motor.designLetter],
    ['Service factor', (c) => String(c.motor.serviceFactor)],
    ['Mass', (c) => `${c.motor.mass} kg`],
    ['Sound', (c) => `${c.motor.sound} dB(A)`],
    ['Drive or starter', (c) => `${c.control.name}${c.control.ratedCurrent ? `, ${c.control.ratedCurrent} A` : ''}`],
    ['Price index', (c) => c.cost.priceIndex.toLocaleString('en')],
    ['Life-cycle cost', (c) => writeAmount(c.cost.lifeCycle, currency)],
    ['Own shelf', (c) => (c.motor.stock ? stockText(c.motor.stock) : '—')],
  ];
  const asked = $derived([...new Set(list.flatMap((c) => c.verdicts.map((v) => v.requirement)))]);
  const differs = (of: (c: Candidate) => string): boolean => new Set(list.map(of)).size > 1;
  const outcomeOf = (c: Candidate, requirement: string): string =>
    c.verdicts.find((v) => v.requirement === requirement)?.outcome ?? 'none';
</script>

{#if list.length === 0}
  <p class="text-quiet">Lay up to four motors side by side: press “compare” on their lines above.</p>
{:else}
  <div class="overflow-x-auto">
    <Table class="dense" data-testid="compared">
      <thead>
        <tr>
          <th>Differences are marked ◆</th>
          {#each list as c (c.motor.id + c.method)}
            <th class="min-w-36"
              ><span class="flex items-start gap-1 text-ink"
                ><Mark state={markOfAll(c.outcome, c.verdicts)} />{c.motor.name}</span
              >
              <Button class="link font-normal" aria-label="Take {c.motor.name} away" onclick={() => drop(c.motor.id)}
                >take away</Button
              ></th
            >
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each lines as [name, of] (name)}
          {@const other = differs(of)}
          <tr class:font-semibold={other} data-differs={other}>
            <th class="whitespace-nowrap">{other ? '◆ ' : ''}{name}</th>
            {#each list as c (c.motor.id + c.method)}<td>{of(c)}</td>{/each}
          </tr>
        {/each}
        {#each asked as requirement (requirement)}
          {@const other = differs((c) => outcomeOf(c, requirement))}
          <tr data-differs={other}>
            <th class="whitespace-nowrap">{other ? '◆ ' : ''}{words(requirement)}</th>
            {#each list as c (c.motor.id + c.method)}
              {@const v = c.verdicts.find((x) => x.requirement === requirement)}
              <td
                >{#if v}<span class="flex items-start gap-1"
                    ><Mark state={markOf(v)} /><span
                      >{v.text}{v.waived != null ? ` Not counted: ${v.waived}.` : ''}</span
                    ></span
                  >{:else}—{/if}</td
              >
            {/each}
          </tr>
        {/each}
        <tr>
          <th>Would be admitted with</th>
          {#each list as c (c.motor.id + c.method)}<td>{c.change ?? 'nothing to change'}</td>{/each}
        </tr>
      </tbody>
    </Table>
  </div>
{/if}
