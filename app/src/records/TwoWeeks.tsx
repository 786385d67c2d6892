import type { Account, Answered, Observation } from '@open-larder/contract';
import { addDays, daysBetween } from '@open-larder/core/round';
import { formatGrams, formatMgL, formatNumber } from '@open-larder/say';
import { mean } from 'd3-array';
import { api, latest, useFormat, useNow, type Format } from '../store';
import { ledgerApi } from '../store/ledgerApi';
import { Sheet, Text, Waiting } from '../ui';
import { CompareTable } from './CompareTable';

const WEEK = 7;

/** A tank’s week before an advice was taken beside the one after: what was promised, and what came. */
export function TwoWeeks({ answer, onClose }: { answer: Answered; onClose: () => void }) {
  const now = useNow();
  const format = useFormat();
  const { day, groupId, about } = answer;
  const spans = {
    before: { from: addDays(day, -WEEK), to: addDays(day, -1) },
    after: { from: day, to: min(addDays(day, WEEK - 1), now.day) },
  };
  const before = latest(ledgerApi.useAccountQuery(spans.before));
  const after = latest(ledgerApi.useAccountQuery(spans.after));
  const looks = latest(api.useLooksOfQuery(groupId === null ? [] : [groupId]));
  const days = daysBetween(spans.after.from, spans.after.to) + 1;
  return (
    <Sheet title={`${about}: the week before and after`} open onClose={onClose}>
      {!before.data || !after.data || !looks.data ? (
        <Waiting
          of={{
            error: before.error ?? after.error ?? looks.error,
            refetch: () => {
              before.refetch();
              after.refetch();
              looks.refetch();
            },
          }}
          rows={5}
          height={40}
        />
      ) : (
        <>
          <CompareTable
            label="The week before and after"
            columns={['Before', days < WEEK ? `After, ${days} days` : 'After', 'Promised']}
            rows={weekRows(
              answer,
              [
                { account: before.data, looks: within(looks.data, spans.before), days: WEEK },
                { account: after.data, looks: within(looks.data, spans.after), days },
              ],
              format,
            )}
          />
          <Text variant="small" tone="quiet">
            Only what was logged, seen and tested counts. One week with a handful of observations
            says little: look again in another.
          </Text>
        </>
      )}
    </Sheet>
  );
}

interface Week {
  account: Account;
  looks: readonly Observation[];
  days: number;
}

const min = (a: string, b: string) => (a < b ? a : b);
const within = (looks: readonly Observation[], { from, to }: { from: string; to: string }) =>
  looks.filter(({ day }) => day >= from && day <= to);

/** Figures of two weeks with what the advice promised; what was not seen is a dash. */
export function weekRows(
  { groupId, tankId, kind, change }: Answered,
  weeks: readonly [Week, Week],
  format: Format,
): { title: string; values: string[] }[] {
  const groups = weeks.map(({ account }) => account.groups.find((one) => one.groupId === groupId));
  const here = tankId ?? groups.find((one) => one)?.tankId;
  const tanks = weeks.map(({ account }) => account.tanks.find((one) => one.tankId === here));
  const eaten = groups.map((group, at) => (group ? group.eatenG / weeks[at]!.days : null));
  const row = (title: string, values: readonly (string | null)[], promised = '–') => ({
    title,
    values: [...values.map((value) => value ?? '–'), promised],
  });
  const moved =
    eaten[0] && eaten[1] !== null && eaten[1] !== undefined ? eaten[1] / eaten[0] - 1 : null;
  const nitrate = row(
    'Nitrate, mg/L',
    tanks.map((tank) => (tank?.nitrate ? formatMgL(tank.nitrate.mean) : null)),
    kind === 'water' ? 'less' : '–',
  );
  const changes = row(
    'Water changes',
    tanks.map((tank) => (tank ? String(tank.changes) : null)),
  );
  if (groupId === null) return [nitrate, changes];
  return [
    row(
      'Eaten a day',
      eaten.map((grams) => (grams === null ? null : formatGrams(grams))),
    ),
    row(
      'Change of it',
      [null, moved === null ? null : signed(moved)],
      kind === 'portions' && change !== null ? signed(change) : '–',
    ),
    row(
      'Bellies, 1 to 5',
      weeks.map(({ looks }) => bellyOf(looks)),
      kind === 'portions' ? 'about 3' : '–',
    ),
    row(
      'Hung back',
      weeks.map(({ looks }) => timesOf(looks)),
    ),
    row(
      'Lost',
      groups.map((group) => (group ? String(group.died) : null)),
    ),
    row(
      'Food costs',
      groups.map((group) => (group?.costMinor == null ? null : format.money(group.costMinor))),
    ),
    nitrate,
  ];
}

/** «+12 %», «−9 %» */
const signed = (share: number) =>
  `${share < 0 ? '−' : '+'}${formatNumber(Math.abs(share) * 100, 0)} %`;

/** «2.7 of 6 looks»; null where none was. */
function bellyOf(looks: readonly Observation[]): string | null {
  const scores = looks.flatMap(({ belly }) => (belly === null ? [] : [belly]));
  return scores.length === 0
    ? null
    : `${formatNumber(mean(scores)!, 1)} of ${scores.length} ${scores.length === 1 ? 'look' : 'looks'}`;
}

function timesOf(looks: readonly Observation[]): string | null {
  if (looks.length === 0) return null;
  return `${looks.filter(({ hungBack }) => hungBack).length} of ${looks.length}`;
}
