import type { Page } from '@playwright/test';
import { address } from './steps.ts';

/** Frames twelve weeks with the demo’s themes, but for what is changed of the form. */
export async function frameTerm(page: Page, change: Record<string, string> = {}): Promise<void> {
  const fields = {
    'What is it called?': 'Twelve weeks',
    'First day': '2027-04-05',
    'Last day': '2027-06-25',
    'Themes, one to a line, one for each week':
      'wheels\nshadows\npost and parcels\nbridges\nwashing day\nnight sounds\npockets and buttons\nweather in a jar',
    ...change,
  };
  await page.goto(address('/term/new'));
  for (const [label, value] of Object.entries(fields)) await page.getByLabel(label).fill(value);
  await page.getByRole('button', { name: 'Plan a term' }).click();
}
