<script lang="ts">
  import { textOf } from './reading.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { figureName } from './names';

  interface Props {
    id: string;
    label?: string;
  }
  let { id, label }: Props = $props();
  const desk = useDesk();
  const figure = $derived(desk().figure(id));
  const waits = $derived(figure !== undefined && desk().waiting.has(figure.station));
</script>

{#if figure}
  <button
    type="button"
    class="flex w-full items-baseline justify-between gap-3 border-b border-rule px-1 py-1 text-left hover:bg-paper {waits
      ? 'waiting'
      : ''}"
    data-figure={id}
    onclick={() => (desk().working = id)}
  >
    <span class="text-quiet"
      >{label ?? figureName(id)}{#if figure.assumed.length > 0}<span class="ml-1 text-[12px] text-caution">assumed</span
        >{:else if figure.estimate}<span class="ml-1 text-[12px] text-quiet">estimate</span>{/if}</span
    >
    <span class="font-condensed font-semibold whitespace-nowrap underline decoration-rule underline-offset-2"
      >{textOf(figure)}</span
    >
  </button>
{/if}
