<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { useDesk } from './desk.svelte';

  /** What the plate leaves open and only the site can say: its supply, and whose practice it works by. */
  const desk = useDesk();
  const open = $derived(
    (desk().result?.findings ?? []).filter((f) => f.id === 'plate.several-voltages' || f.id === 'plate.tradition'),
  );
</script>

{#each open as finding (finding.id)}
  <section class="box mb-4 p-3" aria-label="Asked once" data-testid="asked-once">
    <p class="mb-2">{finding.text}</p>
    <p class="flex flex-wrap items-center gap-2">
      {#each finding.suggestions as s (s.value)}
        <Button class="push" onclick={() => desk().set(s.field, s.value)}
          >{s.field === 'practice' ? s.why : s.value}</Button
        >
        {#if s.field !== 'practice'}<span class="mr-3 text-[13px] text-quiet">{s.why}</span>{/if}
      {/each}
    </p>
  </section>
{/each}
