import { todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { readHouse } from '../round/house';
import { answerProposal, groundOf, proposalsOf, undoAnswer } from './store';

export const proposalRoutes: Handlers = {
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

  async undoAnswer({ params, body }, { scope, clock }) {
    const today = await todayOf(scope, clock);
    return scope.atomically((inside) => undoAnswer(inside, params.id, body, today));
  },
};
