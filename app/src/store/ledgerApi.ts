import type {
  Account,
  Answered,
  LifeEventRow,
  Rating,
  ResponseOf,
  TrialRow,
} from '@open-larder/contract';
import { api, listOf } from './api';
import { call, callAll, type CallParts } from './call';

/** What is reported of the past, and trials: asked for by the pages that tell it, and loaded with them. */
export const ledgerApi = api
  .enhanceEndpoints({ addTagTypes: ['trial', 'rating'] })
  .injectEndpoints({
    endpoints: (build) => ({
      answers: build.query<Answered[], void>({
        queryFn: () => callAll('listAnswers'),
        providesTags: ['proposal', 'group', listOf('sighting'), 'look', listOf('water')],
      }),
      account: build.query<Account, { from: string; to: string }>({
        queryFn: (query) => call('getAccount', { query }),
        providesTags: ['records', listOf('life'), listOf('water'), 'rating', 'food', 'tank'],
      }),
      /** What happened to several groups, each newest first, by their ids. */
      lives: build.query<Record<string, LifeEventRow[]>, readonly string[]>({
        queryFn: async (ids) => {
          const report: Record<string, LifeEventRow[]> = {};
          for (const id of ids) {
            const answer = await callAll('listGroupEvents', { params: { id } });
            if ('error' in answer) return answer;
            report[id] = answer.data;
          }
          return { data: report };
        },
        providesTags: [listOf('life')],
      }),
      trials: build.query<TrialRow[], void>({
        queryFn: () => callAll('listTrials'),
        providesTags: ['trial', listOf('life'), 'group'],
      }),
      createTrial: build.mutation<ResponseOf<'createTrial'>, CallParts<'createTrial'>>({
        queryFn: (parts) => call('createTrial', parts),
        invalidatesTags: (_, error) => (error ? [] : ['trial']),
      }),
      editTrial: build.mutation<ResponseOf<'editTrial'>, CallParts<'editTrial'>>({
        queryFn: (parts) => call('editTrial', parts),
        // The next edit goes out with its version, though the list is not read again yet.
        async onQueryStarted(_, { dispatch, queryFulfilled }) {
          const done = await queryFulfilled.catch(() => null);
          if (done === null) return;
          dispatch(
            ledgerApi.util.updateQueryData('trials', undefined, (rows) =>
              rows.map((row) => (row.id === done.data.id ? done.data : row)),
            ),
          );
        },
        // A stale edit also means that what is cached is old.
        invalidatesTags: ['trial'],
      }),
      ratings: build.query<Rating[], void>({
        queryFn: () => callAll('listRatings'),
        providesTags: ['rating'],
      }),
      addRating: build.mutation<ResponseOf<'addRating'>, CallParts<'addRating'>>({
        queryFn: (parts) => call('addRating', parts),
        invalidatesTags: (_, error) => (error ? [] : ['rating']),
      }),
      undoRating: build.mutation<ResponseOf<'undoRating'>, CallParts<'undoRating'>>({
        queryFn: (parts) => call('undoRating', parts),
        invalidatesTags: (_, error) => (error ? [] : ['rating']),
      }),
    }),
  });
