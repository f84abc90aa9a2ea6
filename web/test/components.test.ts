// @vitest-environment happy-dom
import { keep, readCase, solve, type Result } from '@pilgrim/core';
import { fireEvent, render, screen, within } from '@testing-library/svelte';
import { userEvent } from '@testing-library/user-event';
import type { Component } from 'svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { headOf, type Head } from '$lib/api';
import AskedOnce from '$lib/desk/AskedOnce.svelte';
import { Desk } from '$lib/desk/desk.svelte';
import FindingLine from '$lib/desk/FindingLine.svelte';
import Ledger from '$lib/desk/Ledger.svelte';
import StationWay from '$lib/desk/StationWay.svelte';
import Working from '$lib/desk/Working.svelte';
import BuyingSpecification from '$lib/stations/choice/BuyingSpecification.svelte';
import Requirements from '$lib/stations/choice/Requirements.svelte';
import Doubts from '$lib/stations/plate/Doubts.svelte';
import ChoiceField from '$lib/ui/ChoiceField.svelte';
import FigureLine from '$lib/ui/FigureLine.svelte';
import Mark from '$lib/ui/Mark.svelte';
import NumberField from '$lib/ui/NumberField.svelte';
import QuantityField from '$lib/ui/QuantityField.svelte';
import StartCompare from '$lib/ui/StartCompare.svelte';
import VerdictList from '$lib/ui/VerdictList.svelte';
import Host from './Host.svelte';

/** The worker's place is taken by the same reading and solving on this thread. */
vi.mock('$lib/solver', async () => {
  const core = await import('@pilgrim/core');
  return {
    LatestSolver: class {
      constructor(private readonly answer: (a: { result: Result | null; errors: readonly object[] }) => void) {}
      ask(draft: unknown): void {
        const { value, errors } = core.readDraft(draft);
        this.answer({ result: value ? core.solve(value) : null, errors });
      }
    },
    bringShelf: async () => {},
  };
});

const conveyor = {
  format: 'pilgrim.case/1',
  practice: 'north-america',
  name: 'Grain conveyor',
  load: {
    demand: { kind: 'power', power: '18 hp', speed: '1750 rpm' },
    machine: 'conveyor',
    inertia: '2 lb ft2',
  },
  place: { dirt: 'dusty', ambient: '40 °C' },
  supply: { voltage: '460 V', frequency: '60 Hz' },
};

let desk: Desk;
beforeEach(async () => {
  const reading = readCase(conveyor);
  if (!reading.ok) throw new Error(JSON.stringify(reading.errors));
  const result = keep(solve(reading.value));
  const of = { id: 'r1', author: 'Ada', note: '', createdAt: '2026-11-01T08:00:00Z' };
  const head = headOf({ ...of, caseText: conveyor, result, coreVersion: result.core });
  desk = new Desk('s1', head, 'Grain conveyor');
  vi.stubGlobal('fetch', async () => Response.json([]));
  await desk.bringShelf('p1', []);
});

/** What a part is given differs from part to part; the host passes it on. */
const show = (part: unknown, props: Readonly<Record<string, unknown>> = {}, goto?: (path: string) => void) =>
  render(Host, { props: { desk, part: part as Component<Record<string, unknown>>, props, ...(goto && { goto }) } });
const result = (): Result => {
  if (!desk.result) throw new Error('not solved');
  return desk.result;
};

describe('a field of a quantity', () => {
  const field = () => screen.getByLabelText('Voltage');
  beforeEach(() => void show(QuantityField, { path: 'supply.voltage', label: 'Voltage', dimension: 'voltage' }));

  it('takes a bare number in the unit of its label and says so, and leaves what was typed under the cursor', async () => {
    await userEvent.clear(field());
    await userEvent.type(field(), '575');
    expect(desk.value('supply.voltage')).toBe('575 V');
    expect(field()).toHaveProperty('value', '575');
    expect(document.body.textContent).toContain('= 575 V');
  });
  it('keeps what cannot be read, with the reason under it, and is marked invalid', async () => {
    await userEvent.clear(field());
    await userEvent.type(field(), 'some');
    expect(desk.value('supply.voltage')).toBe('some');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    const note = document.getElementById(field().getAttribute('aria-describedby') ?? '');
    expect(note?.textContent).toContain('some');
  });
  it('emptied, it clears the case and shows an example that says it is one', async () => {
    await userEvent.clear(field());
    expect(desk.value('supply.voltage')).toBeUndefined();
    expect(field().getAttribute('placeholder')).toMatch(/^e\.g\. \d/);
  });
});

