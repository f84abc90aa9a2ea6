<script lang="ts">
  import { Button, Table } from 'flowbite-svelte';
  import type { FoundSetting, Method, StartSetting } from '@pilgrim/core';
  import { words } from '$lib/ui/names';
  import { useDesk } from '$lib/desk/desk.svelte';
  import { fieldName } from '$lib/ui/names';
  import { putAt } from '$lib/desk/paths';
  import { foundSettings } from '$lib/solver';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';

  interface Props {
    method: Method;
    settings: readonly StartSetting[];
  }
  let { method, settings }: Props = $props();
  const desk = useDesk();
  let found = $state.raw<readonly FoundSetting[] | null>(null);
  let foundOf = $state(-1);
  let asking = $state(false);
  const stale = $derived(foundOf !== desk().answers);
  const mine = $derived((found ?? []).filter((f) => f.method === method));
  const pump = $derived(String(desk().value('load.machine') ?? '').endsWith('pump'));

  /** What stands where a field is empty: the value taken, and why. */
  const taken = (path: string): string => {
    const s = settings.find((x) => x.path === path);
    return s?.assumed ? `taken: ${s.text}, ${s.assumed}` : '';
  };
  const takenText = (path: string): string | undefined => settings.find((x) => x.path === path)?.text;
  const plain = (path: string): string => {
    const s = settings.find((x) => x.path === path);
    return s === undefined ? '' : String(typeof s.value === 'number' ? Number(s.value.toPrecision(3)) : s.value);
  };

  async function find(): Promise<void> {
    asking = true;
    foundOf = desk().answers;
    found = await foundSettings();
    asking = false;
  }
  function use(f: FoundSetting): void {
    const { value } = f;
    // A step of undo of its own, apart from what was typed into the field before.
    if (value !== null) desk().change('', (draft) => putAt(draft, f.path, value), fieldName(f.path));
  }
  const transitions = [
    ['open', 'open: without current between'],
    ['closed', 'closed: through resistors'],
  ] as const;
  const elements = [
    ['reactor', 'reactor'],
    ['resistor', 'resistor'],
  ] as const;
  const ramps = [
    ['voltage', 'voltage'],
    ['torque', 'torque'],
    ['none', 'none: limit alone'],
  ] as const;
  const drives = [
    ['vector', 'vector: holds the flux'],
    ['scalar', 'volts per hertz'],
  ] as const;
  const yesNo = [
    [true, 'yes'],
    [false, 'no'],
  ] as const;
</script>

