<script lang="ts">
  import { readNumber } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Field from './Field.svelte';

  interface Props {
    path: string;
    label: string;
    hint?: string;
    placeholder?: string;
    /** Keeps text as text (frame, code letter); otherwise what reads as a number becomes one. */
    text?: boolean;
  }
  let { path, label, hint, placeholder, text = false }: Props = $props();
  const desk = useDesk();

  const value = $derived(desk().value(path));
  // What stands in the field: the person's own text while it means the same number ("0.90" is not turned into "0.9").
  let own = $state('');
  const shown = $derived(own !== '' && numberOf(own) === value ? own : String(value ?? ''));
  const error = $derived(desk().error(path));

  function numberOf(typed: string): string | number {
    if (text) return typed;
    const n = readNumber(typed);
    return n.ok ? n.value : typed;
  }

  function put(typed: string): void {
    own = typed;
    desk().set(path, typed === '' ? undefined : numberOf(typed));
  }
</script>

<Field {path} {label} {error} {hint}>
  {#snippet children({ id, describedby, invalid })}
    <input
      {id}
      class="field"
      type="text"
      inputmode={text ? 'text' : 'decimal'}
      autocomplete="off"
      spellcheck="false"
      data-path={path}
      value={shown}
      {placeholder}
      aria-describedby={describedby}
      aria-invalid={invalid}
      oninput={(e) => put(e.currentTarget.value)}
    />
  {/snippet}
</Field>