describe('a field of a number', () => {
  it('reads per cent where a share is asked, and echoes the share', async () => {
    show(NumberField, { path: 'plate.efficiency', label: 'Efficiency', shareTo: 1 });
    await userEvent.type(screen.getByLabelText('Efficiency'), '91.7');
    expect(desk.value('plate.efficiency')).toBe(0.917);
    expect(document.body.textContent).toContain('= 0.917');
  });
  it('does not turn 0.90 into 0.9 while it is typed', async () => {
    show(NumberField, { path: 'plate.powerFactor', label: 'Power factor', shareTo: 1 });
    await userEvent.type(screen.getByLabelText('Power factor'), '0.90');
    expect(screen.getByLabelText('Power factor')).toHaveProperty('value', '0.90');
    expect(desk.value('plate.powerFactor')).toBe(0.9);
  });
  it('shows what is taken while it is empty, and looks so', () => {
    show(NumberField, { path: 'plate.serviceFactor', label: 'Service factor', taken: '1.0' });
    const field = screen.getByLabelText('Service factor');
    expect(field.getAttribute('placeholder')).toBe('1.0 taken');
    expect(field.classList.contains('taken')).toBe(true);
  });
});

describe('a field of a choice', () => {
  const options = [
    ['dusty', 'dust in the air'],
    ['clean', 'a clean room'],
  ] as const;
  it('shows the words that the value stands for, and all the others with an empty choice', () => {
    show(ChoiceField, { path: 'place.dirt', label: 'Dirt', options });
    expect(screen.getByLabelText('Dirt')).toHaveProperty('value', 'dust in the air');
    const offered = within(screen.getByLabelText('Dirt')).getAllByRole('option');
    expect(offered.map((o) => o.textContent.trim())).toEqual(['not said', 'dust in the air', 'a clean room']);
  });
  it('has no empty choice where one must stand', () => {
    show(ChoiceField, { path: 'place.dirt', label: 'Dirt', options, always: true });
    expect(screen.queryByText('not said')).toBeNull();
  });
});

