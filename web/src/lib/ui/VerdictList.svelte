<script lang="ts">
  import type { Verdict } from '@pilgrim/core';
  import { marginText } from './margin';
  import { markOf, words } from './names';
  import Mark from './Mark.svelte';
  import Tag from './Tag.svelte';

  interface Props {
    verdicts: readonly Verdict[];
  }
  let { verdicts }: Props = $props();
</script>

<ul class="answers">
  {#each verdicts as v (v.requirement)}
    <li class="flex items-start gap-2 border-b border-rule py-1">
      <span class="mt-0.5"><Mark state={markOf(v)} /></span>
      <span class="w-32 shrink-0 font-medium">{words(v.requirement)}</span>
      <span class="flex-1"
        >{v.text}
        {#if v.tight}<Tag>tight</Tag>{/if}
        {#if v.remedy}<span class="block"
            ><Tag>bought with</Tag> {v.remedy.text}, price index {v.remedy.priceIndex}</span
          >{/if}
        {#if v.condition}<span class="block">{v.condition.text}</span>{/if}
        {#if v.waived}<span class="block"><Tag>not counted</Tag> {v.waived}</span>{/if}
      </span>
      <span class="w-24 shrink-0 text-right font-condensed">
        {#if v.margin !== null}
          <span class="block">{marginText(v.margin)}</span>
          <span class="block h-1 bg-rule" aria-hidden="true">
            <span
              class="block h-1 {v.outcome === 'pass' ? 'bg-pass' : v.outcome === 'caution' ? 'bg-caution' : 'bg-stop'}"
              style="width: {Math.min(100, Math.max(3, Math.abs(v.margin) * 100))}%"
            ></span>
          </span>
        {/if}
      </span>
    </li>
  {/each}
</ul>
