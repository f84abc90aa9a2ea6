<script lang="ts">
  import {
    brakingKind,
    driveCommand,
    driveCooling,
    driveDuty,
    driveInput,
    earthing,
    houseRule,
    outputFilter,
    rectifier,
    yesNo,
  } from '$lib/ui/options';
  import { page } from '$app/state';
  import { Checkbox } from 'flowbite-svelte';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Facts from '$lib/ui/Facts.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Group from '$lib/ui/Group.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import DriveCharts from './DriveCharts.svelte';
  import DriveProgram from './DriveProgram.svelte';
  import DriveRemedies from './DriveRemedies.svelte';
  import MeterBench from './MeterBench.svelte';
  import SiteFields from './SiteFields.svelte';
  import StandIn from './StandIn.svelte';

  const desk = useDesk();
  const view = $derived(desk().result?.drive ?? null);
  const chosen = $derived(desk().result?.subject?.method === 'drive');
  const commands = $derived.by((): readonly unknown[] => {
    const value = desk().value('drive.command');
    return Array.isArray(value) ? value : [];
  });
  const command = (kind: string, on: boolean): void => {
    const list = driveCommand.map(([k]) => String(k)).filter((k) => (k === kind ? on : commands.includes(k)));
    desk().set('drive.command', list.length > 0 ? list : undefined);
  };
</script>

<Group
  title="Size by amperes"
  note={chosen
    ? 'Amperes are what heats and trips a drive.'
    : 'No drive is chosen; this is what one for this motor would have to be.'}
>
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="drive.duty" label="Duty" options={driveDuty} none="by the load" />
    <ChoiceField path="drive.input" label="Fed by" options={driveInput} none="three phases" />
    <NumberField path="drive.motors" label="Motors on it" placeholder="1" />
  </div>
  <Figures
    ids={[
      'drive.requiredCurrent',
      'drive.cycleCurrent',
      'drive.ratedCurrent',
      'drive.normalCurrent',
      'drive.heavyCurrent',
      'drive.overload',
      'drive.deratedCurrent',
      'drive.overloadCurrent',
      'drive.powerMatch',
      'place.driveDerating',
      'drive.heat',
      'drive.heatPart',
      'drive.airflow',
    ]}
    empty="A motor and a load give the drive."
  />
  <Facts of={['drive.']} />
</Group>
<Group title="What the motor may do on it">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="drive.cooling" label="Cooled by" options={driveCooling} none="as the motor is made" />
    <ChoiceField path="drive.encoder" label="Encoder" options={yesNo} />
    <ChoiceField path="drive.energySaving" label="Lowers the flux at part load" options={yesNo} />
  </div>
  <div class="mt-3"><DriveCharts of="envelope" /></div>
  <Figures ids={['drive.minSpeed', 'drive.maxSpeed', 'drive.torqueLeast']} />
