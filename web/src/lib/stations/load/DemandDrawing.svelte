<script lang="ts">
  interface Props {
    kind: string | undefined;
    machine: string | undefined;
  }
  let { kind, machine }: Props = $props();
  const which = $derived(
    kind !== 'conveyor'
      ? (kind ?? 'none')
      : machine === 'screw-conveyor'
        ? 'screw'
        : machine === 'bucket-elevator'
          ? 'bucket'
          : 'belt',
  );
  const says: Readonly<Record<string, string>> = {
    none: 'Say how the load is known.',
    power: 'Power at the driven shaft, from the machine’s data sheet.',
    torque: 'A torque wrench on the driven shaft, or on the gearbox’s input: turn slowly, read while it moves.',
    pull: 'A spring scale on a lever: pull square to it. Read once as it breaks away, once while it moves.',
    pump: 'Flow and whole head; the static part is there even without flow.',
    fan: 'Flow and total pressure, at the gas’s own density.',
    belt: 'Material moved and lifted, belt and rollers beside it.',
    screw: 'Material pushed along and up, against its own friction.',
    bucket: 'Material dug from the boot and lifted to the head.',
    hoist: 'Mass raised at the rope’s speed; lowering gives power back.',
    measured: 'Input power, current, voltage and speed of the running motor.',
  };
</script>

<figure class="rounded-[3px] bg-paper p-2" data-drawing={which}>
  <svg viewBox="0 0 220 110" class="w-full" aria-hidden="true">
    <g fill="none" stroke="var(--ink)" stroke-width="1.6" stroke-linejoin="round" stroke-linecap="round">
      {#if which === 'power' || which === 'none'}
        <rect x="20" y="38" width="60" height="38" />
        <path d="M80 57h36" stroke-width="4" />
        <circle cx="150" cy="57" r="26" />
        <path d="M136 47l14 10-4 16M150 57l15-9" />
      {:else if which === 'torque'}
        <circle cx="150" cy="60" r="24" />
        <circle cx="150" cy="60" r="6" fill="var(--ink)" />
        <path d="M146 56 40 30M154 64 36 36" />
        <path d="M40 30a5 5 0 1 0-4 6" />
      {:else if which === 'pull'}
        <circle cx="150" cy="70" r="26" />
        <circle cx="150" cy="70" r="5" fill="var(--ink)" />
        <path d="M150 70 78 70" stroke-width="4" />
        <path d="M80 70V44" />
        <rect x="72" y="18" width="16" height="26" />
        <path d="M76 24h8M76 29h5M76 34h8M76 39h5M80 18V8" />
      {:else if which === 'pump'}
        <path d="M20 92h60v-22H20Z" />
        <circle cx="110" cy="80" r="16" />
        <path d="M80 80h14M110 64V22h60" />
        <path d="M170 14v16h36V14" />
        <path d="M60 88V24M55 24h10" stroke-dasharray="3 3" stroke="var(--quiet)" />
      {:else if which === 'fan'}
        <path d="M20 48h50v30H20M70 44c0-16 14-28 32-28s34 14 34 34-16 34-34 34-32-12-32-28" />
        <path d="M102 50l-12-18M102 50l21 2M102 50l-10 19" />
        <path d="M134 34h60M134 62h60" />
        <path d="M28 63h28l-6-5M150 48h30l-6-5" stroke="var(--quiet)" />
      {:else if which === 'belt'}
        <circle cx="34" cy="86" r="10" />
        <circle cx="186" cy="44" r="14" />
        <path d="M31 76 182 31M38 95l150-37" />
        <path d="M60 66l12-8 10 4 12-9 14 4 12-9 12 3 12-8" stroke="var(--quiet)" />
        <path d="M78 82v6M118 72v6M152 62v6" />
      {:else if which === 'screw'}
        <path d="M20 44h176M20 76h176" />
        <path d="M16 60h186" stroke-width="3" />
        <path
          d="M30 74c12-6 12-22 0-28M58 74c12-6 12-22 0-28M86 74c12-6 12-22 0-28M114 74c12-6 12-22 0-28M142 74c12-6 12-22 0-28M170 74c12-6 12-22 0-28"
        />
        <path d="M40 30v12M180 78v14" stroke="var(--quiet)" />
      {:else if which === 'bucket'}
        <circle cx="110" cy="22" r="12" />
        <circle cx="110" cy="92" r="12" />
        <path d="M98 22v70M122 22v70" />
        <path d="M98 34h-10v7h10M98 52h-10v7h10M98 70h-10v7h10M122 40h10v7h-10M122 60h10v7h-10" />
        <path d="M70 100h28" stroke="var(--quiet)" />
      {:else if which === 'hoist'}
        <rect x="62" y="10" width="80" height="26" />
        <circle cx="102" cy="23" r="16" />
        <path d="M102 39v24M102 63l-10 8h20Z" />
        <rect x="80" y="74" width="44" height="26" />
        <path d="M146 66V92l-5-6M146 92l5-6" stroke="var(--quiet)" />
      {:else if which === 'measured'}
        <rect x="100" y="40" width="70" height="40" />
        <path d="M170 60h26" stroke-width="4" />
        <path d="M20 50h80M20 60h80M20 70h80" />
        <circle cx="56" cy="60" r="18" />
        <path d="M74 60h12M50 66l10-14" />
        <path d="M186 48a14 14 0 0 1 0 24l-5-2M186 72l2-6" stroke="var(--quiet)" />
      {/if}
    </g>
    <g font-size="11" fill="var(--ink)" font-family="Barlow Semi Condensed">
      {#if which === 'pull'}<text x="92" y="30">pull</text><text x="100" y="86">radius</text>
      {:else if which === 'torque'}<text x="52" y="24">torque</text>
      {:else if which === 'pump'}<text x="120" y="18">flow</text><text x="66" y="50">head</text>
      {:else if which === 'fan'}<text x="146" y="30">flow, pressure</text>
      {:else if which === 'belt'}<text x="60" y="104">length</text><text x="196" y="84">lift</text>
      {:else if which === 'screw'}<text x="92" y="96">length</text>
      {:else if which === 'bucket'}<text x="140" y="58">lift</text>
      {:else if which === 'hoist'}<text x="88" y="91">mass</text><text x="154" y="84">speed</text>
      {:else if which === 'measured'}<text x="42" y="96">A, V, kW</text><text x="180" y="96">r/min</text>
      {:else if which === 'power'}<text x="84" y="50">power</text>{/if}
    </g>
  </svg>
  <figcaption class="text-[12.5px] text-quiet">{says[which]}</figcaption>
</figure>
