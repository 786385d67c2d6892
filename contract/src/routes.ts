import { z } from 'zod';
import { byId, day, id, pageOf, pageQuery } from './basics';
import { catalogue } from './catalogue';
import { diet, dietEdit } from './diet';
import { feeding, feedingCreate, feedingReceipt, feedingUndo } from './feeding';
import { food, foodCreate, foodEdit, lot, lotCount, lotCreate, lotEdit } from './food';
import { group, groupCreate, groupEdit, groupEvent } from './group';
import { household, householdEdit } from './household';
import { supply } from './larder';
import { moment, momentCreate, momentEdit } from './moment';
import { consumption, spanQuery } from './records';
import { round, roundWhy } from './round';
import { tank, tankCreate, tankEdit } from './tank';

export interface Route {
  method: 'get' | 'post' | 'put';
  path: string;
  summary: string;
  params: z.ZodType;
  query: z.ZodType;
  body: z.ZodType;
  response: z.ZodType;
}

const none = z.object({});

type Parts = Pick<Route, 'method' | 'path' | 'summary' | 'response'> &
  Partial<Pick<Route, 'params' | 'query' | 'body'>>;

type Filled<P extends Parts> = {
  [K in keyof Route]: K extends keyof P ? P[K] : typeof none;
};

const route = <P extends Parts>(parts: P) =>
  ({ params: none, query: none, body: none, ...parts }) as unknown as Filled<P>;

const list = <Item extends z.ZodType>(path: string, summary: string, item: Item) =>
  route({ method: 'get', path, summary, query: pageQuery, response: pageOf(item) });

const create = <B extends z.ZodType, R extends z.ZodType>(
  path: string,
  summary: string,
  body: B,
  response: R,
) => route({ method: 'post', path, summary, body, response });

const edit = <B extends z.ZodType, R extends z.ZodType>(
  path: string,
  summary: string,
  body: B,
  response: R,
) => route({ method: 'put', path, summary, params: byId, body, response });

/**
 * All that the server answers: validated on the way in and out, the source of the app's
 * typed queries and of the OpenAPI page. A route that is not here does not exist.
 */
export const routes = {
  getHealth: route({
    method: 'get',
    path: '/api/health',
    summary: 'The server runs',
    response: z.object({ status: z.literal('ok') }),
  }),
  getReady: route({
    method: 'get',
    path: '/api/ready',
    summary: 'The server reaches its database',
    response: z.object({ status: z.literal('ready') }),
  }),
  getHousehold: route({
    method: 'get',
    path: '/api/household',
    summary: 'The household and its settings',
    response: household,
  }),
  editHousehold: route({
    method: 'put',
    path: '/api/household',
    summary: 'Change the settings of the household',
    body: householdEdit,
    response: household,
  }),
  getCatalogue: route({
    method: 'get',
    path: '/api/catalogue',
    summary: 'Species and generic foods with their sources',
    response: catalogue,
  }),
  listMoments: list('/api/moments', 'Moments of the day', moment),
  createMoment: create('/api/moments', 'Name a moment of the day', momentCreate, moment),
  editMoment: edit('/api/moments/:id', 'Change, end or bring back a moment', momentEdit, moment),
  listTanks: list('/api/tanks', 'Tanks in walking order', tank),
  createTank: create('/api/tanks', 'Make a tank', tankCreate, tank),
  editTank: edit('/api/tanks/:id', 'Change, put away or bring back a tank', tankEdit, tank),
  listGroups: list('/api/groups', 'Groups with size, stage, length and diet of today', group),
  createGroup: create('/api/groups', 'Put a group of fish in a tank', groupCreate, group),
  editGroup: edit('/api/groups/:id', 'Rename, end or bring back a group', groupEdit, group),
  addGroupEvent: route({
    method: 'post',
    path: '/api/groups/:id/events',
    summary: 'Something happened to a group: arrived, counted, died, measured, staged',
    params: byId,
    body: groupEvent,
    response: group,
  }),
  editDiet: edit('/api/groups/:id/diet', 'Say what a group eats', dietEdit, diet),
  listFoods: list('/api/foods', 'Foods with their lots and what is left', food),
  createFood: create('/api/foods', 'Put a food on the shelf', foodCreate, food),
  editFood: edit('/api/foods/:id', 'Change, take down or bring back a food', foodEdit, food),
  addLot: route({
    method: 'post',
    path: '/api/foods/:id/lots',
    summary: 'Buy another lot of a food',
    params: byId,
    body: lotCreate,
    response: food,
  }),
  editLot: edit('/api/lots/:id', 'Correct price and dates of a lot', lotEdit, lot),
  countLot: route({
    method: 'post',
    path: '/api/lots/:id/counts',
    summary: 'Count what is really left of a lot',
    params: byId,
    body: lotCount,
    response: lot,
  }),
  getSupply: route({
    method: 'get',
    path: '/api/larder/supply',
    summary: 'Days left of each food by the running plan',
    response: supply,
  }),
  getRound: route({
    method: 'get',
    path: '/api/round/:day',
    summary: 'A day’s servings by moment, in walking order, and what became of them',
    params: z.object({ day }),
    response: round,
  }),
  getRoundWhy: route({
    method: 'get',
    path: '/api/round/:day/why/:servingId',
    summary: 'The derivation of one serving’s portion',
    params: z.object({ day, servingId: id }),
    response: roundWhy,
  }),
  listFeedings: route({
    method: 'get',
    path: '/api/feedings',
    summary: 'What was served, newest first',
    query: pageQuery,
    response: pageOf(feeding),
  }),
  logFeeding: create('/api/feedings', 'Log a serving', feedingCreate, feedingReceipt),
  undoFeeding: route({
    method: 'post',
    path: '/api/feedings/:id/undo',
    summary: 'Take a logged serving back by a correcting event',
    params: byId,
    body: feedingUndo,
    response: feeding,
  }),
  getConsumption: route({
    method: 'get',
    path: '/api/records/consumption',
    summary: 'What was offered against what was needed, by food and by group',
    query: spanQuery,
    response: consumption,
  }),
} as const;

export type RouteName = keyof typeof routes;
export type ParamsOf<N extends RouteName> = z.output<(typeof routes)[N]['params']>;
export type QueryOf<N extends RouteName> = z.output<(typeof routes)[N]['query']>;
export type QueryInputOf<N extends RouteName> = z.input<(typeof routes)[N]['query']>;
export type BodyOf<N extends RouteName> = z.output<(typeof routes)[N]['body']>;
export type ResponseOf<N extends RouteName> = z.output<(typeof routes)[N]['response']>;
