<script lang="ts">
  import { Alert, Button, Input, Label, Range, Select, Table } from 'flowbite-svelte';
  import { onMount } from 'svelte';
  import type { physics } from '@pilgrim/core';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import LiveCharts from './LiveCharts.svelte';
  import { LiveDrive } from './liveDrive.svelte';
  import { faultWords, lineWords, linkWords, spoils, stateWords, well } from './liveWords';

  interface Props {
    position: string;
  }
  let { position }: Props = $props();
  const desk = useDesk();
  // The page makes this part anew for another position.
  // svelte-ignore state_referenced_locally
  const live = new LiveDrive(position);
  onMount(() => {
    void live.look();
    return () => live.leave();
  });

  const told = $derived(live.told);
  const now = $derived(told?.rows.findLast((r) => r !== null) ?? null);
  /** A field cannot be read: the table that stands is of before. */
  const waits = $derived((desk().waiting.get('drive') ?? []).length > 0);
  const table = $derived(
    waits
      ? []
      : (desk().result?.drive?.settings ?? []).flatMap(({ id, number }) => (number === null ? [] : [{ id, number }])),
  );
  /** What it holds otherwise than the table says, by name. */
  const differs = $derived.by(() => {
    const { held } = live;
    if (!held) return [];
    return (desk().result?.drive?.settings ?? []).filter(
      ({ id, number }) =>
        number !== null && Math.abs((held[id] ?? NaN) - number) > 1e-3 * Math.max(1, Math.abs(number)),
    );
  });
  const able = $derived(told?.link === 'up' && told.writes && !live.busy);
  const watched = $derived(desk().result?.drive?.settings.some((s) => s.id === 'link-lost') === true);

  let address = $state('');
  /** Why the address was not taken. */
  let refused = $state('');
  let asking = $state(false);
  let share = $state(100);
  let source = $state<'network' | 'analogue'>('network');
  let spoil = $state('');

  async function start(): Promise<void> {
    spoil = '';
    refused = '';
    await live.open({ case: desk().case });
  }
  async function commission(): Promise<void> {
    await live.order({ do: 'reference', share: share / 100 });
    await live.order({ do: 'program', table });
  }
  async function run(): Promise<void> {
    await live.order({ do: 'reference', share: share / 100 });
    await live.order({ do: 'run' });
  }
  function provoke(kind: string): void {
    spoil = kind;
    const change: Partial<physics.DriveSpoiling> = spoils.find(([id]) => id === kind)?.[2] ?? {};
    void live.order({ do: 'spoil', change: { ...well, ...change } });
  }
  async function allow(): Promise<void> {
    if (told && (await live.order({ do: 'allow', address: told.address }))) asking = false;
  }
  const write = (value: number, digits = 3): string =>
    Math.abs(value) < 5e-4 ? '0' : String(Number(value.toPrecision(digits))).replace('-', '−');
  const facts = $derived<readonly (readonly [string, string])[]>(
    now
      ? [
          ['Frequency', `${write(now.frequency)} Hz`],
          ['Speed', `${Math.round(now.speed)} r/min`],
          ['Motor current', `${write(now.current)} A`],
          ['Voltage', `${write(now.voltage)} V`],
          ['Torque', `${write(now.torque)} N·m`],
          ['DC bus', `${Math.round(now.bus)} V`],
          ['From the supply', `${write(now.input / 1000)} kW`],
          ['To the motor’s overload trip', `${Math.round(100 * now.motorHeat)} %`],
        ]
      : [],
  );
</script>

