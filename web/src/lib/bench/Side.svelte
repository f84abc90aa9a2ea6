<script lang="ts">
  import type { BenchReading } from '@pilgrim/core/bench';

  interface Props {
    title: string;
    kind: 'throttle' | 'drive';
    reading: BenchReading;
    /** How far its flow has come, for what moves in the pipe. */
    moved: number;
    /** Its watts and amperes are asked first. */
    hidden: boolean;
    on: boolean;
  }
  let { title, kind, reading, moved, hidden, on }: Props = $props();
  const r = $derived(reading);
  const power = (w: number): string => (w >= 2000 ? `${(w / 1000).toFixed(2)} kW` : `${w.toFixed(w < 100 ? 1 : 0)} W`);
  const trips = {
    overload: 'Its overload relay tripped: it stays off until it is started again.',
    'phase-lost': 'The drive saw a lost line under load and tripped, before the motor was hurt.',
  };
  const facts = $derived([
    ['Current', hidden ? '?' : `${r.current.toFixed(r.current < 10 ? 2 : 1)} A`],
    ['Voltage', `${r.voltage.toFixed(0)} V`],
    ['Frequency', `${r.frequency.toFixed(1)} Hz`],
    ['Power factor', hidden ? '?' : r.powerFactor.toFixed(2)],
    ['Flow', `${(100 * r.flow).toFixed(0)} %`],
    ['Speed', `${r.speed.toFixed(0)} r/min`],
  ] as const);
</script>

<section class="box min-w-0 p-3" aria-label={title} data-testid="side-{kind}">
  <div class="flex items-baseline justify-between gap-2">
    <h2 class="m-0!">{title}</h2>
    <span class="font-condensed text-[26px] font-semibold tabular-nums" data-testid="watts-{kind}"
      >{hidden ? '?' : power(r.watts)}</span
    >
  </div>
  <svg viewBox="0 0 300 62" class="my-1 block w-full" aria-hidden="true">
    <!-- Motor, machine, pipe; the valve's vane turns with its opening. -->
    <rect x="4" y="14" width="62" height="34" rx="3" fill="none" stroke="var(--edge)" stroke-width="1.5" />
    {#each [14, 24, 34, 44, 54] as x (x)}<line x1={x} y1="14" x2={x} y2="48" stroke="var(--rule)" />{/each}
    <line x1="66" y1="31" x2="84" y2="31" stroke="var(--edge)" stroke-width="3" />
    <circle cx="104" cy="31" r="20" fill="none" stroke="var(--edge)" stroke-width="1.5" />
    <g transform="rotate({moved * 40} 104 31)">
      {#each [0, 60, 120] as a (a)}
        <line
          x1="104"
          y1="15"
          x2="104"
          y2="47"
          stroke="var(--series-1)"
          stroke-width="2"
          transform="rotate({a} 104 31)"
        />
      {/each}
    </g>
    <path d="M124 22 H296 M124 40 H296" stroke="var(--edge)" stroke-width="1.5" fill="none" />
    <line
      x1="126"
      y1="31"
      x2="296"
      y2="31"
      stroke="var(--series-1)"
      stroke-width={2 + 8 * Math.min(1, r.flow)}
      stroke-dasharray="10 14"
      stroke-dashoffset={-moved * 24}
      opacity={r.flow > 0.005 ? 0.55 : 0}
    />
    {#if kind === 'throttle'}
      <line
        x1="212"
        y1="22"
        x2="212"
        y2="40"
        stroke="var(--ink)"
        stroke-width="3"
        transform="rotate({90 * r.opening} 212 31)"
      />
      <circle cx="212" cy="31" r="2.5" fill="var(--ink)" />
    {/if}
  </svg>
  {#if r.tripped}
    <p class="text-stop" role="status"><span aria-hidden="true">■ </span>{trips[r.tripped]}</p>
  {:else}
    <p class="text-[13px] text-quiet">
      {!on
        ? 'Standing.'
        : kind === 'throttle'
          ? `On the line; its valve or damper is ${(100 * r.opening).toFixed(0)} % open.`
          : `${hidden ? '?' : power(r.motorWatts)} of it to the motor; nothing in the pipe.`}
    </p>
  {/if}
  <dl class="mt-1 grid grid-cols-3 gap-x-3 gap-y-1">
    {#each facts as [name, value] (name)}
      <div>
        <dt class="text-[12.5px] text-quiet">{name}</dt>
        <dd class="font-condensed text-[17px] font-semibold tabular-nums">{value}</dd>
      </div>
    {/each}
  </dl>
</section>
