<script lang="ts">
  import { Alert, Button, Input } from 'flowbite-svelte';
  import { carriedCase, copyNote } from '@pilgrim/core/carry';
  import { removePosition, restorePosition, startPosition } from '$lib/api';
  import { author, setAuthor, unnamed } from '$lib/desk/carried';
  import { onMount, tick, untrack } from 'svelte';
  import { goto as navigate } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { page } from '$app/state';
  import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
  import { tinykeys } from 'tinykeys';
  import { inField, singleKeys } from '$lib/ui/keys.svelte';
  import {
    fieldName,
    figureName,
    isStation,
    namedFields,
    stationIds,
    stationNames,
    stationOfField,
  } from '$lib/ui/names';
  import { textOf } from '$lib/ui/reading.svelte';
  import { nameStamps } from '$lib/stations/plate/stamps';
  import { findHere, type Findable } from '$lib/desk/find.svelte';
  import Conflict from '$lib/desk/Conflict.svelte';
  import { reload } from '$lib/ui/reload';
  import { toasts } from '$lib/ui/toasts.svelte';
  import { provideGoto } from '$lib/desk/goto';
  import Hint from '$lib/ui/Hint.svelte';
  import Ledger from '$lib/desk/Ledger.svelte';
  import StationWay from '$lib/desk/StationWay.svelte';
  import { Desk, provideDesk } from '$lib/desk/desk.svelte';

  let { data, children } = $props();
  /** The station visited; null on the position's history. */
  const visited = $derived(
    page.params.station !== undefined && isStation(page.params.station) ? page.params.station : null,
  );
  const station = $derived(visited ?? 'sheet');
  const deskOf = () => new Desk(data.position.studyId, data.head, data.position.name);
  let desk = $state.raw(untrack(deskOf));
  provideDesk(() => desk);
  const waits = $derived(desk.waiting.get(station) ?? []);

  $effect(() => {
    if (desk.studyId === data.position.studyId) return;
    desk = untrack(deskOf);
    void desk.wake().then(() => desk.bringShelf(data.position.plantId, [data.position.tag, data.position.name]));
  });

  // A working belongs to the station it was opened on.
  $effect(() => {
    void station;
    untrack(() => (desk.working = null));
  });

  /** Moves the cursor to a field, on whichever station it stands. */
  async function goto(path: string): Promise<void> {
    const there = stationOfField(path);
    if (there !== station && !document.querySelector(`main [data-path="${path}"]`)) await visit(there);
    await desk.opened();
    await tick();
    const fields = [...document.querySelectorAll<HTMLElement>('[data-path]')];
    const target =
      fields.find((f) => f.dataset.path === path) ??
      fields.find((f) => f.dataset.path?.startsWith(`${path}.`)) ??
      fields.find((f) => path.startsWith(`${f.dataset.path ?? '?'}.`) || f.dataset.path?.startsWith(`${path}[`));
    // A field in a folded part is unfolded first.
    target?.dispatchEvent(new CustomEvent('unfold', { bubbles: true }));
    await tick();
    target?.focus();
    target?.scrollIntoView({ block: 'center' });
  }

  provideGoto((path) => void goto(path));

  const visit = (to: string) =>
    navigate(resolve('/positions/[id]/[station]', { id: data.position.id, station: to }), { noScroll: true });

  onMount(() => {
    who = author() === unnamed ? '' : author();
    void desk.wake().then(() => desk.bringShelf(data.position.plantId, [data.position.tag, data.position.name]));
    const stationKeys = Object.fromEntries(
      stationIds.map((id, i) => [
        `Alt+Digit${(i + 1) % 10}`,
        (e: KeyboardEvent) => (e.preventDefault(), void visit(id)),
      ]),
    );
    const unkeyed = tinykeys(window, {
      ...stationKeys,
      '$mod+s': (e) => (e.preventDefault(), void save()),
      '$mod+z': (e) => !inField(e) && (e.preventDefault(), desk.undo()),
      '$mod+Shift+z': (e) => !inField(e) && (e.preventDefault(), desk.redo()),
      w: (e) =>
        singleKeys.apply(e, () => {
          const id = document.activeElement instanceof HTMLElement ? document.activeElement.dataset.figure : undefined;
          desk.working = desk.working === null ? (id ?? null) : null;
        }),
      Escape: () => (desk.working = null),
    });
    findHere.of = found;
    const keep = () => void desk.keepDraft();
    addEventListener('pagehide', keep);
    return () => (unkeyed(), (findHere.of = () => []), removeEventListener('pagehide', keep));
  });

  async function remove(): Promise<void> {
    const { id, tag, name, version } = data.position;
    const answer = await removePosition(id, version);
    if (!answer.ok) {
      desk.message = 'Not deleted: it was changed in between. Reload and try again.';
      return;
    }
    // The list stands before the way back is offered: what the way back loads would end a navigation under way.
    await navigate(resolve('/'), { invalidateAll: true });
    toasts.told = {
      text: `${tag} ${name} is in the trash.`,
      act: {
        name: 'Bring it back',
        do: async () => {
          // Going into the trash made its next version.
          const { ok } = await restorePosition(id, version + 1);
          toasts.told = { text: ok ? `${tag} ${name} is back.` : 'It was not brought back: look into the trash.' };
          await reload();
        },
      },
    };
  }

  untrack(() => nameStamps(data.head?.caseText.practice !== 'north-america'));
  /** What can be found while this position is open: its stations, what can be done, its fields and its figures. */
  function found(): Findable[] {
    const actions: readonly (readonly [name: string, more: string, act: () => void])[] = [
      ['Save a revision', 'Ctrl+S', () => void save()],
      ['Undo', desk.undoes ?? 'nothing to take back', () => desk.undo()],
      [
        'Bench',
        'throttled and on a drive, side by side',
        () => void navigate(resolve('/positions/[id]/bench', { id: data.position.id })),
      ],
      [
        'Log',
        'rounds of readings and what they mean',
        () => void navigate(resolve('/positions/[id]/log', { id: data.position.id })),
      ],
      [
        'History',
        'revisions, compared and brought back',
        () => void navigate(resolve('/positions/[id]/history', { id: data.position.id })),
      ],
      ['Copy', 'this position under a new name', startCopy],
      ['Delete', 'into the trash', () => (asking = true)],
    ];
    return [
      ...stationIds.map((s): Findable => ({
        id: `station ${s}`,
        kind: 'station',
        name: stationNames[s],
        more: desk.stations?.[s].key ?? '',
        act: () => void visit(s),
      })),
      ...actions.map(([name, more, act]): Findable => ({ id: `action ${name}`, kind: 'action', name, more, act })),
      ...namedFields().map(([path, label]): Findable => ({
        id: `field ${path}`,
        kind: 'field',
        name: label,
        more: stationNames[stationOfField(path)],
        act: () => void goto(path),
      })),
      ...Object.entries(desk.result?.figures ?? {}).map(([id, figure]): Findable => ({
        id: `figure ${id}`,
        kind: 'figure',
        name: figureName(id),
        more: `${textOf(figure)}, ${stationNames[figure.station]}`,
        act: () => void visit(figure.station).then(() => (desk.working = id)),
      })),
    ];
  }

  const states = { saved: 'Saved', edited: 'Edited, draft kept', saving: 'Saving …', failed: 'Not saved' } as const;
  let who = $state('');
  let why = $state('');
  async function save(): Promise<void> {
    await desk.save(why.trim());
    if (desk.state === 'saved') why = '';
    // The history shows what was saved just now.
    if (visited === null) await reload();
  }

  /** On a narrow screen, whether what is seldom done stands open. */
  let more = $state(false);
  let asking = $state(false);
  let copying = $state(false);
  let newTag = $state('');
  let newName = $state('');

  function startCopy(): void {
    newTag = '';
    newName = data.position.name;
    copying = true;
  }

  /** A position like this one: all but what is of this motor's own past; that a place is not hazardous is asked anew. */
  async function copy(): Promise<void> {
    const { area, plant } = data.position;
    const first = carriedCase(desk.case, newName);
    const note = copyNote(data.position.tag);
    const answer = await startPosition({ tag: newTag, name: newName, area, plant }, first, author(), note);
    if (!answer.ok) {
      desk.message = `Not copied: ${answer.problem.errors?.map((e) => e.message).join('; ') ?? answer.problem.title ?? ''}`;
      return;
    }
    copying = false;
    await navigate(resolve('/positions/[id]/[station]', { id: answer.value.id, station: 'plate' }), {
      invalidateAll: true,
    });
  }