<p class="min-h-5 text-stop" role="status" data-testid="drive-message">{refused ? '' : live.message}</p>
{#if !told}
  <p class="mb-2">
    <Button class="push" disabled={live.busy || table.length === 0} onclick={() => void start()}
      >Start a stand-in</Button
    >
    {#if table.length === 0}<span class="ml-2 text-quiet"
        >{waits ? 'It waits for what cannot be read.' : 'A motor, a load and a supply give it.'}</span
      >{/if}
  </p>
  <Fold title="Read a drive that is there">
    <form
      class="flex flex-wrap items-end gap-3"
      onsubmit={(e) => {
        e.preventDefault();
        void live.open({ address }).then(() => (refused = live.told ? '' : live.message));
      }}
    >
      <Label class="block">
        Address
        <Input
          class="field mt-1"
          bind:value={address}
          placeholder="10.0.0.5:502"
          data-testid="drive-address"
          aria-invalid={refused !== '' || undefined}
          aria-describedby={refused ? 'drive-address-refused' : undefined}
        />
      </Label>
      {#if refused}<p id="drive-address-refused" class="w-full text-stop">{refused}</p>{/if}
      <Button class="push" type="submit" disabled={address.trim() === '' || live.busy}>Read it</Button>
    </form>
    <p class="mt-2 text-quiet">
      Over Modbus TCP, by the registers of docs/stand-in-drive.md. It is only read until you allow more.
    </p>
  </Fold>
{:else}
  <p class="mb-2 flex flex-wrap items-baseline gap-x-4" data-testid="drive-state">
    <span class="font-semibold">{told.standIn ? 'Stand-in' : 'Drive'} at {told.address}</span>
    <span>{linkWords[told.link]}</span>
    {#if now}
      <span class={now.state === 'tripped' ? 'font-semibold text-stop' : 'font-semibold'}
        >{stateWords[now.state]}{now.fault === 'none' ? '' : `: ${faultWords[now.fault]}`}{told.link === 'up'
          ? ''
          : ' (as last read)'}</span
      >
    {/if}
  </p>
  {#if !told.standIn && !told.writes}
    {#if asking}
      <Alert color="yellow" class="mb-2">
        <p>
          What is written starts, stops and sets the drive at {told.address}. Is the machine clear, and does whoever
          minds it know?
        </p>
        <p class="mt-2 flex flex-wrap gap-3">
          <Button class="push" onclick={() => void allow()}>Write to {told.address}</Button>
          <Button class="push" onclick={() => (asking = false)}>Leave it off</Button>
        </p>
      </Alert>
    {:else}
      <p class="mb-2">
        Only read. <Button class="link" onclick={() => (asking = true)}>Allow writing to {told.address}</Button>
      </p>
    {/if}
  {/if}
  <div class="mb-3 flex flex-wrap gap-3" role="group" aria-label="Orders">
    <Button class="push" disabled={!able || table.length === 0} onclick={() => void commission()}>Send the table</Button
    >
    <Button class="push" disabled={!able || now?.state === 'not-programmed'} onclick={() => void run()}>Run</Button>
    <Button class="push" disabled={!able} onclick={() => void live.order({ do: 'stop' })}>Stop</Button>
    <Button class="push" disabled={!able || now?.state !== 'tripped'} onclick={() => void live.order({ do: 'reset' })}
      >Reset</Button
    >
    {#if told.link === 'cut'}
      <Button class="push" onclick={() => void live.order({ do: 'join' })}>Join the link</Button>
    {:else}
      <Button class="push" onclick={() => void live.order({ do: 'cut' })}>Cut the link</Button>
    {/if}
    <Button class="push" onclick={() => void live.drop()}>Let it go</Button>
  </div>
  {#if live.held}
    <p class="mb-2" data-testid="drive-held">
      {#if differs.length > 0}Set otherwise than the table: {differs.map((s) => s.name).join(', ')}. Send it again.
      {:else}It holds the table: {Object.keys(live.held).length} settings, read back.{/if}
      {#if !watched}Its link watch is not in the table: with the link gone it runs on.{/if}
    </p>
  {/if}
  <div class="mb-3 grid items-end gap-3 sm:grid-cols-3">
    <label class="block"
      >Reference, {share} % of its range
      <Range
        min={0}
        max={100}
        step={1}
        bind:value={
          () => share,
          (to) => {
            share = Number(to);
          }
        }
        onchange={() => void live.order({ do: 'reference', share: share / 100 })}
        disabled={!able}
        aria-label="Reference"
        aria-valuetext="{share} % of its range"
        data-testid="drive-reference"
      />
    </label>
    <Label class="block">
      Reference comes by
      <Select
        classes={{ select: 'field mt-1 py-[5px]!' }}
        placeholder=""
        items={[
          { value: 'network', name: 'the network' },
          { value: 'analogue', name: 'the analogue input' },
        ]}
        disabled={!able}
        bind:value={
          () => source,
          (to) => {
            source = to;
            void live.order({ do: 'source', kind: to });
          }
        }
      />
    </Label>
    {#if told.standIn}
      <Label class="block">
        Done to it
        <Select
          classes={{ select: 'field mt-1 py-[5px]!' }}
          placeholder=""
          items={[{ value: '', name: 'nothing: all is well' }, ...spoils.map(([value, name]) => ({ value, name }))]}
          disabled={!able}
          data-testid="drive-spoil"
          bind:value={() => spoil, provoke}
        />
      </Label>
    {/if}
  </div>
  {#if facts.length > 0}
    <dl class="mb-3 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4" data-testid="drive-readings">
      {#each facts as [name, value] (name)}
        <div>
          <dt class="text-[13px] text-quiet">{name}</dt>
          <dd class="font-semibold tabular-nums">{value}</dd>
        </div>
      {/each}
    </dl>
    <LiveCharts {told} curves={desk().result?.curves.drive ?? null} />
  {/if}
  <div class="mt-3 max-h-64 overflow-y-auto" tabindex="-1">
    <Table class="dense" data-testid="drive-log">
      <caption class="sr-only">What happened, newest first</caption>
      <thead><tr><th class="n">At, s</th><th>What happened</th></tr></thead>
      <tbody>
        {#each told.lines.toReversed() as line, i (told.lines.length - i)}
          <tr><td class="n">{line.time.toFixed(1)}</td><td>{lineWords(line)}</td></tr>
        {/each}
      </tbody>
    </Table>
  </div>
{/if}
