<script lang="ts">
  import type { ComponentProps } from 'svelte';
  import Chart from '$lib/ui/Chart.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';

  /** What the motor may carry, how pulses grow along the cable, and what is drawn from the supply. */
  interface Props {
    of: 'envelope' | 'pulses' | 'input' | 'stop';
  }
  let { of }: Props = $props();
  const desk = useDesk();
  const curves = $derived(desk().result?.curves.drive ?? null);
  const text = (id: string): string => desk().result?.figures[id]?.text ?? 'not told';

  type Series = ComponentProps<typeof Chart>['series'];
  const envelope = $derived.by((): Series => {
    const e = curves?.envelope;
    if (!e) return [];
    return [
      { name: 'for good', points: e.continuous },
      { name: 'load', points: e.load },
      { name: 'for a minute', points: e.minute, dashed: true },
      ...(e.ratio === null
        ? []
        : [
            {
              name: 'by its plate',
              points: [
                [e.ratio, 0],
                [e.ratio, Math.max(...e.minute.map(([, torque]) => torque))],
              ] as const,
              dashed: true,
              labelBelow: true,
            },
          ]),
    ];
  });
  const pulses = $derived.by((): Series => {
    const p = curves?.pulses;
    const last = p?.bare.at(-1)?.[0];
    if (!p || last === undefined) return [];
    return [
      { name: 'bare cable', points: p.bare },
      {
        name: 'the winding bears',
        points: [
          [0, p.permitted],
          [last, p.permitted],
        ],
        dashed: true,
      },
      ...(p.filtered ? [{ name: 'behind the filter', points: p.filtered }] : []),
      ...(p.length === null
        ? []
        : [
            {
              name: 'this cable',
              points: [
                [p.length, 0],
                [p.length, p.permitted],
              ] as const,
              dashed: true,
              labelBelow: true,
            },
          ]),
    ];
  });
</script>

{#if of === 'envelope' && curves?.envelope}
  <Chart
    title="Torque on the drive"
    x="Speed at the motor, r/min"
    y="Torque, N·m"
    series={envelope}
    summary="The load is carried from {text('drive.minSpeed')} up; it is asked from {curves.envelope.least} to {curves
      .envelope.most} r/min."
  />
{:else if of === 'pulses' && curves?.pulses}
  <Chart
    title="Crest of pulses along the cable"
    x="Cable, m"
    y="At the motor, V"
    series={pulses}
    summary="Pulses double beyond {text('drive.criticalLength')}; at this cable {text(
      'drive.peakVoltage',
    )}, the winding bears {text('drive.peakPermitted')}."
  />
{:else if of === 'stop' && curves?.stop}
  {@const { speed, bus, resistor, trip, fault } = curves.stop}
  {@const end = speed.at(-1)?.[0] ?? 0}
  <Chart
    title="The stop, as it is programmed"
    x="Since the order, s"
    y="Motor, r/min"
    series={[{ name: fault === 'none' ? 'on the drive' : 'it trips', points: speed }]}
    summary={fault === 'none' ? `It stands after ${end} s.` : `Its bus trips: ${fault}.`}
    height={220}
  />
  {#if bus.some(([, v]) => v > 1.02 * (bus[0]?.[1] ?? 0))}
    <Chart
      title="What comes back meanwhile"
      x="Since the order, s"
      y="DC bus, V"
      series={[
        { name: 'its bus', points: bus },
        {
          name: 'it trips',
          points: [
            [0, trip],
            [end, trip],
          ],
          dashed: true,
        },
      ]}
      summary="The resistor takes {Math.round(Math.max(...resistor.map(([, p]) => p)))} W at most."
      height={220}
    />
  {/if}
{:else if of === 'input' && curves?.waveform && curves.spectrum}
  <Chart
    title="Current from the supply"
    x="Angle of the line, °"
    y="One line, A"
    series={[{ name: 'one line', points: curves.waveform }]}
    summary="{text('drive.inputCurrent')} with a distortion of {text('drive.currentDistortion')}."
    height={220}
  />
  <Chart
    title="Its harmonics"
    x="Order"
    y="Current, A"
    series={[{ name: 'harmonic', points: curves.spectrum, bars: true }]}
    summary={curves.spectrum
      .slice(0, 4)
      .map(([order, current]) => `${order}th: ${current} A`)
      .join(', ')}
    height={220}
  />
{/if}
