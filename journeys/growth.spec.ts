import type { Locator, Page } from '@playwright/test';
import { expect, test } from './product';

const young = async (page: Page, url: string): Promise<string> => {
  const { items } = await (await page.request.get(`${url}/api/groups`)).json();
  return items.find(({ name }: { name: string }) => name === 'Young threadfins').id;
};

test('a group’s growth: its curve, its kind, when it reaches a length, and a few more measured', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/groups/${await young(page, demo.url)}`);
  await page.getByRole('button', { name: 'Growth' }).click();
  await expect(page.getByRole('img', { name: /^Young threadfins: / })).toBeVisible();
  await expect(page.getByText(/^Solid: a (Gompertz|von Bertalanffy) curve/)).toBeVisible();
  await expect(page.getByText(/^Sort them/)).toBeVisible();
  await expect(page.getByText(/ by their own curve\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Measure a few' }).click();
  await page.getByLabel('Total lengths, one after the other').fill('2.2 24mm 2,5 2.4');
  await expect(page.getByText(/^4 fish: mean 2.4 cm, likely/)).toBeVisible();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('They are noted; portions follow.')).toBeVisible();
  await expect(page.getByText('4 measured').first()).toBeVisible();
});

/** A picture of a ruler and of fish whose lengths are known, drawn here. */
const RULER = { x: 100, y: 700, cm: 10, pxPerCm: 60 };
const FISH = [
  { x: 150, y: 520, cm: 2.4 },
  { x: 500, y: 400, cm: 3.1 },
];
const SIZE = { width: 1200, height: 800 };

const drawn = (page: Page): Promise<string> =>
  page.evaluate(
    ([ruler, fish, size]) => {
      const canvas = document.createElement('canvas');
      canvas.width = size.width;
      canvas.height = size.height;
      const pen = canvas.getContext('2d')!;
      pen.fillStyle = '#dfe8e6';
      pen.fillRect(0, 0, size.width, size.height);
      pen.fillStyle = '#fff7d8';
      pen.fillRect(ruler.x, ruler.y, ruler.cm * ruler.pxPerCm, 60);
      pen.fillStyle = '#222';
      for (let cm = 0; cm <= ruler.cm; cm += 1) {
        pen.fillRect(ruler.x + cm * ruler.pxPerCm - 1, ruler.y, 2, 30);
      }
      for (const { x, y, cm } of fish) {
        const long = cm * ruler.pxPerCm;
        pen.beginPath();
        pen.ellipse(x + long * 0.42, y, long * 0.42, long * 0.14, 0, 0, 2 * Math.PI);
        pen.fill();
        pen.beginPath();
        pen.moveTo(x + long * 0.8, y);
        pen.lineTo(x + long, y - long * 0.1);
        pen.lineTo(x + long, y + long * 0.1);
        pen.fill();
      }
      return canvas.toDataURL('image/png').split(',')[1]!;
    },
    [RULER, FISH, SIZE] as const,
  );

/** Tap a place of the picture as large as it is shown. */
async function tap(picture: Locator, x: number, y: number) {
  const box = (await picture.boundingBox())!;
  await picture.click({
    position: { x: (x / SIZE.width) * box.width, y: (y / SIZE.height) * box.height },
  });
}

test('fish are measured in a picture beside a ruler, and the picture is kept with them', async ({
  page,
  demo,
}) => {
  const id = await young(page, demo.url);
  await page.goto(`${demo.url}/groups/${id}/growth`);
  await page.getByRole('button', { name: 'Measure a few' }).click();
  await page.getByRole('radio', { name: 'in a photo' }).click();
  await page.locator('input[type=file]').setInputFiles({
    name: 'beside-a-ruler.png',
    mimeType: 'image/png',
    buffer: Buffer.from(await drawn(page), 'base64'),
  });
  const picture = page.getByRole('img', { name: /^The picture: tap/ });
  await expect(picture).toBeVisible();
  await page.getByLabel(/^The stretch of ruler is/).fill('10');
  await tap(picture, RULER.x, RULER.y);
  await tap(picture, RULER.x + RULER.cm * RULER.pxPerCm, RULER.y);
  for (const { x, y, cm } of FISH) {
    await tap(picture, x, y);
    await tap(picture, x + cm * RULER.pxPerCm, y);
  }
  await expect(page.getByText(/^2 measured: /)).toBeVisible();
  await page.getByRole('button', { name: 'Take these lengths' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('They are noted; portions follow.')).toBeVisible();
  const { items } = await (await page.request.get(`${demo.url}/api/groups/${id}/events`)).json();
  const { id: eventId, lengthsCm } = items[0] as { id: string; lengthsCm: number[] };
  const off = lengthsCm.map((cm, at) => Math.abs(cm / FISH[at]!.cm - 1));
  test.info().annotations.push({
    type: 'lengths in a drawn picture, off by',
    description: off.map((share) => `${(share * 100).toFixed(1)} %`).join(', '),
  });
  for (const share of off) expect(share).toBeLessThan(0.03);
  const kept = await page.request.get(`${demo.url}/api/group-events/${eventId}/photo`);
  expect((await kept.json()).marks.fish).toHaveLength(2);
  await page.getByRole('button', { name: /^Picture of / }).click();
  await expect(page.getByLabel('2 fish beside a ruler, with their marks').first()).toBeVisible();
});

test('what is no picture is said', async ({ page, demo }) => {
  await page.goto(`${demo.url}/groups/${await young(page, demo.url)}/growth`);
  await page.getByRole('button', { name: 'Measure a few' }).click();
  await page.getByRole('radio', { name: 'in a photo' }).click();
  await page.locator('input[type=file]').setInputFiles({
    name: 'notes.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByText(/This picture cannot be read/)).toBeVisible();
});
