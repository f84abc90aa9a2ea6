<script lang="ts">
  import type { ConditionTold } from '@pilgrim/core';
  import { Button } from 'flowbite-svelte';
  import FindingLine from '$lib/desk/FindingLine.svelte';
  import { useGoto } from '$lib/desk/goto';
  import FigureLine from '$lib/ui/FigureLine.svelte';
  import Mark from '$lib/ui/Mark.svelte';

  let { told }: { told: ConditionTold } = $props();
  const goto = useGoto();
  /** What the round itself worked out; the plate's own figures stand on its station. */
  const own = $derived(Object.keys(told.figures).filter((id) => /^(condition|load)\./.test(id)));
</script>

{#if told.findings.length > 0}
  <ul data-testid="round-findings">
    {#each told.findings as f (f.id + f.text)}<FindingLine finding={f} />{/each}
  </ul>
{:else}
  <p class="text-quiet">Nothing stands out.</p>
{/if}
{#if told.steps.length > 0}
  <h3 class="mt-3 font-medium">What to measure next, in this order</h3>
  <ol class="list-decimal space-y-2 pl-5" data-testid="steps">
    {#each told.steps as step (step.measure)}
      {@const field = step.fields[0]}
      <li class={step.found === null ? '' : 'text-quiet'}>
        <span class="font-medium">{step.measure}.</span>
        {#if step.found === null && field !== undefined}
          <Button class="link text-[13px]" onclick={() => goto(field)}>→ enter it</Button>
        {/if}
        <ul class="mt-0.5 text-[13.5px]">
          {#each step.results as r, i (r.when)}
            {#if step.found === null || step.found === i}
              <li class="flex gap-2">
                <span class="mt-0.5 w-4 shrink-0"
                  >{#if step.found === i}<Mark state={i === 0 ? 'note' : 'caution'} />{:else}<span aria-hidden="true"
                      >–</span
                    >{/if}</span
                >
                <span><b class="font-semibold">{step.found === i ? 'Read: ' : ''}{r.when}</b>: {r.means}.</span>
              </li>
            {/if}
          {/each}
        </ul>
      </li>
    {/each}
  </ol>
{/if}
{#if own.length > 0}
  <div class="mt-3" data-testid="round-figures">
    {#each own as id (id)}<FigureLine {id} />{/each}
  </div>
{/if}
