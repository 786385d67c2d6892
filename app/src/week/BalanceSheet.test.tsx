import type { BalancingRow, Line } from '@open-larder/contract';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { group } from '../testing/house';
import { sent } from '../testing/server';
import { chips, labelOf, open, tanks } from './week.testkit';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));
// The real solver; outside a browser it finds its own file.
jest.mock('highs', () => () => jest.requireActual<() => unknown>('highs')());

const sheet = () => within(screen.getByLabelText('Balance the plan'));

/** The board with its simulation done and the sheet open over it. */
async function openSheet(over: object = {}) {
  const asked = open(over);
  await screen.findByText(/Simulated\.$/);
  fireEvent.press(screen.getByText('Balance'));
  return asked;
}
const start = () => fireEvent.press(sheet().getByLabelText('Balance'));

const hungry = {
  ...group,
  diet: {
    ...group.diet!,
    // Kept as they are: what two meals can carry.
    goalFactor: 1,
    servings: group.diet!.servings.map((serving) => ({ ...serving, ownUnits: 0.5 })),
  },
};
const HUNGRY = { 'GET /api/groups': { items: [hungry], next: null } };

describe('balancing a plan', () => {
  it('changes as little as helps, and is taken change by change', async () => {
    const asked = await openSheet(HUNGRY);
    const before = chips().map(labelOf);
    start();
    expect(await screen.findByText(/^Take it$/)).toBeTruthy();
    // From hungry to within the band.
    expect(sheet().getByText('Zebrafish')).toBeTruthy();
    const [was] = sheet().getAllByText(/^\d+ →/);
    const [is] = sheet().getAllByText(/^\d+ %$/);
    expect(parseInt(String(was!.props.children), 10)).toBeLessThan(50);
    const share = parseInt(String(is!.props.children), 10);
    expect(share).toBeGreaterThanOrEqual(75);
    expect(share).toBeLessThanOrEqual(115);
    expect(sheet().getAllByText(/Zebrafish get too little: /).length).toBeGreaterThan(0);
    const acts = sheet().getAllByRole('checkbox');
    if (acts.length > 1) {
      fireEvent.press(acts[0]!);
      fireEvent.press(sheet().getByText(`Take ${acts.length - 1} of ${acts.length}`));
    } else fireEvent.press(sheet().getByText('Take it'));
    const after = chips().map(labelOf);
    expect(after).not.toEqual(before);
    // It stands on the board; nothing is saved by itself.
    expect(sent(asked, 'PUT')).toHaveLength(0);
    expect(screen.getByText('Save the plan')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Undo'));
    expect(chips().map(labelOf)).toEqual(before);
  });

  it('leaves alone what is pinned, and keeps the pins with the plan', async () => {
    const asked = await openSheet(HUNGRY);
    fireEvent.press(sheet().getByLabelText(/^Keep as it is/));
    fireEvent.press(sheet().getByRole('checkbox', { name: 'Zebrafish' }));
    start();
    expect(await screen.findByText(/No change found/)).toBeTruthy();
    fireEvent.press(screen.getByText('Leave the plan as it is'));
    fireEvent.press(screen.getByText('Save the plan'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    expect(sent(asked, 'PUT')[0]).toMatchObject({ pins: { groups: ['g1'], foods: [] } });
  });

  it('leaves the plan alone where the result is not wanted', async () => {
    await openSheet(HUNGRY);
    start();
    fireEvent.press(await screen.findByText('Leave the plan as it is'));
    expect(screen.getByText('Saved')).toBeTruthy();
  });

  it('says what would help most, each with what it is', async () => {
    await openSheet(HUNGRY);
    fireEvent.press(sheet().getByText('What would help most?'));
    expect(await screen.findByText(/^1\. |^Nothing that was tried would/)).toBeTruthy();
  });
});

/** A server that shows lines when the test says so. */
function reportingServer() {
  const waiting: ((part: { done: boolean; value?: Uint8Array }) => void)[] = [];
  const unread: { done: boolean; value?: Uint8Array }[] = [];
  const push = (part: { done: boolean; value?: Uint8Array }) => {
    const next = waiting.shift();
    if (next) next(part);
    else unread.push(part);
  };
  let left = false;
  const plain = globalThis.fetch;
  globalThis.fetch = jest.fn(async (input: unknown, init?: RequestInit) => {
    if (!String(input).endsWith('/balance')) return plain(input as string, init);
    init!.signal!.addEventListener('abort', () => {
      left = true;
    });
    return {
      ok: true,
      headers: new Headers({ 'Content-Type': 'application/x-ndjson' }),
      body: {
        getReader: () => ({
          read: () => {
            const part = unread.shift();
            return part
              ? Promise.resolve(part)
              : new Promise((resolve) => void waiting.push(resolve));
          },
        }),
      },
    } as unknown as Response;
  }) as typeof fetch;
  const say = (text: string) => push({ done: false, value: new TextEncoder().encode(text) });
  return {
    report: (line: Line<'balancePlan'>) => act(async () => say(`${JSON.stringify(line)}\n`)),
    /** Part of a line: the rest comes later. */
    say: (text: string) => act(async () => say(text)),
    drop: () => act(async () => push({ done: true })),
    left: () => left,
  };
}

describe('balancing in a house of over forty tanks', () => {
  const LARGE = { ...HUNGRY, 'GET /api/tanks': { items: tanks(41), next: null } };
  const news = (over: Partial<BalancingRow> = {}): Line<'balancePlan'> => ({
    progress: { done: 10, of: 40, ...over },
  });
  const [first] = hungry.diet.servings;
  const answer: Line<'balancePlan'> = {
    answer: {
      found: [
        {
          ways: ['leastChange', 'leastWork', 'shy'],
          acts: [
            {
              groupId: 'g1',
              reason: 'short',
              does: 'amount',
              servingId: first!.id,
              units: 3,
              fromUnits: 0.5,
            },
          ],
        },
      ],
    },
  };

  it('is done by the server, which shows how far it is', async () => {
    await openSheet(LARGE);
    const server = reportingServer();
    start();
    await server.report(news());
    expect(screen.getByText('Trying changes: 25 %')).toBeTruthy();
    // A line may come in two parts.
    const line = `${JSON.stringify(news({ done: 30 }))}\n`;
    await server.say(line.slice(0, 20));
    await server.say(line.slice(20));
    expect(screen.getByText('Trying changes: 75 %')).toBeTruthy();
    await server.report(answer);
    expect(await screen.findByText('The best way')).toBeTruthy();
    expect(sheet().getByLabelText(/Zebrafish get 3 pinches .*, not ½ pinch$/)).toBeTruthy();
    expect(sheet().getByText(/^one change · /)).toBeTruthy();
  });

  it('stops in the server when it is cancelled', async () => {
    await openSheet(LARGE);
    const server = reportingServer();
    start();
    await server.report(news());
    fireEvent.press(screen.getByText('Cancel'));
    expect(server.left()).toBe(true);
    expect(sheet().getByLabelText('Balance')).toBeTruthy();
  });

  it('says so when the line breaks, or the server refuses', async () => {
    await openSheet(LARGE);
    let server = reportingServer();
    start();
    await server.report(news());
    await server.drop();
    expect(await screen.findByText(/The server cannot be reached/)).toBeTruthy();
    server = reportingServer();
    start();
    await waitFor(() => expect(screen.queryByText(/cannot be reached/)).toBeNull());
    await server.report({
      problem: { type: 'about:blank', title: 'x', status: 409, detail: 'Not in time.' },
    });
    expect(await screen.findByText('Not in time.')).toBeTruthy();
  });
});
