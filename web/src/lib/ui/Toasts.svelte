<script lang="ts">
  import { Button, Toast } from 'flowbite-svelte';
  import { toasts } from './toasts.svelte';

  /** How long it stands, unless it is pointed at or has the keyboard. */
  const stands = 20_000;
  let held = $state(false);
  $effect(() => {
    if (toasts.told === null || held) return;
    const timer = setTimeout(() => (toasts.told = null), stands);
    return () => clearTimeout(timer);
  });
</script>

{#if toasts.told}
  {@const { text, act } = toasts.told}
  <Toast
    class="toast screen-only"
    role="status"
    data-testid="toast"
    closeAriaLabel="Close"
    onclose={() => ((held = false), (toasts.told = null))}
    onpointerenter={() => (held = true)}
    onpointerleave={() => (held = false)}
    onfocusin={() => (held = true)}
    onfocusout={() => (held = false)}
  >
    {text}
    {#if act}<Button class="link" onclick={() => ((held = false), void act.do())}>{act.name}</Button>{/if}
  </Toast>
{/if}
