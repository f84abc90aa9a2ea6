<script lang="ts">
  import { format } from 'date-fns/format';
  import { Button, Input, Label, Select } from 'flowbite-svelte';
  import { onMount } from 'svelte';
  import { meterRecord, orderMeter, recordAsCsv, recordedMeter, type Answer } from '$lib/api';
  import type { MeterRecord, MeterTold } from '$lib/api/meters';
  import { saveFile } from '$lib/files/save';
  import Chart from '$lib/ui/Chart.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import { linkWords } from './liveWords';

  let { position }: { position: string } = $props();
  let told = $state.raw<MeterTold | null>(null);
  let record = $state.raw<MeterRecord | null>(null);
  let message = $state('');
  let busy = $state(false);
  let address = $state('');
  /** Minutes looked back at. */
  let span = $state(15);
  const spans = [
    { value: 2, name: 'two minutes' },
    { value: 15, name: 'a quarter of an hour' },
    { value: 60, name: 'an hour' },
    { value: 360, name: 'six hours' },
    { value: 1440, name: 'a day' },
    { value: 10_080, name: 'a week' },
    { value: 129_600, name: 'ninety days' },
    { value: 5_256_000, name: 'all of it' },
  ];

  // Looked at once a second while the page is seen; the recording goes on without it.
  onMount(() => {
    let left = false;
    const look = async (): Promise<void> => {
      if (left) return;
      if (!document.hidden) {
        const answer = await recordedMeter(position);
        if (answer.ok) told = answer.value;
        await draw();
      }
      setTimeout(() => void look(), told ? 1000 : 5000);
    };
    void look();
    return () => (left = true);
  });
  let drawnAt = 0;
  /** A short span is drawn anew each second, a long one as often as it can change. */
  async function draw(now = false): Promise<void> {
    if (!now && Date.now() - drawnAt < Math.min(60_000, 60 * span)) return;
    drawnAt = Date.now();
    const answer = await meterRecord(position, new Date(Date.now() - 60_000 * span));
    if (answer.ok) record = answer.value;
  }
  const said = <T,>(answer: Answer<T>): string =>
    answer.ok
      ? ''
      : [answer.problem.title, ...(answer.problem.errors ?? []).map((e) => e.message)].filter(Boolean).join('. ');
  async function order(what: Parameters<typeof orderMeter>[1]): Promise<void> {
    busy = true;
    const answer = await orderMeter(position, what);
    busy = false;
    message = said(answer);
    if (answer.ok) told = answer.value;
    await draw(true);
  }
  async function save(): Promise<void> {
    const file = await recordAsCsv(position);
    if (file) saveFile('meter.csv', file);
    else message = 'The server did not answer.';
  }

  const write = (value: number): string => String(Number(value.toPrecision(4))).replace('-', '−');
  const last = $derived(told?.last ?? null);
  const facts = $derived<readonly (readonly [string, string])[]>(
    last
      ? [
          ['Power', `${write(last.power / 1000)} kW`],
          ['Current', `${[last.current1, last.current2, last.current3].map(write).join(' · ')} A`],
          ['Voltage', `${[last.voltage12, last.voltage23, last.voltage31].map(write).join(' · ')} V`],
          ['Power factor', write(last.powerFactor)],
          ['Distortion of the current', `${write(100 * last.distortion)} %`],
          ['Energy since it was fitted', `${write(last.energy)} kWh`],
        ]
      : [],
  );
  const unit = $derived(span <= 120 ? ('min' as const) : span <= 4320 ? ('h' as const) : ('days' as const));
  const per = { min: 60_000, h: 3_600_000, days: 86_400_000 };
  /** Least and most, broken where nothing was recorded; time is counted back from the newest. */
  const lines = $derived.by(() => {
    const rows = record?.rows ?? [];
    const end = rows.at(-1)?.[0] ?? 0;
    const edges = [-Infinity, ...(record?.gaps ?? []).map((g) => g.to), Infinity];
    const pieces = edges.slice(1).map((to, i) => rows.filter(([at]) => at >= (edges[i] ?? 0) && at < to));
    const line = (piece: typeof rows, key: 1 | 2 | 3) =>
      piece.map((r): [number, number] => [(r[0] - end) / per[unit], r[key] / 1000]);
    const banded = (record?.step ?? 1) > 1;
    return pieces
      .filter((p) => p.length > 0)
      .toReversed()
      .flatMap((piece, i) => [
        { name: 'mean', points: line(piece, 2), part: i > 0 },
        ...(banded
          ? [
              { name: 'most', points: line(piece, 3), muted: true, part: true },
              { name: 'least', points: line(piece, 1), muted: true, part: true },
            ]
          : []),
      ]);
  });
  const clock = (ms: number): string => format(new Date(ms), span > 1440 ? 'd MMM HH:mm' : 'HH:mm:ss');
