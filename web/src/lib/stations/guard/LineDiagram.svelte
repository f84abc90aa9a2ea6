<script lang="ts">
  import { useDesk } from '$lib/desk/desk.svelte';
  import { writeQuantity } from '@pilgrim/core/quantity';
  import { textOf } from '$lib/ui/reading.svelte';

  const desk = useDesk();
  const method = $derived(desk().result?.subject?.method ?? 'direct');
  const waits = $derived(desk().waiting.has('guard'));
  const text = (id: string): string => {
    const figure = desk().figure(id);
    return figure ? textOf(figure) : '—';
  };
  /** What stands before the motor; before a drive its maker's own. */
  const device = $derived.by(() => {
    if (method === 'drive') return 'the drive maker’s';
    const rating = desk().figure(
      {
        'dual-element-fuse': 'guard.fuseRatingDual',
        'single-element-fuse': 'guard.fuseRatingSingle',
        'fuse-am': 'guard.fuseRatingDual',
        'fuse-gg': 'guard.fuseRatingSingle',
        'instantaneous-breaker': 'guard.instantaneousTrip',
      }[String(desk().value('guard.device'))] ?? 'guard.breakerRating',
    );
    return rating ? `${writeQuantity(rating.value, 'A')}` : '—';
  });
  const parts = $derived([
    { kind: 'source', name: 'supply', value: String(desk().value('supply.voltage') ?? '—') },
    { kind: 'breaker', name: 'short-circuit device', value: device },
    method === 'drive'
      ? { kind: 'drive', name: 'drive', value: text('drive.ratedCurrent') }
      : { kind: 'contactor', name: method.replaceAll('-', ' '), value: text(`start.${method}.peakCurrent`) },
    {
      kind: 'overload',
      name: method === 'drive' ? 'overload in the drive' : 'overload',
      value: text('guard.overloadDial'),
    },
    { kind: 'cable', name: 'cable', value: text('guard.conductorArea') },
    { kind: 'motor', name: 'motor', value: text('choice.ratedPower') },
    { kind: 'load', name: 'machine', value: text('load.motorPower') },
  ]);
</script>

<svg viewBox="0 0 770 96" class="w-full" role="img" aria-label={parts.map((p) => `${p.name} ${p.value}`).join(', ')}>
  <line x1="40" y1="34" x2="730" y2="34" stroke="var(--ink)" stroke-width="1.5" />
  {#each parts as part, i (part.kind)}
    <g transform="translate({55 + i * 110}, 34)" stroke="var(--ink)" stroke-width="1.5" fill="var(--sheet)">
      {#if part.kind === 'source'}
        <circle cx="-7" r="11" /><circle cx="7" r="11" fill="none" />
      {:else if part.kind === 'breaker'}
        <rect x="-14" y="-5" width="28" height="10" stroke="none" /><line x1="-14" y1="0" x2="10" y2="-12" /><path
          d="M10 -4 18 4 M18 -4 10 4"
        />
      {:else if part.kind === 'contactor'}
        <rect x="-14" y="-5" width="28" height="10" stroke="none" /><line x1="-14" y1="0" x2="10" y2="-12" /><path
          d="M6 0a5 5 0 0 1 10 0"
          fill="none"
        />
      {:else if part.kind === 'drive'}
        <rect x="-16" y="-16" width="32" height="32" /><line x1="-16" y1="16" x2="16" y2="-16" />
      {:else if part.kind === 'overload'}
        <rect x="-16" y="-10" width="32" height="20" /><path d="M-16 0h9v-5h14v5h9" fill="none" />
      {:else if part.kind === 'cable'}
        <path d="M-6 -7 -12 7M3 -7 -3 7M12 -7 6 7" />
      {:else if part.kind === 'motor'}
        <circle r="17" /><text
          y="5"
          text-anchor="middle"
          stroke="none"
          fill="var(--ink)"
          font-size="14"
          font-weight="600">M</text
        >
      {:else}
        <rect x="-16" y="-14" width="32" height="28" />
      {/if}
      <text y="38" text-anchor="middle" stroke="none" fill="var(--quiet)" font-size="11">{part.name}</text>
      <text
        y="54"
        text-anchor="middle"
        stroke="none"
        fill={waits ? 'var(--quiet)' : 'var(--ink)'}
        font-style={waits ? 'italic' : 'normal'}
        font-size="11"
        font-weight="600">{part.value}</text
      >
    </g>
  {/each}
</svg>
