<script lang="ts">
  import { readGroups, readQuantity, type Dimension } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/position/desk.svelte';
  import { textOf } from '$lib/reading.svelte';

  interface Stamp {
    readonly key: string;
    readonly label: string;
    readonly kind: 'group' | 'quantity' | 'number' | 'text' | 'phases';
    readonly dimension?: Dimension;
    readonly wide?: boolean;
    readonly example: string;
    /** Figure shown in lighter engraving where nothing is stamped, or beside it. */
    readonly figure?: string;
  }
  const desk = useDesk();
  const iec = $derived(desk().value('practice') === 'iec');

  const stamps: readonly Stamp[] = $derived([
    { key: 'power', label: iec ? 'kW' : 'HP', kind: 'group', dimension: 'power', example: iec ? '15 kW' : '30 hp' },
    {
      key: 'speed',
      label: iec ? 'min⁻¹' : 'RPM',
      kind: 'group',
      dimension: 'speed',
      example: iec ? '1465 rpm' : '1770 rpm',
    },
    { key: 'phases', label: 'PH', kind: 'phases', example: '3' },
    { key: 'frequency', label: 'HZ', kind: 'quantity', dimension: 'frequency', example: iec ? '50 Hz' : '60 Hz' },
    {
      key: 'voltage',
      label: 'VOLTS',
      kind: 'group',
      dimension: 'voltage',
      wide: true,
      example: iec ? '400/690 V' : '208-230/460 V',
    },
    {
      key: 'current',
      label: iec ? 'A' : 'AMPS',
      kind: 'group',
      dimension: 'current',
      wide: true,
      example: iec ? '28.5/16.5 A' : '79-72/36 A',
    },
    { key: 'frame', label: 'FRAME', kind: 'text', example: iec ? '160L' : '286T' },
    { key: 'enclosure', label: iec ? 'IP' : 'ENCL', kind: 'text', example: iec ? 'IP55' : 'TEFC' },
    { key: 'serviceFactor', label: 'SF', kind: 'number', example: iec ? '1.0' : '1.15' },
    { key: 'codeLetter', label: 'CODE', kind: 'text', example: 'G' },
    { key: 'designLetter', label: 'DESIGN', kind: 'text', example: 'B' },
    { key: 'insulation', label: 'INS CL', kind: 'text', example: 'F' },
    { key: 'ambient', label: 'AMB', kind: 'quantity', dimension: 'temperature', example: '40 degC' },
    { key: 'duty', label: 'DUTY', kind: 'text', example: 'continuous' },
    { key: 'efficiency', label: iec ? 'η' : 'NOM EFF', kind: 'number', example: '0.936', figure: 'plate.efficiency' },
    { key: 'powerFactor', label: iec ? 'cos φ' : 'PF', kind: 'number', example: '0.83', figure: 'plate.powerFactor' },
  ]);

  const workedOut = [
    ['plate.poles', 'poles'],
    ['plate.synchronousSpeed', 'synchronous'],
    ['plate.slip', 'slip'],
    ['plate.ratedTorque', 'torque'],
    ['plate.inputPower', 'input'],
    ['plate.efficiencyMinimum', 'min eff'],
    ['plate.shaftHeight', 'shaft height'],
    ['plate.lockedRotorCurrentMin', 'locked rotor from'],
    ['plate.lockedRotorCurrentMax', 'to'],
  ] as const;

  const ringed = $derived(
    new Set(
      (desk().result?.findings ?? [])
        .filter((f) => f.station === 'plate' && f.level !== 'note')
        .flatMap((f) => f.fields),
    ),
  );

  function problemOf(s: Stamp): string | undefined {
    const typed = String(desk().value(`plate.${s.key}`) ?? '');
    if (typed === '') return undefined;
    if (s.kind === 'group' && s.dimension) {
      const r = readGroups(s.dimension, typed);
      if (!r.ok) return r.message;
    }
    if (s.kind === 'quantity' && s.dimension) {
      const r = readQuantity(s.dimension, typed);
      if (!r.ok) return r.message;
    }
    return desk().error(`plate.${s.key}`);
  }

  function put(s: Stamp, typed: string): void {
    const n = Number(typed);
    const numeric =
      (s.kind === 'number' || s.kind === 'phases') && typed.trim() !== '' && Number.isFinite(n) && !typed.endsWith('.');
    desk().set(`plate.${s.key}`, typed === '' ? undefined : numeric ? n : typed);
  }
