<script lang="ts">
  import { Button, Checkbox, Input, Select } from 'flowbite-svelte';
  import { importPosition, listPage, startPosition } from '$lib/api';
  import { author, lastCommon } from '$lib/desk/carried';
  import { draftedStudies } from '$lib/desk/drafts';
  import { errandWords } from '$lib/ui/options';
  import { onMount, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import type { PlantPage, PlantRow } from '$lib/plant/rows';
  import FilePick from '$lib/ui/FilePick.svelte';
  import PlantList from '$lib/plant/PlantList.svelte';
  import { reload } from '$lib/ui/reload';

  let { data } = $props();
  let query = $state(untrack(() => data.asked.find));
  /** Studies with an edit kept on this machine that nobody saved. */
  let drafted: readonly string[] = $state.raw([]);
  let message = $state('');
  let adding = $state(false);
  let tag = $state('');
  let name = $state('');
  let area = $state('');
  let errand = $state('');
  let common: Readonly<Record<string, unknown>> | undefined = $state.raw();
  let carry = $state(true);
  const offered = [
    { value: '', name: 'say it later' },
    ...errandWords.map(([value, words]) => ({ value: String(value), name: words })),
  ];
  const commonText = $derived.by(() => {
    const supply = common?.supply;
    if (typeof supply !== 'object' || supply === null) return '';
    return ['voltage', 'frequency'].flatMap((k) => (k in supply ? String(Reflect.get(supply, k)) : [])).join(', ');
  });

  let only = $state(untrack(() => String(data.asked.show)));
  let order = $state.raw(untrack(() => ({ by: String(data.asked.by), way: String(data.asked.way) })));
  /** Rows fetched after those that came with the page, and where the next ones begin. */
  let more = $state.raw<{ readonly of: PlantPage; readonly rows: readonly PlantRow[]; readonly next: string | null }>();
  const rest = $derived(more?.of === data.page ? more : { of: data.page, rows: [], next: data.page.next });
  const next = $derived(rest.next);
  let fetching = $state(false);
  const shown = $derived([...data.page.rows, ...rest.rows]);
  const asked = $derived({
    ...(query.trim() === '' ? {} : { find: query.trim() }),
    ...(only === '' ? {} : { show: only }),
    ...(only === 'draft' ? { studies: drafted.join(',') } : {}),
    ...(order.by === 'area' ? {} : order),
  });

  // The rest of a usual plant follows at once, a large one's as it is asked for.
  $effect(() => {
    void data.page;
    if (awake) void untrack(() => bringMore());
  });
  let asking: ReturnType<typeof setTimeout> | undefined;
  function ask(after: number): void {
    clearTimeout(asking);
    asking = setTimeout(() => {
      const text = new URLSearchParams(asked).toString();
      // eslint-disable-next-line svelte/no-navigation-without-resolve -- the same page, asked otherwise
      void goto(resolve('/') + (text === '' ? '' : `?${text}`), {
        replaceState: true,
        keepFocus: true,
        noScroll: true,
      });
    }, after);
  }
  async function bringMore(): Promise<void> {
    if (next === null || fetching) return;
    fetching = true;
    const before = rest;
    const answer = await listPage({
      ...data.asked,
      studies: data.asked.show === 'draft' ? drafted.join(',') : '',
      after: next,
    });
    fetching = false;
    if (before.of !== data.page) {
      void bringMore();
      return;
    }
    if (!answer.ok) {
      message = `The rest of the list could not be fetched: ${answer.problem.title ?? 'try again'}.`;
      return;
    }
    // What was renamed in between may come a second time.
    const there = new Set(shown.map((p) => p.id));
    const fresh = answer.value.rows.filter((p) => !there.has(p.id));
    more = { of: before.of, rows: [...before.rows, ...fresh], next: answer.value.next };
  }
  const kinds = [
    { value: '', name: 'all' },
    { value: 'stop', name: 'stopped' },
    { value: 'caution', name: 'with cautions' },
    { value: 'empty', name: 'nothing chosen' },
    { value: 'condition', name: 'hold if' },
    { value: 'enough', name: 'solved' },
    { value: 'draft', name: 'draft on this machine' },
  ];
  const plant = $derived(data.plant ?? 'My plant');
  /** A position that carries the tag typed for a new one. */
  let namesake = $state.raw<PlantRow | undefined>();
  async function seekNamesake(): Promise<void> {
    const typed = tag.trim();
    const answer = typed === '' ? null : await listPage({ find: typed, by: 'tag', limit: '500' });
    if (typed === tag.trim()) namesake = answer?.ok ? answer.value.rows.find((p) => p.tag === typed) : undefined;
  }

  let awake = $state(false);
  onMount(() => {
    awake = true;
    void draftedStudies().then(
      (ids) => (drafted = ids),
      () => {},
    );
  });

  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const begins = {
      format: 'pilgrim.case/1',
      practice: 'iec',
      ...(common && carry ? common : {}),
      name,
      ...(errand === '' ? {} : { errand }),
      // A starter for the motor that is there is asked of that motor.
      ...(errand === 'control' ? { motor: { existing: true } } : {}),
    };
    const answer = await startPosition({ tag, name, area, plant }, begins, author());
    if (answer.ok) {
      await goto(resolve('/positions/[id]/[station]', { id: answer.value.id, station: 'plate' }));
      return;
    }
    const { errors, title } = answer.problem;
    message = errors?.map((e) => `${e.path}: ${e.message}`).join('; ') ?? title ?? 'Not made.';
  }

  async function take(files: readonly File[]): Promise<void> {
    const [file] = files;
    if (!file) return;
    const answer = await importPosition(await file.text());
    message = answer.ok
      ? `${file.name} was taken.`
      : `${answer.problem.title ?? 'Not taken'}: ${answer.problem.detail ?? 'the file is not a position'}`;
    if (answer.ok) await reload();
  }
