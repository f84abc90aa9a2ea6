<script lang="ts">
  import { Button, Table } from 'flowbite-svelte';
  import type { Change, PoleOption } from '@pilgrim/core';
  import { writeQuantity, writeAmount } from '@pilgrim/core/quantity';
  import { words } from '$lib/ui/names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { otherPoles, wouldChange } from '$lib/solver';
  import Mark from '$lib/ui/Mark.svelte';
  import Fold from '$lib/ui/Fold.svelte';

  const desk = useDesk();
  const currency = $derived(String(desk().value('money.currency') ?? ''));
  let changes = $state.raw<readonly Change[] | null>(null);
  let changesOf = $state(-1);
  let asking = $state(false);
  let poles = $state.raw<readonly PoleOption[]>([]);
  let polesOpen = $state(false);
  const stale = $derived(changes !== null && changesOf !== desk().answers);

  async function ask(): Promise<void> {
    asking = true;
    const of = desk().answers;
    changes = await wouldChange($state.snapshot(desk().case));
    changesOf = of;
    asking = false;
  }
  $effect(() => {
    void desk().answers;
    if (polesOpen) void otherPoles().then((found) => (poles = found));
  });

  const names: Readonly<Record<Change['of'], string>> = {
    ambient: 'Ambient at the motor',
    load: 'Load',
    'static-head': 'Static share of the head',
    hours: 'Hours a year',
    'energy-price': 'Price of energy',
  };
  function shown(change: Change, value: number): string {
    switch (change.unit) {
      case 'degC':
        return writeQuantity(value, 'degC');
      case 'h':
        return `${Math.round(value).toLocaleString('en')} h`;
      case 'per kWh':
        return `${value.toPrecision(3)} per kWh`;
      case '1':
        return `${Math.round(value * 100)} %`;
    }
  }
</script>

<div class="mb-3">
  <Button class="push" disabled={asking || !desk().result?.choice} onclick={() => void ask()}
    >{asking ? 'Looking …' : changes ? 'Look again' : 'What would change it?'}</Button
  >
  <span role="status" class="ml-2 text-quiet">{stale ? 'The case was changed since.' : ''}</span>
  {#if changes && changes.length > 0}
    <Table class="dense mt-2 {stale ? 'opacity-60' : ''}" data-testid="changes">
      <thead><tr><th>If this alone were</th><th>Now</th><th>Lower</th><th>Higher</th></tr></thead>
      <tbody>
        {#each changes as c (c.of)}
          <tr>
            <th>{names[c.of]}</th>
            <td>{shown(c, c.now)}</td>
            <td
              >{c.below
                ? `from ${shown(c, c.below.at)} down: ${c.below.choice}`
                : `the same down to ${shown(c, Math.min(c.from, c.now))}`}</td
            >
            <td
              >{c.above
                ? `from ${shown(c, c.above.at)} up: ${c.above.choice}`
                : `the same up to ${shown(c, Math.max(c.to, c.now))}`}</td
            >
          </tr>
        {/each}
      </tbody>
    </Table>
  {:else if changes}
    <p class="text-quiet">There is no choice to change.</p>
  {/if}
</div>
<Fold bind:open={polesOpen} headClass="font-medium" title="The same machine on another number of poles">
  <p class="my-1 text-[13px] text-quiet">
    Driven speed and power stay; ratio and torque at the motor follow. More poles may let belts do what a gearbox does,
    and belts lose less.
  </p>
  {#if poles.length > 0}
    <div class="overflow-x-auto">
      <Table class="dense" data-testid="poles">
        <thead
          ><tr
            ><th class="n">Poles</th><th class="n">Motor speed</th><th class="n">Ratio</th><th class="n">Torque</th><th
              >Best motor</th
            ><th>Method</th><th>Frame</th><th class="n">Life-cycle</th></tr
          ></thead
        >
        <tbody>
          {#each poles as p (p.poles)}
            <tr class:font-semibold={p.here}>
              <td class="n">{p.poles}{p.here ? ' (now)' : ''}</td>
              <td class="n">{Math.round(p.motorSpeed)} r/min</td>
              <td class="n">{p.ratio.toPrecision(3)}</td>
              <td class="n">{writeQuantity(p.torque, 'N.m')}</td>
              <td
                ><span class="flex items-start gap-1"
                  ><Mark state={p.candidate.outcome} />{p.candidate.outcome === 'fail'
                    ? `none passes; nearest ${p.candidate.motor.name}`
                    : p.candidate.motor.name}</span
                ></td
              >
              <td>{words(p.candidate.method)}</td>
              <td>{p.candidate.motor.frame ?? '—'}</td>
              <td class="n">{writeAmount(p.candidate.cost.lifeCycle, currency)}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
  {/if}
</Fold>