describe('a figure', () => {
  it('shows its text and opens its working', async () => {
    show(FigureLine, { id: 'load.power' });
    const line = screen.getByRole('button');
    expect(line.textContent).toContain(result().figures['load.power']?.text);
    await userEvent.click(line);
    expect(desk.working).toBe('load.power');
  });
  it('goes grey while its station waits for a field that cannot be read', () => {
    desk.set('load.demand.power', 'much');
    show(FigureLine, { id: 'load.power' });
    expect(screen.getByRole('button').classList.contains('waiting')).toBe(true);
  });
  it('that nobody worked out has no line', () => {
    show(FigureLine, { id: 'load.flow' });
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('a mark', () => {
  it('says its state in words, or stays silent beside words', async () => {
    const { rerender } = render(Mark, { state: 'caution' });
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('caution');
    await rerender({ state: 'caution', decorative: true });
    expect(screen.queryByRole('img')).toBeNull();
  });
  it('has a shape of its own for each state', () => {
    const shapes = (['empty', 'enough', 'caution', 'stop', 'note'] as const).map((state) => {
      const { container, unmount } = render(Mark, { state });
      const drawn = [...(container.querySelector('svg')?.children ?? [])].map((e) => e.outerHTML).join('');
      unmount();
      return drawn;
    });
    expect(new Set(shapes).size).toBe(5);
  });
});

describe('verdicts', () => {
  const verdict = { requirement: 'ampacity', outcome: 'pass', text: 'Fits.', margin: 0.25, tight: false };
  it('show their margin with its sign, remedy, condition and what is not counted', () => {
    show(VerdictList, {
      verdicts: [
        { ...verdict, margin: 0.25 },
        { ...verdict, requirement: 'cable', margin: -0.2, tight: true, condition: { text: 'Holds to 30 m.' } },
        { ...verdict, requirement: 'frame', margin: null, remedy: { text: 'adapter base', priceIndex: 40 } },
        { ...verdict, requirement: 'sound', waived: 'nobody lives there' },
      ],
    });
    const [first, second, third, fourth] = screen.getAllByRole('listitem').map((li) => li.textContent);
    expect(first).toContain('+25 %');
    expect(first).not.toContain('tight');
    expect(second).toContain('−20 %');
    expect(second).toContain('tight');
    expect(second).toContain('Holds to 30 m.');
    expect(third).toContain('adapter base, price index 40');
    expect(third).not.toContain('%');
    expect(fourth).toMatch(/not counted\s+nobody lives there/);
  });
});

describe('the ledger', () => {
  const ledger = (station: string) => show(Ledger, { station, goto: () => {} });
  it('says the standing choice, and that it waits where a field cannot be read', () => {
    ledger('load');
    const standing = screen.getByTestId('standing-choice');
    const motor = result().choice?.motor.name ?? 'none';
    expect(standing.textContent).toContain(motor);
    expect(standing.textContent).not.toContain('waits');
  });
  it('keeps the choice before, and names the field it waits for', () => {
    const motor = result().choice?.motor.name ?? 'none';
    desk.set('supply.voltage', 'some');
    ledger('load');
    const standing = screen.getByTestId('standing-choice');
    expect(standing.textContent).toContain(motor);
    expect(standing.textContent).toMatch(/waits for/);
    expect(within(screen.getByRole('list', { name: 'Cannot be read' })).getAllByRole('listitem')).toHaveLength(1);
  });
  it('opens what this station found and every stop, and counts the rest by station', () => {
    ledger('place');
    const near = result().findings.filter((f) => f.station === 'place' || f.level === 'stop');
    const far = result().findings.length - near.length;
    expect(within(screen.getByRole('list', { name: 'Findings' })).queryAllByRole('listitem')).toHaveLength(near.length);
    expect(far).toBeGreaterThan(0);
    const counted = /Elsewhere: (.*)/.exec(screen.getByTestId('findings').textContent)?.[1] ?? '';
    const sum = [...counted.matchAll(/(\d+) (?:caution|note)/g)].reduce((n, m) => n + Number(m[1]), 0);
    expect(sum).toBe(far);
  });
  it('tells what the last edit changed', () => {
    desk.set('load.demand.power', '28 hp');
    ledger('load');
    expect(screen.getByTestId('changed').textContent).toContain('20.9 kW');
  });
});

describe('a copied position', () => {
  beforeEach(() => desk.take({ ...(desk.head as Head), note: 'Copied from C-1' }, 'Grain conveyor 2'));
  it('marks what was carried over, until it is changed here', async () => {
    show(QuantityField, { path: 'place.ambient', label: 'Ambient', dimension: 'temperature' });
    expect(document.body.textContent).toContain('from C-1');
    await userEvent.clear(screen.getByLabelText('Ambient'));
    await userEvent.type(screen.getByLabelText('Ambient'), '35 °C');
    expect(document.body.textContent).not.toContain('from C-1');
  });
  it('marks no field that is empty, and none of a position that was begun here', () => {
    expect(desk.carried('place.altitude')).toBeUndefined();
    expect(desk.carried('name')).toBeUndefined();
    desk.take({ ...(desk.head as Head), note: 'Summer' }, 'Grain conveyor');
    expect(desk.carried('place.ambient')).toBeUndefined();
  });
  it('is taken as seen with one press', async () => {
    const save = vi.spyOn(desk, 'save').mockResolvedValue();
    show(Ledger, { station: 'place', goto: () => {} });
    await userEvent.click(screen.getByRole('button', { name: 'All of it is so' }));
    expect(save).toHaveBeenCalledOnce();
  });
});

describe('what a plate leaves open', () => {
  it('is asked once, with the supplies it can be connected to', async () => {
    desk.set('supply', undefined);
    desk.set('plate', { power: '25 hp', voltage: '230/460 V', current: '62/31 A', speed: '1770 rpm' });
    show(AskedOnce);
    await userEvent.click(screen.getByRole('button', { name: '480 V' }));
    expect(desk.value('supply.voltage')).toBe('480 V');
    expect(screen.queryByTestId('asked-once')).toBeNull();
  });
});

describe('a finding', () => {
  const finding = {
    id: 'load.high',
    level: 'caution',
    station: 'load',
    text: 'Look again.',
    accepted: null,
    fields: ['load.demand.power', 'supply.voltage', 'place.ambient'],
  };
  it('leads to the first two of its fields', async () => {
    const went = vi.fn();
    show(FindingLine, { finding, fresh: true }, went);
    const ways = screen.getAllByRole('button', { name: /^→/ });
    expect(ways).toHaveLength(2);
    await userEvent.click(ways[1] as HTMLElement);
    expect(went).toHaveBeenCalledWith('supply.voltage');
    expect(document.body.textContent).toContain('new:');
  });
});

describe('the way', () => {
  const way = () => show(StationWay, { positionId: 'p1', tag: 'C-1', name: 'Grain conveyor', station: 'load' });
  const stop = (name: string) => screen.getByTestId(`key-${name}`);
  it('leads to every station, and marks the one visited', () => {
    way();
    const current = screen.getAllByRole('link', { current: 'step' });
    expect(new Set(current.map((a) => a.getAttribute('href')))).toEqual(new Set(['/positions/p1/load']));
  });
  it('has a station wait for the field it rests on, and none that does not', () => {
    desk.set('load.demand.power', 'much');
    way();
    expect(stop('choice').textContent).toMatch(/^waits for/);
    expect(stop('guard').textContent).toMatch(/^waits for/);
    expect(stop('place').textContent).not.toMatch(/waits/);
  });
  it('walks the stops of the errand, and folds the others', () => {
    desk.set('errand', 'read');
    way();
    expect(screen.getByTestId('errand-state').textContent).toMatch(/\w/);
    expect(document.body.textContent).toMatch(/Other stops: .*Cost/);
  });
});

describe('a working', () => {
  it('shows formula, inputs and source, and leads to what it was made of', async () => {
    desk.working = 'load.torque';
    show(Working, { id: 'load.torque', goto: () => {} });
    const { source, inputs } = result().figures['load.torque'] ?? {};
    expect(screen.getByTestId('working').textContent).toContain(source?.title);
    const from = Object.values(inputs ?? {}).find((i) => typeof i === 'string');
    if (typeof from !== 'string') throw new Error('made of no other figure');
    const { figureName } = await import('$lib/ui/names');
    await userEvent.click(screen.getAllByRole('button', { name: figureName(from) })[0] as HTMLElement);
    expect(desk.working).toBe(from);
  });
  it('says where a figure is not worked out at the moment', () => {
    show(Working, { id: 'load.flow', goto: () => {} });
    expect(screen.getByTestId('working').textContent).toContain('not worked out');
  });
});

describe('what is asked of the motor', () => {
  it('is left out with a reason only, and counted again', async () => {
    show(Requirements);
    const first = result().candidates[0]?.verdicts[0]?.requirement ?? '';
    const name = first.replaceAll('-', ' ');
    await userEvent.click(screen.getByRole('button', { name: `Leave out ${name}` }));
    const leave = screen.getByRole('button', { name: 'Leave it out' });
    expect(leave).toHaveProperty('disabled', true);
    await userEvent.type(screen.getByLabelText(/Why it need not hold/), 'bought already');
    expect(leave).toHaveProperty('disabled', false);
    await fireEvent.submit(leave.closest('form') as HTMLFormElement);
    expect(desk.value('waived')).toEqual([{ requirement: first, reason: 'bought already' }]);
    await userEvent.click(screen.getByRole('button', { name: `Count ${name} again` }));
    expect(desk.value('waived')).toBeUndefined();
  });
});

describe('the doubts about a plate', () => {
  const plated = { power: '25 hp', voltage: '460 V', current: '80 A', speed: '1760 rpm', frequency: '60 Hz' };
  it('let one stand with a reason, for the values it rests on, and doubt it again', async () => {
    desk.set('plate', plated);
    show(Doubts);
    const [why] = screen.getAllByPlaceholderText(/It is right, because/);
    const form = why?.closest('form') as HTMLFormElement;
    await userEvent.type(why as HTMLElement, 'measured twice');
    await fireEvent.submit(form);
    const accepted = desk.value('accepted') as { reason: string; values: Record<string, string> }[];
    expect(accepted).toHaveLength(1);
    expect(accepted[0]?.reason).toBe('measured twice');
    expect(Object.keys(accepted[0]?.values ?? {}).every((path) => path.startsWith('plate.'))).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: 'doubt it again' }));
    expect(desk.value('accepted')).toBeUndefined();
  });
});

describe('papers and tables', () => {
  it('the buyer’s page has every line of the choice, and none without a choice', () => {
    show(BuyingSpecification);
    expect(screen.getAllByRole('rowheader')).toHaveLength(result().choice?.buying.length ?? -1);
    desk.set('load', undefined);
    expect(result().choice).toBeNull();
  });
  it('the comparison of starts marks the chosen method, looks at another and opens figures', async () => {
    const look = vi.fn();
    show(StartCompare, { look, looking: 'soft-starter' });
    const chosen = result().subject?.method ?? '';
    const row = screen.getByText(/· chosen/).closest('tr');
    expect(row?.textContent).toContain(chosen.replaceAll('-', ' '));
    await userEvent.click(screen.getByRole('button', { name: 'soft starter' }));
    expect(look).toHaveBeenCalledWith('soft-starter');
    const time = document.querySelector<HTMLElement>(`[data-figure="start.${chosen}.time"]`);
    await userEvent.click(time as HTMLElement);
    expect(desk.working).toBe(`start.${chosen}.time`);
  });
  it('on paper the comparison has no buttons', () => {
    show(StartCompare, { paper: true });
    expect(screen.queryAllByRole('button')).toHaveLength(0);
  });
});