</script>

<p class="min-h-5 text-stop" role="status" data-testid="meter-message">{message}</p>
{#if told}
  <p class="mb-2 flex flex-wrap items-baseline gap-x-4" data-testid="meter-state">
    <span class="font-semibold">{told.standIn ? 'The stand-in’s meter' : 'Meter'} at {told.address}</span>
    <span>{linkWords[told.link]}</span>
    <span>recorded since {clock(Date.parse(told.since))}, {told.kept.toLocaleString('en')} readings</span>
    <Button class="push" disabled={busy} onclick={() => void order({ do: 'stop' })}>End the recording</Button>
  </p>
  <dl class="grid gap-x-6 sm:grid-cols-2" data-testid="meter-shows">
    {#each facts as [name, value] (name)}
      <div class="flex justify-between gap-3 border-b border-rule py-0.5">
        <dt class="text-quiet">{name}</dt>
        <dd class="font-condensed font-semibold whitespace-nowrap">{value}</dd>
      </div>
    {/each}
  </dl>
{:else}
  <p class="mb-2">
    <Button class="push" disabled={busy} onclick={() => void order({ do: 'record' })}
      >Record the stand-in’s meter</Button
    >
    <span class="ml-2 text-quiet"
      >Once a second, on the server, until you end it; it goes on with this page closed.</span
    >
  </p>
  <Fold title="Record a meter that is there">
    <form
      class="flex flex-wrap items-end gap-3"
      onsubmit={(e) => {
        e.preventDefault();
        void order({ do: 'record', address });
      }}
    >
      <Label class="block">
        Address
        <Input class="field mt-1" bind:value={address} placeholder="10.0.0.6:502" data-testid="meter-address" />
      </Label>
      <Button class="push" type="submit" disabled={address.trim() === '' || busy}>Record it</Button>
    </form>
    <p class="mt-2 text-quiet">Over Modbus TCP, by the registers of docs/power-meter.md. It is only read.</p>
  </Fold>
{/if}
{#if record && (record.rows.length > 0 || told)}
  <div class="my-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
    <label class="flex items-center gap-2 whitespace-nowrap"
      >The last
      <Select
        classes={{ select: 'field w-48!' }}
        placeholder=""
        items={spans}
        data-testid="meter-span"
        bind:value={() => span, (to) => ((span = Number(to)), void draw(true))}
      /></label
    >
    <span data-testid="meter-sum"
      >{record.rows.length === 0
        ? 'Nothing recorded in it.'
        : `${write(record.energy)} kWh recorded; from ${record.of}, each point ${record.step < 60 ? `${record.step} s` : record.step < 3600 ? `${record.step / 60} min` : `${record.step / 3600} h`}.`}</span
    >
    <Button class="link" onclick={() => void save()}>All as a logger’s file (CSV)</Button>
  </div>
  {#if record.gaps.length > 0}
    <p class="text-[13px] text-caution" data-testid="meter-gaps">
      <span aria-hidden="true">▲ </span>{record.gaps.length === 1 ? 'A gap' : `${record.gaps.length} gaps`} where nothing
      was recorded: {record.gaps
        .slice(-3)
        .map((g) => `${clock(g.from)} to ${clock(g.to)}`)
        .join(', ')}. They count for nothing.
    </p>
  {/if}
  {#if record.rows.length > 1}
    <Chart
      title="Power at the meter"
      x="{unit} before the newest"
      y="kW"
      aside={70}
      height={220}
      series={lines}
      summary="{record.rows.length} points, {record.gaps.length} gaps"
    />
  {/if}
{/if}
