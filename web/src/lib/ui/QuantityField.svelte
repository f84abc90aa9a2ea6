<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import { practiceUnits } from '@pilgrim/core/vocabulary';
  import {
    dimensions,
    fieldUnit,
    findUnit,
    readGroups,
    readQuantity,
    readTyped,
    unitTextOf,
    writeQuantity,
    type Dimension,
  } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Field from './Field.svelte';
  import { exampleText, OwnText } from './own.svelte';

  interface Props {
    path: string;
    label: string;
    dimension: Dimension;
    /** Another dimension it may be given in, such as a generator's kW. */
    also?: Dimension;
    /** Read as a rating that a plate may stamp in groups. */
    grouped?: boolean;
    /** A length of a shaft or a sheave, in inches or millimetres. */
    small?: boolean;
    /** An example, or words for what an empty field means. */
    placeholder?: string;
    /** What is taken while the field is empty. */
    taken?: string | undefined;
    /** Said under the field while it is empty. */
    hint?: string;
  }
  let { path, label, dimension: own, also, grouped = false, small = false, placeholder, taken, hint }: Props = $props();
  const desk = useDesk();

  const practice = $derived(desk().value('practice') === 'north-america' ? 'north-america' : 'iec');
  const unit = $derived(fieldUnit(own, practiceUnits[practice], small));
  const settled = (typed: string): string =>
    also && readQuantity(also, typed).ok ? typed : readTyped(own, typed, unit, grouped).text;
  const held = (): string | undefined => {
    const value = desk().value(path);
    return value === undefined || value === null ? undefined : String(value);
  };
  const text = new OwnText(settled, held);

  const typed = $derived(held() ?? '');
  const dimension = $derived(also && !readQuantity(own, typed).ok && readQuantity(also, typed).ok ? also : own);
  const reading = $derived(
    typed === '' ? undefined : grouped ? readGroups(dimension, typed) : readQuantity(dimension, typed),
  );
  const error = $derived(reading && !reading.ok && !also ? reading.message : desk().error(path));
  const echo = $derived(typed === '' ? '' : echoOf());
  // An example in the unit that the label shows, where there is one.
  const spec = $derived(dimensions[dimension]);
  const alike = $derived(spec.examples.find((e) => findUnit(spec, unitTextOf(e)) === findUnit(spec, unit)));
  const example = $derived(placeholder ?? alike ?? spec.examples[0]);
  const shownEmpty = $derived(taken === undefined ? exampleText(example) : `${taken} taken`);

  /** What was made of a bare number or a slip, and the same in the other system. */
  function echoOf(): string {
    const same = text.shown === typed ? [] : [`= ${typed}`];
    if (grouped) return same.join('');
    const read = readQuantity(dimension, typed);
    if (!read.ok) return '';
    const typedUnit = findUnit(spec, unitTextOf(typed));
    const readings = [
      writeQuantity(read.value.value, spec.base, 'si'),
      writeQuantity(read.value.value, spec.base, 'us'),
    ];
    const others = [...new Set(readings)].filter((t) => findUnit(spec, unitTextOf(t)) !== typedUnit);
    return [...same, ...others.map((t) => `= ${t}`)].join('  ');
  }
</script>

<Field {path} {label} {unit} {error} hint={typed === '' && hint ? hint : echo}>
  {#snippet children({ id, describedby, invalid })}
    <Input
      {id}
      class="field {taken !== undefined ? 'taken' : ''}"
      type="text"
      autocomplete="off"
      data-path={path}
      bind:value={() => text.shown, (to) => desk().set(path, text.type(String(to ?? '')))}
      placeholder={shownEmpty}
      aria-describedby={describedby}
      aria-invalid={invalid || undefined}
    />
  {/snippet}
</Field>
