<script lang="ts">
  import { Button, Range } from 'flowbite-svelte';
  import { untrack } from 'svelte';
  import RotateCw from '@lucide/svelte/icons/rotate-cw';
  import Trash2 from '@lucide/svelte/icons/trash-2';
  import ZoomIn from '@lucide/svelte/icons/zoom-in';
  import ZoomOut from '@lucide/svelte/icons/zoom-out';
  import { keepPhotograph, removePhotograph, type PhotographListed } from '$lib/api';
  import { shrink } from '$lib/desk/photographs';
  import FilePick from '$lib/ui/FilePick.svelte';
  import Hint from '$lib/ui/Hint.svelte';

  interface Props {
    position: string;
    photographs: readonly PhotographListed[];
    /** Whether a photograph lies open beside the plate. */
    open?: boolean;
  }
  let { position, photographs, open = $bindable(false) }: Props = $props();

  let list = $state.raw(untrack(() => photographs));
  let chosen = $state<string | null>(untrack(() => photographs[0]?.id ?? null));
  let zoom = $state(1);
  let turn = $state(0);
  let contrast = $state(1);
  let message = $state('');
  let busy = $state(false);
  let viewer = $state<HTMLDivElement>();
  let width = $state(300);

  const photo = $derived(list.find((p) => p.id === chosen));
  const sideways = $derived(turn % 180 !== 0);
  // The picture fills the viewer's width at zoom 1, whichever way it is turned.
  const shown = $derived.by(() => {
    if (!photo) return { w: 0, h: 0 };
    const ratio = sideways ? photo.width / photo.height : photo.height / photo.width;
    return { w: width * zoom, h: width * zoom * ratio };
  });
  $effect(() => {
    open = photo !== undefined;
  });

  async function add(files: readonly File[]): Promise<void> {
    busy = true;
    message = '';
    for (const file of files) {
      const small = await shrink(file);
      if (!small.ok) {
        message = small.message;
        continue;
      }
      const answer = await keepPhotograph(position, file.name, small.picture);
      if (answer.ok) {
        list = [...list, answer.value];
        pick(answer.value.id);
        message = `${file.name} is kept.`;
      } else if (answer.status === 0) message = 'The server did not answer; the photograph is not kept. Try again.';
      else message = `${file.name}: ${answer.problem.title ?? 'not taken'}.`;
    }
    busy = false;
  }

  function pick(id: string): void {
    chosen = id;
    zoom = 1;
    turn = 0;
    contrast = 1;
  }

  async function remove(): Promise<void> {
    if (!photo) return;
    const gone = photo;
    const answer = await removePhotograph(gone.id);
    if (!answer.ok && answer.status !== 404) {
      message = 'Not removed: the server did not answer.';
      return;
    }
    list = list.filter((p) => p.id !== gone.id);
    chosen = list[0]?.id ?? null;
    message = `${gone.name} is removed.`;
  }

  // The viewer scrolls, so arrow keys and wheels pan it; dragging does the same.
  let drag: { x: number; y: number } | undefined;
  function move(e: PointerEvent): void {
    if (!drag || !viewer) return;
    viewer.scrollLeft -= e.clientX - drag.x;
    viewer.scrollTop -= e.clientY - drag.y;
    drag = { x: e.clientX, y: e.clientY };
  }
</script>

<div class="min-w-0 sm:sticky sm:top-2 sm:self-start">
  <div class="mb-2 flex flex-wrap items-center gap-2">
    <FilePick
      label={busy ? 'Keeping …' : 'Attach a photograph'}
      accept="image/jpeg,image/png,image/webp"
      multiple
      testid="photograph"
      onpick={(files) => void add(files)}
    />
    {#if list.length > 1}
      {#each list as p, i (p.id)}
        <Button class="push" aria-label={p.name} aria-pressed={p.id === chosen} onclick={() => pick(p.id)}
          >{i + 1}</Button
        >
        <Hint text={p.name} />
      {/each}
    {/if}
    <span role="status" class="text-[13px] text-quiet">{message}</span>
  </div>
  {#if photo}
    <div
      bind:this={viewer}
      bind:clientWidth={width}
      class="viewer"
      role="region"
      aria-label="Photograph {photo.name}: arrow keys move it"
      tabindex="-1"
      data-zoom={zoom}
      onpointerdown={(e) => (drag = { x: e.clientX, y: e.clientY })}
      onpointermove={move}
      onpointerup={() => (drag = undefined)}
      onpointerleave={() => (drag = undefined)}
    >
      <div style="position: relative; width: {shown.w}px; height: {shown.h}px">
        <img
          src="/api/v1/photographs/{photo.id}"
          alt="Plate, {photo.name}"
          draggable="false"
          style="position: absolute; left: 50%; top: 50%; max-width: none; width: {sideways
            ? shown.h
            : shown.w}px; height: {sideways
            ? shown.w
            : shown.h}px; transform: translate(-50%, -50%) rotate({turn}deg); filter: contrast({contrast})"
        />
      </div>
    </div>
    <div class="mt-1 flex flex-wrap items-center gap-2">
      <Button class="push" aria-label="Zoom out" disabled={zoom <= 1} onclick={() => (zoom = Math.max(1, zoom / 1.5))}
        ><ZoomOut size={16} /></Button
      >
      <Button class="push" aria-label="Zoom in" disabled={zoom >= 8} onclick={() => (zoom = Math.min(8, zoom * 1.5))}
        ><ZoomIn size={16} /></Button
      >
      <Button class="push" aria-label="Turn right" onclick={() => (turn = (turn + 90) % 360)}
        ><RotateCw size={16} /></Button
      >
      <label class="flex items-center gap-2 text-[13px] text-quiet"
        >Contrast <Range min="0.5" max={3} step="0.1" class="w-14! accent-pine" bind:value={contrast} /></label
      >
      <span class="flex-1"></span>
      <Button class="push" aria-label="Remove this photograph" onclick={() => void remove()}
        ><Trash2 size={16} /></Button
      >
    </div>
  {/if}
</div>

<style>
  .viewer {
    overflow: auto;
    max-height: min(420px, 60vh);
    border: 1px solid var(--rule);
    background: var(--paper);
    cursor: grab;
    touch-action: pan-x pan-y;
    user-select: none;
  }
  .viewer:active {
    cursor: grabbing;
  }
</style>
