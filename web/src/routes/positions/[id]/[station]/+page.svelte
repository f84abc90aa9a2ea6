<script lang="ts">
  import ChoiceStation from '$lib/stations/ChoiceStation.svelte';
  import CostStation from '$lib/stations/CostStation.svelte';
  import DriveStation from '$lib/stations/DriveStation.svelte';
  import GuardStation from '$lib/stations/GuardStation.svelte';
  import LoadStation from '$lib/stations/LoadStation.svelte';
  import PlaceStation from '$lib/stations/PlaceStation.svelte';
  import PlateStation from '$lib/stations/PlateStation.svelte';
  import SheetStation from '$lib/stations/SheetStation.svelte';
  import SpeedStation from '$lib/stations/SpeedStation.svelte';
  import StartStation from '$lib/stations/StartStation.svelte';

  let { data } = $props();
  const desks = {
    plate: PlateStation,
    load: LoadStation,
    place: PlaceStation,
    speed: SpeedStation,
    choice: ChoiceStation,
    start: StartStation,
    guard: GuardStation,
    drive: DriveStation,
    cost: CostStation,
    sheet: SheetStation,
  };
  const Station = $derived(desks[data.station]);
</script>

<Station />
