<script lang="ts">
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import * as options from '$lib/ui/options';

  let { northAmerican }: { readonly northAmerican: boolean } = $props();
</script>

<div class="grid gap-3 sm:grid-cols-3">
  <QuantityField path="place.cable.length" label="Motor cable" dimension="length" placeholder="60 m" />
  <NumberField
    text
    path="guard.cable.area"
    label="Size that is there"
    placeholder={northAmerican ? '8 AWG' : '16 mm2'}
    hint="empty: the least that does"
  />
  <NumberField path="guard.cable.parallel" label="Side by side" placeholder="2" hint="each phase" />
  <ChoiceField path="guard.cable.material" label="Conductor" options={options.conductorMaterial} none="copper taken" />
  <QuantityField path="guard.cable.ambient" label="Ambient of the cable" dimension="temperature" taken="30 °C" />
  {#if northAmerican}
    <ChoiceField path="guard.cable.rating" label="Insulation for" options={options.temperatures} none="75 °C taken" />
    <ChoiceField path="guard.cable.terminals" label="Terminals for" options={options.temperatures} none="by the code" />
    <ChoiceField path="guard.cable.raceway" label="Laid" options={options.raceway} none="in steel conduit taken" />
    <NumberField
      path="guard.cable.conductors"
      label="Conductors together"
      taken="3"
      hint="carrying current, these counted"
    />
    <ChoiceField path="guard.cable.wire" label="Wire" options={options.wire} none="THWN taken" />
    <ChoiceField path="guard.cable.conduit" label="Conduit" options={options.conduit} none="EMT taken" />
  {:else}
    <ChoiceField path="guard.cable.insulation" label="Insulation" options={options.cableInsulation} none="PVC taken" />
    <ChoiceField path="guard.cable.method" label="Laid" options={options.layings} none="C taken" />
    <NumberField path="guard.cable.circuits" label="Circuits together" taken="1" hint="this one counted" />
    <ChoiceField path="guard.cable.arrangement" label="They lie" options={options.arrangements} none="bunched taken" />
  {/if}
</div>
