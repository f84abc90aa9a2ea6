<script lang="ts">
  import { Button, Textarea } from 'flowbite-svelte';
  import type { nameplate } from '@pilgrim/core';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt, valueAt, type Json } from '$lib/desk/paths';
  import { readPlateText } from '$lib/solver';
  import { practices } from '$lib/ui/options';

  interface Props {
    base?: string;
    /** The text as read, for whoever shows the fields' words. */
    reading?: nameplate.PlateText | null;
  }
  let { base = 'plate', reading = $bindable(null) }: Props = $props();
  const desk = useDesk();
  const longest = 4000;

  // The old plate keeps the text it was read from; a second plate only while it is being read.
  const kept = $derived(base === 'plate' ? String(desk().value('plate.text') ?? '') : '');
  let typed = $state<string | null>(null);
  const text = $derived(typed ?? kept);
  /** Fields where the plate already says something else. */
  let differing = $state.raw<readonly (readonly [string, Json, Json])[]>([]);
  let message = $state('');

  $effect(() => {
    const asked = kept;
    if (asked === '') return;
    void readPlateText(asked).then((r) => {
      if (asked === kept) reading = r;
    });
  });

  /** [path below the plate, value] of everything the text said. */
  function said(plate: object, prefix = ''): (readonly [string, Json])[] {
    return Object.entries(plate).flatMap(([key, value]: [string, unknown]) =>
      typeof value === 'object' && value !== null
        ? said(value, `${prefix}${key}.`)
        : typeof value === 'string' || typeof value === 'number'
          ? [[`${prefix}${key}`, value] as const]
          : [],
    );
  }

  async function read(): Promise<void> {
    const block = text;
    const found = await readPlateText(block);
    const values = said(found.plate);
    const begun = ['supply', 'load', 'place'].some((part) => desk().value(part) !== undefined);
    const inferred = base === 'plate' && !begun && found.made !== desk().value('practice') ? found.made : undefined;
    const other: (readonly [string, Json, Json])[] = [];
    desk().change(
      '',
      (draft) => {
        for (const [key, value] of values) {
          const stands = valueAt(draft, `${base}.${key}`);
          if (stands === undefined) putAt(draft, `${base}.${key}`, value);
          else if (stands !== value) other.push([key, String(stands), value]);
        }
        if (base === 'plate') putAt(draft, 'plate.text', block);
        // Where nothing says yet where the machine stands, it works by the practice its plate is stamped by.
        if (inferred !== undefined) putAt(draft, 'practice', inferred);
      },
      'the plate’s text',
    );
    reading = found;
    differing = other;
    typed = null;
    message = `${values.length} field${values.length === 1 ? '' : 's'} read${found.rest.length > 0 ? `; not understood: ${found.rest.join(' · ')}` : ', everything understood'}.${inferred === undefined ? '' : ` Practice as the plate is stamped: ${practices.find(([id]) => id === inferred)?.[1]}.`}`;
  }

  function take(key: string, value: Json): void {
    desk().set(`${base}.${key}`, value);
    differing = differing.filter(([k]) => k !== key);
  }
  /** What stands around the words of a stretch, and the words. */
  function bare(text: string): readonly [string, string, string] {
    const [, before = '', words = '', after = ''] = /^([^\p{L}\p{N}]*)(.*?)([^\p{L}\p{N}]*)$/su.exec(text) ?? [];
    return [before, words, after];
  }
  const label = (key: string): string =>
    key
      .replace(/([A-Z])/g, ' $1')
      .replaceAll('.', ' ')
      .toLowerCase();
</script>

<div class="mb-3">
  <label class="mb-0.5 block text-[13px] font-medium text-quiet" for="{base}-text"
    >Text from an e-mail or typed from the metal</label
  >
  <Textarea
    id="{base}-text"
    class="field font-condensed"
    rows={3}
    maxlength={longest}
    spellcheck="false"
    data-path={base === 'plate' ? 'plate.text' : undefined}
    value={text}
    placeholder="HP 30 VOLTS 208-230/460 AMPS 79-72/36 RPM 1770 FR 286T …   or   15 kW 400/690 V Δ/Y 27,9/16,2 A cosφ 0,86 1470 min⁻¹ IP55"
    oninput={(e) => (typed = e.currentTarget.value)}
  ></Textarea>
  <div class="mt-1 flex flex-wrap items-center gap-3">
    <Button class="push" disabled={text.trim() === ''} onclick={() => void read()}>Read into the plate</Button>
    <span role="status" class="text-[13px] text-quiet">{message}</span>
  </div>
  {#if differing.length > 0}
    <ul class="mt-2 text-[14px]" aria-label="The text says otherwise">
      {#each differing as [key, stands, says] (key)}
        <li class="py-0.5">
          {label(key)}: “{stands}” stands, the text says “{says}”.
          <Button class="link" onclick={() => take(key, says)}>Take {says}</Button>
        </li>
      {/each}
    </ul>
  {/if}
  {#if reading && typed === null}
    <p class="read mt-2" data-testid="plate-text">
      {#each reading.pieces as piece, i (i)}{#if piece.fields.length > 0}<span
            class="got"
            title={piece.fields.map(label).join(', ')}>{piece.text}</span
          >{:else}{@const [before, words, after] = bare(piece.text)}{before}{#if words !== ''}<mark
              title={piece.note ?? 'not understood'}>{words}</mark
            >{/if}{after}{/if}{/each}
    </p>
    {@const noted = reading.pieces.filter((p) => p.note)}
    {#if reading.rest.length + noted.length > 0}
      <p class="text-[12.5px] text-quiet">
        {#if reading.rest.length > 0}Boxed: not understood, and kept as it is.{/if}
        {#each noted as p, i (i)}<span class="ml-1">“{p.text}”: {p.note}.</span>{/each}
      </p>
    {/if}
  {/if}
</div>

<style>
  .read {
    white-space: pre-wrap;
    overflow-wrap: anywhere;
    font-family: var(--font-condensed);
    font-size: 14px;
    line-height: 1.7;
  }
  .got {
    border-bottom: 2px solid var(--pine);
  }
  mark {
    background: none;
    color: inherit;
    border: 1px dashed var(--caution);
    padding: 0 3px;
  }
</style>
