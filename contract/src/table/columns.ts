import {
  FOOD_FAMILIES,
  FOOD_FORMS,
  FOOD_KINDS,
  type PreparationStep,
} from '@open-larder/catalogue';
import { READING_UNITS } from '@open-larder/core/water/reading';
import type { Reading } from '@open-larder/core/water/range';
import { STAGES } from '@open-larder/core/fish';
import { CAUSES, LIFE_KINDS } from '@open-larder/core/group';
import { PLACES } from '@open-larder/core/stock';
import {
  COVERS,
  DECORS,
  FILTERS,
  FLOWS,
  GROUNDS,
  PLANTINGS,
  SOURCE_WATERS,
  TANK_KINDS,
  TANK_SHAPES,
} from '@open-larder/core/tank';
import * as cell from './cell';
import type { CellRead } from './cell';
import type { TableName } from './schemas';

export interface Column {
  /** The field it fills. */
  field: string;
  /** The header that is written, with its unit where it has one. */
  name: string;
  title: string;
  /** Other headers that mean it. */
  also: readonly string[];
  read: CellRead<unknown>;
  /** The unit of what is written under `name`. */
  unit: string | null;
  write: (value: unknown) => string;
}

const plain = (value: unknown) => (value === null || value === undefined ? '' : String(value));
const clockText = (value: unknown) => {
  const minutes = value as number;
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
};
const yesNoText = (value: unknown) => (value ? 'yes' : 'no');

function column(
  field: string,
  name: string,
  title: string,
  read: CellRead<unknown>,
  { also = [], unit = null, write = plain }: Partial<Pick<Column, 'also' | 'unit' | 'write'>> = {},
): Column {
  return { field, name, title, also, read, unit, write };
}

const id = column('id', 'id', 'Id', cell.words);
const cm = (field: string, name: string, title: string, also: string[] = []) =>
  column(field, `${name}_cm`, title, cell.measure('length'), { also: [name, ...also], unit: 'cm' });

const counts = [
  column('males', 'males', 'Males', cell.whole, { also: ['male', 'm', '♂'] }),
  column('females', 'females', 'Females', cell.whole, { also: ['female', 'f', '♀'] }),
  column('unsexed', 'unsexed', 'Not sexed', cell.whole, {
    also: ['number', 'count', 'fish', 'qty', 'quantity', 'how many', 'n', 'not sexed'],
  }),
];

const tankKind = column('kind', 'kind', 'Kind of tank', cell.oneOf(TANK_KINDS), {
  also: ['tank kind', 'type'],
});
const temperature = column('tempC', 'temp_c', 'Temperature', cell.measure('temperature'), {
  also: ['temp', 'temperature', 'water temperature'],
  unit: 'C',
});
const ph = column('ph', 'ph', 'pH', cell.number);
const gh = column('gh', 'gh_dgh', 'Hardness', cell.measure('hardness'), {
  also: ['gh', 'hardness', 'general hardness'],
  unit: 'dGH',
});
const litres = column('litres', 'water_l', 'Litres', cell.measure('volume'), {
  also: ['litres', 'liters', 'volume', 'gallons', 'water'],
  unit: 'L',
});
const stage = column('stage', 'stage', 'Stage', cell.oneOf(STAGES));
const fishLength = cm('lengthCm', 'length', 'Mean length', [
  'mean length',
  'size of fish',
  'fish length',
]);

const percentText = (value: unknown) =>
  value === null || value === undefined ? '' : String(tidy((value as number) * 100));
const moneyText = (value: unknown) =>
  value === null || value === undefined ? '' : ((value as number) / 100).toFixed(2);
const spanText = (value: unknown) => {
  const band = value as readonly [number, number] | null | undefined;
  return band ? band.map((end) => tidy(end * 100)).join(' to ') : '';
};
const listText = (value: unknown) => ((value as string[] | undefined) ?? []).join(' | ');
const stepsText = (value: unknown) =>
  ((value as PreparationStep[] | undefined) ?? [])
    .map(({ kind, leadMin, workMin, toMm }) =>
      [`${kind} ${leadMin}`, workMin, ...(toMm === null ? [] : [toMm])].join('/'),
    )
    .join(' | ');
