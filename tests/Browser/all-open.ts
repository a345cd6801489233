import { ledgers } from './ledgers';

/** Playwright itself waits for one address: tests begin once all of them answer. */
export default async function allOpen(): Promise<void> {
    const until = Date.now() + 240_000;
    for (const { address } of Object.values(ledgers)) {
        const answers = () =>
            fetch(`${address}/up`).then(
                (response) => response.ok,
                () => false,
            );
        while (!(await answers())) {
            if (Date.now() > until) {
                throw new Error(`${address} did not open.`);
            }
            await new Promise((done) => setTimeout(done, 500));
        }
    }
}
