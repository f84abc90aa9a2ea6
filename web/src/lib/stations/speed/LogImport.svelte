<script lang="ts">
  import { Button, Input, Select, Table } from 'flowbite-svelte';
  import type { FlowControl } from '@pilgrim/core/vocabulary';
  import type { LogFile, LogQuestion } from '$lib/files/log';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt } from '$lib/desk/paths';
  import { readLogFile } from '$lib/solver';
  import Chart from '$lib/ui/Chart.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';
  import Fold from '$lib/ui/Fold.svelte';

  const desk = useDesk();
  let name = $state('');
  let bytes: Uint8Array | undefined;
  const kinds: { value: LogQuestion['kind']; name: string }[] = [
    { value: 'flow', name: 'flow' },
    { value: 'current', name: 'current' },
    { value: 'power', name: 'input power' },
  ];
  let kind = $state<LogQuestion['kind']>('flow');
  let full = $state('');
  let time = $state<number | undefined>(undefined);
  let value = $state<number | undefined>(undefined);
  let file = $state.raw<LogFile | null>(null);
  let taken = $state('');
  const largest = 60 * 1024 * 1024;

  const controls = ['outlet-damper', 'inlet-vane', 'throttle-valve', 'bypass', 'on-off', 'two-speed'] as const;
  const control = (): FlowControl => controls.find((c) => c === desk().value('speed.control')) ?? 'none';

  async function read(): Promise<void> {
    if (!bytes) return;
    const number = Number(full.replace(',', '.'));
    file = await readLogFile(bytes, {
      kind,
      control: control(),
      poles: desk().figure('plate.poles')?.value ?? 4,
      ...(full.trim() !== '' && number > 0 ? { full: number } : {}),
      ...(time === undefined ? {} : { time }),
      ...(value === undefined ? {} : { value }),
    });
  }

  async function pick(files: readonly File[]): Promise<void> {
    const [picked] = files;
    if (!picked) return;
    name = picked.name;
    taken = '';
    time = value = undefined;
    if (picked.size > largest) {
      file = {
        ok: false,
        message: 'It is larger than 60 MB: thin it out to a reading a second.',
        headings: [],
        time: 0,
        value: 1,
        rows: 0,
        bad: 0,
        errors: [],
        clock: null,
        profile: null,
      };
      return;
    }
    bytes = new Uint8Array(await picked.arrayBuffer());
    await read();
  }

  function take(): void {
    const rows = file?.profile?.rows;
    if (!rows) return;
    const profile = rows.map((r) => ({ hours: r.hours, flow: r.flow }));
    desk().change('', (draft) => putAt(draft, 'speed.profile', profile), `the log ${name}`);
    taken = `Taken from ${name}: ${rows.length} rows.`;
    file = null;
  }

  const days = (seconds: number): string => `${(seconds / 86400).toFixed(1)} days`;
  const shown = (value: number): string => Number(value.toPrecision(4)).toLocaleString('en');
  type Profile = NonNullable<LogFile['profile']>;
  /** Least and most over the time, broken where the log has gaps; the last piece first, for it bears the name. */
  function outlined(p: Profile) {
    const begin = p.outline[0]?.[0] ?? 0;
    const seen = p.gaps.filter((g) => g.to - g.from > p.span / 200);
    const pieces = [-Infinity, ...seen.map((g) => g.to)].map((from, i) => {
      const to = seen[i]?.from ?? Infinity;
      return p.outline.filter(([t]) => t >= from && t <= to);
    });
    const line = (piece: Profile['outline'], key: 1 | 2) =>
      piece.map((o): [number, number] => [(o[0] - begin) / 86400, o[key]]);
    return pieces
      .filter((piece) => piece.length > 0)
      .toReversed()
      .flatMap((piece, i) => [
        { name: 'logged', points: line(piece, 2), part: i > 0 },
        { name: 'least', points: line(piece, 1), muted: true, part: true },
      ]);
  }
  const clockWords = $derived.by(() => {
    const clock = file?.clock;
    if (!clock) return '';
    const hours = [
      clock.back > 0 && 'put back an hour in autumn',
      clock.forward > 0 && 'put forward an hour in spring',
    ].filter(Boolean);
    const said = hours.length > 0 ? `Its clock was ${hours.join(' and ')}: set straight.` : '';
    return `${said} ${clock.midnights > 0 ? `It ran past midnight ${clock.midnights} times.` : ''}`.trim();
  });
  const percent = (share: number): string => `${(share * 100).toFixed(0)} %`;
