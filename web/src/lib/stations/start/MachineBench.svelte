<script lang="ts">
  import { Input, Table } from 'flowbite-svelte';
  import type { OperatingView } from '@pilgrim/core';
  import { readQuantity, writeNumber, writeQuantity } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { operatingPoint } from '$lib/solver';
  import Mark from '$lib/ui/Mark.svelte';

  const desk = useDesk();
  const machine = $derived(desk().result?.start?.machine);
  const value = (v: number, unit: string): string =>
    unit === '1' ? (v < 1 ? v.toFixed(3) : v.toFixed(2)) : writeQuantity(v, unit === 'W' ? 'W' : 'A', 'si');
  // Rounding leaves no minus on nought.
  const percent = (x: number): string => `${(Math.round(x * 1000) / 10 || 0).toFixed(1)} %`;

  // A working point of one's choosing: typed here, kept nowhere.
  let volts = $state('');
  let hertz = $state('');
  let load = $state('100');
  let view = $state.raw<OperatingView | null>(null);
  const asked = $derived.by(() => {
    if (!machine) return null;
    const number = (text: string, unit: 'voltage' | 'frequency', otherwise: number): number | null => {
      if (text.trim() === '') return otherwise;
      const read = readQuantity(unit, /[a-z]/i.test(text) ? text : `${text} ${unit === 'voltage' ? 'V' : 'Hz'}`);
      return read.ok && read.value.value > 0 ? read.value.value : null;
    };
    const U = number(volts, 'voltage', machine.voltage);
    const f = number(hertz, 'frequency', machine.frequency);
    const share = Number(load.replace(',', '.').replace('%', '')) / 100;
    return U !== null && f !== null && share > 0 && share < 20 ? { U, f, share } : null;
  });
  $effect(() => {
    void desk().answers;
    if (!asked) return;
    void operatingPoint(asked.U, asked.f, asked.share).then((v) => (view = v));
  });
</script>

{#if machine}
  <div class="grid gap-x-6 gap-y-3 lg:grid-cols-2">
    <div>
      <h3 class="font-medium">
        {machine.origin === 'fitted' ? 'How well its circuit meets the motor’s data' : 'Its circuit was given'}
      </h3>
      {#if machine.met.length > 0}
        <Table class="dense" data-testid="met">
          <thead><tr><th>Value</th><th class="n">Wanted</th><th class="n">Circuit</th><th class="n">Off</th></tr></thead
          >
          <tbody>
            {#each machine.met as m (m.label)}
              <tr>
                <td
                  ><span class="mr-1 inline-block align-[-2px]"><Mark state={m.met ? 'pass' : 'caution'} /></span
                  >{m.label}</td
                >
                <td class="n">{value(m.wanted, m.unit)}</td><td class="n">{value(m.got, m.unit)}</td>
                <td class="n">{percent(m.deviation)}</td>
              </tr>
            {/each}
          </tbody>
        </Table>
      {/if}
      {#if machine.reason}<p class="text-[13px]">{machine.reason}</p>{/if}
    </div>
    <div>
      <h3 class="font-medium">
        At part load, {writeQuantity(machine.voltage, 'V')}, {writeQuantity(machine.frequency, 'Hz')}
      </h3>
      <Table class="dense">
        <thead
          ><tr
            ><th class="n">Load</th><th class="n">r/min</th><th class="n">A</th><th class="n">cos φ</th><th class="n"
              >Efficiency</th
            ></tr
          ></thead
        >
        <tbody>
          {#each machine.partLoad as p (p.load)}
            <tr>
              <td class="n">{(p.load * 100).toFixed(0)} %</td><td class="n">{Math.round(p.speed)}</td>
              <td class="n">{writeNumber(p.current)}</td><td class="n">{p.powerFactor.toFixed(2)}</td>
              <td class="n">{percent(p.efficiency)}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
    <div>
      <h3 class="font-medium">Circuit, a phase of the star equivalent</h3>
      <Table class="dense">
        <tbody>
          {#each machine.parameters as p (p.symbol)}
            <tr><td>{p.symbol}</td><td>{p.label}</td><td class="n">{p.text}</td></tr>
          {/each}
        </tbody>
      </Table>
    </div>
    <div>
      <h3 class="font-medium">Losses at rating</h3>
      <Table class="dense">
        <tbody>
          {#each machine.losses as l (l.label)}
            <tr><td>{l.label}</td><td class="n">{writeQuantity(l.value, 'W', 'si')}</td></tr>
          {/each}
        </tbody>
      </Table>
      {#each machine.assumed as a (a)}<p class="mt-1 text-[13px] text-quiet">Assumed: {a}.</p>{/each}
    </div>
  </div>
  <div class="mt-3 border-t border-rule pt-2" data-testid="operate">
    <h3 class="font-medium">Any working point</h3>
    <div class="flex flex-wrap items-end gap-3">
      <label class="text-[13px] text-quiet"
        >Voltage<Input
          class="field w-28!"
          bind:value={volts}
          placeholder={writeQuantity(machine.voltage, 'V')}
        /></label
      >
      <label class="text-[13px] text-quiet"
        >Frequency<Input
          class="field w-28!"
          bind:value={hertz}
          placeholder={writeQuantity(machine.frequency, 'Hz')}
        /></label
      >
      <label class="text-[13px] text-quiet">Torque, % of rated<Input class="field w-28!" bind:value={load} /></label>
    </div>
    <p class="mt-1 min-h-[44px] text-[14px]" role="status">
      {#if !asked}<span class="text-stop"
          >▲ Write a voltage, a frequency and a torque above zero, such as 380 V, 50 Hz, 75.</span
        >
      {:else if view && !view.at}Breakdown torque is not enough there: it would stall.
      {:else if view?.at}
        {@const p = view.at}
        {Math.round(p.speed)} r/min (slip {percent(p.slip)}), {writeQuantity(p.current, 'A')}, cos φ {p.powerFactor.toFixed(
          2,
        )}, shaft {writeQuantity(p.output, 'W')}, input {writeQuantity(p.input, 'W')}, efficiency {percent(
          p.efficiency,
        )}.
        {#if view.best && view.best.input < p.input * 0.999}Least input at {writeQuantity(view.best.voltage, 'V')}: {writeQuantity(
            view.best.input,
            'W',
          )}, as a drive’s energy-saving mode would find.{/if}
      {/if}
    </p>
  </div>
{/if}
