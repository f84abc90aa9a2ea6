<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import { errandState } from '@pilgrim/core/errand';
  import { errandAsks, errands, type Errand } from '@pilgrim/core/vocabulary';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { useGoto } from '$lib/desk/goto';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Group from '$lib/ui/Group.svelte';
  import { fieldName } from '$lib/ui/names';
  import { errandWords } from '$lib/ui/options';
  import type { Json } from '$lib/desk/paths';

  /** What brings somebody here, and what is asked for it, in its order, with a way to each field. */
  const desk = useDesk();
  const goto = useGoto();
  const errand = $derived(errands.find((e) => e === desk().value('errand')));
  const state = $derived(errand ? errandState(errand, desk().case, desk().result) : null);

  /** A starter for the motor that is there is asked of that motor. */
  function choose(value: Json | undefined): void {
    desk().set('errand', value);
    const control: Errand = 'control';
    if (value === control && desk().value('motor') === undefined) desk().set('motor.existing', true);
  }
</script>

<Group title="What brings you here">
  <div class="grid items-start gap-3 sm:grid-cols-[23rem_1fr]">
    <ChoiceField path="errand" label="Errand" options={errandWords} {choose} />
    {#if errand && state}
      <div data-testid="asked">
        <p class="text-[13px] font-medium text-quiet">
          {state.text}
        </p>
        <ul class="flex flex-wrap gap-x-4">
          {#each errandAsks[errand] as path (path)}
            <li>
              <Button class="link" onclick={() => goto(path)}>{fieldName(path)}</Button>
              <span class="text-quiet">{state.open.includes(path) ? 'open' : 'given'}</span>
            </li>
          {/each}
        </ul>
      </div>
    {/if}
  </div>
</Group>
