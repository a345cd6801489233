import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { accessible, home, open, production, signIn } from './book';

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

test('the folio of a movie says how it is made, beside what was made', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_REEL', 'Movie');

    const recipe = page.getByRole('region', { name: 'How reel is made' });
    await expect(recipe.getByRole('row', { name: /First and last/ })).toContainText('1 to 48');
    await expect(recipe.getByRole('row', { name: /Frame rate/ })).toContainText('the movie: 25');
    await expect(page.getByText('This browser does not play it (png).')).toBeVisible();
    await accessible(page, 'how a movie is made');
    const [download] = await Promise.all([
        page.waitForEvent('download'),
        recipe.getByRole('link', { name: 'commands for an encoder' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('TC_REEL-reel.sh');
    // nobody who owes frames alone is shown a folio for movies
    await open(page, 'TC_010');
    await expect(page.getByRole('navigation', { name: 'Folios' })).not.toContainText('Movie');
});

test('pictures that this browser plays are held against the frames', async ({ page }) => {
    const folder = join(home(), 'intake/tide_clock/TC_REEL/v003');
    const path = join(folder, 'TC_REEL_v003.mp4');
    const before = readFileSync(path);
    const made = (...how: string[]) => {
        const from = ['-framerate', '24', '-i', join(folder, 'TC_REEL_v003.%04d.png')];
        execFileSync('ffmpeg', ['-v', 'error', '-y', ...from, ...how, '-pix_fmt', 'yuv420p', '-c:v', 'libx264', path]);
    };
    const check = async () => {
        await open(page, 'TC_REEL');
        const done = page.waitForResponse((response) => /\/frames$/.test(response.url()) && response.ok());
        await page.getByRole('button', { name: 'Check again' }).click();
        await done;
        await open(page, 'TC_REEL', 'Movie');
        await expect(page.getByText('h264 is not decoded here').first()).toBeVisible({ timeout: 60_000 });
    };
    await signIn(page);
    await production(page, 'The Tide Clock');
    made();
    await check();
    await page.getByRole('button', { name: 'Its pictures above frames' }).click();
    const beside = page.getByRole('region', { name: 'reel beside frames' });
    await expect(beside.getByRole('img')).toHaveCount(8);
    await expect(beside.getByRole('listitem').last()).toContainText('48 · 48');
    await accessible(page, 'pictures above their frames');
    await beside.getByRole('button', { name: 'Hold its pictures against frames' }).click();
    await expect(page.getByText('Its pictures were looked at through a browser.')).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText('in their order, each once')).toBeVisible();

    made('-vf', 'reverse');
    await check();
    await page.getByRole('button', { name: 'Hold its pictures against frames' }).click();
    await expect(page.getByText('The movie shows its frames from the last to the first.')).toBeVisible({
        timeout: 60_000,
    });
    await expect(page.getByText('seen through a browser')).toHaveCount(1);
    writeFileSync(path, before);
});

test('a movie that browsers play is gone through picture by picture', async ({ page }) => {
    const path = join(home(), 'intake/tide_clock/TC_REEL/v003/TC_REEL_v003.mp4');
    const before = readFileSync(path);
    const check = async () => {
        await open(page, 'TC_REEL');
        const done = page.waitForResponse((response) => /\/frames$/.test(response.url()) && response.ok());
        await page.getByRole('button', { name: 'Check again' }).click();
        await done;
    };
    await signIn(page);
    await production(page, 'The Tide Clock');
    writeFileSync(path, readFileSync('tests/fixtures/movies/av1.mp4'));
    await check();
    await expect(page.getByText('av1')).not.toHaveCount(0, { timeout: 60_000 });
    await open(page, 'TC_REEL', 'Movie');
    const player = page.getByRole('group', { name: 'Player of reel' });
    await player.getByRole('button', { name: 'Next picture' }).click();
    await expect(player).toContainText('frame 2, picture 2');
    await player.getByRole('button', { name: 'Next picture' }).press('ArrowRight');
    await expect(player).toContainText('picture 3');
    await player.getByRole('button', { name: 'Picture before' }).press('Home');
    await expect(player).toContainText('picture 1');
    await player.getByRole('button', { name: 'Play' }).click();
    await expect(player).not.toContainText('picture 1 ');
    await accessible(page, 'a player');
    // as it was, for whoever comes next
    writeFileSync(path, before);
    await check();
    await expect(page.getByText('45 pictures at 25 a second')).toBeVisible({ timeout: 60_000 });
});
