<script lang="ts">
  import { Table } from 'flowbite-svelte';
  import { resolve } from '$app/paths';
  import { page } from '$app/state';

  let { data } = $props();
  const here = $derived(page.url.origin);
  const examples = $derived([
    {
      what: 'A case in, its result out. Nothing is kept.',
      text: `curl -s ${here}/api/v1/solve \\\n  -H 'content-type: application/json' \\\n  -d '{"format":"pilgrim.case/1","practice":"iec","plate":{"power":"15 kW","voltage":"400 V","current":"28.5 A","speed":"1465 r/min","frequency":"50 Hz"},"supply":{"voltage":"400 V","frequency":"50 Hz"}}'`,
    },
    { what: 'Every position with its standing choice.', text: `curl -s ${here}/api/v1/positions` },
    { what: 'The plant list as a workbook.', text: `curl -s -o plant.xlsx '${here}/api/v1/positions?as=xlsx'` },
    {
      what: 'A save. If-Match says which revision you last saw ("none" for the first); one in between is 412.',
      text: `curl -s ${here}/api/v1/studies/STUDY/revisions \\\n  -H 'content-type: application/json' -H 'if-match: "REVISION"' \\\n  -d '{"author":"night shift","note":"new plate","case":{"format":"pilgrim.case/1","practice":"iec"}}'`,
    },
    {
      what: 'A list, told and not taken; with take=good its good rows are.',
      text: `curl -s '${here}/api/v1/plants/PLANT/positions/import?constants={"area":"Kiln"}' \\\n  -H 'content-type: text/csv' --data-binary @motors.csv`,
    },
  ]);
</script>

<svelte:head><title>HTTP face · Pilgrim</title></svelte:head>

<main id="desk" class="mx-auto max-w-[1080px] px-4 py-4">
  <h1>What scripts can ask</h1>
  <p class="mb-3 text-quiet">
    JSON over HTTP, version {data.version}. The same as a document for tools:
    <a class="link" href={resolve('/api/v1/openapi.json')} data-sveltekit-reload>OpenAPI 3.1</a>; the formats:
    <a class="link" href={resolve('/api/v1/schemas/case')} data-sveltekit-reload>case</a>,
    <a class="link" href={resolve('/api/v1/schemas/result')} data-sveltekit-reload>result</a>. Errors are problem
    documents (RFC 9457) with a path and a message each.
  </p>
  <h2>Examples</h2>
  {#each examples as e (e.what)}
    <p class="mt-3">{e.what}</p>
    <pre class="box p-2 font-mono text-[13px] break-all whitespace-pre-wrap">{e.text}</pre>
  {/each}
  <h2 class="mt-5">Everything</h2>
  <div class="box overflow-x-auto">
    <Table class="dense" data-testid="operations">
      <thead><tr><th>Ask</th><th>Path</th><th>Takes</th><th>Answers</th></tr></thead>
      <tbody>
        {#each data.operations as o (o.method + o.path)}
          <tr>
            <td class="font-semibold">{o.method}</td>
            <td class="font-mono text-[13px]">{o.path.replace('/api/v1', '')}</td>
            <td>
              {#each o.takes as t (t.name)}<p>{t.name} <span class="text-quiet">({t.where}) {t.text}</span></p>{/each}
              {#if o.bodies.length > 0}<p class="text-quiet">body: {o.bodies.join(', ')}</p>{/if}
            </td>
            <td
              >{#each o.answers as a (a.status)}<p>
                  {a.status} <span class="text-quiet">{a.description}</span>
                </p>{/each}</td
            >
          </tr>
        {/each}
      </tbody>
    </Table>
  </div>
</main>
