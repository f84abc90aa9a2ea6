<script lang="ts">
  import { Select, Table } from 'flowbite-svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import PlateText from './PlateText.svelte';
  import PlateView from './PlateView.svelte';

  const desk = useDesk();
  const replacement = $derived(desk().result?.replacement ?? null);
  const candidates = $derived(desk().result?.candidates ?? []);
  const stamped = $derived(desk().value('replacement.plate') !== undefined);
  const catalogue = $derived(String(desk().value('replacement.catalogue') ?? ''));
  let second = $state(false);
  const showPlate = $derived(stamped || second);
  const against = $derived(showPlate ? 'plate' : catalogue);
  const offered = $derived([
    { value: '', name: 'the standing choice' },
    { value: 'plate', name: 'a second plate' },
    ...(catalogue !== '' && !candidates.some((c) => c.motor.id === catalogue)
      ? [{ value: catalogue, name: catalogue }]
      : []),
    ...candidates.map((c) => ({ value: c.motor.id, name: c.motor.name })),
  ]);

  function choose(value: string): void {
    second = value === 'plate';
    desk().change('replacement', (draft) => {
      if (value === 'plate') return;
      if (value === '') Reflect.deleteProperty(draft, 'replacement');
      else Reflect.set(draft, 'replacement', { catalogue: value });
    });
  }
  const overall = {
    same: 'fits as it is',
    better: 'fits, and is better in places',
    unknown: 'fits as far as it is known',
    adaptable: 'can be adapted',
    impossible: 'cannot stand in its place as it is',
  } as const;
  const says = {
    same: ['=', 'the same'],
    better: ['+', 'better'],
    adaptable: ['~', 'can be adapted'],
    impossible: ['×', 'not possible'],
    unknown: ['?', 'not known'],
  } as const;
</script>

<div class="mb-3 max-w-[420px]">
  <label for="against" class="mb-0.5 block text-[13px] font-medium text-quiet">Old motor against</label>
  <Select
    id="against"
    classes={{ select: 'field py-[5px]!' }}
    placeholder=""
    data-path="replacement"
    items={offered}
    bind:value={() => against, choose}
  />
</div>
{#if showPlate}
  <PlateText base="replacement.plate" />
  <PlateView base="replacement.plate" title="Second plate" />
{/if}
{#if replacement}
  <p class="mt-3 mb-1" data-testid="likeness">
    <span class="font-semibold">{replacement.name}</span>: {overall[replacement.likeness]}, judged by its worst line.
  </p>
  <div class="overflow-x-auto">
    <Table class="dense" aria-label="Old motor against {replacement.name}" data-testid="replacement">
      <thead
        ><tr
          ><th><span class="sr-only">Likeness</span></th><th>Line</th><th>Old</th><th>New</th><th>What it means</th></tr
        ></thead
      >
      <tbody>
        {#each replacement.lines as l (l.item)}
          <tr data-likeness={l.likeness}>
            <td class="likeness {l.likeness}" title={says[l.likeness][1]}
              ><span aria-hidden="true">{says[l.likeness][0]}</span><span class="sr-only">{says[l.likeness][1]}</span
              ></td
            >
            <td class="font-medium">{l.item}</td>
            <td>{l.old}</td>
            <td>{l.new}</td>
            <td>{l.text}</td>
          </tr>
        {/each}
      </tbody>
    </Table>
  </div>
  <h3 class="mt-3 font-medium">What its speed makes of the load</h3>
  <Figures
    ids={[
      'replacement.oldSpeed',
      'replacement.newSpeed',
      'replacement.oldPower',
      'replacement.newPower',
      'replacement.powerRatio',
      'replacement.oldCurrent',
      'replacement.newCurrent',
    ]}
    empty="Needs speed and power of both, and the same number of poles."
  />
{:else}
  <p class="mt-2 text-quiet">
    Needs the old plate, and something to compare it with: a load, so that a motor is chosen, or a second plate.
  </p>
{/if}

<style>
  .likeness {
    font-weight: 600;
    font-size: 16px;
    text-align: center;
    width: 28px;
  }
  .same,
  .better {
    color: var(--pass);
  }
  .adaptable,
  .unknown {
    color: var(--caution);
  }
  .impossible {
    color: var(--stop);
  }
</style>
