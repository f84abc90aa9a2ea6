<script lang="ts">
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import LineDiagram from './LineDiagram.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';

  const desk = useDesk();
  const bases = [
    ['table', 'the code’s table current'],
    ['plate', 'the plate current'],
  ] as const;
</script>

<Group title="The line, from supply to machine"><LineDiagram /></Group>
<Group
  title="Overload and conductors"
  note={`For ${desk().result?.subject?.name ?? 'no motor yet'}. The local code and a licensed electrician decide.`}
>
  <Figures
    ids={[
      'guard.overloadDial',
      'guard.overloadTrip',
      'guard.overloadMaximum',
      'guard.tableCurrent',
      'guard.conductorCurrent',
      'start.faultCurrent',
    ]}
    empty="A plate or a chosen motor gives the currents."
  />
</Group>
<Group title="House rule">
  <div class="grid gap-3 sm:grid-cols-2">
    <ChoiceField
      path="rules.conductorBasis"
      label="Conductors sized from"
      options={bases}
      none="as the practice has it"
    />
  </div>
</Group>
<Group title="Before anybody opens a panel">
  <p>
    Isolate, lock and prove dead before touching. Ask for the available fault current first: it must not exceed what
    starter, drive and panel are rated for.
  </p>
</Group>
