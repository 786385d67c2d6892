import type { CultureKind } from '@open-larder/catalogue/cultures';
import type {
  CatalogueView,
  Consumption,
  ForecastRecords,
  FoodRow,
  Group,
  HouseholdSettings,
  LearnedRow,
  LifeEventRow,
  Me,
  Observation,
  MomentRow,
  OwnSpecies,
  Problem,
  Proposals,
  RecipeRow,
  ResponseOf,
  RoundView,
  RouteName,
  SightingRow,
  StartingPlanRow,
  Supply,
  Tank,
  BroodEventRow,
  BroodRow,
  VesselEventRow,
  VesselRow,
  WaterEventRow,
  WaterRow,
} from '@open-larder/contract';
import { createApi, fakeBaseQuery } from '@reduxjs/toolkit/query/react';
import { call, callAll, type CallParts } from './call';

/** What a change makes stale. */
const TAGS = [
  'me',
  'household',
  'species',
  'moment',
  'tank',
  'group',
  'life',
  'food',
  'supply',
  'recipe',
  'round',
  'records',
  'sighting',
  'learned',
  'look',
  'proposal',
  'startingPlan',
  'vessel',
  'brood',
  'water',
] as const;
/** A page of a day for the young in some tubs, or in all of them; for a person, or for everyone. */
interface BroodDayPage {
  day: string;
  hand: string | null;
  tubs: readonly string[] | null;
}
type Tag = (typeof TAGS)[number];

/** All that is cached: after another person, or another household, came. */
export const ALL_TAGS: readonly Tag[] = TAGS;
/** All of a kind, or what is kept of one thing by its id. */
export type Stale = Tag | { type: Tag; id: string };

/** In place of an id: the list of all. */
const ALL = 'all';
/** What happened to one thing, apart from the list that it is in. */
const eventsOf = (type: Tag) => (_result: unknown, _error: unknown, id: string) => [{ type, id }];
export const listOf = (type: Tag): Stale => ({ type, id: ALL });
/** What an event makes stale: its list, and what happened to that one thing. */
const eventOf =
  (type: Tag, ...more: Stale[]) =>
  ({ params }: { params?: { id: string } }): Stale[] => [
    listOf(type),
    ...(params ? [{ type, id: params.id }] : []),
    ...more,
  ];

/** Figures computed from the plan: stale after most changes. */
const COMPUTED: Tag[] = ['supply', 'round', 'records'];

/** A brood changes the meals of its parents’ group. */
const PARENTS_FED: Tag[] = ['group', ...COMPUTED];

const byHand = (hand: string | null) => (hand === null ? {} : { hand });

/** What each change makes stale, by its route. */
const STALE = new Map<string, (parts: { params?: { id: string } }) => Stale[]>();
/** A serving that was logged elsewhere, or late. */
const FED: Stale[] = ['round', 'brood', 'food', 'supply', 'records', 'vessel', 'proposal'];

/** What is stale after a change that was made elsewhere; where that is not known here, all of it. */
export function staleAfter(route: string, subject: string | null): readonly Stale[] {
  if (route === 'logFeeding' || route === 'undoFeeding') return FED;
  return STALE.get(route)?.(subject === null ? {} : { params: { id: subject } }) ?? ALL_TAGS;
}

