import { z } from 'zod';
import { controls, demandBases, speedNeeds } from '../contract';
import { tariffFault, weekDays, type WeekDay } from '../physics';
import { number, oneOf, quantity, text } from './fields';

/** A time of day, "06:30" to "24:00": text in, text and minutes out. */
const timeOfDay = () =>
  z
    .string({ error: 'must be a time of day such as "06:30"' })
    .max(10, { error: 'must be a time of day such as "06:30"' })
    .describe('Time of day, e.g. 06:30, 24:00')
    .transform((written, context): { readonly text: string; readonly minutes: number } => {
      const [, h = '', m = ''] = /^(\d{1,2}):(\d{2})$/.exec(written.trim()) ?? [];
      const minutes = Number(h) * 60 + Number(m);
      if (h !== '' && Number(m) < 60 && minutes <= 1440) return { text: written, minutes };
      context.addIssue({ code: 'custom', message: 'must be a time of day such as "06:30", from 00:00 to 24:00' });
      return z.NEVER;
    });

const groupsOfDays = {
  all: weekDays,
  weekdays: weekDays.slice(0, 5),
  weekend: weekDays.slice(5),
} as const satisfies Readonly<Record<string, readonly WeekDay[]>>;

/** Days of the week: a list of them, or all, weekdays, weekend. */
const days = () =>
  z.union([z.enum(['all', 'weekdays', 'weekend']), z.array(z.enum(weekDays)).min(1).max(7)], {
    error: `must be all, weekdays, weekend, or a list of ${weekDays.join(', ')}`,
  });

/** Days that a case means: all of them where it does not say. */
export const daysOf = (written: z.output<ReturnType<typeof days>> | undefined): readonly WeekDay[] =>
  written === undefined ? weekDays : typeof written === 'string' ? groupsOfDays[written] : [...new Set(written)];

const tariff = z
  .array(
    z.strictObject({
      from: timeOfDay(),
      to: timeOfDay(),
      days: days().optional(),
      price: number({ min: 0, max: 1000 }, 0.16),
    }),
  )
  .min(1, { error: 'needs a price for every time of the week' })
  .max(100)
  .superRefine((rows, context) => {
    if (rows.length === 0) return;
    const fault = tariffFault(
      rows.map((r) => ({ from: r.from.minutes % 1440, to: r.to.minutes, days: daysOf(r.days) })),
    );
    if (!fault) return;
    const between = `${fault.from} to ${fault.to}`;
    context.addIssue({
      code: 'custom',
      path: fault.row === undefined ? [] : [fault.row],
      message: fault.kind === 'hole' ? `has no price from ${between}` : `has another price already from ${between}`,
    });
  });

const profile = z
  .array(
    z.strictObject({
      hours: number({ min: 0, max: 8784 }, 2200),
      flow: number({ min: 0, max: 2 }, 0.7),
      /** When it runs so, where prices go by time; left out: any time of the week. */
      from: timeOfDay().optional(),
      to: timeOfDay().optional(),
      days: days().optional(),
    }),
  )
  .max(1000)
  .refine((rows) => rows.reduce((total, row) => total + row.hours, 0) <= 8784, {
    error: 'hours add up to more than a year (8784)',
  });

/** A pump or fan at the speed of the demand: flow rising, head or pressure, efficiency. */
const machineCurve = z
  .array(
    z
      .strictObject({
        flow: quantity('flow', 'zero'),
        head: quantity('length', 'zero').optional(),
        pressure: quantity('pressure', 'zero').optional(),
        efficiency: number({ min: 0, below: 1 }, 0.72),
      })
      .refine((p) => (p.head === undefined) !== (p.pressure === undefined), {
        error: 'needs its head or its pressure, one of the two',
      }),
  )
  .min(3, { error: 'needs three points or more' })
  .max(60)
  .superRefine((points, context) => {
    for (const [i, point] of points.entries()) {
      const before = points[i - 1];
      if (before && point.flow.value <= before.flow.value)
        context.addIssue({ code: 'custom', path: [i, 'flow'], message: 'must be above the flow of the point before' });
      if ((point.head === undefined) !== (points[0]?.head === undefined))
        context.addIssue({ code: 'custom', path: [i], message: 'all points have heads, or all have pressures' });
    }
    if (points.filter((p) => p.flow.value > 0 && p.efficiency > 0).length < 2)
      context.addIssue({ code: 'custom', path: [], message: 'needs an efficiency above 0 at two flows or more' });
    if (!points.some((p) => (p.head ?? p.pressure)?.value ?? 0 > 0))
      context.addIssue({ code: 'custom', path: [], message: 'gives no head at any flow' });
  });

export const speed = z.strictObject({
  need: oneOf(speedNeeds).optional(),
  min: number({ min: 0, max: 10 }, 0.4).optional(),
  max: number({ above: 0, max: 10 }, 1).optional(),
  profile: profile.optional(),
  control: oneOf(controls).optional(),
  staticFraction: number({ min: 0, max: 1 }, 0.3).optional(),
  curve: machineCurve.optional(),
  /** Pressure that is kept for those who draw, at every flow. */
  keptPressure: quantity('pressure').optional(),
  /** Like machines that share the duty, this one counted. */
  machines: z.int({ error: 'must be a whole number from 1 to 12' }).min(1).max(12).optional(),
  /** Low ÷ high speed of a two-speed motor. */
  lowSpeed: number({ min: 0.2, below: 1 }, 0.5).optional(),
});

export const money = z.strictObject({
  currency: text(8).optional(),
  energyPrice: number({ min: 0, max: 1000 }, 0.16).optional(),
  demandPrice: number({ min: 0, max: 10000 }, 8).optional(),
  years: number({ above: 0, max: 60 }, 10).optional(),
  discountRate: number({ min: 0, max: 1 }, 0.07).optional(),
  carbon: number({ min: 0, max: 10 }, 0.25).optional(),
  installedCost: number({ min: 0, max: 1e9 }, 6200).optional(),
  /** A tonne of carbon dioxide. */
  carbonPrice: number({ min: 0, max: 10000 }, 80).optional(),
  /** A year more than now; below 0 where it saves. */
  maintenance: number({ min: -1e9, max: 1e9 }, 250).optional(),
  /** By which prices rise a year. */
  inflation: number({ min: -0.2, max: 0.5 }, 0.02).optional(),
  /** Years until it is bought again. */
  life: number({ above: 0, max: 100 }, 15).optional(),
  /** Price by time of the week: every minute of it once. It takes the place of `energyPrice`. */
  tariff: tariff.optional(),
  /** Paid once by whoever rewards the saving: a typed amount, never guessed. */
  incentive: number({ min: 0, max: 1e9 }, 1500).optional(),
  /** What the demand price is paid for: real or apparent power. */
  demandBasis: oneOf(demandBases).optional(),
  /** Power factor below which the demand billed goes up in proportion. */
  leastPowerFactor: number({ above: 0, max: 1 }, 0.9).optional(),
  /** Share of the year's highest demand that is billed in every month. */
  ratchet: number({ min: 0, max: 1 }, 0.8).optional(),
  /** How far what was typed may be off, as shares. */
  spread: z
    .strictObject({
      hours: number({ min: 0, max: 0.9 }, 0.1).optional(),
      price: number({ min: 0, max: 0.9 }, 0.2).optional(),
      cost: number({ min: 0, max: 0.9 }, 0.1).optional(),
    })
    .optional(),
});
