<script lang="ts">
  import { Button, Checkbox, Kbd, Table } from 'flowbite-svelte';
  import Floating from './Floating.svelte';
  import { onMount } from 'svelte';
  import { tinykeys } from 'tinykeys';
  import { singleKeys } from './keys.svelte';

  let open = $state(false);
  onMount(() => tinykeys(window, { 'Shift+?': (e) => singleKeys.apply(e, () => (open = !open)) }));

  const keys: readonly (readonly [string, string])[] = [
    ['Alt+1 … Alt+0', 'the ten stations'],
    ['/', 'find a station, field, figure, position, or something to do'],
    ['w', 'working of the figure under focus'],
    ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo (outside fields)'],
    ['Ctrl+S', 'save a revision'],
    ['Esc', 'close a working, or these keys'],
    ['?', 'these keys'],
  ];
</script>

<Button class="push px-2! max-sm:hidden!" aria-haspopup="dialog" onclick={() => (open = true)}>Keys</Button>
<Floating bind:open label="Keys">
  <Table class="dense">
    <tbody>
      {#each keys as [key, what] (key)}
        <tr
          ><td class="whitespace-nowrap"
            ><Kbd class="rounded-sm border border-edge bg-paper px-1 font-condensed font-semibold text-ink">{key}</Kbd
            ></td
          ><td>{what}</td></tr
        >
      {/each}
    </tbody>
  </Table>
  <Checkbox class="mt-2 gap-2" bind:checked={singleKeys.on}>single keys outside fields</Checkbox>
</Floating>
