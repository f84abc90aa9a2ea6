import { error } from '@sveltejs/kit';
import { isStation } from '$lib/names';

export const load = ({ params }) => {
  if (!isStation(params.station)) error(404, 'There is no such station');
  return { station: params.station };
};
