import { error } from '@sveltejs/kit';
import type { Component } from 'svelte';
import { isStation, type StationId } from '$lib/names';

/** Each station's code comes when it is visited (or pointed at): the first view loads one, not ten. */
const stations: Readonly<Record<StationId, () => Promise<{ readonly default: Component }>>> = {
  plate: () => import('$lib/stations/PlateStation.svelte'),
  load: () => import('$lib/stations/LoadStation.svelte'),
  place: () => import('$lib/stations/PlaceStation.svelte'),
  speed: () => import('$lib/stations/SpeedStation.svelte'),
  choice: () => import('$lib/stations/ChoiceStation.svelte'),
  start: () => import('$lib/stations/StartStation.svelte'),
  guard: () => import('$lib/stations/GuardStation.svelte'),
  drive: () => import('$lib/stations/DriveStation.svelte'),
  cost: () => import('$lib/stations/CostStation.svelte'),
  sheet: () => import('$lib/stations/SheetStation.svelte'),
};

export const load = async ({ params }) => {
  if (!isStation(params.station)) error(404, 'There is no such station');
  const { default: Station } = await stations[params.station]();
  return { station: params.station, Station };
};
