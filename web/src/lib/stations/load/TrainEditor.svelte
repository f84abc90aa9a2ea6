<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt, type Json } from '$lib/desk/paths';
  import { brakes, rotations, trains } from '$lib/ui/options';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import Rows from '$lib/ui/Rows.svelte';

  const desk = useDesk();
  const pulls = $derived(
    ['belt', 'chain'].includes(String(desk().value('load.train.stages[0].kind') ?? desk().value('load.train.kind'))),
  );
  const braked = $derived(
    desk().value('load.machine') === 'hoist' ||
      desk().value('load.brake') !== undefined ||
      (desk().result?.findings ?? []).some((f) => f.fields.includes('load.brake')),
  );
  const staged = $derived(desk().value('load.train.stages') !== undefined);

  /** What is given for the whole becomes the first stage, so that nothing typed is lost. */
  function byStages(): void {
    desk().change(
      '',
      (draft) => {
        const first: Record<string, Json> = {};
        for (const key of ['kind', 'ratio', 'efficiency']) {
          const value = desk().value(`load.train.${key}`);
          if (typeof value === 'string' || typeof value === 'number') first[key] = value;
          putAt(draft, `load.train.${key}`, undefined);
        }
        putAt(draft, 'load.train.stages', [first]);
      },
      'the train by stages',
    );
  }
</script>

{#if staged}
  <Rows path="load.train.stages" name="stage" blank={{ kind: 'gearbox', ratio: 10 }} most={3}>
    {#snippet row(i)}
      <div class="grid grid-cols-2 gap-x-3 sm:grid-cols-4">
        <ChoiceField path="load.train.stages[{i}].kind" label="Stage {i + 1}, from the motor" options={trains} />
        <NumberField path="load.train.stages[{i}].ratio" label="Ratio" placeholder="1" />
        <NumberField shareTo={1.2} path="load.train.stages[{i}].efficiency" label="Efficiency" placeholder="usual" />
        <QuantityField
          path="load.train.stages[{i}].inertia"
          label="Inertia of its parts"
          dimension="inertia"
          placeholder="0"
        />
      </div>
    {/snippet}
  </Rows>
{:else}
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="load.train.kind" label="Between motor and machine" options={trains} />
    <NumberField path="load.train.ratio" label="Ratio, motor ÷ driven speed" taken="1" />
    <NumberField
      shareTo={1.2}
      path="load.train.efficiency"
      label="Efficiency of the train"
      placeholder="usual for its kind"
    />
  </div>
  <Button class="push" onclick={byStages}>Two or three stages</Button>
{/if}
<div class="mt-3 grid gap-3 sm:grid-cols-3">
  <QuantityField path="load.inertia" label="Inertia at the driven shaft" dimension="inertia" />
  <QuantityField
    small
    path="load.train.sheave"
    label="Sheave on the motor, pitch diameter"
    dimension="length"
    placeholder="200 mm"
  />
  {#if pulls}
    <QuantityField path="load.train.permittedPull" label="Pull the motor’s maker permits" dimension="force" />
  {/if}
  <ChoiceField path="load.rotation" label="It must turn, seen from the drive end" options={rotations} />
  {#if braked}<ChoiceField path="load.brake" label="What holds it" options={brakes} />{/if}
</div>
<Figures
  ids={['load.ratio', 'load.trainEfficiency', 'load.trainInertia', 'load.beltPull']}
  empty={pulls ? 'Give the sheave’s diameter to see how hard it pulls on the shaft.' : ''}
/>
