<script lang="ts">
  import { houseRule } from '$lib/ui/options';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Facts from '$lib/ui/Facts.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';

  const desk = useDesk();
</script>

<Group
  title="Size by amperes"
  note={desk().result?.subject?.method === 'drive'
    ? 'Amperes are what heats and trips a drive.'
    : 'No drive is chosen; this is what one for this motor would have to be.'}
>
  <Figures
    ids={[
      'drive.requiredCurrent',
      'drive.ratedCurrent',
      'drive.overload',
      'drive.deratedCurrent',
      'drive.overloadCurrent',
      'drive.powerMatch',
      'place.driveDerating',
    ]}
    empty="A motor and a load give the drive."
  />
  <Facts of={['drive.']} />
</Group>
<Group title="Slow running, pulses and cable">
  <Figures ids={['drive.minSpeed', 'drive.maxSpeed', 'drive.peakVoltage', 'drive.cableLimit']} />
</Group>
<Group title="House rules">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="rules.driveMatch" label="Matched by" {...houseRule('driveMatch')} />
    <ChoiceField path="rules.leadLength" label="Cable without a filter" {...houseRule('leadLength')} />
    <ChoiceField path="rules.inverterDuty" label="Motor for a drive" {...houseRule('inverterDuty')} />
    <ChoiceField path="rules.driveAltitude" label="Derating for height" {...houseRule('driveAltitude')} />
    <ChoiceField path="rules.outputReactor" label="Output reactor" {...houseRule('outputReactor')} />
    <ChoiceField path="rules.driveHousing" label="Where it hangs" {...houseRule('driveHousing')} />
  </div>
</Group>
<Group title="Caution"
  ><p>
    A drive’s capacitors stay lethal for minutes after power-off: wait the maker’s time and measure. Expect an automatic
    restart.
  </p></Group
>
