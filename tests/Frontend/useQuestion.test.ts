// @vitest-environment happy-dom
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { useQuestion } from '../../resources/js/lib/useQuestion';

/** Questions that wait for an answer, by what was asked; the hook under test follows what is typed. */
function asked() {
    const open = new Map<string, { answer: (value: string) => void; fail: () => void; stop: AbortSignal }>();
    let key: string | null = 'first';
    const { result, rerender, unmount } = renderHook(() =>
        useQuestion(key, (stop) => {
            const own = key ?? '';

            return new Promise<string>((answer, refuse) => {
                open.set(own, { answer, fail: () => refuse(new TypeError('no network')), stop });
            });
        }),
    );

    return {
        open,
        result,
        unmount,
        type: (text: string | null) => {
            key = text;
            rerender();
        },
        settle: (change: () => void) =>
            act(async () => {
                change();
                await vi.advanceTimersByTimeAsync(0);
            }),
        pause: () => act(() => vi.advanceTimersByTimeAsync(200)),
    };
}

describe('a question that follows what is typed', () => {
    beforeEach(() => {
        vi.useFakeTimers();
    });
    afterEach(() => {
        vi.useRealTimers();
    });

    test('waits for a pause, and asks once', async () => {
        const page = asked();
        page.type('f');
        page.type('fo');
        page.type('fog');
        await page.pause();
        expect([...page.open.keys()]).toEqual(['fog']);
        expect(page.result.current).toEqual({ answer: null, fault: null, asking: true });
        await page.settle(() => page.open.get('fog')?.answer('thick'));
        expect(page.result.current).toEqual({ answer: 'thick', fault: null, asking: false });
    });

    test('an answer to what is no longer asked is not shown, however late it comes', async () => {
        const page = asked();
        await page.pause();
        page.type('second');
        await page.pause();
        expect(page.open.get('first')?.stop.aborted).toBe(true);
        await page.settle(() => page.open.get('second')?.answer('new'));
        await page.settle(() => page.open.get('first')?.answer('old'));
        expect(page.result.current.answer).toBe('new');
    });

    test('a failure is said, and what was known stays; nothing asked is nothing known', async () => {
        const page = asked();
        await page.pause();
        await page.settle(() => page.open.get('first')?.answer('known'));
        page.type('second');
        await page.pause();
        await page.settle(() => page.open.get('second')?.fail());
        expect(page.result.current.answer).toBe('known');
        expect(page.result.current.fault).toBeTruthy();
        page.type(null);
        await page.pause();
        expect(page.result.current).toEqual({ answer: null, fault: null, asking: false });
        page.unmount();
    });
});
