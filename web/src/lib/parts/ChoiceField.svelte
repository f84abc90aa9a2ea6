<script lang="ts">
  import type { Json } from '$lib/position/paths';
  import { useDesk } from '$lib/position/desk.svelte';
  import Field from './Field.svelte';

  interface Props {
    path: string;
    label: string;
    hint?: string;
    /** [value, words]; the empty choice clears the field. */
    options: readonly (readonly [Json, string])[];
    none?: string;
  }
  let { path, label, hint, options, none = 'not said' }: Props = $props();
  const desk = useDesk();
  const value = $derived(desk().value(path));
</script>

<Field {path} {label} {hint} error={desk().error(path)}>
  {#snippet children({ id, describedby, invalid })}
    <select
      {id}
      class="field py-[5px]"
      data-path={path}
      aria-describedby={describedby}
      aria-invalid={invalid}
      onchange={(e) => desk().set(path, options[e.currentTarget.selectedIndex - 1]?.[0])}
    >
      <option selected={value === undefined || value === null}>{none}</option>
      {#each options as [option, words] (words)}
        <option selected={value === option}>{words}</option>
      {/each}
    </select>
  {/snippet}
</Field>
