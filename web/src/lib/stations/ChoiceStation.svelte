<script lang="ts">
  import ChoiceField from '$lib/parts/ChoiceField.svelte';
  import Figures from '$lib/parts/Figures.svelte';
  import Group from '$lib/parts/Group.svelte';
  import Mark from '$lib/parts/Mark.svelte';
  import VerdictList from '$lib/parts/VerdictList.svelte';
  import { useDesk } from '$lib/position/desk.svelte';
  import { words } from '$lib/names';
  import { methods, rankings } from './options';

  const desk = useDesk();
  const result = $derived(desk().result);
  const choice = $derived(result?.choice);
  const counts = $derived(result?.counts);
  let open = $state<string | null>(null);
  const pinned = $derived(desk().value('motor.catalogue'));
</script>

{#if choice}
  <Group title="Standing choice">
    <p class="flex items-center gap-2 text-[1.15rem] font-semibold" data-testid="choice">
      <Mark state={choice.outcome} size={16} />
      {choice.motor.name}, {words(choice.method)}
    </p>
    <p class="mb-2 text-quiet">
      {choice.motor.voltage}, {choice.motor.current}, {choice.motor.speed}, frame {choice.motor.frame ??
        'not standardised'}; {choice.control.name}{choice.control.ratedCurrent
        ? `, ${choice.control.ratedCurrent} A`
        : ''}
    </p>
    <ul class="mb-3 list-disc pl-5">
      {#each choice.reasons as reason (reason)}<li>{reason}</li>{/each}
    </ul>
    <Figures ids={['choice.ratedPower', 'choice.loading', 'point.motorSpeed', 'point.shaftPower']} />
  </Group>
{:else}
  <Group title="No choice">
    <p data-testid="choice">
      {result?.findings.find((f) =>
        ['place.hazardous', 'choice.none', 'load.missing', 'plate.single-phase', 'supply.single-phase'].includes(f.id),
      )?.text ?? 'Bring a load: power, torque, or a pull at a radius.'}
    </p>
  </Group>
{/if}

{#if result && result.methods.length > 0}
  <Group title="How it could start and run">
    {#each result.methods as m (m.method)}
      <details class="border-b border-rule py-1">
        <summary class="flex items-center gap-2"
          ><Mark state={m.outcome} /><span class="w-32 font-medium">{words(m.method)}</span>
          <span class="flex-1 text-quiet"
            >{m.verdicts.find((v) => v.outcome === m.outcome && v.outcome !== 'pass')?.text ??
              'Meets every requirement.'}</span
          >
        </summary>
        <VerdictList verdicts={m.verdicts} />
      </details>
    {/each}
  </Group>
{/if}

<Group
  title="Candidates"
  note={counts && counts.motors > 0
    ? `${counts.motors} motors judged: ${counts.pass} pass, ${counts.caution} with cautions, ${counts.fail} fail. The best fifty are shown.`
    : undefined}
>
  <div class="mb-2 grid gap-3 sm:grid-cols-3">
    <ChoiceField path="rules.ranking" label="Ranked by" options={rankings} none="life-cycle cost (house rule)" />
    <ChoiceField path="method" label="Starting method" options={methods} none="compare all" />
    {#if typeof pinned === 'string'}<p class="self-center">
        Pinned: {pinned}
        <button type="button" class="link" onclick={() => desk().set('motor', undefined)}>unpin</button>
      </p>{/if}
  </div>
  {#if (result?.candidates.length ?? 0) > 0}
    <div class="max-h-[520px] overflow-auto" role="region" aria-label="Candidates" tabindex="-1">
      <table class="dense">
        <thead class="sticky top-0 bg-sheet">
          <tr
            ><th><span class="sr-only">Outcome</span></th><th>Motor</th><th>Method</th><th class="n">Speed</th><th
              class="n">Current</th
            ><th class="n">η</th><th>Frame</th><th class="n">Power margin</th><th class="n">Life-cycle</th><th
              ><span class="sr-only">Pin</span></th
            ></tr
          >
        </thead>
        <tbody>
          {#each result?.candidates ?? [] as c (c.motor.id)}
            {@const power = c.verdicts.find((v) => v.requirement === 'power')}
            <tr data-testid="candidate">
              <td><Mark state={c.outcome} /></td>
              <td
                ><button
                  type="button"
                  class="link"
                  aria-expanded={open === c.motor.id}
                  onclick={() => (open = open === c.motor.id ? null : c.motor.id)}>{c.motor.name}</button
                ></td
              >
              <td>{words(c.method)}</td>
              <td class="n">{c.motor.speed}</td>
              <td class="n">{c.motor.current}</td>
              <td class="n">{(c.motor.efficiency * 100).toFixed(1)}</td>
              <td>{c.motor.frame ?? '—'}</td>
              <td class="n">{power?.margin == null ? '—' : `${(power.margin * 100).toFixed(0)} %`}</td>
              <td class="n">{c.cost.lifeCycle.toLocaleString('en')}</td>
              <td
                ><button
                  type="button"
                  class="link"
                  aria-label="Pin {c.motor.name}"
                  onclick={() => desk().set('motor', { catalogue: c.motor.id })}>pin</button
                ></td
              >
            </tr>
            {#if open === c.motor.id}
              <tr><td colspan="10" class="bg-paper"><VerdictList verdicts={c.verdicts} /></td></tr>
            {/if}
          {/each}
        </tbody>
      </table>
    </div>
  {:else}
    <p class="text-quiet">No motor is judged until there is a load and nothing stops the work.</p>
  {/if}
</Group>
