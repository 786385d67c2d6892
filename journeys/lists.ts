import { chromium, type Locator, type Page } from '@playwright/test';
import { v7 as uuidv7 } from 'uuid';

/**
 * How long a keeper waits for a list in Chromium once the house is loaded: a house of 300 tanks and
 * 1 500 groups against the demo's eight tanks, in one run.
 */
const TANKS = 300;
const GROUPS_A_TANK = 5;
const RUNS = 5;
const LIMIT = 'under 300 ms';

const large = process.env.OPEN_LARDER_LARGE_URL ?? '';
const small = process.env.OPEN_LARDER_URL ?? '';

async function ask(url: string, method: string, path: string, body?: object) {
  const answer = await fetch(url + path, {
    method,
    headers: body ? { 'Content-Type': 'application/json' } : {},
    body: body ? JSON.stringify(body) : undefined,
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${await answer.text()}`);
  return answer.json();
}

/** Fill an empty household through its own doors: a pasted table, a food, and a diet for everyone. */
async function fill(url: string): Promise<void> {
  if ((await ask(url, 'GET', '/api/tanks?limit=1')).items.length > 0) return;
  const kinds = ['zebrafish', 'kuhli loach', 'guppy', 'neon tetra', 'bristlenose', 'cherry shrimp'];
  const lines = Array.from({ length: TANKS * GROUPS_A_TANK }, (_, at) => {
    const tank = Math.floor(at / GROUPS_A_TANK) + 1;
    const kind = kinds[at % kinds.length];
    return `Rack ${tank},80 x 35 x 40 cm,${22 + (tank % 6)} C,${kind},${5 + (at % 20)},${kind} ${at}`;
  });
  const text = ['tank,size,temp,species,number,group', ...lines].join('\n');
  const report = await ask(url, 'POST', '/api/tables/house', { text, write: true });
  if (!report.written) throw new Error('the house for the bench was not taken in');
  const foodId = uuidv7();
  await ask(url, 'POST', '/api/foods', {
    id: foodId,
    name: 'Bench flake',
    family: 'grain',
    kind: 'dry',
    form: 'floats',
    composition: { protein: 0.46, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 },
    plantShare: 0.35,
    unit: { name: 'pinch', plural: 'pinches', massG: 0.02, step: 0.5 },
    inWater: { floatMinutes: 10, sinkCmPerS: 0.5, particleMinMm: 0.5, particleMaxMm: 2 },
    steps: [],
    keeps: { sealedDays: null, openedDays: null, preparedHours: null },
    liftAfterMin: 5,
    cautions: { people: [], fish: [] },
    copiedFrom: null,
    lot: null,
  });
  const moments = (await ask(url, 'GET', '/api/moments')).items as { id: string }[];
  let cursor: string | null = null;
  do {
    const page: { items: { id: string }[]; next: string | null } = await ask(
      url,
      'GET',
      `/api/groups?limit=500${cursor ? `&cursor=${cursor}` : ''}`,
    );
    for (const { id } of page.items) {
      const serving = {
        id: uuidv7(),
        foodId,
        momentId: moments[0]?.id,
        zone: 'mid',
        place: '',
        days: [1, 2, 3, 4, 5, 6, 7],
        weight: 1,
        ownUnits: null,
        manner: { afterMin: 0, spots: 1, carried: false, soaked: false, apart: false },
      };
      await ask(url, 'PUT', `/api/groups/${id}/diet`, {
        version: 0,
        fastWeekdays: [],
        goalFactor: null,
        rules: [],
        servings: [serving],
      });
    }
    cursor = page.next;
  } while (cursor !== null);
}

/** What a keeper does: a tap, or words typed; and what should then be in sight. */
interface Act {
  on: Locator;
  type?: string;
  /** Of a label, or of a text. */
  label?: RegExp;
  text?: RegExp;
}

/** Milliseconds from an act to the painted answer, measured in the page itself. */
const timedOnce = ({ on, type, label, text }: Act): Promise<number> =>
  on.evaluate(
    (element, { typed, labelled, said }) =>
      new Promise<number>((resolve, reject) => {
        const wanted = new RegExp(labelled ?? said ?? '');
        const inSight = () =>
          labelled === null
            ? [...document.querySelectorAll('[dir="auto"]')].some((one) =>
                wanted.test(one.textContent ?? ''),
              )
            : [...document.querySelectorAll('[aria-label]')].some((one) =>
                wanted.test(one.getAttribute('aria-label') ?? ''),
              );
        const begin = performance.now();
        const look = () => {
          if (performance.now() - begin > 20_000) reject(new Error(`never saw ${wanted}`));
          else if (!inSight()) requestAnimationFrame(look);
          // Once more round: what is there has then been painted.
          else requestAnimationFrame(() => resolve(performance.now() - begin));
        };
        if (typed === null) {
          (element as HTMLElement).click();
        } else {
          const input = element as HTMLInputElement;
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(
            input,
            typed,
          );
          input.dispatchEvent(new Event('input', { bubbles: true }));
        }
        requestAnimationFrame(look);
      }),
    { typed: type ?? null, labelled: label?.source ?? null, said: text?.source ?? null },
  );

/** The median of some runs. */
async function timed(prepare: () => Promise<unknown>, act: () => Act): Promise<number> {
  const times: number[] = [];
  for (let run = 0; run < RUNS; run += 1) {
    await prepare();
    times.push(await timedOnce(act()));
  }
  return median(times);
}

const median = (times: number[]) =>
  times.sort((a, b) => a - b)[Math.floor(times.length / 2)] as number;

interface FeedingModel {
  page: Page;
  /** What a row of each list says, at first and after filtering. */
  tank: RegExp;
  group: RegExp;
  filter: string;
  found: RegExp;
}

const place = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name });
const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true });
const field = (page: Page, name: string) => page.getByLabel(name);
const elsewhere = async ({ page }: FeedingModel) => {
  await place(page, 'Larder').click();
  await page.getByRole('heading', { name: 'Larder', level: 1 }).waitFor();
};
const tanks = async ({ page }: FeedingModel) => {
  await place(page, 'Tanks').click();
  await page.getByRole('heading', { name: 'Tanks', level: 1 }).waitFor();
};

const TANK_FILTER = 'Filter by tank, kind or fish';
const FISH_FILTER = 'Filter by name, species, stage or tank';
const SPECIES_SEARCH = 'Search by any name, or by family';

/** Each list, one after the other: a later one may begin where an earlier one ended. */
const MEASURES: { title: string; of: (house: FeedingModel) => Promise<number> }[] = [
  {
    title: 'tanks, first rows',
    of: (house) =>
      timed(
        () => elsewhere(house),
        () => ({ on: place(house.page, 'Tanks'), label: house.tank }),
      ),
  },
  {
    title: 'tanks, filtered',
    of: (house) =>
      timed(
        () => field(house.page, TANK_FILTER).fill(''),
        () => ({ on: field(house.page, TANK_FILTER), type: house.filter, text: house.found }),
      ),
  },
  {
    title: 'all fish, first rows',
    of: (house) =>
      timed(
        () => tanks(house),
        () => ({ on: tab(house.page, 'All fish'), label: house.group }),
      ),
  },
  {
    title: 'all fish, filtered',
    of: (house) =>
      timed(
        () => field(house.page, FISH_FILTER).fill(''),
        () => ({
          on: field(house.page, FISH_FILTER),
          type: house.filter,
          text: /^\d\d? groups?, \d+ fish$/,
        }),
      ),
  },
  {
    title: 'all fish, scrolled far',
    of: async ({ page }) => {
      await field(page, FISH_FILTER).fill('');
      const times: number[] = [];
      for (let run = 0; run < RUNS; run += 1) times.push(await scrollFar(page));
      return median(times);
    },
  },
  {
    title: 'species, first rows',
    of: (house) =>
      timed(
        () => tanks(house),
        () => ({ on: tab(house.page, 'Species'), label: /^Adolfo/ }),
      ),
  },
  {
    title: 'species, searched in spite of spelling',
    of: (house) =>
      timed(
        () => field(house.page, SPECIES_SEARCH).fill(''),
        () => ({
          on: field(house.page, SPECIES_SEARCH),
          type: 'kulhi loach',
          label: /^Kuhli loach/,
        }),
      ),
  },
  {
    title: 'round, first stops',
    of: (house) =>
      timed(
        () => elsewhere(house),
        () => ({ on: place(house.page, 'Round'), label: /^(Served|Undo|Less, more)/ }),
      ),
  },
  {
    title: 'week, its board',
    of: (house) =>
      timed(
        () => elsewhere(house),
        () => ({ on: place(house.page, 'Week'), label: /^(Add food|Change): / }),
      ),
  },
  {
    title: 'records, first figures',
    of: (house) =>
      timed(
        () => elsewhere(house),
        () => ({ on: place(house.page, 'Records'), text: /^(By food|Nothing)/ }),
      ),
  },
];

/** Milliseconds from a long scroll until rows stand in the middle of the pane again. */
const scrollFar = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const pane = [...document.querySelectorAll('div')].find(
          (one) =>
            one.scrollHeight > one.clientHeight + 100 &&
            /auto|scroll/.test(getComputedStyle(one).overflowY),
        );
        if (!pane) {
          reject(new Error('no list to scroll'));
          return;
        }
        pane.scrollTop = 0;
        const begin = performance.now();
        pane.scrollTop = 20 * pane.clientHeight;
        const look = () => {
          const { left, top, width, height } = pane.getBoundingClientRect();
          const there = document.elementFromPoint(left + width / 3, top + height / 2);
          if (there?.closest('[role="link"]')) resolve(performance.now() - begin);
          else requestAnimationFrame(look);
        };
        requestAnimationFrame(() => requestAnimationFrame(look));
      }),
  );

async function open(
  browser: Awaited<ReturnType<typeof chromium.launch>>,
  url: string,
): Promise<Page> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  // The loader names functions by a helper of its own, which a page does not have.
  await page.addInitScript('globalThis.__name = (named) => named');
  for (const path of ['/larder', '/fish', '/species', '/round?', '/tanks']) {
    await page.goto(url + path);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.getByLabel('Loading').first().waitFor({ state: 'detached' });
  }
  return page;
}

async function main(): Promise<void> {
  await fill(large);
  const browser = await chromium.launch({
    executablePath: process.env.OPEN_LARDER_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  });
  const big: FeedingModel = {
    page: await open(browser, large),
    tank: /^Rack \d+/,
    group: /(zebrafish|kuhli loach|guppy|neon tetra|bristlenose|cherry shrimp) \d+/,
    filter: 'rack 299',
    found: /^\d of 300/,
  };
  const demo: FeedingModel = {
    page: await open(browser, small),
    tank: /^(Millpond|Sluice|Tarn)/,
    group: /^(Pearl gouramis|Upside-down catfish|Killifish fry|Medaka)/,
    filter: 'race',
    found: /^1 of 8/,
  };
  for (const { title, of } of MEASURES) {
    const theirs = await of(big);
    const base = await of(demo);
    process.stdout.write(
      `| ${`300 tanks against 8: ${title}`.padEnd(52)} | ${`${Math.round(theirs)} ms`.padStart(12)} | ` +
        `${`${Math.round(base)} ms`.padStart(12)} | ${(theirs / base).toFixed(2).padStart(6)} | ${LIMIT} |\n`,
    );
  }
  await browser.close();
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
