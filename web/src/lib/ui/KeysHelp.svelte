<script lang="ts">
  import { Button, Checkbox, Kbd, Table } from 'flowbite-svelte';
  import { onMount } from 'svelte';
  import { tinykeys } from 'tinykeys';
  import { singleKeys } from './keys.svelte';

  let open = $state(false);
  onMount(() =>
    tinykeys(window, { 'Shift+?': (e) => singleKeys.apply(e, () => (open = !open)), Escape: () => (open = false) }),
  );

  const keys: readonly (readonly [string, string])[] = [
    ['Alt+1 … Alt+0', 'the ten stations'],
    ['/', 'find a position, or a field of this one'],
    ['w', 'working of the figure under focus'],
    ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo (outside fields)'],
    ['Ctrl+S', 'save a revision'],
    ['Esc', 'close a working, or these keys'],
    ['?', 'these keys'],
  ];
</script>

<div class="relative">
  <Button class="push px-2!" aria-expanded={open} onclick={() => (open = !open)}>Keys</Button>
  {#if open}
    <div class="box absolute right-0 z-10 mt-1 w-80 p-3" style="box-shadow: var(--shadow)">
      <Table class="dense">
        <tbody>
          {#each keys as [key, what] (key)}
            <tr
              ><td class="whitespace-nowrap"
                ><Kbd class="rounded-sm border border-edge bg-paper px-1 font-condensed font-semibold text-ink"
                  >{key}</Kbd
                ></td
              ><td>{what}</td></tr
            >
          {/each}
        </tbody>
      </Table>
      <Checkbox class="mt-2 gap-2" bind:checked={singleKeys.on}>single keys outside fields</Checkbox>
    </div>
  {/if}
</div>
