import { nameplate } from '@pilgrim/core';

/** A list of positions in which a tag is one position of the plant: one that is `there`, or stands twice, is told. */
export function positionsOncePerTag(there: ReadonlySet<string>): nameplate.ListKind<nameplate.PositionRow> {
  const seen = new Set<string>();
  return {
    columns: nameplate.positionList.columns,
    read(cells, headings, mapping) {
      const row = nameplate.positionList.read(cells, headings, mapping);
      if (!row.ok) return row;
      const { tag } = row.entry;
      const column = headings[mapping.tag ?? -1] ?? 'Tag';
      if (there.has(tag)) return { ok: false, errors: [{ column, message: `“${tag}” is a position already` }] };
      if (seen.has(tag)) return { ok: false, errors: [{ column, message: `“${tag}” stands twice in the list` }] };
      seen.add(tag);
      return row;
    },
  };
}
