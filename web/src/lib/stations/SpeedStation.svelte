<script lang="ts">
  import ChoiceField from '$lib/parts/ChoiceField.svelte';
  import Figures from '$lib/parts/Figures.svelte';
  import Group from '$lib/parts/Group.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import { putAt, type Json } from '$lib/position/paths';
  import { useDesk } from '$lib/position/desk.svelte';
  import { controls, needs } from './options';

  const desk = useDesk();
  const rows = $derived.by((): readonly unknown[] => {
    const value = desk().value('speed.profile');
    return Array.isArray(value) ? value : [];
  });

  function add(): void {
    desk().change('', (draft) =>
      putAt(draft, 'speed.profile', [...(rows as readonly Json[]), { hours: 1000, flow: 1 }]),
    );
  }
  function drop(index: number): void {
    const left = (rows as readonly Json[]).filter((_, i) => i !== index);
    desk().change('', (draft) => putAt(draft, 'speed.profile', left.length > 0 ? left : undefined));
  }
</script>

<Group title="What speed is for">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="speed.need" label="Speed" options={needs} />
    <NumberField path="speed.min" label="Lowest speed ÷ speed at the demand" placeholder="0.4" />
    <NumberField path="speed.max" label="Highest speed ÷ speed at the demand" placeholder="1" />
    <ChoiceField path="speed.control" label="How flow is controlled now" options={controls} />
    <NumberField
      path="speed.staticFraction"
      label="Static ÷ total head"
      placeholder="0"
      hint="a pump must lift the water first"
    />
  </div>
</Group>
<Group title="The year" note="Hours at each flow, as a share of the flow of the demand; 8784 hours at most.">
  {#each rows as _, i (i)}
    <div class="grid grid-cols-[1fr_1fr_auto] items-start gap-3">
      <NumberField path="speed.profile[{i}].hours" label="Hours a year" />
      <NumberField path="speed.profile[{i}].flow" label="Flow" />
      <button type="button" class="push mt-[21px]" aria-label="Remove row {i + 1}" onclick={() => drop(i)}
        >Remove</button
      >
    </div>
  {/each}
  <button type="button" class="push" data-path="speed.profile" onclick={add}>Add a row</button>
</Group>
<Group title="What follows">
  <Figures ids={['speed.hours', 'speed.meanFlow']} empty="Add the hours of a year." />
</Group>
