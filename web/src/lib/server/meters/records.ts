import type { physics } from '@pilgrim/core';
import type { MeterRecord, MeterRow } from '$lib/api/meters';
import type { TransactionSql } from 'postgres';
import { z } from 'zod';
import type { Sql } from '$lib/server/db/database';

/** Days that seconds and minutes are kept; hours are kept for good. */
export const kept = { seconds: 3, minutes: 120 } as const;

/**
 * An hour of a record as a position's file carries it: when it began, seconds read, W least, mean and most, A most, V
 * least and most, kWh.
 */
export const meterHour = z.tuple([
  z.iso.datetime(),
  z.int().min(1).max(3600),
  ...([z.number(), z.number(), z.number(), z.number(), z.number(), z.number(), z.number()] as const),
]);
export type MeterHour = z.infer<typeof meterHour>;
/** Some twenty years of them. */
export const hoursPerPosition = 180_000;

/** A position's metered hours, oldest first. */
export async function hoursOf(sql: TransactionSql, position: string): Promise<MeterHour[]> {
  const rows = await sql<{ at: Date; told: [number, number, number, number, number, number, number, number] }[]>`
    select at, jsonb_build_array(seconds, power_least, power_mean, power_most, current_most, voltage_least,
      voltage_most, energy) as told
    from meter_hours where position_id = ${position} order by at`;
  return rows.map(({ at, told }): MeterHour => [at.toISOString(), ...told]);
}

/** Keeps hours read back; one that is there already is left. */
export async function insertHours(tx: TransactionSql, position: string, hours: readonly MeterHour[]): Promise<void> {
  if (hours.length === 0) return;
  // As one parameter: a statement takes no more than 65,534.
  await tx`
    insert into meter_hours
    select ${position}::uuid, (h->>0)::timestamptz, (h->>1)::int, (h->>2)::real, (h->>3)::float8, (h->>4)::real,
      (h->>5)::real, (h->>6)::real, (h->>7)::real, (h->>8)::float8
    from jsonb_array_elements(${JSON.stringify(hours)}::text::jsonb) as h
    on conflict (position_id, at) do nothing`;
}

/** Keeps one reading; a second that is there already is left, and then it tells that nothing was kept. */
export async function keepReading(sql: Sql, position: string, at: Date, r: physics.MeterReading): Promise<boolean> {
  const current = Math.max(r.current1, r.current2, r.current3);
  const voltage = (r.voltage12 + r.voltage23 + r.voltage31) / 3;
  const { count } = await sql`
    insert into meter_seconds (position_id, at, power, current, voltage, power_factor, distortion, energy)
    values (${position}, date_trunc('second', ${at}::timestamptz), ${r.power}, ${current}, ${voltage},
      ${r.powerFactor}, ${r.distortion}, ${r.energy})
    on conflict do nothing`;
  return count > 0;
}

/**
 * Rolls whole minutes and hours up and drops what is older than it is kept: nothing goes before it is rolled up. Run
 * again it changes nothing.
 */
export async function rollUp(sql: Sql, now: Date): Promise<void> {
  await sql.begin(async (tx) => {
    // Two servers on one database take turns.
    await tx`select pg_advisory_xact_lock(hashtext('pilgrim.meters'))`;
    await tx`
      insert into meter_minutes
      select s.position_id, date_trunc('minute', s.at), count(*), min(s.power), avg(s.power), max(s.power),
        max(s.current), min(s.voltage), max(s.voltage), sum(s.power) / 3600000
      from meter_seconds s
      left join (select position_id, max(at) as done from meter_minutes group by 1) m using (position_id)
      where s.at < date_trunc('minute', ${now}::timestamptz) and s.at >= coalesce(m.done, '-infinity')
      group by 1, 2
      on conflict (position_id, at) do update set seconds = excluded.seconds, power_least = excluded.power_least,
        power_mean = excluded.power_mean, power_most = excluded.power_most, current_most = excluded.current_most,
        voltage_least = excluded.voltage_least, voltage_most = excluded.voltage_most, energy = excluded.energy`;
    await tx`
      insert into meter_hours
      select m.position_id, date_trunc('hour', m.at), sum(m.seconds), min(m.power_least),
        sum(m.power_mean * m.seconds) / sum(m.seconds), max(m.power_most), max(m.current_most),
        min(m.voltage_least), max(m.voltage_most), sum(m.energy)
      from meter_minutes m
      left join (select position_id, max(at) as done from meter_hours group by 1) h using (position_id)
      where m.at < date_trunc('hour', ${now}::timestamptz) and m.at >= coalesce(h.done, '-infinity')
      group by 1, 2
      on conflict (position_id, at) do update set seconds = excluded.seconds, power_least = excluded.power_least,
        power_mean = excluded.power_mean, power_most = excluded.power_most, current_most = excluded.current_most,
        voltage_least = excluded.voltage_least, voltage_most = excluded.voltage_most, energy = excluded.energy`;
    // Whole hours, so that a stretch that is kept is kept whole and rolled up from all of its parts.
    await tx`delete from meter_seconds
      where at < date_trunc('hour', ${now}::timestamptz) - make_interval(days => ${kept.seconds})`;
    await tx`delete from meter_minutes
      where at < date_trunc('hour', ${now}::timestamptz) - make_interval(days => ${kept.minutes})`;
  });
}

