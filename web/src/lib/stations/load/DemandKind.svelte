<script lang="ts">
  import { useDesk } from '$lib/desk/desk.svelte';
  import { fieldName } from '$lib/ui/names';
  import { putAt, type Json } from '$lib/desk/paths';
  import { demands } from '$lib/ui/options';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';

  const desk = useDesk();
  const path = 'load.demand.kind';
  const value = $derived(desk().value(path));

  /** Kinds whose speed is that of the driven shaft, so that it stands when one is changed for another. */
  const sameSpeed: ReadonlySet<unknown> = new Set(['power', 'torque', 'pull', 'pump', 'fan']);
  /** What was typed for each kind, for whoever comes back to it. */
  const typed = new Map<unknown, Json>();

  function choose(to: Json | undefined): void {
    const before = desk().value('load.demand');
    const kept: Record<string, Json> = {};
    if (typeof before === 'object' && before !== null) {
      typed.set(value, JSON.parse(JSON.stringify(before)));
      const speed: unknown = Reflect.get(before, 'speed');
      if (typeof speed === 'string' && sameSpeed.has(value) && sameSpeed.has(to)) kept.speed = speed;
    }
    const known = typed.get(to);
    const again = typeof known === 'object' && known !== null && !Array.isArray(known) ? known : {};
    const demand = to === undefined ? undefined : { ...again, ...kept, kind: to };
    desk().change('', (draft) => putAt(draft, 'load.demand', demand), fieldName(path));
  }
</script>

<ChoiceField {path} label="How the load is known" options={demands} {choose} />