</script>

<svelte:head><title>{plant} · Pilgrim</title></svelte:head>

<main id="desk" class="mx-auto max-w-[1440px] px-4 py-4">
  <div class="mb-3 flex flex-wrap items-center gap-3">
    <h1 class="mr-4">{plant}</h1>
    <label class="flex items-center gap-2"
      ><span class="text-quiet">Find</span>
      <Input
        bind:value={() => query, (to) => ((query = to ?? ''), ask(150))}
        class="field w-64!"
        type="search"
        placeholder="tag, name, machine, motor"
      />
    </label>
    <label class="flex items-center gap-2"
      ><span class="text-quiet">Show</span>
      <Select
        classes={{ select: 'field py-[5px]!' }}
        placeholder=""
        items={kinds}
        bind:value={() => only, (to) => ((only = to ?? ''), ask(0))}
      /></label
    >
    <span class="flex-1"></span>
    <a class="link" href="{resolve('/api/v1/positions')}?as=csv" download data-sveltekit-reload>CSV</a>
    <a class="link" href="{resolve('/api/v1/positions')}?as=xlsx" download data-sveltekit-reload>XLSX</a>
    <a class="link" href={resolve('/import')}>Bring in a list</a>
    <Button class="push" data-main aria-expanded={adding} onclick={() => ((common = lastCommon()), (adding = !adding))}
      >New position</Button
    >
  </div>
  <div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
    <div class="max-w-[860px]">
      <p class="text-quiet">
        From a plate, a pull or a pump’s duty to motor, starter or drive, protection and cost; every figure opens to its
        working. Start with a plate.
      </p>
      {#if plant === 'Kestrow Maltings'}<p class="text-quiet">Kestrow Maltings is invented, to try things on.</p>{/if}
    </div>
    <FilePick
      label="Bring in a position"
      accept="application/json,.json"
      testid="import"
      onpick={(files) => void take(files)}
    />
  </div>
  <p class="min-h-5 text-quiet" role="status">{message}</p>
  {#if adding}
    <form class="box mb-4 grid grid-cols-1 items-end gap-3 p-3 sm:grid-cols-5" onsubmit={(e) => void add(e)}>
      <label
        >Tag <Input
          class="field"
          bind:value={() => tag, (to) => ((tag = to ?? ''), void seekNamesake())}
          required
          maxlength={60}
        /></label
      >
      <label>Name <Input class="field" bind:value={name} required maxlength={200} /></label>
      <label>Area <Input class="field" bind:value={area} required maxlength={200} list="areas" /></label>
      <label
        >What brings you here
        <Select classes={{ select: 'field py-[5px]!' }} placeholder="" items={offered} bind:value={errand} />
      </label>
      <datalist id="areas"
        >{#each data.areas as a (a)}<option value={a}></option>{/each}</datalist
      >
      <Button type="submit" class="push" data-main>Start it</Button>
      {#if namesake}
        <p class="text-caution sm:col-span-5" role="status">
          {namesake.tag} is the tag of {namesake.name} already. Both may stand; the list marks them.
        </p>
      {/if}
      {#if commonText !== ''}
        <div class="sm:col-span-5">
          <Checkbox bind:checked={carry}>Practice and supply as at the last one saved here: {commonText}</Checkbox>
        </div>
      {/if}
    </form>
  {/if}

  {#if data.trashed > 0}
    <p class="mb-2 text-right"><a class="link" href={resolve('/trash')}>Trash: {data.trashed}</a></p>
  {/if}
  {#if data.plant === null}
    <p class="box p-6">
      No positions yet. Bring a plate, a pull at a radius or a motor’s current, and start a new one.
    </p>
  {:else if shown.length === 0}
    <p class="box p-6">
      {query.trim() === '' ? 'Nothing here is so.' : `Nothing here is called “${query}”.`}
    </p>
  {:else}
    <PlantList
      positions={shown}
      {drafted}
      order={data.asked}
      sort={(to) => {
        order = to;
        ask(0);
      }}
    />
    {#if next !== null}
      <p class="mt-2 flex items-center gap-3">
        <Button class="push" disabled={fetching} onclick={() => void bringMore()}>Show more</Button>
        <span class="text-quiet" role="status"
          >{shown.length.toLocaleString('en')} of {data.page.total.toLocaleString('en')} are shown.</span
        >
      </p>
    {/if}
  {/if}
</main>