/** Stretches that a picture has room for. */
const drawn = 900;
/** s of one row of each, and how long without one is a gap. */
const parts = {
  seconds: { step: 1, gap: 3.5 },
  minutes: { step: 60, gap: 125 },
  hours: { step: 3600, gap: 7300 },
} as const;
const day = 86_400_000;

/** The record of a position over a span: as fine as it is kept, in as many stretches as a picture has room for. */
export async function recordOf(sql: Sql, position: string, from: Date, to: Date, now: Date): Promise<MeterRecord> {
  const seconds = (to.getTime() - from.getTime()) / 1000;
  const age = (now.getTime() - from.getTime()) / day;
  const of =
    seconds <= 6 * 3600 && age <= kept.seconds
      ? 'seconds'
      : age <= kept.minutes && seconds <= 20 * 86_400
        ? 'minutes'
        : 'hours';
  const { step: own, gap } = parts[of];
  const step = Math.max(own, Math.ceil(seconds / drawn / own) * own);
  const source =
    of === 'seconds'
      ? sql`select at, power as least, power::float8 as mean, power as most, current, 1 as n,
          power / 3600000.0 as energy
          from meter_seconds where position_id = ${position} and at >= ${from} and at < ${to}`
      : sql`select at, power_least as least, power_mean as mean, power_most as most, current_most as current,
          seconds as n, energy
          from ${of === 'minutes' ? sql`meter_minutes` : sql`meter_hours`}
          where position_id = ${position} and at >= ${from} and at < ${to}`;
  const rows = await sql<{ at: Date; least: number; mean: number; most: number; current: number; energy: number }[]>`
    select date_bin(make_interval(secs => ${step}), at, ${from}) as at, min(least) as least,
      sum(mean * n) / sum(n) as mean, max(most) as most, max(current) as current, sum(energy) as energy
    from (${source}) as s group by 1 order by 1`;
  const gaps = await sql<{ from: Date; to: Date }[]>`
    select before + make_interval(secs => ${own}) as "from", at as "to"
    from (select at, lag(at) over (order by at) as before from (${source}) as s) as g
    where at - before > make_interval(secs => ${gap}) order by at`;
  return {
    step,
    of,
    rows: rows.map((r): MeterRow => [r.at.getTime(), r.least, r.mean, r.most, r.current]),
    gaps: gaps.map((g) => ({ from: g.from.getTime(), to: g.to.getTime() })),
    energy: rows.reduce((sum, r) => sum + r.energy, 0),
  };
}

/** The record as a logger's file: time and W, each second as far back as seconds are kept, else each minute. */
export async function* loggedOf(sql: Sql, position: string, from: Date): AsyncGenerator<string> {
  yield 'time;power (W);current (A)\n';
  const rows = sql<{ at: Date; power: number; current: number }[]>`
    select at, power_mean as power, current_most as current from meter_minutes
    where position_id = ${position} and at >= ${from}
      and at < coalesce(
        (select date_trunc('minute', min(at)) from meter_seconds where position_id = ${position}), 'infinity')
    union all
    select at, power, current from meter_seconds where position_id = ${position} and at >= ${from}
    order by at`.cursor(5000);
  for await (const some of rows)
    yield some
      .map((r) => `${r.at.toISOString().slice(0, 19)}Z;${Number(r.power.toFixed(1))};${Number(r.current.toFixed(3))}\n`)
      .join('');
}
