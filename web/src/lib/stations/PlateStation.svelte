<script lang="ts">
  import ChoiceField from '$lib/parts/ChoiceField.svelte';
  import Group from '$lib/parts/Group.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import PlateView from '$lib/parts/PlateView.svelte';
  import QuantityField from '$lib/parts/QuantityField.svelte';
  import { practices } from './options';
</script>

<Group
  title="The motor that is there"
  note="Copy the plate line by line. Groups as stamped: a slash between connections, a hyphen between usable voltages."
>
  <PlateView />
</Group>
<Group title="Supply it is connected to, and whose practice">
  <div class="grid gap-3 sm:grid-cols-3">
    <QuantityField path="supply.voltage" label="Supply voltage, line to line" dimension="voltage" placeholder="480 V" />
    <QuantityField path="supply.frequency" label="Supply frequency" dimension="frequency" />
    <ChoiceField path="practice" label="Practice" options={practices} />
  </div>
</Group>
<Group title="On a drive, and how long the motor lasted">
  <div class="grid gap-3 sm:grid-cols-4">
    <NumberField path="plate.inverterDuty.variableTorque" label="Variable torque, :1" placeholder="10" />
    <NumberField path="plate.inverterDuty.constantTorque" label="Constant torque, :1" placeholder="4" />
    <QuantityField path="plate.maxSpeed" label="Maximum safe speed" dimension="speed" />
    <NumberField path="plate.efficiencyMinimum" label="Guaranteed efficiency" placeholder="0.924" />
    <NumberField path="history.installed" label="Installed" placeholder="2025-07" text />
    <NumberField path="history.failed" label="Failed" placeholder="2026-09" text />
  </div>
</Group>
