<script lang="ts">
  import type { ComponentProps } from 'svelte';
  import Chart from '$lib/ui/Chart.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { words } from '$lib/ui/names';

  /** The standing choice as a picture: its torque over speed as it is started, the load, where they meet, and what heat leaves of it. */
  const desk = useDesk();
  const result = $derived(desk().result);
  const start = $derived(result?.curves.start);
  const own = $derived(start?.methods.find((m) => m.method === result?.choice?.method));
  const value = (id: string): number | undefined => result?.figures[id]?.value;
  const series = $derived.by((): ComponentProps<typeof Chart>['series'] => {
    if (!start || !own) return [];
    const top = Math.max(...own.speed);
    const left =
      (value('choice.loading') ?? 0) > 0
        ? (value('point.shaftPower') ?? 0) / (value('choice.loading') ?? 1)
        : undefined;
    const rated = left === undefined ? undefined : left / (((value('choice.ratedSpeed') ?? 1) * Math.PI) / 30);
    const [n, power] = [value('point.motorSpeed'), value('point.shaftPower')];
    const meet = n && power ? power / ((n * Math.PI) / 30) : undefined;
    return [
      { name: `motor, ${words(own.method)}`, points: own.speed.map((s, i) => [s, own.torque[i] ?? 0] as const) },
      { name: 'load', points: start.loadSpeed },
      ...(rated === undefined
        ? []
        : [
            {
              name: 'left of its rating',
              points: [
                [0, rated],
                [top, rated],
              ] as const,
              dashed: true,
            },
          ]),
      ...(n && meet
        ? [
            {
              name: 'meets here',
              points: [
                [n, 0],
                [n, meet],
              ] as const,
              dashed: true,
              labelBelow: true,
            },
          ]
        : []),
    ];
  });
</script>

{#if series.length > 0}
  <div class="mb-4" data-testid="choice-picture">
    <Chart
      title="Torque against speed"
      x="Speed at the motor, r/min"
      y="Torque, N·m"
      {series}
      summary="The motor meets the load at {result?.figures['point.motorSpeed']?.text ?? 'no speed'}; breakdown {result
        ?.figures['choice.breakdownTorque']?.text ?? 'not told'}."
    />
  </div>
{/if}
