<script lang="ts">
  import type { Kept } from '@pilgrim/core';
  import { changesBetween, fieldChanges, isSame } from '@pilgrim/core/changes';
  import { format } from 'date-fns/format';
  import { Button, Radio, Table } from 'flowbite-svelte';
  import { readRevision, type Revision, type RevisionListed } from '$lib/api';
  import { solvedNow } from '$lib/solver';
  import { fieldName } from '$lib/ui/names';
  import Changed from './Changed.svelte';
  import { useDesk } from './desk.svelte';
  import FieldChanges from './FieldChanges.svelte';

  let { revisions }: { revisions: readonly RevisionListed[] } = $props();
  const desk = useDesk();
  /** A revision, and the same case solved by this core with today's shelf. */
  interface State {
    readonly revision: Revision;
    readonly now: Kept | null;
  }
  /** The state on the desk, saved or not; the others are revisions by their id. */
  const here = 'desk';
  let older = $state('');
  let newer = $state(here);
  const chosen = $derived(
    older === '' ? ((revisions[desk().state === 'saved' ? 1 : 0] ?? revisions[0])?.id ?? '') : older,
  );
  let kept = $state.raw<Readonly<Record<string, State>>>({});
  let message = $state('');

  async function bring(id: string): Promise<State | undefined> {
    if (kept[id]) return kept[id];
    const answer = await readRevision(id);
    if (!answer.ok) {
      message = `That revision could not be read: ${answer.problem.title ?? 'try again'}.`;
      return undefined;
    }
    const revision = answer.value;
    // With the own shelf, as the desk: opened by its address the page is here before the shelf is.
    await desk().opened();
    const state = { revision, now: await solvedNow(revision.caseText) };
    kept = { ...kept, [id]: state };
    return state;
  }

  const stateOf = (id: string) => {
    if (id === here) return { caseText: desk().case, now: desk().result, revision: null };
    const state = kept[id];
    return state && { ...state, caseText: state.revision.caseText };
  };
  $effect(() => {
    for (const id of [chosen, newer]) if (id !== '' && id !== here) void bring(id);
  });
  const both = $derived.by(() => {
    const [a, b] = [stateOf(chosen), stateOf(newer)];
    return a && b ? ([a, b] as const) : null;
  });
  const fields = $derived(both ? fieldChanges(both[0].caseText, both[1].caseText) : []);
  /** Both solved now: what people changed. */
  const changes = $derived(both?.[0].now && both[1].now ? changesBetween(both[0].now, both[1].now) : null);
  /** Each as it was answered then, and now: what the program and the shelf changed. */
  const program = $derived(
    (both ?? []).flatMap(({ revision, now }) => {
      const of = revision && now ? changesBetween(revision.result, now) : null;
      return revision && now && of && !isSame(of) ? [{ revision, now, of }] : [];
    }),
  );

  const when = (r: RevisionListed): string => format(new Date(r.createdAt), 'd MMM yyyy HH:mm');
  const called = (id: string): string => {
    const r = revisions.find((x) => x.id === id);
    return r ? when(r) : 'on the desk';
  };

  async function bringBack(r: RevisionListed): Promise<void> {
    const state = await bring(r.id);
    if (!state) return;
    desk().replace(state.revision.caseText, `the revision of ${when(r)}`);
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
    {#each program as { revision, now, of } (revision.id)}
      <section class="box mt-3 p-3 text-[14px]" aria-label="What the program changed" data-testid="program">
        <h3 class="font-medium">What the program or the shelf changed since {called(revision.id)}</h3>
        <p class="mb-2 text-quiet">
          The same case, answered {revision.coreVersion === now.core
            ? `by core ${now.core} then and now`
            : `by core ${revision.coreVersion} then, by core ${now.core} now`}. Nobody changed what was given.
        </p>
        <Changed changes={of} />
      </section>
    {/each}
  {:else}
    <p class="text-quiet">There is no earlier one to compare with.</p>
  {/if}
{/if}
