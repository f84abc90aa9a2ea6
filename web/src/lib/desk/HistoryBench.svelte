<script lang="ts">
  import type { Result } from '@pilgrim/core';
  import { changesBetween, fieldChanges } from '@pilgrim/core/changes';
  import { format } from 'date-fns/format';
  import { Button, Radio, Table } from 'flowbite-svelte';
  import { readRevision, type RevisionListed } from '$lib/api';
  import { fieldName } from '$lib/ui/names';
  import Changed from './Changed.svelte';
  import { useDesk } from './desk.svelte';
  import FieldChanges from './FieldChanges.svelte';

  let { revisions }: { revisions: readonly RevisionListed[] } = $props();
  const desk = useDesk();
  interface State {
    readonly caseText: unknown;
    readonly result: Result | null;
  }
  /** The state on the desk, saved or not; the others are revisions by their id. */
  const here = 'desk';
  let older = $state('');
  let newer = $state(here);
  const chosen = $derived(older === '' ? (revisions[desk().state === 'saved' ? 1 : 0]?.id ?? '') : older);
  let kept = $state.raw<Readonly<Record<string, State>>>({});
  let message = $state('');

  async function bring(id: string): Promise<State | undefined> {
    if (id === here) return { caseText: desk().case, result: desk().result };
    if (kept[id]) return kept[id];
    const answer = await readRevision(id);
    if (!answer.ok) {
      message = `That revision could not be read: ${answer.problem.title ?? 'try again'}.`;
      return undefined;
    }
    kept = { ...kept, [id]: answer.value };
    return answer.value;
  }

  const stateOf = (id: string): State | undefined =>
    id === here ? { caseText: desk().case, result: desk().result } : kept[id];
  $effect(() => {
    for (const id of [chosen, newer]) if (id !== '' && id !== here) void bring(id);
  });
  const both = $derived.by(() => {
    const [a, b] = [stateOf(chosen), stateOf(newer)];
    return a && b ? ([a, b] as const) : null;
  });
  const fields = $derived(both ? fieldChanges(both[0].caseText, both[1].caseText) : []);
  const changes = $derived(both?.[0].result && both[1].result ? changesBetween(both[0].result, both[1].result) : null);

  const when = (r: RevisionListed): string => format(new Date(r.createdAt), 'd MMM yyyy HH:mm');
  const called = (id: string): string => {
    const r = revisions.find((x) => x.id === id);
    return r ? when(r) : 'on the desk';
  };

  async function bringBack(r: RevisionListed): Promise<void> {
    const state = await bring(r.id);
    if (!state) return;
    desk().replace(state.caseText, `the revision of ${when(r)}`);
    message = `Back on the desk as it was on ${when(r)}. Save it to keep it; undo takes it away again.`;
  }
</script>

<h2>History</h2>
<p class="mb-2 text-quiet">
  Every save stays as it was. Choose two to see what differs in what was given and in what it answers.
</p>
<p role="status" class="min-h-5">{message}</p>
{#if revisions.length === 0}
  <p class="box p-4">Nothing is saved yet. Ctrl+S saves what is on the desk.</p>
{:else}
  <div class="box mb-3 max-h-[300px] overflow-auto">
    <Table class="dense" data-testid="revisions">
      <thead
        ><tr
          ><th>From</th><th>To</th><th>Saved</th><th>By</th><th>Why</th><th>Standing choice</th><th
            ><span class="sr-only">Bring back</span></th
          ></tr
        ></thead
      >
      <tbody>
        <tr>
          <td></td>
          <td><Radio name="newer" value={here} bind:group={newer} aria-label="to what is on the desk" /></td>
          <td colspan="5">{desk().state === 'saved' ? 'On the desk, as saved' : 'On the desk, not saved yet'}</td>
        </tr>
        {#each revisions as r (r.id)}
          <tr>
            <td
              ><Radio
                name="older"
                value={r.id}
                group={chosen}
                onchange={() => (older = r.id)}
                aria-label="from {when(r)}"
              /></td
            >
            <td><Radio name="newer" value={r.id} bind:group={newer} aria-label="to {when(r)}" /></td>
            <td class="whitespace-nowrap">{when(r)}</td>
            <td>{r.author}</td>
            <td>{r.note}</td>
            <td>{r.choice ?? 'none'}</td>
            <td class="whitespace-nowrap"
              ><Button class="link" aria-label="Bring back {when(r)}" onclick={() => void bringBack(r)}
                >Bring back</Button
              ></td
            >
          </tr>
        {/each}
      </tbody>
    </Table>
  </div>
  {#if both}
    <section aria-label="What differs" data-testid="differs">
      <h3 class="font-medium">From {called(chosen)} to {called(newer)}</h3>
      {#if fields.length === 0}
        <p class="text-quiet">The same was given in both.</p>
      {:else}
        <FieldChanges heads={['was', 'is']} rows={fields.map((f) => [fieldName(f.path), f.before, f.after])} />
      {/if}
      {#if changes}
        <div class="text-[14px]"><Changed {changes} /></div>
      {/if}
    </section>
  {:else}
    <p class="text-quiet">There is no earlier one to compare with.</p>
  {/if}
{/if}
