import { expect, test } from '@playwright/test';
import { accessible, place, production, signIn } from './book';

test('an exercise is set, answered by keyboard alone, and says what was missed', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await production(page, 'Output Practice');
    await place(page, 'Practice');
    const form = page.getByRole('form', { name: 'Set an exercise' });
    await form.getByLabel('Exercise').selectOption({ label: 'mistakes of your own choice' });
    await form.getByLabel('Title').fill('Half <b>and</b> black');
    await form.getByRole('checkbox', { name: 'scale below full' }).check();
    await form.getByRole('checkbox', { name: 'black frames' }).check();
    await accessible(page, 'setting an exercise');
    await form.getByRole('button', { name: 'Set it' }).press('Enter');
    await expect(page.getByRole('status').first()).toHaveText('“Half <b>and</b> black” is set.');

    await signIn(page, 'wren@practice.example');
    await page.getByRole('navigation', { name: 'Folios' }).getByRole('link', { name: 'Practice' }).press('Enter');
    // a learner is told no mistakes
    await expect(page.getByText('scale below full')).toBeHidden();
    await page.getByRole('link', { name: 'Half <b>and</b> black' }).press('Enter');
    await page.getByRole('button', { name: 'Begin' }).press('Enter');
    await expect(page.getByRole('row', { name: /picture.scale/ })).toContainText('50');
    const answer = page.getByRole('form', { name: 'Your answer' });
    await answer.getByLabel('It does not').press('Space');
    await answer.getByLabel(/^Render scale/).press('Space');
    await answer.getByLabel('Find a cause').fill('scale');
    await answer.getByLabel(/^scale below full/).press('Space');
    await answer.getByLabel('Find a cause').fill('sides');
    await answer.getByLabel(/^sides swapped/).press('Space');
    await answer.getByLabel('Frames to render again').fill('1001-');
    await accessible(page, 'an answer');
    await page.keyboard.press('Enter');
    await expect(answer.getByRole('alert')).toBeVisible();
    await answer.getByLabel('Frames to render again').fill('1001-1002');
    await page.keyboard.press('Enter');
    const marks = page.getByRole('region', { name: / points$/ });
    await expect(marks).toContainText('scale below full. The scene renders at 50 % of the size asked');
    await expect(marks).toContainText('sides-swapped is not the matter: it would show as');
    await expect(marks).toContainText('black frames.');
    await expect(marks).toContainText('You left out 1003-');
    await accessible(page, 'marks');
    await marks.getByRole('button', { name: 'Take another one of the kind' }).press('Enter');
    await expect(answer).toBeVisible();

    await signIn(page, 'corvin@harbour.example');
    await production(page, 'Output Practice');
    await place(page, 'Practice');
    await expect(page.getByRole('region', { name: 'How each cause was told' })).toContainText('black frames');
    await expect(page.getByRole('region', { name: 'Who answered what' })).toContainText('Wren Tolliver');
});

test('a specification is written for a described job, by keyboard', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await production(page, 'Output Practice');
    await place(page, 'Practice');
    const form = page.getByRole('form', { name: 'Set an exercise' });
    await form.getByLabel('Exercise').selectOption({ label: 'write the specification of a described job' });
    await form.getByLabel('Title').fill('Ask for it');
    await form.getByRole('button', { name: 'Set it' }).press('Enter');
    await expect(page.getByRole('status').first()).toHaveText('“Ask for it” is set.');
    await expect(page.getByRole('listitem').filter({ hasText: 'Ask for it' })).toContainText('is to be written');

    await signIn(page, 'juna@practice.example');
    await page.getByRole('navigation', { name: 'Folios' }).getByRole('link', { name: 'Practice' }).press('Enter');
    await page.getByRole('link', { name: 'Ask for it' }).press('Enter');
    await page.getByRole('button', { name: 'Begin' }).press('Enter');
    await expect(page.getByText('No frame may be black')).toBeVisible();
    const mine = page.getByRole('form', { name: 'Your specification' });
    await expect(mine.getByRole('button', { name: 'Have it marked' })).toBeDisabled();
    await mine.getByLabel('ask for more').selectOption({ label: 'Bit depth' });
    await mine.getByLabel('Bit depth', { exact: true }).fill('deep');
    await accessible(page, 'writing a specification');
    await page.keyboard.press('Enter');
    await expect(mine.getByRole('alert')).toBeVisible();
    await mine.getByLabel('Bit depth', { exact: true }).fill('16');
    await page.keyboard.press('Enter');
    const marks = page.getByRole('region', { name: / points$/ });
    await expect(marks).toContainText('4 of 11 points');
    await expect(marks).toContainText('It lets this pass: three frames are black. Black frames would tell it.');
    await expect(page.getByRole('region', { name: 'What you wrote' })).toContainText('16');
    await accessible(page, 'what it lets pass');
});
