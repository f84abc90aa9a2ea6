<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';
  import { putAt, type Json } from '$lib/desk/paths';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { fieldName } from './names';

  interface Props {
    /** Path of a list in the case. */
    path: string;
    /** What a row is called. */
    name: string;
    /** What a new row holds. */
    blank: Json;
    most?: number;
    row: Snippet<[number]>;
  }
  let { path, name, blank, most = 1000, row }: Props = $props();
  const desk = useDesk();
  const rows = $derived.by((): readonly Json[] => {
    const value = desk().value(path);
    return Array.isArray(value) ? value : [];
  });
  const put = (list: readonly Json[]): void =>
    desk().change('', (draft) => putAt(draft, path, list.length > 0 ? list : undefined), fieldName(path));
</script>

{#each rows as _, i (i)}
  <div class="flex items-start gap-3" data-row={name}>
    <div class="min-w-0 flex-1">{@render row(i)}</div>
    <Button
      class="push mt-[21px]"
      aria-label="Remove {name} {i + 1}"
      onclick={() => put(rows.filter((_row, n) => n !== i))}>Remove</Button
    >
  </div>
{/each}
{#if rows.length < most}
  <Button class="push" data-path={path} onclick={() => put([...rows, blank])}>Add a {name}</Button>
{/if}
