<script lang="ts">
  import {
    dimensions,
    findUnit,
    readGroups,
    readQuantity,
    unitTextOf,
    writeQuantity,
    type Dimension,
  } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Field from './Field.svelte';

  interface Props {
    path: string;
    label: string;
    dimension: Dimension;
    /** Another dimension it may be given in, such as a generator's kW. */
    also?: Dimension;
    /** Read as a rating that a plate may stamp in groups. */
    grouped?: boolean;
    /** Shown where the field is empty: what is then assumed, or an example. */
    placeholder?: string;
    /** Said under the field while it is empty. */
    hint?: string;
  }
  let { path, label, dimension: own, also, grouped = false, placeholder, hint }: Props = $props();
  const desk = useDesk();

  const typed = $derived(String(desk().value(path) ?? ''));
  const dimension = $derived(also && !readQuantity(own, typed).ok && readQuantity(also, typed).ok ? also : own);
  const reading = $derived(
    typed === '' ? undefined : grouped ? readGroups(dimension, typed) : readQuantity(dimension, typed),
  );
  const error = $derived(reading && !reading.ok && !also ? reading.message : desk().error(path));
  const echo = $derived(grouped || typed === '' ? '' : echoOf());

  /** The same quantity in the other system, or in both where it was typed in a third unit. */
  function echoOf(): string {
    const read = readQuantity(dimension, typed);
    if (!read.ok) return '';
    const spec = dimensions[dimension];
    const typedUnit = findUnit(spec, unitTextOf(typed));
    const readings = [
      writeQuantity(read.value.value, spec.base, 'si'),
      writeQuantity(read.value.value, spec.base, 'us'),
    ];
    return [...new Set(readings)]
      .filter((t) => findUnit(spec, unitTextOf(t)) !== typedUnit)
      .map((t) => `= ${t}`)
      .join('  ');
  }
</script>

<Field {path} {label} {error} hint={typed === '' && hint ? hint : echo}>
  {#snippet children({ id, describedby, invalid })}
    <input
      {id}
      class="field"
      type="text"
      autocomplete="off"
      spellcheck="false"
      data-path={path}
      value={typed}
      placeholder={placeholder ?? dimensions[dimension].examples[0]}
      aria-describedby={describedby}
      aria-invalid={invalid}
      oninput={(e) => desk().set(path, e.currentTarget.value === '' ? undefined : e.currentTarget.value)}
    />
  {/snippet}
</Field>
