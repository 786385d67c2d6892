import type { LogName } from '@open-larder/contract';
import { formatNumber, formatSign } from '@open-larder/say';
import Papa from 'papaparse';
import { listEvents as listBroodEvents, broods, tubsOf } from '../brood/store';
import { listEvents as listVesselEvents, vessels } from '../culture/store';
import type { Scope } from '../db';
import { answeredOf } from '../proposal/answered';
import { answersAfter } from '../proposal/answers';
import { ratingsIn } from '../rating/store';
import type { HouseholdSnapshot } from '../round/house';
import { trialRow, trials } from '../trial/store';

type Line = Record<string, string | number | boolean>;

/** More of them nobody gives in a life of keeping. */
const MAX = 100_000;
const FIRST_DAY = '1990-01-01';

/** A whole log as CSV, the oldest first; units stand in the heads. */
export async function logCsv(
  scope: Scope,
  household: HouseholdSnapshot,
  log: LogName,
  today: string,
): Promise<string> {
  const lines = await LINES[log](scope, household, today);
  // A cell that a spreadsheet would run as a formula is written as the text that it is.
  return `${Papa.unparse(lines, { newline: '\n', escapeFormulae: true })}\n`;
}

/** An event without what ties it to the program: `null` is an empty cell. */
function cells(event: object, leftOut: ReadonlySet<string>): Line {
  return Object.fromEntries(
    Object.entries(event)
      .filter(([key]) => !leftOut.has(key))
      .map(([key, value]) => [headOf(key), (value ?? '') as Line[string]]),
  );
}

/** «sampleMl» is «sample ml» */
const headOf = (key: string) => key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

const TIES = new Set(['id', 'vesselId', 'broodId', 'tubId', 'toTubId', 'at', 'seq']);

const LINES: Record<
  LogName,
  (scope: Scope, household: HouseholdSnapshot, today: string) => Promise<Line[]>
> = {
  async cultures(scope) {
    const kept = await vessels(scope, null, null);
    const events = await listVesselEvents(
      scope,
      kept.map(({ id }) => id),
      FIRST_DAY,
    );
    const named = new Map(kept.map((vessel) => [vessel.id, vessel]));
    return events.map((event) => {
      const vessel = named.get(event.vesselId);
      return { culture: vessel?.name ?? '', of: vessel?.kindKey ?? '', ...cells(event, TIES) };
    });
  },

  async broods(scope) {
    const kept = await broods(scope, null, null);
    const ids = kept.map(({ id }) => id);
    const [events, tubs] = await Promise.all([listBroodEvents(scope, ids), tubsOf(scope, ids)]);
    const named = new Map(kept.map((brood) => [brood.id, brood]));
    const tubNamed = new Map(tubs.map((tub) => [tub.id, tub.name]));
    return events.map((event) => {
      const brood = named.get(event.broodId);
      return {
        brood: brood?.name ?? '',
        species: brood?.speciesKey ?? '',
        tub: tubNamed.get(event.tubId ?? '') ?? '',
        'to tub': tubNamed.get(event.toTubId ?? '') ?? '',
        ...cells(event, TIES),
      };
    });
  },

  async ratings(scope, _, today) {
    const rated = await ratingsIn(scope, FIRST_DAY, today);
    return rated.map(({ day, foodName, groupName, colour, growth, note, hand }) => ({
      day,
      food: foodName,
      group: groupName,
      colour: colour ?? '',
      growth: growth ?? '',
      note,
      hand: hand ?? '',
    }));
  },

  async trials(scope, household, today) {
    const rows = await trials(scope, null, MAX);
    return rows.map((row) => {
      const { status, groupName, otherGroupName, ...trial } = trialRow(household, row, today);
      const report = status && !('refused' in status.result) ? status.result : null;
      const refused = status && 'refused' in status.result ? status.result.refused : '';
      return {
        trial: trial.name,
        kind: trial.kind,
        group: groupName,
        'other group': otherGroupName ?? '',
        from: trial.from,
        'diet changed': trial.changedOn ?? '',
        ended: trial.endedOn ?? '',
        weeks: trial.weeks,
        'worth seeing %': Math.round(trial.difference * 100),
        says: report?.says ?? refused,
        'difference %': report ? formatNumber(report.share * 100, 1) : '',
        chance: report ? formatNumber(report.chance, 4) : '',
        note: trial.note,
      };
    });
  },

  async decisions(scope, household, today) {
    const answers = await answersAfter(scope, null, MAX);
    const answered = await answeredOf(scope, household, answers, today);
    return answered.reverse().map((one) => ({
      day: one.day,
      about: one.about,
      kind: one.kind,
      food: one.foodName ?? '',
      'change %': one.change === null ? '' : Math.round(one.change * 100),
      answer: one.accepted ? 'accepted' : one.later ? 'put off' : 'declined',
      'spoke for it': one.signs
        .map(({ day, seen }) => `${day}: ${formatSign(seen, household.units)}`)
        .join('; '),
      'led to': one.ledTo?.says ?? '',
      'nitrate after mg/L': one.nitrate?.mgL ?? '',
      hand: one.hand ?? '',
    }));
  },
};
