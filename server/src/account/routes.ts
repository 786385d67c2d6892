import { readHousehold, todayOf } from '../household/store';
import type { Handlers } from '../http/mount';
import { readHouse } from '../round/house';
import { accountIn } from './account';
import { accountCsv } from './csv';
import { logCsv } from './log';
import { summarySheet, type Summary } from './summarySheet';
import { groupSummary, tankSummary } from './summaries';

const printed = async (summary: Summary) => ({
  fileName: `${(summary.title.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).join('-')}-summary.pdf`,
  base64: Buffer.from(await summarySheet(summary)).toString('base64'),
});

export const accountRoutes = {
  async getAccount({ query }, { scope, catalogue }) {
    const { served: _, ...account } = await accountIn(
      scope,
      await readHouse(scope, catalogue),
      query,
    );
    return account;
  },

  async exportAccount({ query }, { scope, catalogue }) {
    const { part, ...span } = query;
    const account = await accountIn(scope, await readHouse(scope, catalogue), span);
    return {
      fileName: `${part}-${span.from}-${span.to}.csv`,
      text: accountCsv(account, part),
    };
  },

  async exportLog({ params }, { scope, catalogue, clock }) {
    const household = await readHouse(scope, catalogue);
    const today = await todayOf(scope, clock);
    return {
      fileName: `${params.log}-${today}.csv`,
      text: await logCsv(scope, household, params.log, today),
    };
  },

  async printGroupSummary({ params }, { scope, catalogue, clock }) {
    const household = await readHouse(scope, catalogue);
    const { currency } = await readHousehold(scope);
    const today = await todayOf(scope, clock);
    return printed(await groupSummary(scope, params.id, { household, today, currency }));
  },

  async printTankSummary({ params }, { scope, catalogue, clock }) {
    const household = await readHouse(scope, catalogue);
    const { currency } = await readHousehold(scope);
    const today = await todayOf(scope, clock);
    return printed(await tankSummary(scope, params.id, { household, today, currency }));
  },
} satisfies Partial<Handlers>;
