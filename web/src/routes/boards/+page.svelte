<script lang="ts">
  import { Select, Table } from 'flowbite-svelte';
  import { writeQuantity } from '@pilgrim/core/quantity';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import Group from '$lib/ui/Group.svelte';
  import { cited } from '$lib/ui/names';

  let { data } = $props();
  const amperes = (value: number | null): string => (value === null ? '—' : writeQuantity(value, 'A'));
  const share = (value: number): string => `${(100 * value).toFixed(1)} %`;
</script>

<svelte:head><title>Boards · Pilgrim</title></svelte:head>

<main id="desk" class="mx-auto max-w-[1100px] px-4 py-4">
  <div class="mb-3 flex flex-wrap items-center gap-3">
    <h1 class="mr-4">Boards{data.plant ? ` of ${data.plant.name}` : ''}</h1>
    {#if data.plants.length > 1}
      <label class="flex items-center gap-2"
        ><span class="text-quiet">Plant</span>
        <Select
          classes={{ select: 'field' }}
          placeholder=""
          items={data.plants.map((p) => ({ value: p.id, name: p.name }))}
          bind:value={() => data.plant?.id, (id) => void goto(resolve(`/boards?plant=${id}`))}
        /></label
      >
    {/if}
  </div>
  <p class="mb-3 text-quiet">
    Positions whose saved case names the same board (Guard, The board it sits in) hang on it together. The local code
    and a licensed electrician decide.
  </p>
  {#each data.boards as board (board.name)}
    <Group title={board.name}>
      <dl class="answers mb-3 grid gap-x-6 gap-y-1 sm:grid-cols-2" data-board={board.name}>
        {#each [['Feeder conductors, at least', board.feeder], ['Feeder device', board.device]] as const as [name, of] (name)}
          <div>
            <dt class="inline text-quiet">{name}</dt>
            <dd class="inline">
              <b class="font-semibold">{amperes(of?.value ?? null)}</b>
              <span class="text-[13px] text-quiet"
                >{of
                  ? `(${cited(of.source)})`
                  : board.motors.length > 0
                    ? '(not every branch device is known)'
                    : ''}</span
              >
            </dd>
          </div>
        {/each}
        <div>
          <dt class="inline text-quiet">Fault current</dt>
          <dd class="inline">
            <b class="font-semibold">{amperes(board.fault)}</b>{#if board.faultWithMotors !== null}<span
                class="text-quiet">, {amperes(board.faultWithMotors)} with the motors that run</span
              >{/if}
          </dd>
        </div>
        <div>
          <dt class="inline text-quiet">What the source still bears</dt>
          <dd class="inline font-semibold">{amperes(board.spare)}</dd>
        </div>
        {#if board.largest}
          <div class="sm:col-span-2">
            <dt class="inline text-quiet">The largest starts while the others run</dt>
            <dd class="inline">
              <b class="font-semibold"
                >{board.largest.tag}: {amperes(board.largest.peak)}, the bus dips by {share(board.largest.dip)}</b
              >
              <span class="text-quiet"
                >({share(board.largest.alone)} alone{board.largest.comesUp ? '' : '; it does not come up'}; simulated)</span
              >
            </dd>
          </div>
        {/if}
      </dl>
      {#each board.remarks as remark (remark)}<p class="mb-2 text-caution">{remark}</p>{/each}
      <div class="overflow-x-auto">
        <Table class="dense">
          <caption class="sr-only">Motors on {board.name}</caption>
          <thead
            ><tr
              ><th>Position</th><th>Motor</th><th>Starts</th><th class="n">Counts</th><th class="n">Device</th><th
                class="n">Starting</th
              ></tr
            ></thead
          >
          <tbody>
            {#each board.motors as m (m.id)}
              <tr
                ><td><a class="link" href={resolve(`/positions/${m.id}/guard`)}>{m.tag}</a> {m.name}</td><td
                  >{m.motor}</td
                ><td>{m.method}</td><td class="n">{amperes(m.current)}</td><td class="n">{amperes(m.device)}</td><td
                  class="n">{amperes(m.starting)}</td
                ></tr
              >
            {/each}
            {#each board.open as o (o.id)}
              <tr
                ><td><a class="link" href={resolve(`/positions/${o.id}/guard`)}>{o.tag}</a> {o.name}</td><td colspan="5"
                  >no motor yet: not counted</td
                ></tr
              >
            {/each}
          </tbody>
        </Table>
      </div>
    </Group>
  {:else}
    <p class="box p-6">
      No board yet. Give positions the name of the board they hang on, at Guard under “The board it sits in”, and save
      them.
    </p>
  {/each}
</main>
