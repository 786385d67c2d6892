import { atRest } from './atRest';
import { expect, test, openStop } from './product';

test('what was seen becomes other portions: accepted, taken back, declined', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/round`);
  await atRest(page);
  await page.getByRole('button', { name: /^\d+ proposals/ }).click();
  await page.getByRole('button', { name: /^Give Pearl gouramis \d+ % less$/ }).click();
  await expect(page.getByText(/^Pearl gouramis get \d+ % less from now on\.$/)).toBeVisible();
  const goal = async () => {
    const { items } = await (await page.request.get(`${demo.url}/api/groups`)).json();
    return items.find((one: { name: string }) => one.name === 'Pearl gouramis').diet.goalFactor;
  };
  expect(await goal()).toBeLessThan(1.8);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Give Pearl gouramis/ })).toBeVisible();
  await expect.poll(goal).toBeNull();
  await page.getByRole('button', { name: 'Leave the portions of Pearl gouramis' }).click();
  await expect(page.getByText(/not asked again for four weeks/)).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^(\d+ proposals|A proposal)/ }).click();
  await expect(page.getByText(/Glass catfish refuse/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Give Pearl gouramis/ })).toBeHidden();
});

test('a food that is refused is trained: mixed in, logged, and in the end in the diet', async ({
  page,
  demo,
}) => {
  await demo.letItBe(page, '2026-03-11T18:20:00Z');
  await page.goto(`${demo.url}/round`);
  await atRest(page);
  await page.getByRole('button', { name: /^(\d+ proposals|A proposal)/ }).click();
  await page
    .getByRole('button', { name: 'Train Glass catfish onto frozen brine shrimp', exact: true })
    .click();
  await expect(page.getByText(/the mixed meal is on the round/)).toBeVisible();
  await openStop(page, 'Race');
  await expect(page.getByText('Training, step 1 of 5: mix it in')).toBeVisible();
  await page
    .getByRole('button', { name: /^Served: .* frozen brine shrimp for Glass catfish/i })
    .click();
  const { items } = await (await page.request.get(`${demo.url}/api/groups`)).json();
  const group = items.find((one: { name: string }) => one.name === 'Glass catfish');
  await page.goto(`${demo.url}/groups/${group.id}`);
  await expect(page.getByText('Trained onto frozen brine shrimp')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Step 1 of 5' })).toBeVisible();
  await page.getByRole('button', { name: 'End the training of Glass catfish' }).click();
  await expect(page.getByText('Glass catfish: the training has ended.')).toBeVisible();
  // Gone first: what is tapped next is the one that comes back, not the one that goes.
  await expect(page.getByText('Trained onto')).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page
    .getByRole('button', { name: 'Put frozen brine shrimp into the diet of Glass catfish' })
    .click();
  await expect(page.getByText(/have frozen brine shrimp in their diet now/)).toBeVisible();
  await expect(page.getByText('Trained onto')).toBeHidden();
});