/** All that the server owns, cached; typed from the table of routes. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fakeBaseQuery<Problem>(),
  tagTypes: TAGS,
  endpoints: (build) => {
    const change = <N extends RouteName>(
      name: N,
      stale: Stale[] | ((parts: CallParts<N>) => Stale[]),
    ) => {
      const after = typeof stale === 'function' ? stale : () => stale;
      STALE.set(name, after as never);
      return build.mutation<ResponseOf<N>, CallParts<N>>({
        queryFn: (parts) => call(name, parts),
        invalidatesTags: (_result, error, parts) => {
          // A stale edit also means that what is cached is old.
          if (error && error.status !== 409) return [];
          return after(parts);
        },
      });
    };
    return {
      /** Who uses this device, and in which household. */
      me: build.query<Me, void>({ queryFn: () => call('getMe'), providesTags: ['me'] }),
      household: build.query<HouseholdSettings, void>({
        queryFn: () => call('getHousehold'),
        providesTags: ['household'],
      }),
      health: build.query<ResponseOf<'getHealth'>, void>({ queryFn: () => call('getHealth') }),
      catalogue: build.query<CatalogueView, void>({
        queryFn: () => call('getCatalogue'),
        keepUnusedDataFor: 86_400,
      }),
      moments: build.query<MomentRow[], void>({
        queryFn: () => callAll('listMoments'),
        providesTags: ['moment'],
      }),
      tanks: build.query<Tank[], void>({
        queryFn: () => callAll('listTanks'),
        providesTags: ['tank'],
      }),
      species: build.query<OwnSpecies[], void>({
        queryFn: () => callAll('listSpecies'),
        providesTags: ['species'],
      }),
      /** What happened to one group, newest first. */
      life: build.query<LifeEventRow[], string>({
        queryFn: (id) => callAll('listGroupEvents', { params: { id } }),
        providesTags: eventsOf('life'),
      }),
      groups: build.query<Group[], void>({
        queryFn: () => callAll('listGroups'),
        providesTags: ['group'],
      }),
      /** The groups as they were on a past day. */
      groupsOn: build.query<Group[], string>({
        queryFn: (day) => callAll('listGroups', { query: { day } }),
        providesTags: ['group'],
      }),
      foods: build.query<FoodRow[], void>({
        queryFn: () => callAll('listFoods'),
        providesTags: ['food'],
      }),
      recipes: build.query<RecipeRow[], void>({
        queryFn: () => callAll('listRecipes'),
        providesTags: ['recipe'],
      }),
      labels: build.query<ResponseOf<'printLabels'>, string>({
        queryFn: (id) => call('printLabels', { params: { id }, query: {} }),
        keepUnusedDataFor: 0,
      }),
      foodCorrections: build.query<ResponseOf<'getFoodCorrections'>, void>({
        queryFn: () => call('getFoodCorrections'),
        providesTags: ['food'],
      }),
      seeFoodCorrections: change('seeFoodCorrections', ['food']),
      supply: build.query<Supply, void>({
        queryFn: () => call('getSupply'),
        providesTags: ['supply'],
      }),
      round: build.query<RoundView, { day: string; hand: string | null }>({
        queryFn: ({ day, hand }) => call('getRound', { params: { day }, query: byHand(hand) }),
        providesTags: ['round'],
      }),
      preparations: build.query<
        ResponseOf<'getPreparations'>,
        { day: string; hand: string | null }
      >({
        queryFn: ({ day, hand }) =>
          call('getPreparations', { params: { day }, query: byHand(hand) }),
        // Follows the plan, not what was served of it: a tap on the round does not ask again.
        providesTags: ['household', 'moment', 'tank', 'group', listOf('life'), 'food'],
      }),
      roundWhy: build.query<
        ResponseOf<'getRoundWhy'>,
        { day: string; servingId: string; hand: string | null }
      >({
        queryFn: ({ hand, ...params }) => call('getRoundWhy', { params, query: byHand(hand) }),
        providesTags: ['round'],
      }),
      /** It follows from all that was seen: every write of it makes the next one. */
      forecastRecords: build.query<ForecastRecords, void>({
        queryFn: () => call('getForecastRecords'),
        providesTags: [
          'records',
          listOf('sighting'),
          'look',
          listOf('water'),
          listOf('life'),
          listOf('brood'),
          listOf('vessel'),
        ],
      }),
      consumption: build.query<Consumption, { from: string; to: string }>({
        queryFn: (query) => call('getConsumption', { query }),
        providesTags: ['records'],
      }),
      served: build.query<ResponseOf<'getServed'>, { from: string; to: string }>({
        queryFn: (query) => call('getServed', { query }),
        providesTags: ['records', listOf('sighting')],
      }),
      acceptance: build.query<
        ResponseOf<'getAcceptance'>,
        { id: string; from: string; to: string }
      >({
        queryFn: ({ id, ...query }) => call('getAcceptance', { params: { id }, query }),
        providesTags: ['records', listOf('sighting')],
      }),
      proposals: build.query<Proposals, void>({
        queryFn: () => call('getProposals'),
        providesTags: ['proposal', 'group', listOf('sighting'), 'look', listOf('water'), 'tank'],
      }),
      answerProposal: change('answerProposal', ['proposal', 'group', 'tank', ...COMPUTED]),
      undoAnswer: change('undoAnswer', ['proposal', 'group', 'tank', ...COMPUTED]),
      beginTraining: change('beginTraining', ['group', ...COMPUTED]),
      endTraining: change('endTraining', ['group', ...COMPUTED]),
      sightings: build.query<SightingRow[], string>({
        queryFn: (id) => callAll('listSightings', { params: { id } }),
        providesTags: eventsOf('sighting'),
      }),
      learned: build.query<LearnedRow, string>({
        queryFn: (id) => call('getLearned', { params: { id } }),
        providesTags: eventsOf('learned'),
      }),
      printedWeek: build.query<ResponseOf<'printWeek'>, string>({
        queryFn: (id) => call('printWeek', { params: { id }, query: {} }),
        keepUnusedDataFor: 0,
      }),
      printedRound: build.query<ResponseOf<'printRound'>, { day: string; hand: string | null }>({
        queryFn: ({ day, hand }) => call('printRound', { params: { day }, query: byHand(hand) }),
        keepUnusedDataFor: 0,
      }),
      startingPlans: build.query<StartingPlanRow[], void>({
        queryFn: () => callAll('listStartingPlans'),
        providesTags: ['startingPlan'],
      }),
      createStartingPlan: change('createStartingPlan', ['startingPlan']),
      editStartingPlan: change('editStartingPlan', ['startingPlan']),
      editWalk: change('editWalk', ['tank', 'round']),
      editPlan: change('editPlan', ['tank', 'group', ...COMPUTED]),
      /** How some groups looked. */
      looksOf: build.query<Observation[], readonly string[]>({
        queryFn: async (ids) => {
          const answers = await Promise.all(
            ids.map((id) => callAll('listLooks', { params: { id } })),
          );
          const failed = answers.find((answer) => 'error' in answer);
          if (failed && 'error' in failed) return { error: failed.error };
          return { data: answers.flatMap((answer) => ('data' in answer ? answer.data : [])) };
        },
        providesTags: ['look'],
      }),
      /** A belly changes what its group needs. */
      addLooks: change('addLooks', ['look', 'group', ...COMPUTED]),
      undoLooks: change('undoLooks', ['look', 'group', ...COMPUTED]),
      cultureKinds: build.query<CultureKind[], void>({
        queryFn: async () => {
          const answer = await call('getCultureKinds');
          return 'data' in answer ? { data: answer.data.kinds } : answer;
        },
        keepUnusedDataFor: 86_400,
      }),
      vessels: build.query<VesselRow[], void>({
        queryFn: () => callAll('listVessels'),
        providesTags: [listOf('vessel')],
      }),
      vesselEvents: build.query<VesselEventRow[], string>({
        queryFn: (id) => callAll('listVesselEvents', { params: { id } }),
        providesTags: eventsOf('vessel'),
      }),
      /** What a culture gives decides what of a brood’s ladder is there. */
      createVessel: change('createVessel', ['vessel', 'supply', listOf('brood')]),
      editVessel: change('editVessel', [listOf('vessel'), 'supply', listOf('brood')]),
      /** A harvest comes to the shelf. */
      addVesselEvent: change(
        'addVesselEvent',
        eventOf('vessel', 'food', 'supply', listOf('brood')),
      ),
      undoVesselEvent: change('undoVesselEvent', ['vessel', 'food', 'supply', listOf('brood')]),
      strategies: build.query<ResponseOf<'getStrategies'>, void>({
        queryFn: () => call('getStrategies'),
        keepUnusedDataFor: 86_400,
      }),
      broods: build.query<BroodRow[], void>({
        queryFn: () => callAll('listBroods'),
        providesTags: [listOf('brood')],
      }),
      broodEvents: build.query<BroodEventRow[], string>({
        queryFn: (id) => callAll('listBroodEvents', { params: { id } }),
        providesTags: eventsOf('brood'),
      }),
      broodCard: build.query<ResponseOf<'printBroodCard'>, string>({
        queryFn: (id) => call('printBroodCard', { params: { id } }),
        keepUnusedDataFor: 0,
      }),
      broodDay: build.query<ResponseOf<'printBroodDay'>, BroodDayPage>({
        queryFn: ({ day, hand, tubs }) =>
          call('printBroodDay', {
            params: { day },
            query: {
              ...(hand === null ? {} : { hand }),
              ...(tubs === null ? {} : { tubs: tubs.join(',') }),
            },
          }),
        keepUnusedDataFor: 0,
      }),
      createBrood: change('createBrood', [listOf('brood'), ...PARENTS_FED]),
      beginConditioning: change('beginConditioning', ['brood', 'group', 'life', ...COMPUTED]),
      endConditioning: change('endConditioning', ['brood', 'group', 'life', ...COMPUTED]),
      editBrood: change('editBrood', [listOf('brood'), ...PARENTS_FED]),
      splitBrood: change('splitBrood', ['brood']),
      addBroodTub: change('addBroodTub', ['brood']),
      editBroodTub: change('editBroodTub', ['brood']),
      addBroodEvent: change('addBroodEvent', eventOf('brood', ...PARENTS_FED)),
      undoBroodEvent: change('undoBroodEvent', ['brood', ...PARENTS_FED]),
      waters: build.query<WaterRow[], void>({
        queryFn: async () => {
          const answer = await call('listWaters');
          return 'data' in answer ? { data: answer.data.tanks } : answer;
        },
        providesTags: [listOf('water'), 'tank', 'group', 'records'],
      }),
      waterEvents: build.query<WaterEventRow[], string>({
        queryFn: (id) => callAll('listWaterEvents', { params: { id } }),
        providesTags: eventsOf('water'),
      }),
      /** A measured temperature changes what the fish of the tank need. */
      addWaterEvent: change('addWaterEvent', (parts) => {
        const warmth: Stale[] =
          parts.body && 'tempC' in parts.body && parts.body.tempC !== null
            ? ['tank', ...COMPUTED]
            : [];
        return eventOf('water', ...warmth)(parts);
      }),
      undoWaterEvent: change('undoWaterEvent', ['water', 'tank', ...COMPUTED]),
      logChore: change('logChore', ['round']),
      undoChore: change('undoChore', ['round']),
      /** What was seen to be eaten is a fact of its group. */
      addSighting: change('addSighting', eventOf('sighting', 'group')),
      undoSighting: change('undoSighting', ['sighting', 'group', 'round']),
      editLearned: change('editLearned', eventOf('learned')),
      editHousehold: change('editHousehold', ['household', ...COMPUTED]),
      createMoment: change('createMoment', ['moment']),
      editMoment: change('editMoment', ['moment', ...COMPUTED]),
      addInventory: change('addInventory', ['tank', 'group', 'food', 'moment', ...COMPUTED]),
      createTank: change('createTank', ['tank']),
      editTank: change('editTank', ['tank', ...COMPUTED]),
      createGroup: change('createGroup', ['group', ...COMPUTED]),
      editGroup: change('editGroup', ['group', ...COMPUTED]),
      createSpecies: change('createSpecies', ['species']),
      editSpecies: change('editSpecies', ['species', 'group', ...COMPUTED]),
      addGroupEvent: change('addGroupEvent', eventOf('life', 'group', ...COMPUTED)),
      withdrawGroupEvent: change('withdrawGroupEvent', ['group', 'life', ...COMPUTED]),
      splitGroup: change('splitGroup', eventOf('life', 'group', ...COMPUTED)),
      mergeGroup: change('mergeGroup', ['group', 'life', ...COMPUTED]),
      moveGroups: change('moveGroups', ['group', 'life', ...COMPUTED]),
      importTable: build.mutation<ResponseOf<'importTable'>, CallParts<'importTable'>>({
        queryFn: (parts) => call('importTable', parts),
        invalidatesTags: (report) =>
          report?.written ? ['tank', 'group', 'life', 'food', 'recipe', ...COMPUTED] : [],
      }),
      editDiet: change('editDiet', ['group', ...COMPUTED]),
      createFood: change('createFood', ['food', 'supply']),
      editFood: change('editFood', ['food', ...COMPUTED]),
      addLot: change('addLot', ['food', 'supply', 'records']),
      editLot: change('editLot', ['food', 'supply', 'records']),
      countLot: change('countLot', ['food', 'supply']),
      addWeighing: change('addWeighing', ['food', ...COMPUTED]),
      undoWeighing: change('undoWeighing', ['food', ...COMPUTED]),
      createRecipe: change('createRecipe', ['recipe', 'food', 'supply']),
      editRecipe: change('editRecipe', ['recipe', 'food', ...COMPUTED]),
      makeBatch: change('makeBatch', ['recipe', 'food', ...COMPUTED]),
      undoBatch: change('undoBatch', ['recipe', 'food', ...COMPUTED]),
      // What a tap on the Round makes stale is read again when the taps have come to rest.
      logFeeding: change('logFeeding', []),
      undoFeeding: change('undoFeeding', []),
    };
  },
});
