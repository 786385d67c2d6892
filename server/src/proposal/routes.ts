import { cutPage, readCursor } from '../db';
import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { readHouse } from '../round/house';
import { answeredOf } from './answered';
import { answersAfter } from './answers';
import { groundOf, proposalsOf } from './ground';
import { answerProposal, undoAnswer } from './store';

export const proposalRoutes = {
  async getProposals(_, { scope, clock, catalogue }) {
    const today = await todayOf(scope, clock);
    return proposalsOf(await groundOf(scope, await readHouse(scope, catalogue), today));
  },

  async answerProposal({ body }, { scope, clock, catalogue }) {
    const today = await todayOf(scope, clock);
    return scope.atomically(async (inside) => {
      const ground = await groundOf(inside, await readHouse(inside, catalogue), today);
      return answerProposal(inside, body, ground);
    });
  },

  async listAnswers({ query }, { scope, clock, catalogue }) {
    const today = await todayOf(scope, clock);
    const rows = await answersAfter(scope, readCursor(query.cursor, 'day', 'seq'), query.limit + 1);
    const { items, next } = cutPage(rows, query.limit, ({ day, seq }) => [day, seq]);
    const answers = items.map(({ seq: _, ...answer }) => answer);
    return {
      items: await answeredOf(scope, await readHouse(scope, catalogue), answers, today),
      next,
    };
  },

  async undoAnswer({ params, body }, { scope, clock, catalogue }) {
    const today = await todayOf(scope, clock);
    return scope.atomically(async (inside) =>
      undoAnswer(inside, params.id, body, await readHouse(inside, catalogue), today),
    );
  },
} satisfies Partial<Handlers>;
