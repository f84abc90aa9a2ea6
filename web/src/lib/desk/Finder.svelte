<script lang="ts">
  import { Button, Input } from 'flowbite-svelte';
  import Floating from '$lib/ui/Floating.svelte';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { tinykeys } from 'tinykeys';
  import { listPage } from '$lib/api';
  import { singleKeys } from '$lib/ui/keys.svelte';
  import { entryOf } from '$lib/ui/names';
  import { find, findHere, type Findable } from './find.svelte';

  let open = $state(false);
  let query = $state('');
  let at = $state(0);
  let positions: readonly Findable[] = $state.raw([]);

  const pages: readonly Findable[] = (
    [
      ['/', 'Plant', 'every position'],
      ['/shelf', 'Own shelf', 'motors in stock and quoted'],
      ['/import', 'Bring in a list', 'motors in their places become positions'],
      ['/trash', 'Trash', 'positions that were deleted'],
      ['/guide', 'Guide', 'the first job, how a figure is checked'],
      ['/http', 'HTTP face', 'what scripts can ask'],
    ] as const
  ).map(([to, name, more]) => ({ id: `page ${to}`, kind: 'page', name, more, act: () => void goto(resolve(to)) }));
  const all = $derived([...findHere.of(), ...pages, ...positions]);
  const found = $derived(open ? find(all, query) : []);
  const chosen = $derived(Math.min(at, found.length - 1));

  async function show(): Promise<void> {
    query = '';
    at = 0;
    open = true;
    await seek();
  }
  /** Positions are sought where they are: a plant may have thousands. */
  async function seek(): Promise<void> {
    const sought = query;
    const answer = await listPage({ find: sought, limit: '20' });
    if (!answer.ok || sought !== query) return;
    positions = answer.value.rows.map((p) => ({
      id: `position ${p.id}`,
      kind: 'position',
      name: `${p.tag} ${p.name}`,
      more: p.area,
      act: () => void goto(resolve('/positions/[id]/[station]', { id: p.id, station: entryOf(p) })),
    }));
  }
  function take(f: Findable | undefined): void {
    if (!f) return;
    open = false;
    // The dialog gives the keyboard back first.
    setTimeout(f.act);
  }
  function keys(e: KeyboardEvent): void {
    if (e.key === 'Enter') take(found[chosen]);
    else if (e.key === 'Escape') open = false;
    else if (e.key === 'ArrowDown') at = Math.min(chosen + 1, found.length - 1);
    else if (e.key === 'ArrowUp') at = Math.max(chosen - 1, 0);
    else return;
    e.preventDefault();
  }
  onMount(() => tinykeys(window, { '/': (e) => singleKeys.apply(e, () => void show()) }));
</script>

<Button class="push px-2!" onclick={() => void show()}>Find</Button>
<Floating bind:open label="Find">
  <Input
    class="field"
    type="search"
    role="combobox"
    aria-label="Find a station, field, figure, position, or something to do"
    aria-expanded={found.length > 0}
    aria-controls="found"
    aria-activedescendant={found[chosen] ? `found-${chosen}` : undefined}
    placeholder="station, field, figure, position, action"
    bind:value={() => query, (to) => ((query = to), (at = 0), void seek())}
    onkeydown={keys}
    autocomplete="off"
  />
  <ul id="found" role="listbox" aria-label="Found" class="mt-2 max-h-[420px] overflow-auto" data-testid="found">
    {#each found as f, i (f.id)}
      <!-- The keyboard stays in the field above: arrows choose, Enter takes. -->
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <li
        id="found-{i}"
        role="option"
        aria-selected={i === chosen}
        class="flex min-h-8 cursor-pointer items-baseline gap-2 px-2 py-1 {i === chosen ? 'bg-paper' : ''}"
        onclick={() => take(f)}
      >
        <span class="w-16 shrink-0 text-[13px] text-quiet">{f.kind}</span>
        <span class="font-medium {i === chosen ? 'text-pine' : ''}">{f.name}</span>
        <span class="truncate text-[13px] text-quiet">{f.more}</span>
      </li>
    {/each}
  </ul>
  {#if found.length === 0}<p class="p-2 text-quiet">Nothing here is called that.</p>{/if}
</Floating>