</script>

<div class="plate" role="group" aria-label="Motor plate">
  <svg class="rivet" style="left: 8px; top: 8px" width="10" height="10" aria-hidden="true"
    ><circle cx="5" cy="5" r="4" fill="none" stroke="var(--on-metal)" /></svg
  >
  <svg class="rivet" style="right: 8px; top: 8px" width="10" height="10" aria-hidden="true"
    ><circle cx="5" cy="5" r="4" fill="none" stroke="var(--on-metal)" /></svg
  >
  <p class="title">3-phase induction motor</p>
  <div class="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
    {#each stamps as s (s.key)}
      {@const path = `plate.${s.key}`}
      {@const problem = problemOf(s)}
      {@const found = s.figure && desk().value(path) === undefined ? desk().figure(s.figure) : undefined}
      <div class:col-span-2={s.wide}>
        <label for="p-{s.key}" class="stamp">{s.label}</label>
        <input
          id="p-{s.key}"
          class="engraved"
          class:ringed={ringed.has(path)}
          type="text"
          autocomplete="off"
          spellcheck="false"
          data-path={path}
          value={String(desk().value(path) ?? '')}
          placeholder={found ? `${textOf(found)}, worked out` : s.example}
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? `p-${s.key}-note` : undefined}
          oninput={(e) => put(s, e.currentTarget.value)}
        />
        {#if problem}<p id="p-{s.key}-note" class="problem">▲ {problem}</p>{/if}
      </div>
    {/each}
  </div>
  <div class="mt-3 border-t pt-2" style="border-color: var(--on-metal)">
    <span class="stamp">worked out</span>
    <div class="flex flex-wrap gap-x-4 gap-y-1">
      {#each workedOut as [id, label] (id)}
        {@const figure = desk().figure(id)}
        {#if figure}
          <button type="button" class="light" data-figure={id} onclick={() => (desk().working = id)}
            >{label} <span class="underline">{textOf(figure)}</span></button
          >
        {/if}
      {/each}
    </div>
  </div>
</div>

<style>
  .plate {
    position: relative;
    background: linear-gradient(160deg, var(--metal-light), var(--metal));
    color: var(--on-metal);
    border: 1px solid var(--edge);
    border-radius: 6px;
    padding: 16px 24px 14px;
    font-family: var(--font-condensed);
  }
  .rivet {
    position: absolute;
  }
  .title {
    text-align: center;
    letter-spacing: 0.08em;
    text-transform: uppercase;
    font-size: 13px;
    margin-bottom: 8px;
  }
  .stamp {
    display: block;
    font-size: 12px;
    letter-spacing: 0.06em;
    font-weight: 600;
  }
  .engraved {
    width: 100%;
    background: transparent;
    border: 0;
    border-bottom: 1.5px solid var(--on-metal);
    border-radius: 0;
    color: var(--on-metal);
    font-size: 1.1rem;
    font-weight: 600;
    padding: 1px 4px;
  }
  .engraved:focus {
    box-shadow: none;
    outline: 2px solid #12535a;
    background: rgb(255 255 255 / 0.5);
  }
  .engraved::placeholder {
    color: #3d474e;
    font-weight: 400;
    font-style: italic;
    opacity: 1;
    font-size: 0.95rem;
  }
  .engraved.ringed,
  .engraved[aria-invalid='true'] {
    outline: 2px solid #9c2f1f;
    outline-offset: 2px;
    border-radius: 8px;
  }
  .problem {
    font-size: 12.5px;
    color: #6d1a0e;
    font-weight: 600;
  }
  .light {
    color: var(--on-metal);
    font-size: 14px;
  }
</style>
