import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { Problem, VesselRow } from '@open-larder/contract';
import { api, type Loaded } from '../store';

export interface Culture extends VesselRow {
  kind: CultureKind;
}

export interface Cultures {
  kinds: ReadonlyMap<string, CultureKind>;
  /** In the order in which they were made. */
  all: Culture[];
  /** Those that have not ended. */
  kept: Culture[];
}

/** The vessels as of today, each with its kind. */
export function useCultures(): Loaded<Cultures> {
  const kinds = api.useCultureKindsQuery();
  const vessels = api.useVesselsQuery();
  if (kinds.data && vessels.data) {
    const byKey = new Map(kinds.data.map((kind) => [kind.key, kind]));
    const all = vessels.data.flatMap((vessel): Culture[] => {
      const kind = byKey.get(vessel.kindKey);
      return kind ? [{ ...vessel, kind }] : [];
    });
    return {
      data: { kinds: byKey, all, kept: all.filter(({ status }) => status.state !== 'ended') },
    };
  }
  return {
    problem: (kinds.error ?? vessels.error) as Problem | undefined,
    retry: () => {
      if (kinds.error) void kinds.refetch();
      if (vessels.error) void vessels.refetch();
    },
  };
}
