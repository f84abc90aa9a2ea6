<script lang="ts">
  import type { CaseError, MotorReading } from '@pilgrim/core';
  import { Input, Select } from 'flowbite-svelte';
  import { readingFields, type ReadingKey } from '@pilgrim/core/readings';
  import { insulationKinds, supports } from '@pilgrim/core/vocabulary';
  import type { RoundDraft } from './draft.svelte';

  interface Props {
    draft: RoundDraft;
    /** The last round, whose numbers stand grey where nothing is typed. */
    last: MotorReading | undefined;
    errors: readonly CaseError[];
  }
  let { draft, last, errors }: Props = $props();

  /** Groups in the order of a walk around the motor, with the short names a phone has room for. */
  const groups: readonly (readonly [title: string, keys: readonly ReadingKey[], short: readonly string[]])[] = [
    ['Current', ['current1', 'current2', 'current3'], ['L1', 'L2', 'L3']],
    ['Voltage', ['voltage12', 'voltage23', 'voltage31'], ['L1–L2', 'L2–L3', 'L3–L1']],
    ['Running', ['power', 'frequency', 'speed'], ['Power', 'Frequency', 'Speed']],
    [
      'Bearing, drive end',
      ['temperature', 'ambient', 'vibration', 'bearingNoise', 'grease'],
      ['Housing', 'Air', 'Vibration', 'Noise', 'Grease put in'],
    ],
    ['Counters', ['hours', 'starts'], ['Hours run', 'Starts']],
    [
      'Insulation, at a stop',
      ['insulation', 'insulationTemperature', 'polarisationIndex'],
      ['To earth', 'Winding', 'Pol. index'],
    ],
  ];
  const errorOf = (key: string): string | undefined => errors.find((e) => e.path === `reading.${key}`)?.message;
  const lastOf = (key: ReadingKey): string => {
    const value = last?.[key];
    return value === undefined ? '' : `was ${Number(value.toPrecision(4))}`;
  };

  /** Enter goes to the next field, as the key on a phone says. */
  function next(e: KeyboardEvent & { currentTarget: HTMLElement }): void {
    if (e.key !== 'Enter' || e.shiftKey || e.ctrlKey || e.metaKey) return;
    const fields = [...e.currentTarget.querySelectorAll<HTMLElement>('[data-path]')];
    const at = fields.findIndex((f) => f === e.target);
    if (at < 0) return;
    e.preventDefault();
    fields[at + 1]?.focus();
  }
  const supportItems = supports.map((value) => ({ value, name: value }));
  const windingItems = insulationKinds.map((value) => ({ value, name: value }));
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<form class="space-y-3" aria-label="Round" onsubmit={(e) => e.preventDefault()} onkeydown={next}>
  {#each groups as [title, keys, short] (title)}
    <fieldset class="min-w-0">
      <legend class="text-[13px] font-medium">{title}</legend>
      <div class="grid grid-cols-3 gap-2">
        {#each keys as key, i (key)}
          {@const error = errorOf(key)}
          <label class="block min-w-0 text-[12.5px] text-quiet"
            >{short[i]}{draft.unit(key) === '' ? '' : `, ${draft.unit(key)}`}
            <Input
              class="field min-h-[44px]! text-[17px]!"
              type="text"
              inputmode="decimal"
              enterkeyhint="next"
              autocomplete="off"
              aria-label={readingFields[key].label}
              aria-invalid={error !== undefined || undefined}
              aria-describedby={error === undefined ? undefined : `round-${key}-wrong`}
              data-path="reading.{key}"
              placeholder={lastOf(key)}
              bind:value={() => draft.texts[key] ?? '', (to) => (draft.texts[key] = String(to ?? ''))}
            />
            {#if error !== undefined}
              <span id="round-{key}-wrong" class="text-stop"><span aria-hidden="true">▲ </span>{error}</span>
            {/if}
          </label>
        {/each}
      </div>
    </fieldset>
  {/each}
  <div class="grid grid-cols-2 gap-2 text-[12.5px] text-quiet">
    <label class="min-w-0"
      >It stands on a support that is
      <Select
        classes={{ select: 'field min-h-[44px]!' }}
        placeholder=""
        items={[{ value: '', name: 'as before' }, ...supportItems]}
        data-path="reading.support"
        bind:value={() => draft.support ?? '', (to) => (draft.support = supports.find((s) => s === to))}
      /></label
    >
    <label class="min-w-0"
      >Its insulation is
      <Select
        classes={{ select: 'field min-h-[44px]!' }}
        placeholder=""
        items={[{ value: '', name: 'as before' }, ...windingItems]}
        data-path="reading.winding"
        bind:value={() => draft.winding ?? '', (to) => (draft.winding = insulationKinds.find((k) => k === to))}
      /></label
    >
    <label class="min-w-0"
      >When (empty: now)
      <Input
        class="field min-h-[44px]!"
        type="datetime-local"
        data-path="reading.at"
        aria-invalid={errorOf('at') !== undefined || undefined}
        bind:value={draft.at}
      /></label
    >
    <label class="min-w-0"
      >Note
      <Input class="field min-h-[44px]!" maxlength={2000} data-path="reading.note" bind:value={draft.note} /></label
    >
  </div>
</form>
