import type { physics } from '@pilgrim/core';
import { database } from '$lib/server/db/database';
import { findDrive, openAddress, openStandIn } from '$lib/server/drives/drives';
import { addressOf } from '$lib/server/drives/polled';
import { answer, idOf, jsonResponse, parsed, readJsonBody } from '$lib/server/http/http';
import { newDriveLink, newStandIn } from '$lib/server/http/inputs';
import { studiesOf } from '$lib/server/positions/positions';
import { refuse } from '$lib/server/refusal';
import { plantOfStudy, sharedShelf } from '$lib/server/shelf/shelf';
import { driveCase } from '$lib/server/solving/pool';

export const GET = ({ params }) =>
  answer(() => Promise.resolve(jsonResponse(findDrive(idOf(params.id))?.told ?? null)));

export const POST = ({ params, request }) =>
  answer(async () => {
    const id = idOf(params.id);
    const body = await readJsonBody(request);
    if (typeof body === 'object' && body !== null && 'address' in body) {
      return jsonResponse(await openAddress(id, addressOf(parsed(newDriveLink, body))), 201);
    }
    return jsonResponse(await openStandIn(id, await machineOf(id, parsed(newStandIn, body).case)), 201);
  });

/** The motor of a case behind its drive, chosen as the position's own page chooses it: with the plant's shelf. */
async function machineOf(position: string, given: unknown): Promise<physics.DrivenMachine> {
  const sql = await database();
  const [study] = await studiesOf(sql, position);
  const plant = study && (await plantOfStudy(sql, study.id));
  if (!plant) throw refuse(404, 'There is no such position');
  const solved = await driveCase({ given, from: { shelf: await sharedShelf(sql, plant), own: plant.own } });
  if (!solved.ok) throw refuse(422, 'Not a valid case', { errors: solved.errors });
  const machine = JSON.parse(solved.result) as physics.DrivenMachine | null;
  if (!machine) throw refuse(409, 'There is no motor with a load behind a drive to run: the case gives too little');
  return machine;
}
