import type { Answered } from '@open-larder/contract';
import { api } from './api';
import { callAll } from './call';

/** What is told of the past: asked for by the pages that tell it, and loaded with them. */
export const ledgerApi = api.injectEndpoints({
  endpoints: (build) => ({
    answers: build.query<Answered[], void>({
      queryFn: () => callAll('listAnswers'),
      providesTags: ['proposal', 'group', 'sighting', 'look', 'water'],
    }),
  }),
});
