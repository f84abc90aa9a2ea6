<script lang="ts">
  import { Button, Input, Textarea } from 'flowbite-svelte';
  import type { nameplate } from '@pilgrim/core';
  import { addToShelf } from '$lib/api';
  import { readPlateText } from '$lib/solver';

  interface Props {
    plantId: string;
    added: (name: string) => void;
  }
  let { plantId, added }: Props = $props();
  let text = $state('');
  let name = $state('');
  let quantity = $state(1);
  let place = $state('');
  let days = $state<number | null>(null);
  let keptFor = $state('');
  let reading = $state.raw<nameplate.PlateText | null>(null);
  let errors = $state.raw<readonly { readonly path: string; readonly message: string }[]>([]);
  let message = $state('');

  $effect(() => {
    const block = text;
    if (block.trim() === '') reading = null;
    else void readPlateText(block).then((r) => block === text && (reading = r));
  });
  /** [field, value] of everything the text said. */
  const said = $derived(
    Object.entries(reading?.plate ?? {}).map(
      ([key, value]: [string, unknown]) =>
        [
          key.replace(/([A-Z])/g, ' $1').toLowerCase(),
          typeof value === 'object' ? JSON.stringify(value) : String(value),
        ] as const,
    ),
  );

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (text.trim() === '') return;
    // What stands there now, though the reading shown may still be of the letter before.
    const { plate } = await readPlateText(text);
    const entry = {
      name: name.trim() || text.trim().slice(0, 60),
      plate,
      quantity,
      place,
      days,
      keptFor,
    };
    const answer = await addToShelf(plantId, entry);
    if (!answer.ok) {
      errors = answer.problem.errors ?? [];
      message = answer.problem.title ?? 'Not taken.';
      return;
    }
    const put = name.trim() || 'The motor';
    text = name = place = keptFor = '';
    quantity = 1;
    days = null;
    errors = [];
    message = '';
    added(put);
  }
</script>

<form class="grid gap-3 sm:grid-cols-3" onsubmit={(e) => void save(e)}>
  <label class="sm:col-span-3"
    ><span class="text-[13px] font-medium text-quiet">What its plate says</span>
    <Textarea
      class="field font-condensed"
      rows={2}
      maxlength={4000}
      bind:value={text}
      placeholder="HP 25 VOLTS 230/460 AMPS 62/31 RPM 1770 HZ 60 FR 284T ENCL TEFC"
    ></Textarea></label
  >
  {#if reading}
    <p class="text-[13.5px] sm:col-span-3" data-testid="shelf-plate">
      {#each said as [key, value] (key)}<span class="mr-3 whitespace-nowrap"
          ><span class="text-quiet">{key}</span> <b>{value}</b></span
        >{/each}
      {#if reading.rest.length > 0}<span class="text-caution">Not understood: {reading.rest.join(' · ')}</span>{/if}
    </p>
  {/if}
  <label
    ><span class="text-[13px] font-medium text-quiet">Name</span><Input
      class="field"
      maxlength={200}
      bind:value={name}
      placeholder="Spare of mill 2"
    /></label
  >
  <label
    ><span class="text-[13px] font-medium text-quiet">How many</span><Input
      class="field"
      type="number"
      min={0}
      max={1000000}
      bind:value={quantity}
    /></label
  >
  <label
    ><span class="text-[13px] font-medium text-quiet">Where it lies</span><Input
      class="field"
      maxlength={200}
      bind:value={place}
      placeholder="Store 2, rack B"
    /></label
  >
  <label
    ><span class="text-[13px] font-medium text-quiet">Quoted: days until here</span><Input
      class="field"
      type="number"
      min={0}
      max={3650}
      bind:value={() => days ?? '', (to) => (days = to === '' || to === undefined ? null : Number(to))}
    /></label
  >
  <label
    ><span class="text-[13px] font-medium text-quiet">Spare for which position</span><Input
      class="field"
      maxlength={200}
      bind:value={keptFor}
      placeholder="its tag or name"
    /></label
  >
  <div class="sm:col-span-3">
    <Button type="submit" class="push" data-main disabled={said.length === 0}>Put it on the shelf</Button>
    <span role="status" class="ml-2 {errors.length > 0 ? 'text-stop' : ''}"
      >{message} {errors.map((e) => `${e.path.replace('plate.', '')} ${e.message}`).join('; ')}</span
    >
  </div>
</form>
