<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { methods } from '$lib/ui/options';
  import { words } from '$lib/ui/names';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Sight from './Sight.svelte';

  const desk = useDesk();
  const sights = [
    ['overheated', 'burnt evenly'],
    ['phase-burnt', 'one phase burnt'],
    ['drive-end-bearing', 'bearing, drive end'],
    ['opposite-end-bearing', 'bearing, opposite end'],
    ['fluted-race', 'fluted race'],
    ['water', 'water inside'],
    ['dust', 'packed with dust'],
    ['shaft-broken', 'shaft broken'],
    ['insulation-punctured', 'first turns punctured'],
  ] as const;
  const seen = $derived.by((): readonly string[] => {
    const list = desk().value('history.causes');
    return Array.isArray(list) ? list.map(String) : [];
  });
  const history = $derived(desk().result?.history ?? null);
  const best = $derived(desk().result?.candidates[0]);
  const states = { likely: 'caution', possible: 'note', unlikely: 'empty' } as const;

  function toggle(id: string): void {
    const next = seen.includes(id) ? seen.filter((s) => s !== id) : [...seen, id];
    desk().set('history.causes', next.length > 0 ? next : undefined);
  }
</script>

<div class="grid gap-3 sm:grid-cols-4">
  <NumberField path="history.installed" label="Installed" placeholder="2021-07" text />
  <NumberField path="history.failed" label="Failed" placeholder="2026-09" text />
  <NumberField path="history.hours" label="Running hours" placeholder="18000" />
  <ChoiceField path="history.method" label="It was started by" options={methods} />
</div>
<p id="seen-label" class="mb-1 text-[13px] font-medium text-quiet">What was seen when it was opened</p>
<div
  class="mb-3 grid grid-cols-3 gap-2 sm:grid-cols-5"
  role="group"
  aria-labelledby="seen-label"
  data-path="history.causes"
  tabindex="-1"
>
  {#each sights as [id, label] (id)}
    <button type="button" class="sight" aria-pressed={seen.includes(id)} onclick={() => toggle(id)}>
      <Sight of={id} /><span>{label}</span>
    </button>
  {/each}
</div>
<Figures ids={['history.life', 'history.hoursPerYear']} empty="" />
{#if history}
  <h3 class="mt-2 font-medium">Likely causes</h3>
  <ul data-testid="causes">
    {#each history.causes as c (c.cause)}
      <li class="flex gap-2 border-t border-rule py-1">
        <span class="mt-1"><Mark state={states[c.likelihood]} decorative /></span>
        <span
          ><span class="font-semibold">{c.title}</span>, {c.likelihood}. {c.reasons.join(' ')}
          <span class="text-quiet">{c.remedy}</span></span
        >
      </li>
    {/each}
  </ul>
  {#if history.lessons.length > 0}
    <h3 class="mt-3 font-medium">What the new choice must do differently</h3>
    <Table class="dense" data-testid="lessons">
      <thead><tr><th>Requirement</th><th>Because</th><th>First candidate</th></tr></thead>
      <tbody>
        {#each history.lessons as lesson (lesson.requirement)}
          {@const verdict = best?.verdicts.find((v) => v.requirement === lesson.requirement)}
          <tr>
            <td class="whitespace-nowrap">{words(lesson.requirement)}</td>
            <td>{lesson.text}</td>
            <td
              >{#if verdict}<span class="inline-flex gap-1"><Mark state={verdict.outcome} /> {verdict.text}</span
                >{:else}<span class="text-quiet">judged once there is a load</span>{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </Table>
  {/if}
{:else}
  <p class="text-quiet">
    Say what was seen: from that and from the case follow the likely causes, and what the new motor must do differently.
  </p>
{/if}

<style>
  .sight {
    display: flex;
    flex-direction: column;
    align-items: center;
    gap: 2px;
    padding: 6px 4px;
    border: 1px solid var(--rule);
    border-radius: 3px;
    background: var(--sheet);
    color: var(--ink);
    font-size: 13px;
    line-height: 1.2;
  }
  .sight[aria-pressed='true'] {
    border: 2px solid var(--pine);
    padding: 5px 3px;
    font-weight: 600;
    background: var(--paper);
  }
  .sight[aria-pressed='true'] span::before {
    content: '✓ ';
  }
</style>
