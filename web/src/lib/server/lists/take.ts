import { nameplate, type Combination } from '@pilgrim/core';
import { fileLimit, parsed, readBody } from '$lib/server/http/http';
import { listChoices } from '$lib/server/http/inputs';
import { refuse } from '$lib/server/refusal';
import { readListOf } from '$lib/server/solving/pool';
import type { ListTask } from '$lib/server/solving/worker';
import type { ListReading } from './list';

/** A list that was sent: what is told of it, its good rows, and whether they are to be taken. */
export interface ListSent<T> {
  readonly told: Omit<ListReading<T>, 'good'> & { readonly good: number };
  readonly good: readonly T[];
  readonly take: boolean;
}

/**
 * Reads the list of motors of a request as its query says: `mapping` and `constants` in JSON; without `take=good` it is
 * only to be told. Refused where it is to be taken and needed columns or good rows are missing.
 */
export const shelfSent = (request: Request, url: URL): Promise<ListSent<Omit<nameplate.ShelfEntry, 'id'>>> =>
  sent(request, url, nameplate.shelfList.columns, 'shelf');
/** The same of combinations tested together. */
export const combinationsSent = (request: Request, url: URL): Promise<ListSent<Omit<Combination, 'table'>>> =>
  sent(request, url, nameplate.combinationList.columns, 'combinations');
/** The same of positions; `tags` are there already. */
export const positionsSent = (
  request: Request,
  url: URL,
  tags: ReadonlySet<string>,
): Promise<ListSent<nameplate.PositionRow>> => sent(request, url, nameplate.positionList.columns, { tags: [...tags] });

async function sent<T>(
  request: Request,
  url: URL,
  columns: readonly nameplate.ListColumn[],
  of: ListTask['of'],
): Promise<ListSent<T>> {
  const keys = columns.map((c) => c.key);
  const { mapping, constants } = parsed(listChoices(keys), {
    mapping: jsonOf(url.searchParams.get('mapping')),
    constants: jsonOf(url.searchParams.get('constants')),
  });
  const bytes = await readBody(request, fileLimit);
  const { good, ...told } = await readListOf<T>({ bytes, mapping, constants, of });
  const take = url.searchParams.get('take') === 'good';
  if (take && told.missing.length > 0)
    throw refuse(422, 'Columns are missing', { detail: `${told.missing.join(', ')}. Nothing was taken.` });
  if (take && good.length === 0) throw refuse(422, 'No row can be taken', { detail: 'Nothing was taken.' });
  return { told: { ...told, good: good.length }, good, take };
}

function jsonOf(text: string | null): unknown {
  if (text === null) return undefined;
  try {
    return JSON.parse(text);
  } catch {
    throw refuse(400, 'The mapping is not JSON');
  }
}
