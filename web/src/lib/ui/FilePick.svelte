<script lang="ts">
  import { Fileupload } from 'flowbite-svelte';

  interface Props {
    label: string;
    /** What may be picked, as the attribute `accept` has it. */
    accept: string;
    testid: string;
    multiple?: boolean;
    disabled?: boolean;
    onpick: (files: readonly File[]) => void;
  }
  let { label, accept, testid, multiple = false, disabled = false, onpick }: Props = $props();

  /** The same file picked again is a pick too. */
  function picked(e: Event & { currentTarget: HTMLInputElement }): void {
    const files = [...(e.currentTarget.files ?? [])];
    if (files.length > 0) onpick(files);
    e.currentTarget.value = '';
  }
</script>

<label class="flex min-w-0 flex-wrap items-center gap-2 text-[13px]"
  >{label}
  <Fileupload
    class="field w-56! max-w-full p-0!"
    {accept}
    {multiple}
    {disabled}
    data-testid={testid}
    onchange={picked}
  />
</label>
