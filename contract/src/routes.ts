import { labelKind } from './qrLabels';
import { z } from 'zod';
import { byId, day, id, pageOf, pageQuery } from './basics';
import { backupRestore, backupRestored } from './backup';
import { catalogue } from './catalogue';
import { changes, changesQuery, presence } from './changes';
import { chore, choreCreate, choreUndo } from './chore';
import {
  brood,
  broodCreate,
  broodEdit,
  broodEvent,
  broodEventCreate,
  broodEventUndo,
  broodSplit,
  broodTubCreate,
  broodTubEdit,
  conditioningBegin,
  conditioningEnd,
  strategies,
} from './brood';
import {
  cultureKinds,
  vessel,
  vesselCreate,
  vesselEdit,
  vesselEvent,
  vesselEventCreate,
  vesselEventUndo,
} from './culture';
import { diet, dietEdit } from './diet';
import { feeding, feedingCreate, feedingReceipt, feedingUndo } from './feeding';
import {
  food,
  foodCreate,
  foodEdit,
  lot,
  lotCount,
  lotCreate,
  lotEdit,
  weighingCreate,
  weighingUndo,
} from './food';
import { forecastRecords } from './forecast';
import { foodCorrections, foodCorrectionsSeen } from './foodCorrection';
import {
  eventWithdrawal,
  group,
  groupCreate,
  groupEdit,
  groupEvent,
  groupMerge,
  groupMoves,
  groupSplit,
  lifeEvent,
} from './group';
import { household, householdEdit } from './household';
import { supply } from './larder';
import { look, looks, looksCreate, looksUndo } from './look';
import { moment, momentCreate, momentEdit } from './moment';
import {
  balancedPlan,
  balancing,
  planEdit,
  savedPlan,
  startingPlan,
  startingPlanCreate,
  startingPlanEdit,
} from './plan';
import {
  devices,
  householdBegin,
  householdChoice,
  houseBegin,
  invitationAccept,
  invitationCode,
  invitationCreate,
  invitationMade,
  invitations,
  invitationSeen,
  me,
  meWithCodes,
  meWithCodesIfNew,
  pairingCode,
  pairingMade,
  passwordChange,
  passwordGiven,
  erased,
  householdErasure,
  passkeyAnswer,
  passkeyOptions,
  passkeys,
  people,
  recovery,
  recoveryCodes,
  roleEdit,
  signingIn,
} from './people';
import { photo, photoCreate } from './photo';
import { paths, type Access, type RouteName } from './paths';
import type { Problem } from './problem';
import { account, accountTableQuery } from './account';
import { logName } from './log';
import { inventoryCreate, inventoryMade } from './inventory';
import { rating, ratingCreate, ratingUndo } from './rating';
import { trial, trialCreate, trialEdit } from './trial';
import { answer, answerCreate, answered, answerUndo, proposals } from './proposal';
import {
  batchCreate,
  batchReceipt,
  batchUndo,
  labelsQuery,
  printed,
  recipe,
  recipeCreate,
  recipeEdit,
} from './recipe';
import { readable } from './reading';
import { consumption, spanQuery } from './records';
import { preparations, round, roundWhy } from './round';
import { acceptance, served } from './served';
import { learned, sighting, sightingCreate, sightingUndo } from './sighting';
import { ownSpecies, speciesCreate, speciesEdit } from './species';
import { exportedTable, tableImport, tableName, tableReport } from './table';
import { tank, tankCreate, tankEdit, walkEdit } from './tank';
import { trainingCreate, trainingEnd } from './training';
import { water, waterEvent, waterEventCreate, waterEventUndo, waters } from './water';

export interface Route {
  method: 'get' | 'post' | 'put';
  path: string;
  /** The least of those who may ask. */
  access: Access;
  summary: string;
  params: z.ZodType;
  query: z.ZodType;
  body: z.ZodType;
  /** Its shape, without the limits of what is sent: see `readable`. */
  response: z.ZodType;
  /** What is reported while the answer is worked out, where that takes long. */
  progress?: z.ZodType;
}

const none = z.object({});

/** Whose hand deals: its own pinch counts where it was weighed in. */
const handQuery = z.object({ hand: z.string().trim().min(1).max(30).optional() });

type Parts = Pick<Route, 'summary' | 'response'> &
  Partial<Pick<Route, 'params' | 'query' | 'body' | 'progress'>>;

