<script lang="ts">
  let { data } = $props();
</script>

<svelte:head><title>Guide · Pilgrim</title></svelte:head>

<!-- Our own text of docs/guide.md, made at the server. -->
<main id="desk" class="guide mx-auto max-w-[820px] px-4 py-4">
  <!-- eslint-disable-next-line svelte/no-at-html-tags -->
  {@html data.html}
</main>

<style>
  .guide :global(h2) {
    margin-top: 1.5rem;
  }
  .guide :global(p),
  .guide :global(ul),
  .guide :global(ol),
  .guide :global(table) {
    margin-block: 0.5rem;
  }
  .guide :global(ul) {
    list-style: disc;
    padding-left: 1.25rem;
  }
  .guide :global(ol) {
    list-style: decimal;
    padding-left: 1.25rem;
  }
  .guide :global(li) {
    margin-block: 0.25rem;
  }
  .guide :global(td),
  .guide :global(th) {
    padding: 4px 8px;
    border-bottom: 1px solid var(--rule);
    text-align: left;
    vertical-align: top;
  }
  .guide :global(img) {
    border: 1px solid var(--rule);
    border-radius: 3px;
    margin-block: 0.5rem;
  }
  .guide :global(code) {
    font-family: inherit;
    font-weight: 600;
  }
</style>