{#snippet changeover(base: string)}
  <QuantityField
    path="{base}.time"
    label="Changeover after"
    dimension="time"
    taken={takenText(`${base}.time`) ?? 'by speed'}
    hint={taken(`${base}.time`)}
  />
  <NumberField
    path="{base}.speed"
    label="or at a share of speed"
    placeholder={plain(`${base}.speed`)}
    hint={taken(`${base}.speed`)}
  />
{/snippet}

<div class="grid gap-x-3 gap-y-1 sm:grid-cols-3">
  {#if method === 'star-delta'}
    {@render changeover('start.starDelta')}
    <ChoiceField path="start.starDelta.transition" label="Transition" options={transitions} none="open (usual)" />
    {#if desk().value('start.starDelta.transition') !== 'closed'}
      <QuantityField
        path="start.starDelta.pause"
        label="Pause between"
        dimension="time"
        taken={takenText('start.starDelta.pause')}
        hint={taken('start.starDelta.pause')}
      />
    {/if}
  {:else if method === 'autotransformer'}
    <NumberField
      shareTo={1.2}
      path="start.autotransformer.tap"
      label="Tap"
      placeholder={plain('start.autotransformer.tap')}
      hint={taken('start.autotransformer.tap')}
    />
    {@render changeover('start.autotransformer')}
  {:else if method === 'primary-reactor'}
    <ChoiceField path="start.reactor.element" label="In series" options={elements} none="reactor (usual)" />
    <NumberField
      shareTo={1.2}
      path="start.reactor.share"
      label="Motor voltage at standstill"
      placeholder={plain('start.reactor.share')}
      hint={taken('start.reactor.share')}
    />
    {@render changeover('start.reactor')}
  {:else if method === 'soft-starter'}
    <NumberField
      path="start.softStarter.limit"
      label="Current limit, × rated"
      placeholder={plain('start.softStarter.limit')}
      hint={taken('start.softStarter.limit')}
    />
    <ChoiceField path="start.softStarter.ramp" label="Ramp of" options={ramps} none="voltage (usual)" />
    {#if desk().value('start.softStarter.ramp') !== 'none'}
      <NumberField
        shareTo={1.2}
        path="start.softStarter.from"
        label="Beginning at a share of"
        placeholder={plain('start.softStarter.from')}
        hint={taken('start.softStarter.from')}
      />
      <QuantityField
        path="start.softStarter.time"
        label="Ramp time"
        dimension="time"
        taken={takenText('start.softStarter.time')}
        hint={taken('start.softStarter.time')}
      />
    {/if}
    <QuantityField path="start.softStarter.kick" label="Kick" dimension="time" placeholder="none" />
    {#if desk().value('start.softStarter.kick')}
      <NumberField
        shareTo={1.2}
        path="start.softStarter.kickVoltage"
        label="Kick voltage"
        placeholder="0.8"
        hint={taken('start.softStarter.kickVoltage')}
      />
    {/if}
    {#if pump}
      <QuantityField path="start.softStarter.stop" label="Stop in" dimension="time" placeholder="coasts" />
      <QuantityField path="start.softStarter.pipe" label="Pipeline to free water" dimension="length" />
    {/if}
    <ChoiceField path="start.softStarter.bypass" label="Bypass" options={yesNo} />
    <ChoiceField path="start.softStarter.lineContactor" label="Line contactor" options={yesNo} />
  {:else if method === 'drive'}
    <QuantityField
      path="start.drive.ramp"
      label="Ramp to rated speed"
      dimension="time"
      taken={takenText('start.drive.ramp')}
      hint={taken('start.drive.ramp')}
    />
    <NumberField
      path="start.drive.limit"
      label="Current limit, × rated"
      placeholder={plain('start.drive.limit')}
      hint={taken('start.drive.limit')}
    />
    <ChoiceField path="start.drive.control" label="Control" options={drives} none="vector (usual)" />
    {#if desk().value('start.drive.control') === 'scalar'}
      <NumberField
        shareTo={0.4}
        path="start.drive.boost"
        label="Boost at zero speed"
        placeholder="0.03"
        hint={taken('start.drive.boost')}
      />
    {/if}
  {:else}
    <p class="text-quiet sm:col-span-3">Direct on line has nothing to set.</p>
  {/if}
  <QuantityField
    path="start.stallTime"
    label="Safe stall time, hot"
    dimension="time"
    placeholder={desk().figure('start.stallTime')?.text}
    hint={desk().figure('start.stallTime')?.assumed[0]
      ? `taken: ${desk().figure('start.stallTime')?.text}, the least a motor bears`
      : ''}
  />
</div>
{#if method !== 'direct' && method !== 'autotransformer' && method !== 'primary-reactor'}
  <div class="mt-1">
    <Button class="push" disabled={asking || !desk().result?.start} onclick={() => void find()}
      >{asking ? 'Simulating …' : `Find the settings for ${words(method)}`}</Button
    >
    <span role="status" class="ml-2 text-quiet">{found && stale ? 'The case was changed since.' : ''}</span>
    {#if found}
      <Table class="dense mt-2 {stale ? 'opacity-60' : ''}" data-testid="found-settings">
        <tbody>
          {#each mine as f (f.path)}
            <tr>
              <td class="font-medium">{f.label}</td>
              <td class="whitespace-nowrap">{f.text}</td>
              <td>{f.why}</td>
              <td class="n"
                >{#if f.value !== null}<Button class="link" onclick={() => use(f)}>use it</Button>{/if}</td
              >
            </tr>
          {/each}
        </tbody>
      </Table>
    {/if}
  </div>
{/if}
