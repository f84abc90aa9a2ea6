<script lang="ts">
  import type { FlowBenchOf } from '@pilgrim/core';
  import { smallBlower, smallBlowerRead, voltageCurves, type BenchSpoiling } from '@pilgrim/core/bench';
  import { Button, Checkbox, Input, Progressbar, Range, Select } from 'flowbite-svelte';
  import { onMount, untrack } from 'svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { flowBench } from '$lib/solver';
  import { Bench, type Pair, type Which } from './bench.svelte';
  import { guessWords, keepScore, keptScore, mostPoints, pointsFor, readGuesses } from './guess';
  import Side from './Side.svelte';
  import Tape from './Tape.svelte';

  const desk = useDesk();
  const blower: FlowBenchOf = {
    spec: smallBlower,
    motor: 'a small motor, much too large for its blower',
    year: [
      { hours: 2000, flow: 1 },
      { hours: 2500, flow: 0.7 },
      { hours: 2500, flow: 0.56 },
    ],
    assumedYear: true,
    price: 0.15,
    currency: '',
  };
  let own = $state.raw<FlowBenchOf | null>(null);
  let looked = $state(false);
  let machine = $state<'own' | 'blower'>('own');
  let bench = $state.raw(new Bench(blower));
  let tape: Tape | undefined = $state();
  let moved: Pair<number> = $state.raw({ throttle: 0, drive: 0 });

  // The case as it stands when the page is opened, and again whenever it is answered anew.
  $effect(() => {
    void desk().answers;
    void flowBench(untrack(() => desk().case)).then((found) => {
      // The same machine answered again runs on.
      const same = looked && JSON.stringify(found) === JSON.stringify(own);
      looked = true;
      if (same) return;
      own = found;
      if (machine === 'own') take(found ? 'own' : 'blower');
    });
  });
  function take(which: 'own' | 'blower'): void {
    machine = which;
    bench = new Bench(which === 'own' && own ? own : blower);
    wrong = 'none';
    asked = null;
  }

  onMount(() => {
    let last = performance.now();
    let left = false;
    const frame = (now: number): void => {
      if (left) return;
      const ms = now - last;
      last = now;
      bench.frame(ms);
      const { throttle, drive } = bench.readings;
      const by = Math.min(0.25, ms / 1000);
      moved = { throttle: moved.throttle + by * throttle.flow, drive: moved.drive + by * drive.flow };
      tape?.draw();
      requestAnimationFrame(frame);
    };
    requestAnimationFrame((now) => {
      last = now;
      frame(now);
    });
    return () => (left = true);
  });

  const curveWords = {
    proportional: 'volts with hertz',
    square: 'volts with hertz squared',
    least: 'energy-saving: least volts',
  } as const;
  const curveItems = voltageCurves.map((value) => ({ value, name: curveWords[value] }));
  const spoils: readonly (readonly [id: string, name: string, change: Partial<BenchSpoiling>])[] = [
    ['none', 'nothing', {}],
    ['clog', 'a clogged filter or strainer', { clog: 2.5 }],
    ['held', 'half of the head is static', { held: 0.5 }],
    ['oversize', 'a motor twice as large', { oversize: 2 }],
    ['phase', 'a line is lost', { phases: 2 }],
  ];
  let wrong = $state('none');
  let where = $state<'both' | Which>('both');
  function spoil(): void {
    const change = spoils.find(([id]) => id === wrong)?.[2] ?? {};
    bench.spoil(where === 'both' ? ['throttle', 'drive'] : [where], change);
    asked = null;
  }

  // A guess holds for one flow, one curve and one fault.
  let guessing = $state(false);
  let texts: Record<Which, string> = $state({ throttle: '', drive: '' });
  let asked = $state<string | null>(null);
  let said = $state<readonly string[]>([]);
  let score = $state.raw({ points: 0, of: 0 });
  onMount(() => void (score = keptScore()));
  const question = $derived(`${machine} ${bench.wanted} ${bench.curve} ${wrong} ${where}`);
  const hidden = $derived(guessing && asked !== question);
  const guesses = $derived(readGuesses(texts));
  const names = { throttle: 'Throttled', drive: 'On the drive' } as const;
  function show(): void {
    const rest = bench.atRest(bench.wanted);
    if (!guesses || !rest.throttle || !rest.drive) return;
    const truths = { throttle: rest.throttle.watts, drive: rest.drive.watts };
    said = (['throttle', 'drive'] as const).map((id) => guessWords(names[id], guesses[id], truths[id], power));
    const won = pointsFor(guesses.throttle, truths.throttle) + pointsFor(guesses.drive, truths.drive);
    score = { points: score.points + won, of: score.of + 2 * mostPoints };
    keepScore(score);
    asked = question;
    texts = { throttle: '', drive: '' };
  }

  const power = (w: number): string =>
    Math.abs(w) >= 2000 ? `${(w / 1000).toFixed(2)} kW` : `${w.toFixed(Math.abs(w) < 100 ? 1 : 0)} W`;
  const less = $derived(bench.readings.throttle.watts - bench.readings.drive.watts);
  const money = (value: number): string =>
    `${bench.of.currency} ${value.toLocaleString('en', { maximumFractionDigits: value < 100 ? 2 : 0 })}`.trim();
  const played = $derived(bench.played);
  const read = smallBlowerRead;
  /** The readings at that blower, beside what is computed at the same flow. */
  const pair = $derived.by(() => {
    if (machine !== 'blower') return null;
    const flow = read.frequency / smallBlower.circuit.frequency;
    const b = new Bench(blower);
    const throttled = [1, flow].map((q) => b.sides.throttle.settled(q)?.watts ?? 0);
    const [square, least, straight] = (['square', 'least', 'proportional'] as const).map(
      (curve) => b.sides.drive.settled(flow, curve)?.motorWatts ?? 0,
    );
    return { throttled, square: square ?? 0, least: least ?? 0, straight: straight ?? 0 };
  });
