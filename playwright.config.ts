import { defineConfig } from '@playwright/test';

// another test, or a colleague's, may have one already: bin/test looks for a free one
const port = Number(process.env.LEDGER_TEST_PORT ?? 8123);
const home = process.env.LEDGER_TEST_HOME ?? `/tmp/plain-ledger-browser-test-${port}`;
// tests look into it too
process.env.LEDGER_TEST_HOME = home;

export default defineConfig({
    testDir: 'tests/Browser',
    // one ledger, one after another: tests change what is asked
    workers: 1,
    fullyParallel: false,
    // generous, since a busy machine is no fault
    timeout: 120_000,
    expect: { timeout: 15_000 },
    reporter: 'list',
    outputDir: 'test-results',
    use: {
        baseURL: `http://127.0.0.1:${port}`,
        viewport: { width: 1280, height: 800 },
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
    webServer: {
        command: `mkdir -p ${home} && bin/start --fresh --port ${port}`,
        url: `http://127.0.0.1:${port}/up`,
        timeout: 240_000,
        reuseExistingServer: false,
        gracefulShutdown: { signal: 'SIGTERM', timeout: 8000 },
        env: {
            DB_DATABASE: `${home}/ledger.sqlite`,
            DB_SIDE_DATABASE: `${home}/side.sqlite`,
            LEDGER_INTAKE: `${home}/intake`,
            LEDGER_FILES_AT_ONCE: '90',
        },
    },
});
