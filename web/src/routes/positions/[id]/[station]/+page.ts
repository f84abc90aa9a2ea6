import { error } from '@sveltejs/kit';
import type { Component } from 'svelte';
import { isStation, type StationId } from '$lib/ui/names';

/** Each station's code comes when it is visited (or pointed at): the first view loads one, not ten. */
const stations: Readonly<Record<StationId, () => Promise<{ readonly default: Component }>>> = {
  plate: () => import('$lib/stations/plate/PlateStation.svelte'),
  load: () => import('$lib/stations/load/LoadStation.svelte'),
  place: () => import('$lib/stations/place/PlaceStation.svelte'),
  speed: () => import('$lib/stations/speed/SpeedStation.svelte'),
  choice: () => import('$lib/stations/choice/ChoiceStation.svelte'),
  start: () => import('$lib/stations/start/StartStation.svelte'),
  guard: () => import('$lib/stations/guard/GuardStation.svelte'),
  drive: () => import('$lib/stations/drive/DriveStation.svelte'),
  cost: () => import('$lib/stations/cost/CostStation.svelte'),
  sheet: () => import('$lib/stations/sheet/SheetStation.svelte'),
};

export const load = async ({ params }) => {
  if (!isStation(params.station)) error(404, 'There is no such station');
  const { default: Station } = await stations[params.station]();
  return { station: params.station, Station };
};