</script>

<h1 class="mb-1 text-[22px] font-semibold">Bench</h1>
<p class="mb-2 text-quiet">
  Two identical machines on {bench.of.motor}: one throttled on the line, one on a drive, the same flow wanted of both.
</p>
<div class="box mb-3 space-y-2 p-3" role="group" aria-label="What is done">
  <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
    <Button class="push" data-main disabled={!looked} onclick={() => bench.run(!bench.running)}
      >{bench.running ? 'Stop both' : 'Start both'}</Button
    >
    <label class="min-w-44 flex-1 text-[13px]"
      >Flow wanted, {Math.round(100 * bench.wanted)} %
      <Range
        min={0}
        max={110}
        step={1}
        bind:value={() => Math.round(100 * bench.wanted), (to) => bench.want(Number(to) / 100)}
        aria-label="Flow wanted"
        aria-valuetext="{Math.round(100 * bench.wanted)} %"
        data-testid="bench-flow"
      /></label
    >
    <label class="text-[13px]"
      >The drive gives
      <Select
        classes={{ select: 'field w-56!' }}
        placeholder=""
        items={curveItems}
        data-testid="bench-curve"
        bind:value={() => bench.curve, (to) => bench.follow(voltageCurves.find((c) => c === to) ?? 'square')}
      /></label
    >
  </div>
  <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
    <label class="text-[13px]"
      >What is wrong
      <Select
        classes={{ select: 'field w-56!' }}
        placeholder=""
        items={spoils.map(([value, name]) => ({ value, name }))}
        data-testid="bench-wrong"
        bind:value={() => wrong, (to) => ((wrong = String(to)), spoil())}
      /></label
    >
    <label class="text-[13px]"
      >with
      <Select
        classes={{ select: 'field w-40!' }}
        placeholder=""
        items={[
          { value: 'both', name: 'both' },
          { value: 'throttle', name: 'the throttled one' },
          { value: 'drive', name: 'the driven one' },
        ]}
        bind:value={() => where, (to) => ((where = to === 'throttle' || to === 'drive' ? to : 'both'), spoil())}
      /></label
    >
    <label class="text-[13px]"
      >Machine
      <Select
        classes={{ select: 'field w-56!' }}
        placeholder=""
        items={[
          ...(own ? [{ value: 'own', name: 'of this position' }] : []),
          { value: 'blower', name: 'a small, oversized blower' },
        ]}
        data-testid="bench-machine"
        bind:value={() => machine, (to) => take(to === 'own' ? 'own' : 'blower')}
      /></label
    >
    <Checkbox bind:checked={guessing} classes={{ div: 'pb-1.5' }}>Guess first</Checkbox>
  </div>
  {#if looked && !own}
    <p class="text-[13px] text-quiet">
      This position has no pump or fan with a load and a motor yet: a small blower stands in. State its flow on Load.
    </p>
  {/if}
  {#if guessing}
    <form
      class="flex flex-wrap items-end gap-3 border-t border-rule pt-2"
      data-testid="guess"
      onsubmit={(e) => (e.preventDefault(), show())}
    >
      {#if hidden}
        <span class="w-full"
          >At {Math.round(100 * bench.wanted)} % flow, come to rest: what does each draw from the supply?</span
        >
        {#each ['throttle', 'drive'] as const as id (id)}
          <label class="text-[13px]"
            >{names[id]}, W or kW
            <Input
              class="field w-32!"
              inputmode="decimal"
              autocomplete="off"
              data-testid="guess-{id}"
              placeholder="e.g. {id === 'throttle' ? '9 kW' : '4 kW'}"
              bind:value={texts[id]}
            /></label
          >
        {/each}
        <Button type="submit" class="push" disabled={!guesses}>Show it</Button>
      {:else}
        <ul class="w-full" role="status">
          {#each said as line (line)}<li>{line}</li>{/each}
        </ul>
        <span class="text-quiet">Move the flow, the volts or what is wrong for the next one.</span>
      {/if}
      <span class="pb-1 text-quiet" data-testid="score">Score: {score.points} of {score.of}.</span>
    </form>
  {/if}
</div>
<div class="grid gap-3 md:grid-cols-2">
  <Side
    title="Throttled"
    kind="throttle"
    reading={bench.readings.throttle}
    moved={moved.throttle}
    {hidden}
    on={bench.running || bench.playing}
  />
  <Side
    title="On a drive"
    kind="drive"
    reading={bench.readings.drive}
    moved={moved.drive}
    {hidden}
    on={bench.running || bench.playing}
  />
</div>
<div class="box mt-3 p-3">
  <p class="flex flex-wrap items-baseline gap-x-6">
    <span
      >{less < 0 && !hidden ? 'The drive takes more:' : 'The drive saves'}
      <b class="font-condensed text-[20px] tabular-nums" data-testid="bench-less"
        >{hidden ? '?' : power(Math.abs(less))}</b
      ></span
    >
    <span class="text-quiet"
      >{hidden
        ? ''
        : `${(1000 * bench.saved).toFixed(1)} Wh since the start, ${money(bench.saved * bench.of.price)}`}</span
    >
  </p>
  <Tape bind:this={tape} {bench} {hidden} />
</div>
<section class="box mt-3 p-3" aria-label="The year in a minute">
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
    <h2 class="m-0!">The year in a minute</h2>
    <Button class="push" disabled={!looked} onclick={() => (bench.playing ? bench.pause() : bench.play())}
      >{bench.playing ? 'Pause' : 'Play the year'}</Button
    >
    <span class="text-[13px] text-quiet"
      >{bench.of.year.length} rows{bench.of.assumedYear
        ? ', assumed: nobody gave a profile'
        : ' of the profile on Speed'}; {bench.of.price}
      {bench.of.currency} a kWh</span
    >
  </div>
  {#if played}
    <div class="mt-2" role="group" aria-label="What was played" data-testid="year">
      <Progressbar
        role="progressbar"
        aria-label="Of the year"
        aria-valuenow={Math.round((100 * played.hours) / played.of)}
        progress={Math.round((100 * played.hours) / played.of)}
        size="h-2"
        class="mb-2 bg-rule"
        classes={{ inside: 'bg-pine' }}
      />
      <p class="mt-1 flex flex-wrap gap-x-6 tabular-nums">
        <span>{Math.round(played.hours).toLocaleString('en')} h of {Math.round(played.of).toLocaleString('en')} h</span>
        <span
          >flow {Math.round(100 * (bench.of.year[Math.min(played.row, bench.of.year.length - 1)]?.flow ?? 0))} %</span
        >
        <span
          >throttled {Math.round(played.kWh.throttle).toLocaleString('en')} kWh, on the drive {Math.round(
            played.kWh.drive,
          ).toLocaleString('en')} kWh</span
        >
        <b class="font-semibold" data-testid="year-saved"
          >{played.saved < 0 ? 'so far the drive costs more' : 'saved'} {money(Math.abs(played.saved))}</b
        >
      </p>
    </div>
  {/if}
</section>
{#if pair}
  <section class="box mt-3 p-3" aria-label="What was read at such a blower" data-testid="pair">
    <h2>What was read at such a blower, and what is computed</h2>
    <ul class="list-disc space-y-1 pl-5">
      <li>
        On the line, however its damper stood: read {read.throttled[0]} to {read.throttled[1]} W, {read.current} A, power
        factor
        {read.powerFactor}; computed {Math.min(...pair.throttled).toFixed(0)} to {Math.max(...pair.throttled).toFixed(
          0,
        )}
        W. Its motor idles: nearly all of it is its own loss, which no damper touches.
      </li>
      <li>
        On a drive at {read.frequency} Hz, the same flow: read {read.driven} W to the motor; computed {pair.square.toFixed(
          0,
        )} W with volts following hertz squared and {pair.least.toFixed(0)} W with its energy-saving mode, {Math.abs(
          pair.square / read.driven - 1,
        ) <= read.band
          ? 'within'
          : 'beyond'} the model’s ±{100 * read.band} %: how so small a motor’s losses split is not on its plate.
      </li>
      <li>
        With volts in plain proportion to hertz it would be {pair.straight.toFixed(0)} W: the saving is the flux that is taken
        away, as much as the flow. The cube law says {(
          (Math.max(...pair.throttled) * read.frequency ** 3) /
          50 ** 3
        ).toFixed(0)} W, near by luck: most of the input is no-load loss, which the cube does not know.
      </li>
    </ul>
  </section>
{/if}
