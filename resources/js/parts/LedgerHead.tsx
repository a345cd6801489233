import type { ReactNode } from 'react';

/** The head of a table: what stands in its columns, and how wide they are. */
export function LedgerHead({ columns }: { columns: readonly (readonly [title: ReactNode, width?: string])[] }) {
    const isSized = columns.some(([, width]) => width !== undefined);

    return (
        <>
            {isSized && (
                <colgroup>
                    {columns.map(([, width], at) => (
                        <col key={at} style={{ width }} />
                    ))}
                </colgroup>
            )}
            <thead>
                <tr>
                    {columns.map(([title], at) => (
                        <th key={at} scope="col" className={at === 0 ? undefined : 'column'}>
                            {title}
                        </th>
                    ))}
                </tr>
            </thead>
        </>
    );
}
