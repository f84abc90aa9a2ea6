<script lang="ts">
  import { Button, Input } from 'flowbite-svelte';
  import type { Result } from '@pilgrim/core';
  import { useDesk } from '$lib/desk/desk.svelte';
  import type { Json } from '$lib/desk/paths';
  import { fieldName } from '$lib/ui/names';
  import Hint from '$lib/ui/Hint.svelte';
  import Mark from '$lib/ui/Mark.svelte';

  type Finding = Result['findings'][number];
  interface Accepted {
    readonly finding: string;
    readonly values?: Readonly<Record<string, string>>;
    readonly reason: string;
  }
  const desk = useDesk();
  const doubts = $derived(
    (desk().result?.findings ?? []).filter(
      (f) => f.station === 'plate' && (f.doubt || f.suggestions.some((s) => s.field.startsWith('plate.'))),
    ),
  );
  /** Readings that would lay a doubt to rest, each once, those that explain most doubts first. */
  const suggestions = $derived.by(() => {
    const open = doubts.filter((f) => f.accepted === null).flatMap((f) => f.suggestions);
    const times = (s: (typeof open)[number]): number =>
      open.filter((o) => o.field === s.field && o.value === s.value).length;
    const once = [...new Map(open.map((s) => [`${s.field} ${s.value}`, s])).values()];
    return once.toSorted((a, b) => times(b) - times(a)).slice(0, 5);
  });
  let reasons = $state<Record<string, string>>({});

  function accepted(): Accepted[] {
    const list = desk().value('accepted');
    return Array.isArray(list) ? (list as Accepted[]) : [];
  }
  const keyOf = (f: Finding): string => `${f.id} ${f.fields.join(' ')}`;
  const same = (a: Accepted, f: Finding): boolean =>
    a.finding === f.id && Object.keys(a.values ?? {}).every((path) => f.fields.includes(path));
  const put = (list: readonly Accepted[]): void =>
    desk().set('accepted', list.length > 0 ? (list as unknown as Json) : undefined);

  /** Lets a doubt stand for the values it rests on now; when one of them changes it is back. */
  function accept(f: Finding): void {
    const reason = (reasons[keyOf(f)] ?? '').trim();
    if (reason === '') return;
    const values = Object.fromEntries(f.fields.map((path) => [path, String(desk().value(path) ?? '')]));
    put([...accepted().filter((a) => !same(a, f)), { finding: f.id, values, reason }]);
  }
  const doubtAgain = (f: Finding): void => put(accepted().filter((a) => !same(a, f)));
</script>

{#if doubts.length > 0}
  <section class="box mb-4 p-3" aria-label="Doubts" data-testid="doubts">
    <h2 class="mb-1">Doubts</h2>
    {#if suggestions.length > 0}
      <p class="mb-2 flex flex-wrap items-center gap-2">
        <span class="text-quiet">Look at the metal again; if it says so:</span>
        {#each suggestions as s (s.field + s.value)}
          <Button class="push" onclick={() => desk().set(s.field, s.value)}>{fieldName(s.field)}: {s.value}</Button>
          <Hint text={s.why} />
        {/each}
      </p>
    {/if}
    <ul>
      {#each doubts as f (keyOf(f))}
        <li class="flex gap-2 border-t border-rule py-2 first:border-t-0">
          <span class="mt-1"><Mark state={f.accepted === null ? f.level : 'note'} /></span>
          <div class="min-w-0 flex-1">
            <p>{f.text}</p>
            {#if f.accepted !== null}
              <p class="text-quiet">
                Let stand: {f.accepted}
                <Button class="link ml-2" onclick={() => doubtAgain(f)}>doubt it again</Button>
              </p>
            {:else}
              {#if f.doubt}
                <form class="mt-1 flex flex-wrap items-center gap-2" onsubmit={(e) => (e.preventDefault(), accept(f))}>
                  <Input
                    class="field max-w-[340px]"
                    aria-label="Why it may stand: {f.text.slice(0, 60)}"
                    placeholder="It is right, because …"
                    maxlength={400}
                    bind:value={reasons[keyOf(f)]}
                  />
                  <Button type="submit" class="push" disabled={!(reasons[keyOf(f)] ?? '').trim()}>Let it stand</Button>
                </form>
              {/if}
            {/if}
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}
