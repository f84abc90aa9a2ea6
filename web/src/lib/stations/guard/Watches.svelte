<script lang="ts">
  import type { Watched } from '@pilgrim/core';
  import { restart, undervoltage } from '$lib/ui/options';
  import { watchedWords } from './watchedWords';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';

  interface Props {
    watches: readonly Watched[];
  }
  let { watches }: Props = $props();
  const yesNo = [
    [true, 'yes'],
    [false, 'no'],
  ] as const;
  const ofCase = { restart: ['guard.restart', restart], undervoltage: ['guard.undervoltage', undervoltage] } as const;
  const fieldOf = (id: string) =>
    id === 'restart' || id === 'undervoltage' ? ofCase[id] : ([`guard.watch.${id}`, yesNo] as const);
</script>

<div class="grid gap-x-4 gap-y-2 sm:grid-cols-2">
  {#each watches as w (w.id)}
    {@const [path, options] = fieldOf(w.id)}
    <ChoiceField {path} {options} label={w.name} none="{watchedWords(w.id, w.proposed)} (proposed)" hint={w.why} />
  {/each}
</div>
