<script lang="ts">
  import { writeAmount } from '@pilgrim/core/quantity';
  import { Button, Table } from 'flowbite-svelte';
  import AskedOnce from '$lib/desk/AskedOnce.svelte';
  import { isFindingId, noChoiceFindings } from '@pilgrim/core/vocabulary';
  import { untrack } from 'svelte';
  import type { ScreenRow } from '@pilgrim/core';
  import BuyingSpecification from './BuyingSpecification.svelte';
  import CandidateField from './CandidateField.svelte';
  import CandidateTable from './CandidateTable.svelte';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import ChoicePicture from './ChoicePicture.svelte';
  import CompareBench from './CompareBench.svelte';
  import Figures from '$lib/ui/Figures.svelte';
  import Group from '$lib/ui/Group.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import Pages from '$lib/ui/Pages.svelte';
  import Requirements from './Requirements.svelte';
  import Tag from '$lib/ui/Tag.svelte';
  import VerdictList from '$lib/ui/VerdictList.svelte';
  import WhatIf from './WhatIf.svelte';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { useGoto } from '$lib/desk/goto';
  import { fieldName, markOfAll, words } from '$lib/ui/names';
  import { methods, rankings } from '$lib/ui/options';
  import Fold from '$lib/ui/Fold.svelte';

  const optionWords = {
    keep: 'keep all',
    drive: 'a drive on the old motor',
    replace: 'another motor',
    'replace-drive': 'another motor on a drive',
  } as const;
  const desk = useDesk();
  const currency = $derived(String(desk().value('money.currency') ?? ''));
  const goto = useGoto();
  const result = $derived(desk().result);
  const choice = $derived(result?.choice);
  const counts = $derived(result?.counts);
  const first = $derived(result?.candidates[0]);
  const counted = $derived(first?.verdicts.filter((v) => v.waived === null) ?? []);
  const open = $derived(counted.filter((v) => v.outcome !== 'pass'));
  const conditions = $derived(counted.flatMap((v) => v.condition ?? []));
  const remedies = $derived(counted.flatMap((v) => v.remedy ?? []));
  const oversize = $derived(result?.findings.find((f) => f.id === 'choice.oversize'));
  let shown = $state<string | null>(null);
  const pinned = $derived(
    desk().value('motor.catalogue') ??
      (desk().value('motor.plate')
        ? 'a motor by its plate'
        : desk().value('motor.existing')
          ? 'the motor that is there'
          : undefined),
  );
  let compared = $state<string[]>([]);
  const pages = $derived([
    { id: 'candidates', title: 'Candidates', body: candidates },
    { id: 'asked', title: 'What is asked', body: askedOf },
    ...(choice
      ? [
          { id: 'change', title: 'What would change it', body: change },
          { id: 'buying', title: 'Buying specification', body: buying },
        ]
      : []),
  ]);
  // Who comes with a failed motor wants the line for the buyer.
  let page = $state(untrack(() => desk().value('errand')) === 'failed' ? 'buying' : 'candidates');

  function compare(row: ScreenRow): void {
    compared = compared.includes(row.id) ? compared.filter((id) => id !== row.id) : [...compared, row.id].slice(-4);
  }
</script>