</script>

<svelte:head><title>{data.position.tag} {data.position.name} · Pilgrim</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-3 print:max-w-none print:p-0">
  <section aria-label="Position" class="screen-only mb-1 flex flex-wrap items-center gap-x-3 gap-y-1 lg:mb-3">
    <Button
      class="push"
      data-main
      disabled={desk.state === 'saved' || desk.state === 'saving'}
      onclick={() => void save()}
      ><span class="whitespace-pre">Save <span class="max-lg:sr-only">a revision</span></span></Button
    >
    <Button class="push" disabled={desk.undoes === undefined} onclick={() => desk.undo()}
      ><span class="max-w-[110px] truncate lg:max-w-none">Undo{desk.undoes === undefined ? '' : ` ${desk.undoes}`}</span
      ></Button
    >
    {#if desk.redoes !== undefined}
      <Button class="push" onclick={() => desk.redo()}>Redo {desk.redoes}</Button>
    {/if}
    {#if desk.state !== 'saved'}
      <label class="flex items-center gap-1 text-[13px] text-quiet"
        >by <Input
          class="field w-28! py-0.5!"
          bind:value={() => who, (to) => (setAuthor(to), (who = to))}
          maxlength={200}
        /></label
      >
      <label class="flex items-center gap-1 text-[13px] text-quiet"
        >why <Input class="field w-48! py-0.5!" bind:value={why} maxlength={2000} /></label
      >
    {/if}
    <span
      role="status"
      class="min-w-0 text-quiet max-lg:flex-1 max-lg:text-[13px] max-lg:leading-tight"
      data-testid="save-state"
    >
      {desk.state === 'saved' && !desk.head ? 'Nothing saved yet' : states[desk.state]}{desk.state === 'saved' &&
      desk.head
        ? ` ${formatDistanceToNow(new Date(desk.head.createdAt))} ago by ${desk.head.author}`
        : ''}. {desk.message}
    </span>
    <span class="flex-1 max-lg:hidden"></span>
    <Button class="link lg:hidden!" aria-expanded={more} onclick={() => (more = !more)}>More</Button>
    <a
      class="link {more ? '' : 'max-lg:hidden!'}"
      aria-current={page.route.id?.endsWith('/bench') ? 'page' : undefined}
      href={resolve('/positions/[id]/bench', { id: data.position.id })}>Bench</a
    >
    <a
      class="link"
      aria-current={page.route.id?.endsWith('/log') ? 'page' : undefined}
      href={resolve('/positions/[id]/log', { id: data.position.id })}>Log</a
    >
    <a
      class="link {more ? '' : 'max-lg:hidden!'}"
      aria-current={page.route.id?.endsWith('/history') ? 'page' : undefined}
      href={resolve('/positions/[id]/history', { id: data.position.id })}>History</a
    >
    <a
      class="link {more ? '' : 'max-lg:hidden!'}"
      href={resolve('/api/v1/positions/[id]/export', { id: data.position.id })}
      download
      data-sveltekit-reload>Export</a
    >
    {#if copying}
      <form class="flex flex-wrap items-center gap-2" onsubmit={(e) => (e.preventDefault(), void copy())}>
        <label class="flex items-center gap-1"
          >Tag <Input class="field w-24!" bind:value={newTag} required maxlength={60} /></label
        >
        <label class="flex items-center gap-1"
          >Name <Input class="field w-48!" bind:value={newName} required maxlength={200} /></label
        >
        <Button type="submit" class="push">Copy it</Button>
        <Button class="link" onclick={() => (copying = false)}>no</Button>
      </form>
    {:else}
      <Button class="link {more ? '' : 'max-lg:hidden!'}" onclick={startCopy}>Copy</Button>
      <Hint text="Load, place, supply and rules under a new name" />
    {/if}
    {#if asking}
      <span
        >Into the trash? <Button class="link text-stop" onclick={() => void remove()}>Yes, delete</Button>
        <Button class="link" onclick={() => (asking = false)}>no</Button></span
      >
    {:else}
      <Button class="link {more ? '' : 'max-lg:hidden!'}" data-testid="delete" onclick={() => (asking = true)}
        >Delete</Button
      >
    {/if}
  </section>
  {#if desk.conflict}<Conflict {desk} name={data.position.name} />{/if}
  <div class="grid gap-4 lg:grid-cols-[210px_minmax(0,1fr)_310px] print:block">
    <StationWay
      positionId={data.position.id}
      plant={data.position.plant}
      tag={data.position.tag}
      name={data.position.name}
      station={visited}
    />
    <main id="desk" class="min-w-0" spellcheck="false" data-waits={waits.length > 0 ? '' : undefined}>
      {#if waits.length > 0}
        <Alert class="box mb-3 border-caution p-2 text-[1rem] text-caution" role="status" data-testid="waits">
          Waits for {waits.map(fieldName).join(', ')}: what follows from it stands grey, as it was before.
        </Alert>
      {/if}
      {@render children()}
    </main>
    <div class="stays screen-only"><Ledger {station} goto={(path) => void goto(path)} /></div>
  </div>
</div>
