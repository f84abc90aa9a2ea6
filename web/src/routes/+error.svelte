<script lang="ts">
  import { page } from '$app/state';
  import { resolve } from '$app/paths';
</script>

<svelte:head><title>{page.status} · Pilgrim</title></svelte:head>

<main id="desk" class="mx-auto max-w-[700px] px-4 py-10">
  <h1>{page.status === 404 ? 'There is nothing here' : 'That did not work'}</h1>
  <p class="my-3">{page.error?.message ?? ''}</p>
  <a class="link" href={resolve('/')}>To the plant</a>
</main>
