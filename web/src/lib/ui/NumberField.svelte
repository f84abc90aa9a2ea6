<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import { readNumber } from '@pilgrim/core/quantity';
  import type { Json } from '$lib/desk/paths';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Field from './Field.svelte';
  import { exampleText, OwnText } from './own.svelte';

  interface Props {
    path: string;
    label: string;
    hint?: string;
    /** An example, or words for what an empty field means. */
    placeholder?: string;
    /** What is taken while the field is empty. */
    taken?: string | undefined;
    /** A share of one, which no sensible value exceeds: beyond it, and with a %, per cent are meant. */
    shareTo?: number;
    /** Keeps text as text (frame, code letter); otherwise what reads as a number becomes one. */
    text?: boolean;
  }
  let { path, label, hint, placeholder, taken, shareTo, text = false }: Props = $props();
  const desk = useDesk();

  // The person's own text stands while it means the same number.
  const own = new OwnText<Json>(numberOf, () => desk().value(path));
  const error = $derived(desk().error(path));
  const held = $derived(desk().value(path));
  // Told where per cent were read: the case holds the share.
  const echo = $derived.by(() => {
    const plain = readNumber(own.shown);
    return typeof held === 'number' && !(plain.ok && plain.value === held) ? `= ${held}` : '';
  });
  const shownEmpty = $derived(taken !== undefined ? `${taken} taken` : exampleText(placeholder));

  function numberOf(typed: string): string | number {
    if (text) return typed;
    const n = readNumber(typed.replace(/\s*%$/, ''));
    if (!n.ok) return typed;
    // A share may be written in per cent: "74 %", and 74 where nothing above 1 makes sense.
    const percent = /%$/.test(typed.trim()) || (shareTo !== undefined && n.value > shareTo);
    return percent ? Number((n.value / 100).toPrecision(9)) : n.value;
  }
</script>

<Field {path} {label} {error} hint={echo === '' ? hint : echo}>
  {#snippet children({ id, describedby, invalid })}
    <Input
      {id}
      class="field {taken !== undefined ? 'taken' : ''}"
      type="text"
      inputmode={text ? 'text' : 'decimal'}
      autocomplete="off"
      data-path={path}
      bind:value={() => own.shown, (typed) => desk().set(path, own.type(String(typed ?? '')))}
      placeholder={shownEmpty}
      aria-describedby={describedby}
      aria-invalid={invalid || undefined}
    />
  {/snippet}
</Field>
