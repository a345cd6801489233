import type { ReactNode } from 'react';
import { classes } from '../lib/classes';

/** A heading of a page, with a rule below it. */
export function Heading({ children, className }: { children: ReactNode; className?: string }) {
    return <h2 className={classes('title border-b border-edge pb-1 text-[18px]', className)}>{children}</h2>;
}
