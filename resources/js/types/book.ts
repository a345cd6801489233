/** What pages are given, as the server builds it. */

import type { Group, RequirementId } from './requirements';

export type Mark = 'equal' | 'unequal' | 'waived' | 'unknown';

export type Verdict = 'balanced' | 'unbalanced' | 'open';

export interface Due {
    at: string;
    words: string;
    late: boolean;
}

export interface IndexLine {
    id: number;
    code: string;
    title: string;
    owner: string | null;
    due: Due | null;
    verdict: Verdict | null;
    waived: boolean;
    holdsUp: string | null;
    /** something else is asked since it was checked */
    stale: boolean;
    /** the page that has the trouble */
    folio: 'scene' | 'frames';
}

export interface Book {
    production: { id: number; code: string; name: string; kind: string };
    role: string | null;
    decides: boolean;
    index: IndexLine[];
}

export interface Deliverable extends IndexLine {
    specification: string;
    revision: number;
    folios: { scene: Mark | null; frames: Mark | null };
}

export interface Cell {
    mark: Mark;
    found: string | null;
    runs?: { frames: string; found: string; pass?: string }[];
    stale?: boolean;
}

export interface Entry {
    id: RequirementId;
    part: string;
    level: 'must' | 'should';
    mark: Mark;
    required: string;
    scene?: Cell;
    files?: Cell;
    why?: string;
    set_by: string;
    pass?: string;
    waiver?: { reason: string; by?: string; key?: number };
    find_out?: string;
}

export interface Cause {
    id: string;
    part: string;
    side: 'scene' | 'files';
    says: string;
    evidence: string[];
    explains: string[];
    or: string[];
    /** the one pass of several that it concerns */
    pass?: string;
}

export interface Fix {
    kind: string;
    part: string;
    says: string;
    pass?: string;
    id?: string;
    frames?: string;
    count?: number;
    from?: string;
    to?: string;
    files?: string;
    shift?: number;
    key: string;
    done: boolean;
}

/** What has become of a check since the one before it. */
export interface SinceBefore {
    put_right: string[];
    accepted: string[];
    new: string[];
    back: string[];
    still: string[];
    unasked: { id: string; label: string; from: string; to: string }[];
}

export interface Sequence {
    part: string | null;
    pass: string | null;
    folder: string;
    pattern: string;
    expected: string;
    present: string;
    damaged: string;
    missing: string;
    extra: string;
    rerender: string;
}

export interface NameReading {
    part: string;
    pass?: string;
    name: string;
    frames: string;
    pieces: { piece: string; asked: string; found: string; differs: string[] }[];
}

export interface CheckDocument {
    title: string;
    verdict: Verdict;
    depth: 'quick' | 'full';
    entries: Entry[];
    not_checked: { id: string; part: string; pass?: string; why: string }[];
    sequences: Sequence[];
    causes: Cause[];
    fixes: Fix[];
    fixes_count: number;
    names: NameReading[];
    names_count: number;
    movies: { part: string; path: string; kind: string }[];
    strays: string[];
    strays_count: number;
    not_understood: string[];
    not_understood_count: number;
    scene: {
        file: string | null;
        makes: string[];
        comes_to: { id: string; label: string; says: string; part?: string }[];
    } | null;
    since: SinceBefore | null;
    strip: { part: string; pass: string | null; wrong: string; sizes: [number, number][]; pictures?: number[] }[];
}

export interface Ledger {
    id: number;
    made: string;
    by: string | null;
    revision: number;
    /** nothing else is asked since */
    current: boolean;
    /** files were arriving then, and should be there by now */
    arrived: boolean;
    /** all that are owed */
    parts: string[];
    scene: { name: string; part: string | null; at: string } | null;
    delivery: {
        root: string | null;
        rootId: number | null;
        folder: string;
        depth: string;
        files: number;
        bytes: number;
        at: string;
    } | null;
    labels: Record<string, { label: string; group: string }>;
    newest: boolean;
    specification: string;
    document: CheckDocument;
}

export interface PastCheck {
    id: number;
    verdict: Verdict;
    waived: boolean;
    holdsUp: string;
    made: string;
    revision: number;
    of: string;
    by: string | null;
}

export interface Progress {
    id: number;
    state: string;
    done: number;
    all: number | null;
    at: string;
    left: number | null;
    /** seconds for which nothing has moved; null while it moves */
    still: number | null;
    alone: boolean;
}

export type Layer = 'house' | 'specification' | 'deliverable';

/** A requirement as it stands, what each layer says of it, and the marks by which another's change is noticed. */
export interface AskedLine {
    id: RequirementId;
    label: string;
    group: Group;
    value: string;
    level: 'must' | 'should';
    why: string | null;
    setBy: Layer;
    sentence: string;
    example: string;
    words: string[];
    layers: Partial<Record<Layer, string | null>>;
    tokens: Partial<Record<Layer, string>>;
}

/** What one layer asks and a higher one asks no more. */
export interface DroppedLine {
    id: RequirementId;
    label: string;
    by: Layer;
    from: Layer;
    value: string;
    tokens: Partial<Record<Layer, string>>;
}

export interface Offer {
    requirement: RequirementId;
    value: string | null;
    says: string;
}

/** Requirements that cannot all be met, with the smallest changes that end it. */
export interface Quarrel {
    requirements: RequirementId[];
    part: string;
    says: string;
    offers: Offer[];
}

export interface Ruler {
    cut: [number, number];
    delivered: [number, number];
    head: number;
    tail: number;
}

export interface ShapeShown {
    width: number;
    height: number;
    aspect: string;
    spoken: string;
}

/** What follows from what is asked of a part. */
export interface Implied {
    name: string;
    delivers: string;
    madeFrom: string | null;
    prose: string;
    consequences: { label: string; value: string }[];
    shape: ShapeShown | null;
    ruler: Ruler | null;
    names: { sets: { pass: string | null; folder: string; names: string[] }[]; tree: string[] } | null;
    notes: string[];
    quarrels: Quarrel[];
}

export interface AskedPart extends Implied {
    lines: AskedLine[];
    dropped: DroppedLine[];
}

export interface Offered {
    id: RequirementId;
    label: string;
    group: Group;
    example: string;
    also: string;
    words: string[];
}

export interface State {
    token: string;
    by: string | null;
    at: string | null;
}

export interface Asked {
    parts: AskedPart[];
    values: Record<string, string>;
    own: Record<string, string> | [];
    offered: Offered[];
    notUnderstood: string[];
    usedBy: number;
    specification: number;
    state: State;
}