</Group>
<Group title="Pulses and cable">
  <div class="grid gap-3 sm:grid-cols-3">
    <QuantityField path="place.cable.length" label="Motor cable" dimension="length" placeholder="60 m" />
    <QuantityField path="drive.riseTime" label="Rise time of its edges" dimension="time" placeholder="0.1 µs" />
    <ChoiceField path="drive.filter" label="At its output" options={outputFilter} />
    <QuantityField path="drive.carrier" label="Carrier" dimension="frequency" placeholder="4 kHz" />
  </div>
  <div class="mt-3"><DriveCharts of="pulses" /></div>
  <Figures
    ids={[
      'drive.peakVoltage',
      'drive.peakPermitted',
      'drive.criticalLength',
      'drive.cableLimit',
      'drive.slowestEdge',
      'drive.chargingCurrent',
    ]}
  />
  {#if view && view.remedies.length > 0}<DriveRemedies remedies={view.remedies} />{/if}
</Group>
<Group
  title="Supply and harmonics"
  note="The limit is for the site at its point of connection; no drive complies by itself."
>
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="drive.rectifier" label="Rectifier" options={rectifier} none="six-pulse taken" />
    <NumberField path="drive.choke" label="Choke, as a share" placeholder="0.03" />
    <ChoiceField path="supply.earthing" label="The source’s star point" options={earthing} />
  </div>
  <Fold class="mt-2" title="What else hangs there" open={desk().value('drive.site') !== undefined}><SiteFields /></Fold>
  <Figures
    ids={[
      'drive.inputPower',
      'drive.inputCurrent',
      'drive.ratedInput',
      'drive.truePowerFactor',
      'drive.currentDistortion',
      'drive.demandDistortion',
      'drive.distortionLimit',
      'drive.voltageDistortion',
    ]}
    empty={chosen ? 'A supply and a motor give it.' : 'Told where a drive is chosen.'}
  />
  <div class="mt-3 grid gap-3"><DriveCharts of="input" /></div>
</Group>
<Group title="Stopping">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="drive.braking.kind" label="Stops" options={brakingKind} none="by a ramp" />
    <QuantityField path="drive.braking.time" label="Within" dimension="time" placeholder="5 s" />
    <NumberField path="drive.braking.perHour" label="Times an hour" placeholder="6" />
  </div>
  <Figures
    ids={[
      'drive.stopTime',
      'drive.coastTime',
      'drive.brakingEnergy',
      'drive.brakingPower',
      'drive.brakingMean',
      'drive.brakingResistance',
      'drive.brakingLeast',
      'drive.stopHeat',
    ]}
    empty="A motor and a load give it."
  />
  <div class="mt-3 grid gap-3"><DriveCharts of="stop" /></div>
</Group>
<Group
  title="What to program"
  note="In generic words; the maker’s manual has the names. Values marked “not said” wait for you."
>
  <fieldset class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
    <legend class="mb-1 text-[13px] text-quiet">Commanded by</legend>
    {#each driveCommand as [kind, words] (kind)}
      <Checkbox checked={commands.includes(kind)} onchange={(e) => command(String(kind), e.currentTarget.checked)}
        >{words}</Checkbox
      >
    {/each}
  </fieldset>
  <div class="mb-3 grid gap-3 sm:grid-cols-3">
    <ChoiceField path="drive.bypass" label="Bypass" options={yesNo} />
    <ChoiceField path="drive.safeTorqueOff" label="Safe torque off" options={yesNo} />
  </div>
  {#if view && view.settings.length > 0}<DriveProgram drive={view} />{/if}
</Group>
<Fold title="Losses its maker declares, at the eight points of IEC 61800-9-2">
  <p class="mb-2 text-[13px] text-quiet">
    Each ÷ its rated apparent power; all eight take the place of the usual 3 % in heat and money.
  </p>
  <div class="grid gap-3 sm:grid-cols-4">
    <NumberField path="drive.losses.s0t25" label="Standing, a quarter of torque" shareTo={0.5} placeholder="1.1 %" />
    <NumberField path="drive.losses.s0t50" label="Standing, half torque" shareTo={0.5} placeholder="1.3 %" />
    <NumberField path="drive.losses.s0t100" label="Standing, full torque" shareTo={0.5} placeholder="1.9 %" />
    <NumberField path="drive.losses.s50t25" label="Half speed, a quarter" shareTo={0.5} placeholder="1.2 %" />
    <NumberField path="drive.losses.s50t50" label="Half speed, half torque" shareTo={0.5} placeholder="1.4 %" />
    <NumberField path="drive.losses.s50t100" label="Half speed, full torque" shareTo={0.5} placeholder="2.1 %" />
    <NumberField path="drive.losses.s90t50" label="90 % speed, half torque" shareTo={0.5} placeholder="1.6 %" />
    <NumberField path="drive.losses.s90t100" label="90 % speed, full torque" shareTo={0.5} placeholder="2.5 %" />
    <QuantityField path="drive.standby" label="While nothing runs" dimension="power" placeholder="20 W" />
  </div>
</Fold>
<Group
  title="Try it on a stand-in"
  note="A drive and this motor, computed here and spoken to over Modbus TCP: send it the table, run it, spoil it, see what it does."
>
  {#key page.params.id}<StandIn position={page.params.id ?? ''} />{/key}
</Group>
<Group
  title="A power meter at its input"
  note="Read once a second over Modbus TCP and kept: what the motor really draws, over hours and days, gaps marked."
>
  {#key page.params.id}<MeterBench position={page.params.id ?? ''} />{/key}
</Group>
<Group title="House rules">
  <div class="grid gap-3 sm:grid-cols-3">
    <ChoiceField path="rules.driveMatch" label="Matched by" {...houseRule('driveMatch')} />
    <ChoiceField path="rules.leadLength" label="Cable without a filter" {...houseRule('leadLength')} />
    <ChoiceField path="rules.inverterDuty" label="Motor for a drive" {...houseRule('inverterDuty')} />
    <ChoiceField path="rules.driveAltitude" label="Derating for height" {...houseRule('driveAltitude')} />
    <ChoiceField path="rules.outputReactor" label="Output reactor" {...houseRule('outputReactor')} />
    <ChoiceField path="rules.brakedPulses" label="Pulses where a chopper brakes" {...houseRule('brakedPulses')} />
    <ChoiceField path="rules.inputReactor" label="Input reactor" {...houseRule('inputReactor')} />
    <ChoiceField path="rules.surgeArrester" label="Surge arrester" {...houseRule('surgeArrester')} />
    <ChoiceField path="rules.slowSpeed" label="How slowly it may run" {...houseRule('slowSpeed')} />
    <ChoiceField path="rules.driveHousing" label="Where it hangs" {...houseRule('driveHousing')} />
  </div>
</Group>
<Group title="Caution"
  ><p>
    A drive’s capacitors stay lethal for minutes after power-off: wait the maker’s time and measure. Expect an automatic
    restart.
  </p></Group
>
