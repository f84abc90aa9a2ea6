<script lang="ts">
  import { fieldChanges, mergeCases } from '@pilgrim/core/changes';
  import { Button, Radio, Table } from 'flowbite-svelte';
  import { readRevision } from '$lib/api';
  import { fieldName } from '$lib/ui/names';
  import type { Desk } from './desk.svelte';
  import { unnamed } from './carried';
  import FieldChanges from './FieldChanges.svelte';
  import { putAt, type Json } from './paths';

  interface Props {
    desk: Desk;
    name: string;
  }
  let { desk, name }: Props = $props();

  const plain = (value: unknown): Record<string, unknown> =>
    typeof value === 'object' && value !== null ? { ...value } : {};
  const theirs = $derived(plain(desk.conflict?.caseText));
  const changes = $derived(fieldChanges(theirs, desk.case));
  /** What both began with; null until it is here. */
  let base = $state.raw<Record<string, unknown> | null>(null);
  $effect(() => {
    base = null;
    const { parent } = desk;
    if (parent === null) base = {};
    else void readRevision(parent).then((r) => (base = r.ok ? plain(r.value.caseText) : null));
  });
  const both = $derived(base && mergeCases(base, desk.case, theirs));
  let picks: Record<string, 'mine' | 'theirs'> = $state({});
  const who = $derived(
    desk.conflict === null || desk.conflict.author === unnamed ? 'somebody else' : desk.conflict.author,
  );
  const show = (value: unknown): string =>
    value === undefined ? '—' : typeof value === 'string' ? value : JSON.stringify(value);

  function together(): void {
    if (!both) return;
    const merged = structuredClone(both.merged);
    // A field is JSON as the server sent it.
    for (const d of both.disputed) if (picks[d.path] === 'theirs') putAt(merged, d.path, d.theirs as Json);
    void desk.keepMine(merged);
  }
</script>

<section class="box mb-3 border-stop p-3" aria-labelledby="conflict" data-testid="conflict">
  <h2 id="conflict">This position was saved by {who} after you opened it</h2>
  <p class="mb-2 text-quiet">Nothing is overwritten. These fields differ:</p>
  {#if changes.length === 0}
    <p class="mb-2">Both say the same.</p>
  {:else}
    <FieldChanges
      heads={['Theirs, saved', 'Yours, on this machine']}
      rows={changes.map((c) => [fieldName(c.path), c.before, c.after])}
    />
  {/if}
  {#if both && both.disputed.length > 0}
    <p class="mb-1">You both changed these; say whose stands where the two are put together:</p>
    <Table class="dense mb-3" data-testid="disputed">
      <thead><tr><th>Field</th><th>Yours</th><th>Theirs</th></tr></thead>
      <tbody>
        {#each both.disputed as d (d.path)}
          <tr>
            <td>{fieldName(d.path)}</td>
            {#each ['mine', 'theirs'] as const as whose (whose)}
              <td
                ><Radio
                  name={d.path}
                  value={whose}
                  group={picks[d.path] ?? 'mine'}
                  onchange={() => (picks[d.path] = whose)}>{show(d[whose])}</Radio
                ></td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </Table>
  {/if}
  <Button class="push" data-main disabled={!both} onclick={together}>Put both together and save</Button>
  <Button class="push ml-2" onclick={() => void desk.keepMine()}>Save mine on top of theirs</Button>
  <Button class="push ml-2" onclick={() => void desk.takeTheirs(name)}>Take theirs, drop mine</Button>
  <p class="mt-2 text-quiet">
    Together: what only {who} changed becomes theirs, what only you changed stays yours. Every state stays in the history.
  </p>
</section>