type Filled<P extends Parts> = {
  [K in keyof Route]: K extends keyof P
    ? P[K]
    : K extends 'method' | 'path' | 'access' | 'progress'
      ? Route[K]
      : typeof none;
};

const route = <P extends Parts>(name: RouteName, parts: P) =>
  ({
    method: paths[name][0],
    path: paths[name][1],
    access: paths[name][2],
    params: none,
    query: none,
    body: none,
    ...parts,
    response: readable(parts.response),
  }) as unknown as Filled<P>;

const list = <Item extends z.ZodType>(name: RouteName, summary: string, item: Item) =>
  route(name, { summary, query: pageQuery, response: pageOf(item) });

const create = <B extends z.ZodType, R extends z.ZodType>(
  name: RouteName,
  summary: string,
  body: B,
  response: R,
) => route(name, { summary, body, response });

/** A change to one thing by its id. */
const change = <B extends z.ZodType, R extends z.ZodType>(
  name: RouteName,
  summary: string,
  body: B,
  response: R,
) => route(name, { summary, params: byId, body, response });

/**
 * All that the server answers: validated on the way in and out, the source of the app's
 * typed queries and of the OpenAPI page. A route that is not here does not exist.
 */
export const routes = {
  getHealth: route('getHealth', {
    summary: 'The server runs, and has room on its disk',
    response: z.object({
      status: z.literal('ok'),
      /** Null where it is not known. */
      diskFreeMb: z.number().nullable(),
      diskLow: z.boolean(),
      /** The instant at which the certificate ends, where that is within two weeks; null before, and without TLS. */
      certificateEnds: z.string().nullable(),
    }),
  }),
  getReady: route('getReady', {
    summary: 'The server reaches its database',
    response: z.object({ status: z.literal('ready') }),
  }),
  getMe: route('getMe', { summary: 'Who is asking, and in which household', response: me }),
  beginHouse: create('beginHouse', 'Become the first owner', houseBegin, meWithCodes),
  signIn: create('signIn', 'Sign in by name or e-mail', signingIn, me),
  recoverAccount: create(
    'recoverAccount',
    'Set a new password with one of the codes',
    recovery,
    me,
  ),
  signOut: route('signOut', { summary: 'Sign this device out', response: me }),
  changePassword: route('changePassword', {
    summary: 'Change your password, and sign every other device out',
    body: passwordChange,
    response: me,
  }),
  makeCodes: create(
    'makeCodes',
    'Make new codes in place of the old',
    passwordGiven,
    recoveryCodes,
  ),
  listPasskeys: route('listPasskeys', {
    summary: 'Your passkeys',
    response: passkeys,
  }),
  beginPasskey: create(
    'beginPasskey',
    'What the browser makes a passkey from',
    passwordGiven,
    passkeyOptions,
  ),
  addPasskey: create('addPasskey', 'Keep a passkey that was just made', passkeyAnswer, passkeys),
  removePasskey: route('removePasskey', {
    summary: 'Sign in by this passkey no more',
    params: byId,
    response: passkeys,
  }),
  beginPasskeySignIn: route('beginPasskeySignIn', {
    summary: 'What the browser asks a passkey with',
    response: passkeyOptions,
  }),
  signInByPasskey: create('signInByPasskey', 'Sign in by a passkey', passkeyAnswer, me),
  listDevices: route('listDevices', {
    summary: 'Where you are signed in',
    response: devices,
  }),
  signOutDevice: route('signOutDevice', {
    summary: 'Sign one of your devices out',
    params: byId,
    response: devices,
  }),
  makePairing: route('makePairing', {
    summary: 'A link that signs another device of yours in, once',
    response: pairingMade,
  }),
  usePairing: create('usePairing', 'Sign in by such a link', pairingCode, me),
  chooseHousehold: route('chooseHousehold', {
    summary: 'Go to another of your households',
    body: householdChoice,
    response: me,
  }),
  beginHousehold: create('beginHousehold', 'Begin a household of your own', householdBegin, me),
  exportMe: route('exportMe', {
    summary: 'What this server keeps about you, to save',
    response: exportedTable,
  }),
  eraseMe: create('eraseMe', 'Delete your account for good', passwordGiven, erased),
  eraseHousehold: create(
    'eraseHousehold',
    'Erase the household and all its records for good',
    householdErasure,
    erased,
  ),
  listPeople: route('listPeople', { summary: 'The people of the household', response: people }),
  editRole: change('editRole', 'Change what a person may do', roleEdit, people),
  removePerson: route('removePerson', {
    summary: 'Take a person out of the household',
    params: byId,
    response: people,
  }),
  leaveHousehold: route('leaveHousehold', { summary: 'Leave the household', response: me }),
  listInvitations: route('listInvitations', {
    summary: 'Invitations that can still be taken up',
    response: invitations,
  }),
  createInvitation: create(
    'createInvitation',
    'Invite a person by a link',
    invitationCreate,
    invitationMade,
  ),
  withdrawInvitation: route('withdrawInvitation', {
    summary: 'Withdraw an invitation',
    params: byId,
    response: invitations,
  }),
  seeInvitation: create('seeInvitation', 'What a link invites to', invitationCode, invitationSeen),
  acceptInvitation: create(
    'acceptInvitation',
    'Take up an invitation',
    invitationAccept,
    meWithCodesIfNew,
  ),
  getBackup: route('getBackup', {
    summary: 'All records of the household as one zip',
    response: printed,
  }),
  restoreBackup: create(
    'restoreBackup',
    'Put a backup into a household that holds nothing yet',
    backupRestore,
    backupRestored,
  ),
  getHousehold: route('getHousehold', {
    summary: 'The household and its settings',
    response: household,
  }),
  editHousehold: route('editHousehold', {
    summary: 'Change the settings of the household',
    body: householdEdit,
    response: household,
  }),
  getCatalogue: route('getCatalogue', {
    summary: 'Species and generic foods with their sources',
    response: catalogue,
  }),
  listSpecies: list('listSpecies', 'Species of the keeper’s own', ownSpecies),
  createSpecies: create(
    'createSpecies',
    'Describe a species of your own',
    speciesCreate,
    ownSpecies,
  ),
  editSpecies: change(
    'editSpecies',
    'Change, put away or bring back a species of your own',
    speciesEdit,
    ownSpecies,
  ),
  listMoments: list('listMoments', 'Moments of the day', moment),
  createMoment: create('createMoment', 'Name a moment of the day', momentCreate, moment),
  editMoment: change('editMoment', 'Change, end or bring back a moment', momentEdit, moment),
  listTanks: list('listTanks', 'Tanks in walking order', tank),
  createTank: create('createTank', 'Make a tank', tankCreate, tank),
  editWalk: create(
    'editWalk',
    'Set the order in which the tanks are walked',
    walkEdit,
    z.object({ tankIds: z.array(z.string()) }),
  ),
  editTank: change('editTank', 'Change, put away or bring back a tank', tankEdit, tank),
  editPlan: change(
    'editPlan',
    'Say what a tank’s groups eat, when, and when not',
    planEdit,
    savedPlan,
  ),
  balancePlan: route('balancePlan', {
    summary: 'Balance a tank’s plan as it is being edited, and keep nothing',
    params: byId,
    body: planEdit,
    progress: balancing,
    response: balancedPlan,
  }),
  printWeek: route('printWeek', {
    summary: 'A tank’s cycle on one page, to print',
    params: byId,
    query: handQuery,
    response: printed,
  }),
  addInventory: create(
    'addInventory',
    'Tanks, their fish and foods in one go, with a first plan for each group',
    inventoryCreate,
    inventoryMade,
  ),
  listStartingPlans: list('listStartingPlans', 'Starting plans of one’s own', startingPlan),
  createStartingPlan: create(
    'createStartingPlan',
    'Keep a starting plan',
    startingPlanCreate,
    startingPlan,
  ),
  editStartingPlan: change(
    'editStartingPlan',
    'Change, put away or bring back a starting plan',
    startingPlanEdit,
    startingPlan,
  ),
  listGroups: route('listGroups', {
    summary: 'Groups with size, stage, length and diet as they are today, or were on a day',
    query: pageQuery.extend({ day: day.optional() }),
    response: pageOf(group),
  }),
  createGroup: create('createGroup', 'Put a group of fish in a tank', groupCreate, group),
  editGroup: change('editGroup', 'Rename, end or bring back a group', groupEdit, group),
  addGroupEvent: change('addGroupEvent', 'Something happened to a group', groupEvent, group),
  listGroupEvents: route('listGroupEvents', {
    summary: 'All that happened to a group, newest first, with what was taken back',
    params: byId,
    query: pageQuery,
    response: pageOf(lifeEvent),
  }),
  withdrawGroupEvent: change(
    'withdrawGroupEvent',
    'Take an event back, or put another in its place',
    eventWithdrawal,
    group,
  ),
  splitGroup: change('splitGroup', 'Part of a group becomes one of its own', groupSplit, group),
  mergeGroup: change('mergeGroup', 'A whole group joins another and ends', groupMerge, group),
  moveGroups: route('moveGroups', {
    summary: 'Move several groups to a tank at once, all or none',
    body: groupMoves,
    response: z.object({ moved: z.int() }),
  }),
  editDiet: change('editDiet', 'Say what a group eats', dietEdit, diet),
  listFoods: list('listFoods', 'Foods with their lots and what is left', food),
  createFood: create('createFood', 'Put a food on the shelf', foodCreate, food),
  editFood: change('editFood', 'Change, take down or bring back a food', foodEdit, food),
  addLot: change('addLot', 'Buy another lot of a food', lotCreate, food),
  editLot: change('editLot', 'Correct price and dates of a lot', lotEdit, lot),
  countLot: change('countLot', 'Count what is really left of a lot', lotCount, lot),
  addWeighing: change('addWeighing', 'Weigh a serving unit in', weighingCreate, food),
  undoWeighing: change('undoWeighing', 'Take a weighing back', weighingUndo, food),
  listRecipes: list('listRecipes', 'Recipes of one’s own, with their batches', recipe),
  createRecipe: create(
    'createRecipe',
    'Write a recipe, and the food that it makes',
    recipeCreate,
    recipe,
  ),
  editRecipe: change('editRecipe', 'Change, put away or bring back a recipe', recipeEdit, recipe),
  makeBatch: change(
    'makeBatch',
    'Make a batch: its ingredients leave the shelf, its portions come to it',
    batchCreate,
    batchReceipt,
  ),
  undoBatch: change('undoBatch', 'Take a batch back, while none of it was used', batchUndo, recipe),
  printLabels: route('printLabels', {
    summary: 'Labels for a lot, to print',
    params: byId,
    query: labelsQuery,
    response: printed,
  }),
  getFoodCorrections: route('getFoodCorrections', {
    summary: 'Foods whose serving unit was corrected with the catalogue, until that was seen',
    response: foodCorrections,
  }),
  seeFoodCorrections: create(
    'seeFoodCorrections',
    'The keeper has seen these corrections',
    foodCorrectionsSeen,
    foodCorrections,
  ),
  getSupply: route('getSupply', {
    summary: 'Days left of each food by the running plan',
    response: supply,
  }),
  getRound: route('getRound', {
    summary: 'A day’s servings by moment, in walking order, and what became of them',
    params: z.object({ day }),
    query: handQuery,
    response: round,
  }),
  getPreparations: route('getPreparations', {
    summary: 'What to soak, thaw or cut on a day, merged over tanks',
    params: z.object({ day }),
    query: handQuery,
    response: preparations,
  }),
  printRound: route('printRound', {
    summary: 'A day’s round on one page, to print',
    params: z.object({ day }),
    query: handQuery,
    response: printed,
  }),
  getRoundWhy: route('getRoundWhy', {
    summary: 'The derivation of one serving’s portion',
    params: z.object({ day, servingId: id }),
    query: handQuery,
    response: roundWhy,
  }),
  listFeedings: list('listFeedings', 'What was served, newest first', feeding),
  logFeeding: create('logFeeding', 'Log a serving', feedingCreate, feedingReceipt),
  undoFeeding: change(
    'undoFeeding',
    'Take a logged serving back by a correcting event',
    feedingUndo,
    feeding,
  ),
  listLooks: route('listLooks', {
    summary: 'How a group looked when it was fed, newest first',
    params: byId,
    query: pageQuery,
    response: pageOf(look),
  }),
  addLooks: create('addLooks', 'Say how the groups of a tank looked', looksCreate, looks),
  undoLooks: create('undoLooks', 'Take a look back', looksUndo, looks),
  getProposals: route('getProposals', {
    summary: 'What is proposed: other portions, other changes of water, foods to train onto',
    response: proposals,
  }),
  answerProposal: create(
    'answerProposal',
    'Accept what is proposed, or decline it',
    answerCreate,
    answer,
  ),
  listAnswers: list('listAnswers', 'What was proposed, answered, and led to', answered),
  undoAnswer: change('undoAnswer', 'Take an answer back', answerUndo, answer),
  beginTraining: create(
    'beginTraining',
    'Begin to train a group onto a food that it refuses',
    trainingCreate,
    group,
  ),
  endTraining: change('endTraining', 'End a training, its food kept or not', trainingEnd, group),
  getCultureKinds: route('getCultureKinds', {
    summary: 'Kinds of live-food culture with their sources',
    response: cultureKinds,
  }),
  listVessels: list('listVessels', 'Cultures today, and what to do', vessel),
  createVessel: create('createVessel', 'Start a culture', vesselCreate, vessel),
  editVessel: change('editVessel', 'Correct what is said of a culture', vesselEdit, vessel),
  listVesselEvents: route('listVesselEvents', {
    summary: 'What happened to a culture, newest first',
    params: byId,
    query: pageQuery,
    response: pageOf(vesselEvent),
  }),
  addVesselEvent: change(
    'addVesselEvent',
    'Something happened to a culture',
    vesselEventCreate,
    vessel,
  ),
  undoVesselEvent: change('undoVesselEvent', 'Take an event back', vesselEventUndo, vessel),
  getStrategies: route('getStrategies', {
    summary: 'Ways of life from spawning to the first food, with their sources',
    response: strategies,
  }),
  listBroods: list('listBroods', 'Broods today, and what to do', brood),
  createBrood: create('createBrood', 'Begin the line of a brood', broodCreate, brood),
  beginConditioning: create(
    'beginConditioning',
    'Begin to condition a group: its stage, its richer meals and the line of its brood',
    conditioningBegin,
    brood,
  ),
  endConditioning: change(
    'endConditioning',
    'End it: the stage and the meals that it had',
    conditioningEnd,
    group,
  ),
  editBrood: change('editBrood', 'Correct what is said of a brood', broodEdit, brood),
  splitBrood: change('splitBrood', 'Spread the young of a tub over more', broodSplit, brood),
  addBroodTub: change('addBroodTub', 'Give a brood another tub', broodTubCreate, brood),
  editBroodTub: change('editBroodTub', 'Correct what is said of a tub', broodTubEdit, brood),
  listBroodEvents: route('listBroodEvents', {
    summary: 'What happened to a brood, newest first',
    params: byId,
    query: pageQuery,
    response: pageOf(broodEvent),
  }),
  addBroodEvent: change('addBroodEvent', 'Something happened to a brood', broodEventCreate, brood),
  printBroodCard: route('printBroodCard', {
    summary: 'A card for the tub of a brood, to print',
    params: byId,
    response: printed,
  }),
  printQrLabels: route('printQrLabels', {
    summary: 'Labels with codes that open the page of a tank, a culture or a tub, to print',
    params: z.object({ of: labelKind }),
    response: printed,
  }),
  printBroodDay: route('printBroodDay', {
    summary: 'The day of all young in tubs on one page, to print; also of a day to come',
    params: z.object({ day }),
    query: handQuery.extend({
      /** Ids of the tubs on the page, with commas between; all of them without it. */
      tubs: z.string().max(4000).optional(),
    }),
    response: printed,
  }),
  undoBroodEvent: change('undoBroodEvent', 'Take an event back', broodEventUndo, brood),
  keepPhoto: create(
    'keepPhoto',
    'Keep the picture in which fish were measured, with its marks',
    photoCreate,
    z.object({ id: z.string() }),
  ),
  getPhoto: route('getPhoto', {
    summary: 'The picture of a measurement',
    params: byId,
    response: photo,
  }),
  listWaters: route('listWaters', {
    summary: 'The water of every tank today, and what is to come',
    response: waters,
  }),
  listWaterEvents: route('listWaterEvents', {
    summary: 'Tests and changes of a tank’s water, newest first',
    params: byId,
    query: pageQuery,
    response: pageOf(waterEvent),
  }),
  addWaterEvent: change(
    'addWaterEvent',
    'Water was tested, changed or filled up',
    waterEventCreate,
    water,
  ),
  undoWaterEvent: change(
    'undoWaterEvent',
    'Take a test or a change of water back',
    waterEventUndo,
    water,
  ),
  listTrials: list('listTrials', 'Trials of diets, and where they are', trial),
  createTrial: create('createTrial', 'Plan a trial of two diets', trialCreate, trial),
  editTrial: change('editTrial', 'Change, end or put away a trial', trialEdit, trial),
  listRatings: list('listRatings', 'What foods did, as the keeper rated it, newest first', rating),
  addRating: create('addRating', 'Rate what a food did to a group', ratingCreate, rating),
  undoRating: change('undoRating', 'Take a rating back', ratingUndo, rating),
  getAccount: route('getAccount', {
    summary: 'Growth, losses, water, costs and what foods did, over a span',
    query: spanQuery,
    response: account,
  }),
  exportAccount: route('exportAccount', {
    summary: 'A part of the same as CSV',
    query: accountTableQuery,
    response: exportedTable,
  }),
  exportLog: route('exportLog', {
    summary: 'Cultures, broods, ratings, trials or decisions as CSV',
    params: z.object({ log: logName }),
    response: exportedTable,
  }),
  printGroupSummary: route('printGroupSummary', {
    summary: 'All that became of a group, on one page, to print',
    params: byId,
    response: printed,
  }),
  printTankSummary: route('printTankSummary', {
    summary: 'All that became of a tank, on one page, to print',
    params: byId,
    response: printed,
  }),
  logChore: create('logChore', 'Say that something of a round was done', choreCreate, chore),
  undoChore: change('undoChore', 'Take back that it was done', choreUndo, chore),
  listSightings: route('listSightings', {
    summary: 'What was seen of feedings in a tank, newest first',
    params: byId,
    query: pageQuery,
    response: pageOf(sighting),
  }),
  addSighting: change(
    'addSighting',
    'Say when food was gone, what was left, who came',
    sightingCreate,
    sighting,
  ),
  undoSighting: change('undoSighting', 'Take a sighting back', sightingUndo, sighting),
  getLearned: route('getLearned', {
    summary: 'What was learned of the groups of a tank',
    params: byId,
    response: learned,
  }),
  editLearned: change(
    'editLearned',
    'Keep, freeze or forget what was learned of a tank',
    learned,
    learned,
  ),
  exportTable: route('exportTable', {
    summary: 'Tanks, groups or their events as CSV',
    params: z.object({ table: tableName }),
    response: exportedTable,
  }),
  importTable: route('importTable', {
    summary: 'Check a table line by line, and take it in whole or not at all',
    params: z.object({ table: tableName }),
    body: tableImport,
    response: tableReport,
  }),
  listChanges: route('listChanges', {
    summary: 'What changed in the household; as text/event-stream it follows',
    query: changesQuery,
    response: changes,
  }),
  setPresence: route('setPresence', {
    summary: 'Who is in the Round, and at which tank',
    body: presence,
    response: z.object({}),
  }),
  getServed: route('getServed', {
    summary:
      'What was offered, refused and left, by group and food, and by moment against its plan',
    query: spanQuery,
    response: served,
  }),
  exportServed: route('exportServed', {
    summary: 'The same as CSV',
    query: spanQuery,
    response: exportedTable,
  }),
  getForecastRecords: route('getForecastRecords', {
    summary: 'How right the forecasts were that came true, by kind',
    response: forecastRecords,
  }),
  getAcceptance: route('getAcceptance', {
    summary: 'How readily a group took each food, week by week',
    params: byId,
    query: spanQuery,
    response: acceptance,
  }),
  getConsumption: route('getConsumption', {
    summary: 'What was offered against what was needed, by food and by group',
    query: spanQuery,
    response: consumption,
  }),
} as const satisfies Record<RouteName, Route>;

type Row<N extends RouteName> = (typeof routes)[N];
export type ParamsOf<N extends RouteName> = z.output<Row<N>['params']>;
export type QueryOf<N extends RouteName> = z.output<Row<N>['query']>;
export type QueryInputOf<N extends RouteName> = z.input<Row<N>['query']>;
export type BodyOf<N extends RouteName> = z.output<Row<N>['body']>;
export type ResponseOf<N extends RouteName> = z.output<Row<N>['response']>;
export type ProgressOf<N extends RouteName> = z.output<NonNullable<Row<N>['progress']>>;

/**
 * A line of an answer that shows how far it is: a JSON text a line, the answer last. What goes wrong
 * after the first line is reported as a line too.
 */
export type Line<N extends RouteName> =
  { progress: ProgressOf<N> } | { answer: ResponseOf<N> } | { problem: Problem };
