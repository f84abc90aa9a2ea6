<script lang="ts">
  import type { Json } from '$lib/desk/paths';
  import { useDesk } from '$lib/desk/desk.svelte';
  import Field from './Field.svelte';

  interface Props {
    path: string;
    label: string;
    hint?: string;
    /** [value, words]; the empty choice clears the field. */
    options: readonly (readonly [Json, string])[];
    none?: string;
    /** One of the options must stand: there is no empty choice. */
    always?: boolean;
    /** What choosing does, where it is more than putting the value at the path. */
    choose?: (value: Json | undefined) => void;
  }
  let { path, label, hint, options, none = 'not said', always = false, choose }: Props = $props();
  const desk = useDesk();
  const value = $derived(desk().value(path));
  const put = (to: Json | undefined): void => (choose ? choose(to) : desk().set(path, to));
</script>

<Field {path} {label} {hint} error={desk().error(path)}>
  {#snippet children({ id, describedby, invalid })}
    <select
      {id}
      class="field py-[5px]"
      data-path={path}
      aria-describedby={describedby}
      aria-invalid={invalid}
      onchange={(e) => put(options[e.currentTarget.selectedIndex - (always ? 0 : 1)]?.[0])}
    >
      {#if !always}<option selected={value === undefined || value === null}>{none}</option>{/if}
      {#each options as [option, words] (words)}
        <option selected={value === option}>{words}</option>
      {/each}
    </select>
  {/snippet}
</Field>
