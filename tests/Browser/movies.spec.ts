import { expect, test } from '@playwright/test';
import { accessible, open, production, signIn } from './book';

test('a movie says what it is, and what was seen of its frames', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_REEL');

    await expect(page.getByText('45 pictures at 25 a second: 1.8 seconds.')).toBeVisible();
    await expect(page.getByText('They are frames 1-45, in their order, each once.')).toBeVisible();
    await expect(page.getByText('Every picture is a keyframe.')).toBeVisible();
    const margin = page.getByRole('complementary').filter({ hasText: 'Put right' });
    await expect(margin).toContainText('The movie has 45 pictures, and 48 are asked: 3 pictures too few.');
    await expect(margin).toContainText('The rate is 25, and 24 is asked: the rate of another standard.');
    await expect(margin).toContainText('Make the movie again from frames 1-48, each still one frame: 48 in all.');
    await accessible(page, 'a movie beside its frames');
});

test('a movie by itself shows where its keyframes are, and the bit rate that fits', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_FOYER');

    await expect(page.getByText('Upright lines are keyframes, up to 72 pictures apart.')).toBeVisible();
    const index = page.getByRole('navigation', { name: 'Index of deliverables' });
    await expect(index.getByRole('link', { name: /TC_FOYER/ })).toContainText('a movie to make again');
    const margin = page.getByRole('complementary').filter({ hasText: 'Put right' });
    await expect(margin).toContainText('a bit rate of 2.64 Mbit/s fits');
    await expect(margin).toContainText('in two passes');
    await page.getByRole('button', { name: 'Night' }).click();
    await accessible(page, 'a movie by night');
});