{#if oversize}
  <p class="mb-3 flex items-start gap-2 font-medium" data-testid="oversize">
    <span class="mt-0.5"><Mark state={oversize.level === 'note' ? 'note' : 'caution'} /></span>{oversize.text}
  </p>
{/if}
{#if choice && first}
  <Group title="Standing choice">
    <p
      class="flex items-center gap-2 text-[1.15rem] font-semibold"
      class:waiting={desk().waiting.has('choice')}
      data-testid="choice"
    >
      <Mark state={desk().waiting.has('choice') ? 'waits' : (result?.stations.choice.state ?? 'empty')} size={16} />
      {choice.motor.name}, {words(choice.method)}
    </p>
    <p class="mb-2 text-quiet">
      {choice.motor.voltage}, {choice.motor.current}, {choice.motor.speed}, frame {choice.motor.frame ??
        'not standardised'}; {choice.control.name}{choice.control.ratedCurrent
        ? `, ${choice.control.ratedCurrent} A`
        : ''}
    </p>
    <p class="mb-2" data-testid="why">{choice.reasons[0]}</p>
    {#each open as v (v.requirement)}
      <p class="flex items-start gap-2 py-0.5"><span class="mt-0.5"><Mark state="caution" /></span>{v.text}</p>
    {/each}
    {#each conditions as c (c.text)}
      <p class="flex items-start gap-2 py-0.5" data-testid="condition">
        <span class="mt-0.5"><Mark state="condition" /></span><span
          >{c.text}
          <Button class="link screen-only" onclick={() => goto(c.field)}>→ {fieldName(c.field)}</Button></span
        >
      </p>
    {/each}
    {#each remedies as r (r.text)}
      <p class="py-0.5"><Tag>bought with</Tag> {r.text}, price index {r.priceIndex.toLocaleString('en')}</p>
    {/each}
    {#if choice.tomorrow}<p class="py-0.5" data-testid="tomorrow"><Tag>in stock</Tag> {choice.tomorrow.text}</p>{/if}
    {#if choice.closed}<p class="py-0.5" data-testid="closed"><Tag>beside it</Tag> {choice.closed.text}</p>{/if}
    <Figures
      ids={[
        'choice.ratedPower',
        'choice.loading',
        'point.motorSpeed',
        'point.shaftPower',
        'choice.current',
        'choice.breakdownTorque',
        'choice.peakReserve',
        'choice.soundPressure',
        'choice.windingTemperature',
        'choice.insulationLife',
      ]}
    />
  </Group>
  {#if choice.options}
    <Group title="Keep, drive or replace">
      <Table class="dense" data-testid="options">
        <caption class="sr-only">What may be kept and what bought</caption>
        <thead><tr><th>What</th><th>Motor</th><th>How</th><th class="n">Life-cycle cost</th><th>Verdict</th></tr></thead
        >
        <tbody>
          {#each choice.options as o (o.kind)}
            <tr>
              <th scope="row" class="text-left font-medium">{optionWords[o.kind]}</th><td>{o.motor.name}</td>
              <td>{words(o.method)}</td><td class="n">{writeAmount(o.lifeCycle, currency)}</td>
              <td><span class="flex items-start gap-2"><Mark state={o.outcome} />{o.text}</span></td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </Group>
  {/if}
  <ChoicePicture />
{:else}
  <AskedOnce />
  <Group title="No choice">
    <p data-testid="choice">
      {result?.findings.find((f) => isFindingId(f.id) && noChoiceFindings.has(f.id))?.text ??
        'Bring a load: power, torque, or a pull at a radius.'}
    </p>
  </Group>
{/if}

{#snippet candidates()}
  <Group
    title="Candidates"
    note={counts && counts.motors > 0
      ? `${counts.motors.toLocaleString('en')} motors judged, each by its best method: ${counts.pass} pass, ${counts.caution} with cautions, ${counts.fail} fail.`
      : undefined}
  >
    <div class="mb-2 grid gap-3 sm:grid-cols-3">
      <ChoiceField path="rules.ranking" label="Ranked by" options={rankings} none="life-cycle cost (house rule)" />
      <ChoiceField path="method" label="Starting method" options={methods} none="compare all" />
      {#if pinned !== undefined}<p class="self-center">
          Pinned: {pinned}
          <Button class="link" onclick={() => desk().set('motor', undefined)}>unpin</Button>
        </p>{/if}
    </div>
    <CandidateField show={(id) => (shown = id)} />
    <CandidateTable {compared} {compare} bind:open={shown} />
  </Group>
  <Group title="Side by side"
    ><CompareBench ids={compared} drop={(id) => (compared = compared.filter((c) => c !== id))} /></Group
  >
{/snippet}
{#snippet askedOf()}
  <Group title="What is asked"><Requirements /></Group>
  {#if result && result.methods.length > 0}
    <Group title="How it could start and run">
      {#each result.methods as m (m.method)}
        <Fold class="border-b border-rule py-1" headClass="flex items-center gap-2" data-method={m.method}>
          {#snippet head()}
            <Mark state={markOfAll(m.outcome, m.verdicts)} /><span class="w-32 font-medium">{words(m.method)}</span>
            <span class="flex-1 text-quiet"
              >{m.verdicts.find((v) => v.outcome === m.outcome && v.outcome !== 'pass')?.text ??
                (markOfAll(m.outcome, m.verdicts) === 'condition'
                  ? 'Meets every requirement, on conditions.'
                  : 'Meets every requirement.')}</span
            >
          {/snippet}

          <VerdictList verdicts={m.verdicts} />
        </Fold>
      {/each}
    </Group>
  {/if}
{/snippet}
{#snippet change()}
  <Group title="What would change it"><WhatIf /></Group>
{/snippet}
{#snippet buying()}<BuyingSpecification />{/snippet}

<Pages label="About the choice" {pages} bind:selected={page} />
