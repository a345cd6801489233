/** What the pages of a render are given. */

export interface PlanJob {
    id: number;
    code: string;
    frames: string;
    count: number;
    word: 'in time' | 'late' | 'perhaps late' | 'never' | 'no date';
    perFrame: string;
    samples: number;
    ready: [string, string, string] | null;
    due: string | null;
    late: string | null;
    fits: { range: string; count: number; scale: number | null } | null;
    disk: string | null;
}

export interface Plan {
    ready: string | null;
    machines: number;
    needed: number | null;
    frames: number;
    bytes: string | null;
    jobs: PlanJob[];
}

export interface LogShown {
    id: number;
    name: string;
    followed: boolean;
    shape: string | null;
    read: number;
    size: number;
    fault: string | null;
    at: string;
    reading: {
        finished: string;
        begun: string;
        last: number | null;
        files: number;
        lastFile: string | null;
        lines: number;
        median: number | null;
        slow: [number, number][];
        beside: number;
        warnings: number;
        errors: number;
        messages: [string, string, number][];
        clock: string | null;
        progress: {
            expected: string;
            count: number;
            done: number;
            left: string;
            leftCount: number;
            resume: number | null;
            beyond: string;
            secondsLeft: [number, number] | null;
        } | null;
    } | null;
}
