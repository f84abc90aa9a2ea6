<script lang="ts">
  import { Button, Input } from 'flowbite-svelte';
  import type { Result } from '@pilgrim/core';
  import { isFindingId, passingFindings } from '@pilgrim/core/vocabulary';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { accept, doubtAgain } from '$lib/desk/accepted';
  import { fieldName } from '$lib/ui/names';
  import Hint from '$lib/ui/Hint.svelte';
  import Mark from '$lib/ui/Mark.svelte';

  type Finding = Result['findings'][number];
  const isPassing = (id: string): boolean => isFindingId(id) && id !== 'plate.tradition' && passingFindings.has(id);
  const desk = useDesk();
  const doubts = $derived(
    (desk().result?.findings ?? []).filter(
      (f) =>
        f.station === 'plate' &&
        (f.doubt || f.suggestions.some((s) => s.field.startsWith('plate.')) || isPassing(f.id)),
    ),
  );
  /** Readings that would lay a doubt to rest, each once, those that explain most doubts first. */
  const suggestions = $derived.by(() => {
    const open = doubts.filter((f) => f.accepted === null).flatMap((f) => f.suggestions);
    const times = (s: (typeof open)[number]): number =>
      open.filter((o) => o.field === s.field && o.value === s.value).length;
    const once = [...new Map(open.map((s) => [`${s.field} ${s.value}`, s])).values()];
    return once.toSorted((a, b) => times(b) - times(a)).slice(0, 5);
  });
  let reasons = $state<Record<string, string>>({});

  const keyOf = (f: Finding): string => `${f.id} ${f.fields.join(' ')}`;
</script>

{#if doubts.length > 0}
  <section class="box mb-4 p-3" aria-label="Doubts" data-testid="doubts">
    <h2 class="mb-1">Doubts</h2>
    {#if suggestions.length > 0}
      <p class="mb-2 flex flex-wrap items-center gap-2">
        <span class="text-quiet">Look at the metal again; if it says so:</span>
        {#each suggestions as s (s.field + s.value)}
          <Button class="push" onclick={() => desk().set(s.field, s.value)}>{fieldName(s.field)}: {s.value}</Button>
          <Hint text={s.why} />
        {/each}
      </p>
    {/if}
    <ul>
      {#each doubts as f (keyOf(f))}
        <li class="flex gap-2 border-t border-rule py-2 first:border-t-0">
          <span class="mt-1"><Mark state={f.accepted === null ? f.level : 'note'} /></span>
          <div class="min-w-0 flex-1">
            <p>{f.text}</p>
            {#if f.accepted !== null}
              <p class="text-quiet">
                Let stand: {f.accepted}
                <Button class="link ml-2" onclick={() => doubtAgain(desk(), f)}>doubt it again</Button>
              </p>
            {:else}
              {#if f.doubt || f.level === 'caution'}
                <form
                  class="mt-1 flex flex-wrap items-center gap-2"
                  onsubmit={(e) => (e.preventDefault(), accept(desk(), f, reasons[keyOf(f)] ?? ''))}
                >
                  <Input
                    class="field max-w-[340px]"
                    aria-label="Why it may stand: {f.text.slice(0, 60)}"
                    placeholder="It is right, because …"
                    maxlength={400}
                    bind:value={reasons[keyOf(f)]}
                  />
                  <Button type="submit" class="push" disabled={!(reasons[keyOf(f)] ?? '').trim()}>Let it stand</Button>
                </form>
              {/if}
            {/if}
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}
