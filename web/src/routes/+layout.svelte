<script lang="ts">
  import { Button, NavBrand, Navbar, Select, ThemeProvider } from 'flowbite-svelte';
  import '../app.css';
  import { onMount, untrack } from 'svelte';
  import { resolve } from '$app/paths';
  import Moon from '@lucide/svelte/icons/moon';
  import Sun from '@lucide/svelte/icons/sun';
  import { reading, type Reading } from '$lib/ui/reading.svelte';
  import { setDark, theme } from '$lib/ui/theme.svelte';
  import Finder from '$lib/desk/Finder.svelte';
  import KeysHelp from '$lib/ui/KeysHelp.svelte';
  import Toasts from '$lib/ui/Toasts.svelte';

  let { children, data } = $props();
  untrack(() => (theme.dark = data.dark));
  // What drives the interface from outside waits for this: the page answers to keys and pointer.
  onMount(() => {
    theme.dark = document.documentElement.classList.contains('dark');
    document.documentElement.dataset.awake = 'true';
  });
  const systems: readonly (readonly [Reading, string])[] = [
    ['typed', 'both units'],
    ['us', 'North American'],
    ['si', 'SI'],
  ];
</script>

<!-- Every part of the library asks for a theme, and throws and catches an error where none is set. -->
<ThemeProvider>
  <a href="#desk" class="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-sheet focus:p-2">To the desk</a>
  <header class="screen-only border-b border-rule bg-sheet">
    <Navbar
      fluid
      class="mx-auto max-w-[1440px] px-4! py-2!"
      navContainerClass="justify-start! gap-x-3 gap-y-1 sm:gap-x-6"
    >
      <NavBrand href={resolve('/')} class="gap-2 font-semibold">
        <svg width="18" height="18" viewBox="0 0 32 32" aria-hidden="true"
          ><rect width="32" height="32" rx="3" fill="var(--pine)" /><path
            d="M10 4v24M10 9h13l-4 4 4 4H10"
            fill="none"
            stroke="var(--on-pine)"
            stroke-width="3"
          /></svg
        >
        <span class="max-sm:sr-only">Pilgrim</span>
      </NavBrand>
      <a href={resolve('/')} class="link no-underline hover:underline">Plant</a>
      <a href={resolve('/shelf')} class="link no-underline hover:underline">Own shelf</a>
      <a href={resolve('/boards')} class="link no-underline hover:underline max-sm:hidden!">Boards</a>
      <a href={resolve('/guide')} class="link no-underline hover:underline max-sm:hidden!">Guide</a>
      <span class="flex-1 max-sm:hidden"></span>
      <label class="flex items-center gap-2 text-[13px] text-quiet">
        <span class="max-sm:sr-only">Read in</span>
        <Select
          class="w-auto max-sm:w-24!"
          classes={{ select: 'field py-0.5! text-[13px]!' }}
          placeholder=""
          items={systems.map(([value, name]) => ({ value, name }))}
          bind:value={reading.system}
        />
      </label>
      <Finder />
      <KeysHelp />
      <Button
        class="push px-2!"
        aria-label={theme.dark ? 'Light theme' : 'Dark theme'}
        onclick={() => setDark(!theme.dark)}
      >
        {#if theme.dark}<Sun size={16} aria-hidden="true" />{:else}<Moon size={16} aria-hidden="true" />{/if}
      </Button>
    </Navbar>
  </header>
  {@render children()}
  <Toasts />
</ThemeProvider>