/** No binary dust in a file. */
const tidy = (value: number) => Math.round(value * 1e9) / 1e9;

const share = (field: string, name: string, title: string, also: string[] = []) =>
  column(field, `${name}_pct`, title, cell.share, {
    also: [name, `crude ${name}`, ...also],
    write: percentText,
  });
const span = (field: string, name: string, title: string) =>
  column(field, name, title, cell.shares, { write: spanText });
const grams = (field: string, name: string, title: string, also: string[] = []) =>
  column(field, `${name}_g`, title, cell.measure('mass'), { also: [name, ...also], unit: 'g' });
const plainNumber = (field: string, name: string, title: string, also: string[] = []) =>
  column(field, name, title, cell.number, { also });

/** A reading of a test, in any unit in which it is usually told: the header names it, or the cell. */
const reading = (field: Reading, name: string, title: string, also: string[]) =>
  column(field, name, title, cell.reading(field), {
    also: [field, ...also],
    unit: Object.keys(READING_UNITS[field])[0]!,
  });

/** The columns of each table, in the order in which they are written. */
export const COLUMNS: Record<TableName, Column[]> = {
  house: [
    column('tank', 'tank', 'Tank', cell.words, { also: ['tank name', 'aquarium'] }),
    column('speciesKey', 'species', 'Species', cell.species, {
      also: ['fish name', 'kind of fish', 'scientific name'],
    }),
    ...counts,
    fishLength,
    stage,
    column('name', 'name', 'What you call them', cell.words, { also: ['group', 'group name'] }),
    column('day', 'day', 'Since', cell.date, { also: ['date', 'since', 'arrived', 'arrived on'] }),
    tankKind,
    column('measures', 'tank_size', 'Size of the tank', cell.threeLengths, {
      also: ['size', 'measures', 'dimensions', 'tank size', 'l x w x h'],
    }),
    litres,
    temperature,
    ph,
    gh,
  ],
  tanks: [
    id,
    column('name', 'name', 'Name', cell.words, { also: ['tank'] }),
    tankKind,
    column('shape', 'shape', 'Shape', cell.oneOf(TANK_SHAPES)),
    cm('lengthCm', 'length', 'Inside length', ['inside length']),
    cm('widthCm', 'width', 'Inside width', ['inside width', 'depth']),
    cm('heightCm', 'height', 'Inside height', ['inside height']),
    cm('waterLevelCm', 'water_level', 'Water level', ['level']),
    litres,
    column('ground', 'ground', 'Ground', cell.oneOf(GROUNDS), { also: ['substrate'] }),
    cm('groundDepthCm', 'ground_depth', 'Depth of the ground'),
    column('decor', 'wood_and_stone', 'Wood and stone', cell.oneOf(DECORS), { also: ['decor'] }),
    column('filter', 'filter', 'Filter', cell.oneOf(FILTERS)),
    column('flow', 'flow', 'Flow', cell.oneOf(FLOWS)),
    column('plants', 'plants', 'Plants', cell.oneOf(PLANTINGS)),
    column('cover', 'cover', 'Cover', cell.oneOf(COVERS), { also: ['lid'] }),
    column('sourceWater', 'source_water', 'Source water', cell.oneOf(SOURCE_WATERS)),
    temperature,
    ph,
    gh,
    column('lightOnMin', 'light_on', 'Lights on', cell.clock, {
      also: ['lights on'],
      write: clockText,
    }),
    column('lightOffMin', 'light_off', 'Lights off', cell.clock, {
      also: ['lights off'],
      write: clockText,
    }),
    column('walkOrder', 'walk_order', 'Place in the walking order', cell.whole, {
      also: ['order'],
    }),
    column('archived', 'put_away', 'Put away', cell.yesNo, {
      also: ['archived'],
      write: yesNoText,
    }),
  ],
  groups: [
    id,
    column('name', 'name', 'Name', cell.words, { also: ['group'] }),
    column('speciesKey', 'species', 'Species', cell.species),
    column('endedOn', 'ended_on', 'Ended on', cell.date, { also: ['ended'] }),
  ],
  events: [
    id,
    column('groupId', 'group_id', 'Group', cell.words, { also: ['group'] }),
    column('day', 'day', 'Day', cell.date, { also: ['date'] }),
    column('kind', 'kind', 'What happened', cell.oneOf(LIFE_KINDS), { also: ['event'] }),
    ...counts,
    column('cause', 'cause', 'Cause', cell.oneOf(CAUSES)),
    fishLength,
    column('lengthsCm', 'lengths_cm', 'Lengths of each, cm', cell.numbers, {
      also: ['lengths'],
      write: (value) => ((value as number[] | null | undefined) ?? []).join(' | '),
    }),
    grams('massG', 'mass_of_one', 'Mass of one', ['mass', 'weight']),
    stage,
    column('tankId', 'tank_id', 'Tank', cell.words, { also: ['tank'] }),
    column('otherGroupId', 'other_group_id', 'Other group', cell.words),
    column('pairId', 'pair_id', 'Pair', cell.words),
    column('note', 'note', 'Note', cell.words, { also: ['notes'] }),
    column('withdrawn', 'withdrawn', 'Taken back', cell.yesNo, { write: yesNoText }),
  ],
  foods: [
    id,
    column('name', 'name', 'Name', cell.words, { also: ['food'] }),
    column('kind', 'kind', 'Kind', cell.oneOf(FOOD_KINDS)),
    column('family', 'family', 'Sign', cell.oneOf(FOOD_FAMILIES), { also: ['sign'] }),
    column('form', 'form', 'In the water it', cell.oneOf(FOOD_FORMS)),
    share('protein', 'protein', 'Protein'),
    share('fat', 'fat', 'Fat', ['oils and fats', 'crude oils and fats']),
    share('fibre', 'fibre', 'Fibre', ['fiber', 'crude fiber']),
    share('ash', 'ash', 'Ash'),
    share('moisture', 'moisture', 'Moisture', ['water']),
    share('plantShare', 'plant', 'Plant share', ['plant share']),
    column('unitName', 'unit', 'Serving unit', cell.words, { also: ['serving unit'] }),
    column('unitPlural', 'units', 'Several of it', cell.words, { also: ['plural'] }),
    grams('unitMassG', 'unit', 'One weighs', ['one weighs', 'unit mass', 'unit weight']),
    plainNumber('unitStep', 'unit_step', 'Smallest part of one', ['step']),
    plainNumber('floatMinutes', 'floats_min', 'Floats, minutes'),
    plainNumber('sinkCmPerS', 'sinks_cm_s', 'Sinks, cm/s'),
    plainNumber('particleMinMm', 'smallest_mm', 'Smallest piece, mm'),
    plainNumber('particleMaxMm', 'largest_mm', 'Largest piece, mm'),
    column('pieceForm', 'piece_form', 'Form of a piece', cell.words),
    plainNumber('widthMinMm', 'thinnest_mm', 'Thinnest piece, mm'),
    plainNumber('widthMaxMm', 'thickest_mm', 'Thickest piece, mm'),
    column('steps', 'preparation', 'Before it is served', cell.steps, {
      also: ['steps'],
      write: stepsText,
    }),
    plainNumber('keepsSealedDays', 'keeps_sealed_days', 'Keeps sealed, days'),
    plainNumber('keepsOpenedDays', 'keeps_opened_days', 'Keeps opened, days'),
    plainNumber('keepsPreparedHours', 'keeps_prepared_h', 'Keeps prepared, hours'),
    plainNumber('liftAfterMin', 'lift_after_min', 'Lift after, minutes'),
    column('cautionsPeople', 'cautions_people', 'Beware, for people', cell.list, {
      write: listText,
    }),
    column('cautionsFish', 'cautions_fish', 'Beware, for fish', cell.list, { write: listText }),
    column('copiedFrom', 'copied_from', 'Began as', cell.words),
    column('archived', 'taken_down', 'Taken down', cell.yesNo, {
      also: ['archived'],
      write: yesNoText,
    }),
  ],
  lots: [
    id,
    column('foodId', 'food', 'Food', cell.words, { also: ['food id', 'food name', 'name'] }),
    grams('amountG', 'amount', 'Amount', ['bought amount', 'size']),
    grams('remainingG', 'left', 'Left', ['remaining', 'what is left']),
    column('costMinor', 'price', 'Price of it all', cell.money, {
      also: ['cost'],
      write: moneyText,
    }),
    column('place', 'place', 'Kept in the', cell.oneOf(PLACES), { also: ['where', 'kept in'] }),
    column('boughtOn', 'bought', 'Bought', cell.date, { also: ['bought on', 'date'] }),
    column('openedOn', 'opened', 'Opened', cell.date, { also: ['opened on'] }),
    column('bestBefore', 'best_before', 'Best before', cell.date, {
      also: ['use by', 'expires', 'best before date'],
    }),
  ],
  weighings: [
    id,
    column('foodId', 'food', 'Food', cell.words, { also: ['food name', 'name'] }),
    column('day', 'day', 'Day', cell.date, { also: ['date'] }),
    column('hand', 'hand', 'Whose hand', cell.words),
    plainNumber('units', 'counted', 'How many', ['units', 'how many', 'number']),
    grams('massG', 'weighed', 'They weigh together', ['weight', 'mass']),
  ],
  recipes: [
    column('id', 'recipe_id', 'Recipe id', cell.words),
    column('name', 'recipe', 'Recipe', cell.words, { also: ['name'] }),
    column('foodId', 'makes', 'The food that it makes', cell.words),
    column('kind', 'kind', 'Kind', cell.oneOf(['gel', 'mix'])),
    column('place', 'place', 'Kept in the', cell.oneOf(PLACES)),
    plainNumber('keepsDays', 'keeps_days', 'Keeps, days'),
    share('cooked', 'steams_off', 'Steams off'),
    share('drained', 'drains_off', 'Drains off'),
    cm('lengthCm', 'tray_length', 'Tray, length'),
    cm('widthCm', 'tray_width', 'Tray, width'),
    cm('depthCm', 'poured', 'Poured, deep'),
    plainNumber('columns', 'cut_lengthwise', 'Cut lengthwise into'),
    plainNumber('rows', 'cut_crosswise', 'Cut crosswise into'),
    span('protein', 'protein_aim', 'Protein, aim'),
    span('fat', 'fat_aim', 'Fat, aim'),
    span('plant', 'plant_aim', 'Plant, aim'),
    span('moisture', 'moisture_aim', 'Moisture, aim'),
    column('method', 'method', 'How it is made', cell.words),
    column('archived', 'put_away', 'Put away', cell.yesNo, { write: yesNoText }),
    column('ingredient', 'ingredient', 'Ingredient', cell.words, { also: ['of'] }),
    share('share', 'share', 'Share'),
    column('binder', 'binds', 'Binds', cell.yesNo, { also: ['binder'], write: yesNoText }),
  ],
  water: [
    id,
    column('tankId', 'tank', 'Tank', cell.words, { also: ['tank id', 'aquarium'] }),
    column('day', 'day', 'Day', cell.date, { also: ['date'] }),
    column('kind', 'what', 'What', cell.oneOf(['tested', 'changed', 'filledUp']), {
      also: ['kind', 'event'],
    }),
    share('share', 'changed', 'Share changed', ['share', 'water change']),
    reading('nitrate', 'nitrate_NO3_mg_l', 'Nitrate', ['no3']),
    reading('nitrite', 'nitrite_NO2_mg_l', 'Nitrite', ['no2']),
    reading('tan', 'ammonia_N_mg_l', 'Ammonia', ['ammonia', 'nh3', 'nh4', 'tan']),
    reading('ph', 'ph', 'pH', []),
    reading('gh', 'gh_dgh', 'General hardness', ['gh', 'hardness']),
    reading('kh', 'kh_dkh', 'Carbonate hardness', ['kh', 'alkalinity']),
    reading('tdsMgL', 'tds_mg_l', 'Dissolved solids', ['tds', 'conductivity', 'ec']),
    reading('tempC', 'temp_c', 'Temperature', ['temp', 'temperature']),
    column('sure', 'sure', 'Confirmed', cell.yesNo, { write: yesNoText }),
    column('note', 'note', 'Note', cell.words, { also: ['notes'] }),
  ],
};

/** Without a header, a pasted house is read in this order. */
export const USUAL_ORDER: readonly string[] = [
  'tank',
  'speciesKey',
  'unsexed',
  'lengthCm',
  'stage',
];
