<script lang="ts">
  import { Select } from 'flowbite-svelte';
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
  // Chosen are the words, for what they stand for may be no text at all; the empty choice is no words.
  const chosen = $derived(options.find(([option]) => option === value)?.[1] ?? '');
  const items = $derived([
    ...(always ? [] : [{ value: '', name: none }]),
    ...options.map(([, name]) => ({ value: name, name })),
  ]);
  const put = (to: Json | undefined): void => (choose ? choose(to) : desk().set(path, to));
</script>

<Field {path} {label} {hint} error={desk().error(path)}>
  {#snippet children({ id, describedby, invalid })}
    <Select
      {id}
      classes={{ select: 'field py-[5px]!' }}
      placeholder=""
      data-path={path}
      aria-describedby={describedby}
      aria-invalid={invalid || undefined}
      {items}
      bind:value={() => chosen, (said) => put(options.find(([, name]) => name === said)?.[0])}
    />
  {/snippet}
</Field>
