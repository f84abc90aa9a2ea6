<script lang="ts">
  import { Range } from 'flowbite-svelte';
  import type { GuardView } from '@pilgrim/core';
  import { readQuantity } from '@pilgrim/core/quantity';
  import { useDesk } from '$lib/desk/desk.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';

  interface Props {
    dial: NonNullable<GuardView['dial']>;
  }
  let { dial }: Props = $props();
  const desk = useDesk();
  const path = 'guard.relay.dial';
  /** Why the last move of the slider was not taken. */
  let refused = $state('');
  const three = (amperes: number): number => Number(amperes.toPrecision(3));
  const set = $derived.by(() => {
    const read = readQuantity('current', String(desk().value(path) ?? ''));
    return read.ok ? read.value.value : undefined;
  });
  const steps = 100;
  const least = $derived(dial.proposed * 0.6);
  const end = $derived(dial.most * 1.3);
  const here = $derived(Math.min(end, Math.max(least, set ?? dial.proposed)));

  /** The slider stops at what may be dialled, and says why. */
  function move(to: number): void {
    refused = to > dial.most * 1.001 ? dial.why : '';
    const amperes = refused ? Math.floor(dial.most * 100) / 100 : three(to);
    desk().set(path, `${amperes} A`);
  }
</script>

<div class="grid items-start gap-3 sm:grid-cols-3">
  <QuantityField {path} label="Dial, as set" dimension="current" taken="{three(dial.proposed)} A" />
  <label class="block sm:col-span-2"
    >Move the dial
    <Range
      min={least}
      max={end}
      step={(end - least) / steps}
      bind:value={() => here, (to) => move(Number(to))}
      aria-label="Move the dial"
      aria-valuetext="{three(here)} A"
      data-testid="dial"
    />
  </label>
</div>
<p role="status" class="min-h-5 text-stop" data-testid="dial-refused">{refused}</p>
