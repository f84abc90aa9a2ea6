import type { physics } from '@pilgrim/core';
import type { DriveOrder, LinkTold } from '$lib/api/drives';
import { findMeter, isRecorded, stopMeter } from '$lib/server/meters/meters';
import { refuse } from '$lib/server/refusal';
import { DriveLink } from './link';
import type { Address } from './polled';
import { startStandIn, type StandIn } from './standIn';

interface Watched {
  readonly link: DriveLink;
  readonly standIn: StandIn | undefined;
}

/** Drives watched by this server, by the position they are of. */
const watched = new Map<string, Watched>();
const most = 20;
/** ms without anybody looking after which one is let go. */
const forgotten = 30 * 60_000;

function make(position: string, link: DriveLink, standIn: StandIn | undefined): LinkTold {
  watched.set(position, { link, standIn });
  return link.told;
}

async function roomFor(position: string): Promise<void> {
  await closeDrive(position);
  for (const [id, { link }] of watched)
    if (!link.heard && !isRecorded(id) && Date.now() - link.touched > forgotten) await closeDrive(id);
  if (watched.size >= most) throw refuse(409, `${most} drives are watched already: let one go first`);
}

/** Starts a stand-in for a position, in place of what was watched there. */
export async function openStandIn(position: string, machine: physics.DrivenMachine): Promise<LinkTold> {
  await roomFor(position);
  const standIn = await startStandIn(machine);
  return make(position, new DriveLink({ host: standIn.host, port: standIn.port, unit: 1 }, true), standIn);
}

/** Watches a drive at an address. Nothing is written to it until that is allowed. */
export async function openAddress(position: string, address: Address): Promise<LinkTold> {
  await roomFor(position);
  return make(position, new DriveLink(address, false), undefined);
}

/** The stand-in of a position. */
export function standInOf(position: string): StandIn {
  const standIn = watched.get(position)?.standIn;
  if (!standIn) throw refuse(404, 'No stand-in runs here: start one, or name a meter’s address');
  return standIn;
}

export const findDrive = (position: string): DriveLink | undefined => watched.get(position)?.link;

export function driveOf(position: string): DriveLink {
  const link = findDrive(position);
  if (!link) throw refuse(404, 'No drive is watched here');
  return link;
}

/** Does one thing; what the drive is set to where that was asked. */
export async function order(
  link: DriveLink,
  asked: Exclude<DriveOrder, { readonly do: 'drop' }>,
): Promise<Record<string, number> | null> {
  switch (asked.do) {
    case 'program':
      return link.program(Object.fromEntries(asked.table.map(({ id, number }) => [id, number])));
    case 'run':
    case 'stop':
      await link.run(asked.do === 'run');
      return null;
    case 'reset':
      await link.reset();
      return null;
    case 'reference':
      await link.reference(asked.share);
      return null;
    case 'source':
      await link.source(asked.kind);
      return null;
    case 'spoil':
      await link.spoil(asked.change);
      return null;
    case 'cut':
      link.cut();
      return null;
    case 'join':
      link.join();
      return null;
    case 'allow':
      link.allowWrites(asked.address);
      return null;
  }
}

export async function closeDrive(position: string): Promise<void> {
  const there = watched.get(position);
  watched.delete(position);
  // A meter at its input goes with it.
  if (there?.standIn && findMeter(position)?.standIn) stopMeter(position);
  there?.link.close();
  await there?.standIn?.close();
}

export async function closeDrives(): Promise<void> {
  await Promise.all([...watched.keys()].map(closeDrive));
}
