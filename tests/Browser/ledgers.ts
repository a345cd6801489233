/** The ledgers that tests work on, at the same time and without knowing of each other. */

export type LedgerName = 'acts' | 'looks';

interface TestLedger {
    port: number;
    address: string;
    /** where its databases and its intake lie */
    home: string;
}

// another test, or a colleague's, may have these already: bin/test looks for two free ones
const first = Number(process.env.LEDGER_TEST_PORT ?? 8123);

const at = (port: number): TestLedger => ({
    port,
    address: `http://127.0.0.1:${port}`,
    home: `/tmp/plain-ledger-browser-test-${port}`,
});

export const ledgers: Record<LedgerName, TestLedger> = { acts: at(first), looks: at(first + 1) };
