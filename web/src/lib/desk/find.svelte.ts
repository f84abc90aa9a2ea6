import MiniSearch from 'minisearch';

/** Something `/` can find: where it leads, or what it does. */
export interface Findable {
  readonly id: string;
  readonly kind: 'station' | 'field' | 'figure' | 'action' | 'position' | 'page';
  readonly name: string;
  /** Beside the name, in quiet: the station, the value, the area. */
  readonly more: string;
  readonly act: () => void;
}

/** What the page in view adds to what can be found everywhere; taken away with the page. */
export const findHere: { of: () => readonly Findable[] } = $state({ of: () => [] });

const order: Readonly<Record<Findable['kind'], number>> = {
  station: 0,
  action: 1,
  page: 2,
  position: 3,
  field: 4,
  figure: 5,
};

/** Finds by words, their beginnings and small slips; without words everything but figures and fields. */
export function find(all: readonly Findable[], query: string, most = 12): Findable[] {
  if (query.trim() === '')
    return all
      .filter((f) => f.kind !== 'figure' && f.kind !== 'field')
      .toSorted((a, b) => order[a.kind] - order[b.kind])
      .slice(0, most);
  const index = new MiniSearch<Findable>({
    fields: ['name', 'more', 'kind'],
    searchOptions: {
      prefix: true,
      fuzzy: (term) => (term.length > 4 ? 0.2 : false),
      boost: { name: 3 },
      combineWith: 'AND',
    },
  });
  index.addAll(all);
  const byId = new Map(all.map((f) => [f.id, f]));
  return index
    .search(query)
    .flatMap((hit) => byId.get(hit.id) ?? [])
    .slice(0, most);
}
