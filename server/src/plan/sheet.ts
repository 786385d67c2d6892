import { stepsNow, type FoodRow } from '@open-larder/contract';
import {
  addDays,
  compileRound,
  dayOfCycle,
  wallMinutes,
  type FeedingModel,
  type HouseTank,
  type RoundServing,
} from '@open-larder/core';
import {
  formatDay,
  formatManner,
  formatPreparation,
  formatServing,
  formatUnits,
} from '@open-larder/say';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { formatClock, printFitting, QUIET, ROE, RULE } from '../print/document';

const ACROSS = 7;
const MOMENT_WIDTH = 76;
/** Letters from large to small: the largest with which everything fits is taken. */
const SIZES = [12, 11, 10, 9, 8, 7, 6.5, 6, 5.5, 5, 4.5, 4, 3.5, 3];

interface Row {
  name: string;
  time: string;
  /** What is given on each day. */
  cells: string[][];
}

/** Seven days or fewer, beside each other. */
interface Block {
  heads: string[];
  rows: Row[];
}

/**
 * A tank's cycle on one page, legible on a wall.
 * @param day a day of the cycle, YYYY-MM-DD
 * @returns a PDF of one page
 */
export async function weekSheet(
  house: FeedingModel,
  tank: HouseTank,
  foods: readonly FoodRow[],
  day: string,
): Promise<Uint8Array> {
  const { cycle } = tank.plan;
  const first = addDays(day, 1 - dayOfCycle(cycle, day));
  const blocks = blocksOf(house, tank, foods, first, cycle.days);
  const of = cycle.days === 7 ? 'the week' : `a cycle of ${cycle.days} days`;
  return printFitting(SIZES, (size) => ({
    info: { title: `Week: ${tank.name}` },
    pageSize: 'A4',
    pageOrientation: 'landscape',
    pageMargins: 24,
    size,
    content: [
      {
        text: [
          { text: tank.name, font: 'title', fontSize: 20 },
          { text: `   ${of} from ${formatDay(first)}`, fontSize: 11, color: QUIET },
        ],
        marginBottom: 6,
      },
      ...blocks.map((block) => tableOf(block, size)),
    ],
  }));
}

/** A column for each day, a row for each moment. */
function tableOf({ heads, rows }: Block, size: number): Content {
  const words = ({ time, name, cells }: Row): TableCell[] => {
    const fast = time === '';
    return [
      fast
        ? { text: name, font: 'title', color: ROE }
        : [
            { text: time, font: 'title' },
            { text: name, fontSize: size * 0.85, color: QUIET },
          ],
      ...cells.map((lines): TableCell => ({
        // Several servings are told apart by a dash before each.
        stack: lines.map((line) => (lines.length > 1 ? `– ${line}` : line)),
        ...(fast && { color: ROE }),
      })),
    ];
  };
  return {
    table: {
      widths: [MOMENT_WIDTH, ...heads.map(() => '*')],
      body: [
        ['', ...heads.map((text) => ({ text, font: 'title', fontSize: size * 1.1 }))],
        ...rows.map(words),
      ],
    },
    layout: {
      hLineWidth: (line) => (line === 0 ? 0 : 0.6),
      vLineWidth: () => 0,
      hLineColor: () => RULE,
      paddingLeft: (column) => (column === 0 ? 0 : 4),
    },
    marginBottom: 4,
  };
}

function blocksOf(
  house: FeedingModel,
  tank: HouseTank,
  foods: readonly FoodRow[],
  first: string,
  days: number,
): Block[] {
  const known = new Map(foods.map((food) => [food.id, food]));
  const mine = house.groups.filter((group) => group.tankId === tank.id);
  const several = mine.length > 1;
  const only = { ...house, groups: mine };
  const blocks: Block[] = [];
  for (let from = 0; from < days; from += ACROSS) {
    const span = Array.from({ length: Math.min(ACROSS, days - from) }, (_, at) =>
      addDays(first, from + at),
    );
    const rounds = span.map((day) => compileRound(only, day));
    const moments = house.moments
      .map((moment) => ({ moment, minutes: wallMinutes(moment, tank.light) }))
      .sort((a, b) => a.minutes - b.minutes);
    const rows = moments.map(({ moment, minutes }) => ({
      name: moment.name,
      time: formatClock(minutes),
      cells: rounds.map((round) =>
        round.moments
          .filter((one) => one.moment.id === moment.id)
          .flatMap(({ stops }) => stops.flatMap(({ servings }) => servings))
          .map((serving) => lineOf(serving, known.get(serving.food.id), several, round.day)),
      ),
    }));
    const fasting = rounds.map((round) =>
      round.groups.flatMap(({ group, rest }) =>
        rest === 'fast' ? [`${group.name}: nothing`] : [],
      ),
    );
    const used = rows.filter((row) => row.cells.some((lines) => lines.length > 0));
    if (fasting.some((names) => names.length > 0)) {
      used.unshift({ name: 'Fast', time: '', cells: fasting });
    }
    blocks.push({ heads: span.map(shortDay), rows: used });
  }
  return blocks;
}

/** «½ cube frozen cyclops, far end, soaked; thaw 10 min · kuhli loaches» */
function lineOf(
  { portion, food, serving, group }: RoundServing,
  row: FoodRow | undefined,
  several: boolean,
  day: string,
): string {
  const how = [serving.place, formatManner(serving.manner)].filter(Boolean).join(', ');
  const prepare = row ? formatPreparation(stepsNow(row, day)) : '';
  return [
    formatServing(formatUnits(portion.units, food.unit), food.name),
    how && `, ${how}`,
    prepare && `; ${prepare}`,
    several && ` · ${group.name}`,
  ]
    .filter(Boolean)
    .join('');
}

const shortDay = (day: string) =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  }).format(new Date(`${day}T12:00:00Z`));
