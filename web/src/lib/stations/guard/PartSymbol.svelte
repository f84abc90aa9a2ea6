<script lang="ts">
  import type { CircuitPart } from '@pilgrim/core';

  /** A part's symbol on a line that runs downward: IEC 60617, or the set of North America. */
  interface Props {
    kind: CircuitPart['kind'];
    fused: boolean;
    northAmerican: boolean;
  }
  let { kind, fused, northAmerican }: Props = $props();
</script>

<g stroke="var(--ink)" stroke-width="1.5" fill="var(--sheet)">
  {#if kind === 'source'}
    {#if northAmerican}
      <rect x="-14" y="-12" width="28" height="24" stroke="none" />
      <path d="M0 -16v5M-12 -8q3 -6 6 0t6 0 6 0 6 0M-12 6q3 6 6 0t6 0 6 0 6 0M0 11v5" fill="none" />
    {:else}
      <circle cy="-6" r="10" /><circle cy="6" r="10" fill="none" />
    {/if}
  {:else if kind === 'disconnect'}
    <rect x="-5" y="-13" width="10" height="26" stroke="none" /><path d="M0 13 -10 -11M-5 -13H5" />
  {:else if kind === 'device' && fused}
    {#if northAmerican}
      <rect x="-6" y="-13" width="12" height="26" stroke="none" /><path
        d="M0 -13c10 4 10 9 0 13s-10 9 0 13"
        fill="none"
      />
    {:else}
      <rect x="-5" y="-13" width="10" height="26" /><path d="M0 -13V13" />
    {/if}
  {:else if kind === 'device'}
    <rect x="-7" y="-13" width="14" height="26" stroke="none" />
    {#if northAmerican}
      <path d="M2 -12a13 13 0 0 1 0 24" fill="none" /><circle cy="-12" r="2" /><circle cy="12" r="2" />
    {:else}
      <path d="M0 13 -10 -9M-4 -17 4 -9M4 -17 -4 -9" />
    {/if}
  {:else if kind === 'contactor'}
    {#if northAmerican}
      <rect x="-8" y="-6" width="16" height="12" stroke="none" /><path d="M-10 -5H10M-10 5H10" />
    {:else}
      <rect x="-7" y="-13" width="14" height="26" stroke="none" /><path
        d="M0 13 -10 -9M0 -13a4.5 4.5 0 0 1 0 9"
        fill="none"
      />
    {/if}
  {:else if kind === 'soft-starter'}
    <rect x="-15" y="-15" width="30" height="30" /><path d="M-8 -6H8L0 6ZM-8 6H8M4 6 9 11" />
  {:else if kind === 'drive'}
    <rect x="-15" y="-15" width="30" height="30" /><path d="M-15 15 15 -15" />
  {:else if kind === 'resistor'}
    {#if northAmerican}
      <path d="M0 -13l6 2 -12 4 12 4 -12 4 12 4 -6 2" fill="none" />
    {:else}
      <rect x="-5" y="-12" width="10" height="24" />
    {/if}
  {:else if kind === 'filter'}
    <rect x="-15" y="-15" width="30" height="30" /><path d="M-10 4q3 -8 6 0t6 0 6 0M-10 -8H8" fill="none" />
  {:else if kind === 'brake'}
    <circle r="11" /><path d="M-17 -8V8M17 -8V8" />
  {:else if kind === 'overload'}
    {#if northAmerican}
      <rect x="-8" y="-12" width="16" height="24" stroke="none" /><path
        d="M0 -13v3a5 5 0 0 1 0 10 5 5 0 0 1 0 10v3"
        fill="none"
      />
    {:else}
      <rect x="-12" y="-12" width="24" height="24" /><path d="M0 -12v6h7v12H0v6" fill="none" />
    {/if}
  {:else if kind === 'cable'}
    <path d="M-8 0 8 -6M-8 5 8 -1M-8 10 8 4" />
  {:else if kind === 'motor'}
    <circle r="17" /><text y="5" text-anchor="middle" stroke="none" fill="var(--ink)" font-size="14" font-weight="600"
      >M</text
    >
  {:else}
    <rect x="-14" y="-13" width="28" height="26" />
  {/if}
</g>
