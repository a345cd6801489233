import { defineConfig } from '@playwright/test';
import { ledgers, type LedgerName } from './tests/Browser/ledgers';

// two ledgers of their own, each gone through by one test after another: tests change what is asked
const acts = /(parts|people|practice|scenes|specifying|telling|work)\.spec\.ts$/;
const of = (name: LedgerName) => ({
    name,
    workers: 1,
    use: { baseURL: ledgers[name].address },
});

export default defineConfig({
    testDir: 'tests/Browser',
    workers: 2,
    fullyParallel: false,
    // generous, since a busy machine is no fault
    timeout: 180_000,
    expect: { timeout: 20_000 },
    reporter: 'list',
    outputDir: 'test-results',
    use: {
        viewport: { width: 1280, height: 800 },
        actionTimeout: 30_000,
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [
                '--headless',
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
    },
    projects: [
        { ...of('acts'), testMatch: acts },
        { ...of('looks'), testIgnore: acts },
    ],
    globalSetup: './tests/Browser/all-open.ts',
    webServer: {
        command: 'tests/Browser/serve',
        url: `${ledgers.looks.address}/up`,
        timeout: 300_000,
        reuseExistingServer: false,
        gracefulShutdown: { signal: 'SIGTERM', timeout: 8000 },
        env: {
            LEDGER_TEST_PLACES: Object.values(ledgers)
                .map(({ port, home }) => `${port}:${home}`)
                .join(' '),
        },
    },
});
