import { api, useFormat } from '../store';

const NONE: Readonly<Record<string, string>> = {};

/** Of each tank whose water is to be changed today, how much: «change 8 L». */
export function useWaterDue(today: string, wanted: boolean): Readonly<Record<string, string>> {
  const format = useFormat();
  const { data: waters } = api.useWatersQuery(undefined, { skip: !wanted });
  if (!wanted || !waters) return NONE;
  return Object.fromEntries(
    waters.flatMap(({ tankId, status }) => {
      const next = status?.next ?? null;
      return next && next.day <= today && !next.held
        ? [[tankId, `change ${format.quantity('volume', next.litres)}`]]
        : [];
    }),
  );
}
