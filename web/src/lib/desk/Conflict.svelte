<script lang="ts">
  import { Button, Table } from 'flowbite-svelte';
  import diff from 'microdiff';
  import type { Desk } from './desk.svelte';

  interface Props {
    desk: Desk;
    name: string;
  }
  let { desk, name }: Props = $props();

  const plain = (value: unknown): Record<string, unknown> =>
    typeof value === 'object' && value !== null ? { ...value } : {};
  const changes = $derived(diff(plain(desk.conflict?.caseText), plain(desk.case)));
  const show = (value: unknown): string =>
    value === undefined ? '—' : typeof value === 'string' ? value : JSON.stringify(value);
</script>

<section class="box mb-3 border-stop p-3" aria-labelledby="conflict" data-testid="conflict">
  <h2 id="conflict">{desk.conflict?.author ?? 'Somebody'} saved this position after you opened it</h2>
  <p class="mb-2 text-quiet">Nothing is overwritten. These fields differ:</p>
  <Table class="dense mb-3">
    <thead><tr><th>Field</th><th>Theirs, saved</th><th>Yours, on this machine</th></tr></thead>
    <tbody>
      {#each changes as change (change.path.join('.'))}
        <tr>
          <td>{change.path.join('.')}</td>
          <td>{change.type === 'CREATE' ? '—' : show(change.oldValue)}</td>
          <td>{change.type === 'REMOVE' ? '—' : show(change.value)}</td>
        </tr>
      {/each}
    </tbody>
  </Table>
  {#if changes.length === 0}<p class="mb-2">Both say the same.</p>{/if}
  <Button class="push" data-main onclick={() => void desk.keepMine()}>Save mine on top of theirs</Button>
  <Button class="push ml-2" onclick={() => void desk.takeTheirs(name)}>Take theirs, drop mine</Button>
</section>
