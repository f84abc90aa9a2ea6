<script lang="ts">
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import ChevronRight from '@lucide/svelte/icons/chevron-right';
  import { Accordion, AccordionItem } from 'flowbite-svelte';
  import { onMount, type Snippet } from 'svelte';
  import type { HTMLAttributes } from 'svelte/elements';

  interface Props extends Omit<HTMLAttributes<HTMLDivElement>, 'title'> {
    /** What it is called; or `head`, where that is more than words. */
    title?: string;
    head?: Snippet;
    open?: boolean;
    headClass?: string;
    children: Snippet;
  }
  let { title = '', head, open = $bindable(false), headClass = '', children, ...rest }: Props = $props();

  /** A page comes without what is folded away; it follows at once, to be found there. */
  let mounted = $state(false);
  onMount(() => void (mounted = true));

  /** What leads to a field in a folded part asks it to unfold. */
  const unfolds = (node: HTMLElement) => {
    const unfold = (): void => void (open = true);
    node.addEventListener('unfold', unfold);
    return () => node.removeEventListener('unfold', unfold);
  };
</script>

<!-- In a set of its own, or it would take part in the choosing of whatever tabs or parts stand around it. -->
<div {...rest} {@attach unfolds}>
  <Accordion multiple flush>
    <AccordionItem
      bind:open
      headingTag="div"
      transitionType="none"
      class="fold"
      classes={{ button: 'fold-head', content: 'fold-body', active: 'is-open', inactive: 'is-shut' }}
    >
      {#snippet header()}
        <span class="min-w-0 flex-1 {headClass}"
          >{#if head}{@render head()}{:else}{title}{/if}</span
        >
      {/snippet}
      {#snippet arrowup()}<ChevronDown size={16} aria-hidden="true" class="shrink-0" />{/snippet}
      {#snippet arrowdown()}<ChevronRight size={16} aria-hidden="true" class="shrink-0" />{/snippet}
      {#if open || mounted}{@render children()}{/if}
    </AccordionItem>
  </Accordion>
</div>
