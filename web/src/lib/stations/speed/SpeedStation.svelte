<script lang="ts">
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import LogImport from './LogImport.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Rows from '$lib/ui/Rows.svelte';
  import YearBars from './YearBars.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { controls, needs } from '$lib/ui/options';
  import Fold from '$lib/ui/Fold.svelte';

  const desk = useDesk();
  const staticHead = $derived(desk().figure('load.staticFraction')?.text);
</script>

<Group title="What speed is for">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="speed.need" label="Speed" options={needs} />
    <NumberField shareTo={1.5} path="speed.min" label="Lowest speed ÷ speed at the demand" placeholder="0.4" />
    <NumberField shareTo={1.5} path="speed.max" label="Highest speed ÷ speed at the demand" taken="1" />
    <ChoiceField path="speed.control" label="How flow is controlled now" options={controls} />
    <NumberField
      shareTo={1.2}
      path="speed.staticFraction"
      label="Static ÷ total head"
      placeholder={staticHead ? `${staticHead}, from the pump’s head` : '0'}
      hint="a pump must lift the water first"
    />
  </div>
</Group>
<Group
  title="The year"
  note="Hours at each flow, as a share of the flow of the demand: draw them, type them, or bring in what a logger wrote."
>
  <YearBars />
  <div class="my-3"><LogImport /></div>
  <Fold open headClass="mb-1 font-medium" title="As numbers">
    <Rows path="speed.profile" name="row" blank={{ hours: 1000, flow: 1 }}>
      {#snippet row(i)}
        <div class="grid grid-cols-2 gap-3">
          <NumberField path="speed.profile[{i}].hours" label="Hours a year" />
          <NumberField shareTo={1.5} path="speed.profile[{i}].flow" label="Flow" />
        </div>
      {/snippet}
    </Rows>
  </Fold>
</Group>
<Group title="What follows">
  <Figures ids={['speed.hours', 'speed.meanFlow']} empty="Add the hours of a year." />
</Group>