</script>

<div class="flex flex-wrap items-end gap-3">
  <FilePick
    label="Bring in a logger’s file"
    accept=".csv,text/csv,text/plain"
    testid="log"
    onpick={(files) => void pick(files)}
  />
  <label class="text-[13px]"
    >It logged
    <Select
      classes={{ select: 'field' }}
      placeholder=""
      items={kinds}
      bind:value={() => kind, (to) => ((kind = to), void read())}
    /></label
  >
  <label class="text-[13px]"
    >Value at the demand’s flow
    <Input
      class="field w-44!"
      inputmode="decimal"
      placeholder="the highest logged"
      bind:value={full}
      oninput={() => void read()}
    />
  </label>
  <p role="status" class="pb-1 text-quiet">{taken}</p>
</div>
{#if file}
  <div class="mt-2 rounded-[3px] bg-paper p-2" data-testid="log-told">
    {#if file.headings.length > 0}
      <div class="mb-1 flex flex-wrap gap-3 text-[13px]">
        <label
          >Time stands in
          <Select
            classes={{ select: 'field' }}
            placeholder=""
            items={file.headings.map((name, value) => ({ name, value }))}
            bind:value={() => file?.time, (to) => ((time = to), void read())}
          /></label
        >
        <label
          >The value in
          <Select
            classes={{ select: 'field' }}
            placeholder=""
            items={file.headings.map((name, value) => ({ name, value }))}
            bind:value={() => file?.value, (to) => ((value = to), void read())}
          /></label
        >
      </div>
    {/if}
    {#if file.profile}
      {@const p = file.profile}
      <p>
        {name}: {file.rows.toLocaleString('en')} readings over {days(p.span)}; full value {p.full}. The machine stood {percent(
          p.standing / p.covered,
        )} of the time. {p.gaps.length === 0
          ? 'No gaps.'
          : `${p.gaps.length} gap${p.gaps.length > 1 ? 's' : ''} of ${days(p.gaps.reduce((s, g) => s + g.to - g.from, 0))} in all count for nothing.`}
        {p.above > 0 ? `${p.above} readings are more than a fifth above the demand’s flow.` : ''}
      </p>
      <p>
        Highest {shown(p.peak.value)} after {days(p.peak.time - (p.outline[0]?.[0] ?? 0))}; {p.starts}
        {p.starts === 1 ? 'start' : 'starts'}; it idled {percent(p.idling / p.covered)} of the time.
        {p.drift === null || Math.abs(p.drift) < 0.03
          ? ''
          : `Running hardest it stood ${percent(Math.abs(p.drift))} ${p.drift > 0 ? 'higher' : 'lower'} at the end than at the beginning: wear, dirt, or another duty.`}
        {clockWords}
      </p>
      <div class="my-2">
        <Chart
          title="The log"
          x="days"
          y={file.headings[file.value] ?? 'value'}
          aside={80}
          height={200}
          series={outlined(p)}
          summary={`Highest ${shown(p.peak.value)}; every peak is drawn.`}
        />
      </div>
      <Table class="dense my-1 max-w-[320px]">
        <thead><tr><th class="n">Flow</th><th class="n">Hours a year</th></tr></thead>
        <tbody
          >{#each p.rows as r (r.flow)}<tr><td class="n">{percent(r.flow)}</td><td class="n">{r.hours}</td></tr
            >{/each}</tbody
        >
      </Table>
      <Button class="push" data-main onclick={take}>Take these hours</Button>
    {:else}
      <p class="flex items-center gap-2"><Mark state="fail" />{name}: {file.message}</p>
    {/if}
    {#if file.bad > 0}
      <Fold
        class="mt-1 text-[13px]"
        title={`${file.bad.toLocaleString('en')} lines could not be read and are left out`}
      >
        <ul>
          {#each file.errors as e (e.line)}<li>line {e.line}: {e.message}</li>{/each}
        </ul>
      </Fold>
    {/if}
  </div>
{/if}
