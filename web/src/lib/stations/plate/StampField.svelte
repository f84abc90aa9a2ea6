<script lang="ts">
  import { fieldUnit, readGroups, readNumber, readQuantity, readTyped } from '@pilgrim/core/quantity';
  import { practiceUnits } from '@pilgrim/core/vocabulary';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { textOf } from '$lib/ui/reading.svelte';
  import type { Json } from '$lib/desk/paths';
  import { nameField } from '$lib/ui/names';
  import { OwnText } from '$lib/ui/own.svelte';
  import { stampName, type Stamp } from './stamps';

  interface Props {
    stamp: Stamp;
    /** Path of the plate in the case. */
    base: string;
    ringed: boolean;
    /** Words of the pasted text this value came from. */
    from?: string | undefined;
  }
  let { stamp, base, ringed, from }: Props = $props();
  const desk = useDesk();
  const path = $derived(`${base}.${stamp.key}`);
  $effect.pre(() => nameField(path, stampName(stamp)));
  const id = $derived(`p-${path.replace(/\W/g, '-')}`);
  const value = $derived(desk().value(path));
  const carried = $derived(desk().carried(path));

  const practice = $derived(desk().value('practice') === 'north-america' ? 'north-america' : 'iec');
  // The person's own text stands while it means the same ("93.6" is kept as 0.936, "460" as "460 V").
  const own = new OwnText<Json>(meaning, () => desk().value(path));
  const found = $derived(
    base === 'plate' && stamp.figure && value === undefined ? desk().figure(stamp.figure) : undefined,
  );
  const problem = $derived(problemOf(String(value ?? '')));

  function meaning(typed: string): string | number {
    if (stamp.dimension) {
      const unit = fieldUnit(stamp.dimension, practiceUnits[practice], true);
      return readTyped(stamp.dimension, typed, unit, stamp.kind === 'group').text;
    }
    if (stamp.kind !== 'number' && stamp.kind !== 'share' && stamp.kind !== 'whole') return typed;
    const read = readNumber(typed.replace(/\s*%$/, ''));
    if (!read.ok || /[.,]$/.test(typed)) return typed;
    // Plates stamp shares as percent: 93.6 is 0.936.
    return stamp.kind === 'share' && read.value > 1.2 ? Number((read.value / 100).toPrecision(6)) : read.value;
  }

  function problemOf(typed: string): string | undefined {
    if (typed === '') return undefined;
    const read =
      stamp.kind === 'group' && stamp.dimension
        ? readGroups(stamp.dimension, typed)
        : stamp.kind === 'quantity' && stamp.dimension
          ? readQuantity(stamp.dimension, typed)
          : undefined;
    return read && !read.ok ? read.message : desk().error(path);
  }
</script>

<div class:col-span-2={stamp.wide}>
  <label for={id} class="stamp" title={stamp.long}
    >{stamp.label}{#if stamp.long && stamp.long !== stamp.label}<span class="sr-only">, {stamp.long}</span>{/if}</label
  >
  <input
    {id}
    class="engraved"
    class:ringed
    data-path={path}
    value={own.shown}
    placeholder={found ? `${textOf(found)}, worked out` : stamp.example}
    aria-invalid={problem === undefined ? undefined : true}
    aria-describedby={problem ? `${id}-note` : undefined}
    oninput={(e) => desk().set(path, own.type(e.currentTarget.value))}
  />
  {#if problem}<p id="{id}-note" class="problem">▲ {problem}</p>
  {:else if typeof value === 'string' && own.shown !== value}<p class="from">= {value}</p>
  {:else if carried}<p class="from" data-testid="carried">from {carried}</p>
  {:else if from}<p class="from" title="From the text">“{from}”</p>{/if}
</div>

<style>
  .stamp {
    display: block;
    font-size: 12px;
    letter-spacing: 0.06em;
    font-weight: 600;
  }
  .engraved {
    width: 100%;
    background: transparent;
    border: 0;
    border-bottom: 1.5px solid var(--on-metal);
    border-radius: 0;
    color: var(--on-metal);
    font-size: 1.1rem;
    font-weight: 600;
    padding: 1px 4px;
  }
  .engraved:focus {
    box-shadow: none;
    outline: 2px solid #12535a;
    background: rgb(255 255 255 / 0.5);
  }
  .engraved::placeholder {
    color: #3d474e;
    font-weight: 400;
    font-style: italic;
    opacity: 1;
    font-size: 0.95rem;
  }
  .engraved.ringed,
  .engraved[aria-invalid='true'] {
    outline: 2px solid #9c2f1f;
    outline-offset: 0;
    border-radius: 4px;
  }
  .problem {
    font-size: 12.5px;
    color: #6d1a0e;
    font-weight: 600;
  }
  .from {
    font-size: 11.5px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
</style>
