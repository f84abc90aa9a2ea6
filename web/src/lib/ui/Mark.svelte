<script lang="ts">
  import type { StationState } from '@pilgrim/core';

  interface Props {
    state: StationState | 'pass' | 'fail' | 'note';
    size?: number;
    /** Set where the words stand beside it already. */
    decorative?: boolean;
  }
  let { state, size = 14, decorative = false }: Props = $props();
  const words = {
    empty: 'empty',
    waits: 'waits',
    condition: 'holds if',
    enough: 'enough',
    caution: 'caution',
    stop: 'stop',
    pass: 'pass',
    fail: 'fail',
    note: 'note',
  };
</script>

<!-- State by shape as well as colour: ring, broken ring, disc, diamond, triangle, square, dot. -->
<svg
  width={size}
  height={size}
  viewBox="0 0 14 14"
  role={decorative ? 'presentation' : 'img'}
  aria-hidden={decorative}
  aria-label={decorative ? undefined : words[state]}
  class="shrink-0"
>
  {#if state === 'empty'}
    <circle cx="7" cy="7" r="5" fill="var(--sheet)" stroke="var(--edge)" stroke-width="1.5" />
  {:else if state === 'waits'}
    <circle
      cx="7"
      cy="7"
      r="5"
      fill="var(--sheet)"
      stroke="var(--edge)"
      stroke-width="1.5"
      stroke-dasharray="2.6 2.6"
    />
  {:else if state === 'condition'}
    <path d="M7 0 14 7 7 14 0 7Z M7 2.3 2.3 7 7 11.7 11.7 7Z" fill="var(--pass)" fill-rule="evenodd" />
    <path d="M4.4 7h5.2" stroke="var(--pass)" stroke-width="1.6" />
  {:else if state === 'enough' || state === 'pass'}
    <circle cx="7" cy="7" r="6" fill="var(--pass)" />
    <path d="M4 7.2 6.2 9.4 10 5" fill="none" stroke="var(--sheet)" stroke-width="1.6" />
  {:else if state === 'caution'}
    <path d="M7 1 13.5 13H.5Z" fill="var(--caution)" />
    <path d="M7 5v4M7 10.2v1.4" stroke="var(--sheet)" stroke-width="1.5" />
  {:else if state === 'note'}
    <circle cx="7" cy="7" r="3" fill="var(--quiet)" />
  {:else}
    <rect x="1" y="1" width="12" height="12" fill="var(--stop)" />
    <path d="M4 4l6 6M10 4l-6 6" stroke="var(--sheet)" stroke-width="1.6" />
  {/if}
</svg>
