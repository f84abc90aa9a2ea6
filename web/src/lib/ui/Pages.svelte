<script lang="ts">
  import { TabItem, Tabs } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';

  interface Page {
    readonly id: string;
    readonly title: string;
    readonly body: Snippet;
  }
  interface Props {
    /** What the pages are of, for who hears the page. */
    label: string;
    pages: readonly Page[];
    /** The page in view. */
    selected?: string;
  }
  /** Parts of a station one at a time on the screen; on paper all of them, in their order. */
  let { label, pages, selected = $bindable(pages[0]?.id ?? '') }: Props = $props();
  const shown = $derived(pages.some((p) => p.id === selected) ? selected : (pages[0]?.id ?? ''));

  /** What leads to a field in a page out of view asks it to unfold. */
  const turns = (id: string) => (node: HTMLElement) => {
    const turn = (): void => void (selected = id);
    node.addEventListener('unfold', turn);
    return () => node.removeEventListener('unfold', turn);
  };

  const keyOf = (id: string): string => `page-${id}`;

  // Not by what the row of titles selects for itself while pages come and go.
  function byPointer({ target }: MouseEvent): void {
    const tab = target instanceof Element ? target.closest('[role=tab]') : null;
    const page = pages.find((p) => keyOf(p.id) === tab?.id);
    if (page) selected = page.id;
  }

  function byKeys(event: KeyboardEvent): void {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const at = pages.findIndex((p) => p.id === shown);
    const next = pages[(at + step + pages.length) % pages.length];
    if (!next) return;
    selected = next.id;
    const list = event.currentTarget;
    if (list instanceof HTMLElement) list.querySelectorAll<HTMLElement>('[role=tab]')[pages.indexOf(next)]?.focus();
  }
</script>

{#snippet bodies()}
  {#each pages as page (page.id)}
    <div class:turned={page.id !== shown} data-page={page.id} {@attach turns(page.id)}>{@render page.body()}</div>
  {/each}
{/snippet}

<Tabs
  aria-label={label}
  bind:selected={() => keyOf(shown), () => {}}
  class="tabs screen-only"
  divider={false}
  classes={{ content: 'tab-body' }}
  onclick={byPointer}
  onkeydown={byKeys}
>
  {#each pages as page (page.id)}
    <TabItem
      key={keyOf(page.id)}
      title={page.title}
      open={page.id === shown}
      activeClass="tab is-open"
      inactiveClass="tab"
      children={bodies}
    />
  {/each}
</Tabs>

<style>
  @media screen {
    .turned {
      display: none;
    }
  }
</style>
