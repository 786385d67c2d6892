import { beginning, makeDatabase, NOW, serverOver, type Household } from './server';

/** Before the journeys: each household's first start is made once, for the tests to copy. */
export default async function begin(): Promise<void> {
  for (const household of ['demo', 'empty'] satisfies Household[]) {
    await makeDatabase(beginning(household));
    const server = await serverOver(beginning(household), household);
    await server.start(NOW);
    await server.end('SIGTERM');
  }
}
