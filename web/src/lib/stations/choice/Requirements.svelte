<script lang="ts">
  import { Button, Input } from 'flowbite-svelte';
  import type { Verdict } from '@pilgrim/core';
  import { markOf, words } from '$lib/ui/names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { putAt, type Json } from '$lib/desk/paths';
  import Mark from '$lib/ui/Mark.svelte';

  const desk = useDesk();
  const verdicts = $derived(desk().result?.candidates[0]?.verdicts ?? []);
  const waived = $derived.by((): ReadonlyMap<string, string> => {
    const list: unknown = desk().value('waived');
    const map = new Map<string, string>();
    if (Array.isArray(list))
      for (const item of list) {
        if (typeof item !== 'object' || item === null) continue;
        map.set(String(Reflect.get(item, 'requirement')), String(Reflect.get(item, 'reason')));
      }
    return map;
  });
  let asking = $state<string | null>(null);
  let reason = $state('');

  function put(map: ReadonlyMap<string, string>): void {
    const list: Json = [...map].map(([requirement, why]) => ({ requirement, reason: why }));
    desk().change('', (draft) => putAt(draft, 'waived', map.size > 0 ? list : undefined), 'what is left out');
  }
  function leaveOut(event: SubmitEvent, v: Verdict): void {
    event.preventDefault();
    if (reason.trim() === '') return;
    put(new Map(waived).set(v.requirement, reason.trim()));
    asking = null;
    reason = '';
  }
  function countAgain(v: Verdict): void {
    const map = new Map(waived);
    map.delete(v.requirement);
    put(map);
  }
</script>

{#if verdicts.length === 0}
  <p class="text-quiet">What is asked follows from the load, the place and the speed.</p>
{:else}
  <p class="mb-1 text-[13px] text-quiet">
    What is asked of every motor, and how the first one meets it. One that need not hold here can be left out, with the
    reason; it stays on the sheet.
  </p>
  <ul data-testid="requirements" data-path="waived">
    {#each verdicts as v (v.requirement)}
      <li class="border-b border-rule py-1">
        <div class="flex items-start gap-2">
          <span class="mt-0.5"><Mark state={markOf(v)} /></span>
          <span class="w-32 shrink-0 font-medium" class:line-through={v.waived != null}>{words(v.requirement)}</span>
          <span class="flex-1"
            >{v.text}
            {#if v.condition && v.waived === null}<span class="block">{v.condition.text}</span>{/if}
            {#if v.waived != null}<b>Not counted: {v.waived}.</b>{/if}</span
          >
          {#if v.waived != null}
            <Button class="link" aria-label="Count {words(v.requirement)} again" onclick={() => countAgain(v)}
              >count it</Button
            >
          {:else}
            <Button
              class="link"
              aria-label="Leave out {words(v.requirement)}"
              aria-expanded={asking === v.requirement}
              onclick={() => ((asking = asking === v.requirement ? null : v.requirement), (reason = ''))}
              >leave out</Button
            >
          {/if}
        </div>
        {#if asking === v.requirement}
          <form class="mt-1 flex items-end gap-2 pl-6" onsubmit={(e) => leaveOut(e, v)}>
            <label class="flex-1 text-[13px]"
              >Why it need not hold here <Input class="field" maxlength={400} bind:value={reason} /></label
            >
            <Button type="submit" class="push" disabled={reason.trim() === ''}>Leave it out</Button>
          </form>
        {/if}
      </li>
    {/each}
  </ul>
{/if}
