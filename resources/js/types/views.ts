/* Written by bin/generate from the view models; changes here are lost. */

import type { RequirementId, Group } from './requirements';

export type About =
    | 'production'
    | 'people'
    | 'deliverable'
    | 'specification'
    | 'requirement'
    | 'acceptance'
    | 'files'
    | 'link'
    | 'account'
    | 'submission';

export interface AboutPage {
    book: Book;
    deliverable: DeliverableHead;
    about: { code: string; title: string; specification: number; owner: number | null; due: string };
    specifications: { id: number; title: string }[];
    people: { id: number; name: string; role: Role }[];
    isAway: boolean;
    checks: number;
}

export interface AdministrationPage {
    people: {
        id: number;
        name: string;
        email: string;
        productions: string[];
        isAdministrator: boolean;
        isDisabled: boolean;
        isReader: boolean;
        hasCodes: boolean;
    }[];
    productions: {
        id: number;
        code: string;
        name: string;
        kind: string;
        people: number;
        deliverables: number;
        isArchived: boolean;
        isSample: boolean;
        isIn: boolean;
    }[];
    /** deleted, and not forgotten yet */
    deleted: { id: number; code: string; name: string; until: string }[];
    health: { what: string; says: string; well: boolean }[];
    backups: { newest: string | null; many: number; folder: string };
    /** Bytes that databases and files of the ledger take. */
    storage: string;
    /** Pieces of work that wait for their turn. */
    waiting: number;
    failed: { id: string; what: string; why: string; at: string }[];
    fresh: string | null;
}

export interface AgainstPage {
    book: Book;
    deliverable: DeliverableHead;
    /** the later one */
    now: { id: number; made: string };
    before: { id: number; made: string };
    since: { put_right: string[]; accepted: string[]; new: string[]; still: string[] };
    /** lines whose files differ */
    lines: {
        label: string;
        part: string;
        pass: string | null;
        now: { mark: Mark; found: string | null } | null;
        before: { mark: Mark; found: string | null } | null;
    }[];
    frames: {
        part: string;
        pass: string;
        come: string;
        gone: string;
        whole: string;
        damaged: string;
        rerender: string;
    }[];
    files: {
        folder: string;
        pattern: string;
        same: string;
        changed: string;
        come: string;
        gone: string;
        file: string;
    }[];
}

export interface Asked {
    parts: AskedPart[];
    /** what pieces of names stand for */
    values: Record<string, string>;
    /** those of the deliverable alone */
    own: Record<string, string>;
    offered: OfferedRequirement[];
    notUnderstood: string[];
    usedBy: number;
    /** The specification's id. */
    specification: number;
    state: AskedState;
}

export interface AskedLine {
    id: RequirementId;
    label: string;
    group: Group;
    value: string;
    level: Level;
    why: string | null;
    setBy: SetBy;
    sentence: string;
    example: string;
    words: string[];
    layers: Record<string, string | null>;
    tokens: Record<string, string>;
}

export interface AskedPart extends ImpliedPart {
    lines: AskedLine[];
    dropped: DroppedLine[];
}

export interface AskedState {
    token: string;
    by: string | null;
    at: string | null;
}

export interface AssignmentForm {
    /** As a field for a day and a time has it, on the course's clock; empty for none. */
    due: string;
    zone: string;
    grace: number;
    percent: string;
    most: string;
    closes: number | null;
    attempts: number | null;
    counts: CountingAttempt;
    needed: Needed;
    share: Share;
    bonus: string;
    anonymous: boolean;
    /** by group, `*` for all that have none of their own */
    groups: { name: string; points: string }[];
    /** lines with points of their own */
    lines: { id: string; points: string }[];
    /** what is asked */
    asked: { id: string; label: string; group: string }[];
}

export interface AssignmentPage {
    book: Book;
    id: number;
    title: string;
    /** others of the course */
    others: { id: number; title: string }[];
    form: AssignmentForm;
    released: string | null;
    hidesNames: boolean;
    rows: AssignmentRow[];
    /** learners who have none of it yet */
    without: string[];
    /** the commonest first */
    common: { cause: string; says: string; who: string[] }[];
    distribution: { from: number; to: number; count: number }[];
    same: {
        a: string;
        b: string;
        files: [string, string][];
        fileCount: number;
        pictureCount: number;
        pictures: [string, string][];
        told: string[];
        timeCount: number;
    }[];
    /** of causes that were found here */
    phrases: { cause: string; usual: string; own: string }[];
}

export interface AssignmentRow {
    id: number;
    who: string;
    /** Null where names are kept from those who mark. */
    code: string | null;
    due: string | null;
    /** Whether another time than everybody's, or more attempts, were granted. */
    extended: boolean;
    attempts: number;
    returned: boolean;
    /** Whether anything was checked yet. */
    checked: boolean;
    /** Null where nothing was handed in. */
    counting: CountingShown | null;
}

export interface AttemptShown {
    id: number;
    number: number;
    at: string;
    by: string | null;
    late: string;
    isLate: boolean;
    verdict: Verdict;
    /** Whether a learner's points are those of this one. */
    counts: boolean;
    /** Null where points are not told yet. */
    points: string | null;
    of: string;
    returned: string | null;
}

export interface Board {
    rows: BoardRow[];
    /** those that anybody is asked something of */
    groups: Group[];
    /** whom each cause is found of, the commonest first */
    causes: CommonCause[];
    /** settings that the scenes of a specification share, and whose are others */
    agreement: SharedSetting[];
}

export interface BoardPage {
    book: Book;
    board: Board;
    specifications: { id: number; title: string }[];
    people: { id: number; name: string; role: Role }[];
    /** deliverables that were put away */
    away: { id: number; code: string; title: string }[];
    views: {
        id: number;
        name: string;
        which: string;
        text: string;
        specification: string | null;
        by: string;
        down: boolean;
        columns: string[];
    }[];
}

export interface BoardRow {
    id: number;
    code: string;
    title: string;
    owner: string | null;
    ownerId: number | null;
    specification: string;
    specificationId: number;
    due: Due | null;
    /** seconds since 1970 */
    dueAt: number | null;
    /** What is otherwise than it was yesterday, in a word. */
    changed: string | null;
    stale: boolean;
    holdsUp: string | null;
    /** the page that has the trouble */
    folio: 'scene' | 'frames';
    /** by group */
    marks: Record<string, Mark>;
    good: number;
    all: number;
    waived: number;
    /** What the first cause says. */
    cause: string | null;
    causes: string[];
    verdict: Verdict | null;
    scene: boolean;
    files: boolean;
    /** seconds since 1970 */
    checked: number | null;
    when: string | null;
}

export interface Book {
    production: { id: number; code: string; name: string; kind: string; archived: boolean };
    role: Role | null;
    decides: boolean;
    /** How many deliverables the reader may see in it: its index is asked for apart. */
    owed: number;
    /** How much is set to practise on. */
    practice: number;
}

export interface BookIndex {
    lines: IndexLine[];
}

export interface BringPage {
    book: Book;
    /** those it can be of */
    deliverables: { id: number; code: string; owner: string | null }[];
}

export interface BroughtFile {
    kind: BroughtKind;
    says: string;
    deliverable: number | null;
    /** deliverables that it could be of */
    perhaps: number[];
    /** of a list of people */
    people: { name: string; email: string }[];
}

export type BroughtKind =
    | 'pictures'
    | 'movie'
    | 'sound'
    | 'settings'
    | 'list'
    | 'people'
    | 'log'
    | 'names'
    | 'checksums'
    | 'delivery-archive'
    | 'settings-archive'
    | 'document'
    | 'of-system'
    | 'unknown';

export interface CalculatorPage {
    calculations: OfferedSum[];
}

export type Cause = {
    id: string;
    part: string;
    side: Side;
    says: string;
    evidence: string[];
    explains: string[];
    or: string[];
    pass?: string;
};

export interface CausesPage {
    causes: {
        id: string;
        name: string;
        from: string;
        by: string;
        found: { id: number; code: string; folio: string }[];
    }[];
}

export type Cell = {
    mark: Mark;
    found: string | null;
    runs?: { frames: string; found: string; pass?: string }[];
    stale?: boolean;
};

export type CheckDocument = {
    title: string;
    verdict: Verdict;
    depth: ScanDepth;
    entries: Entry[];
    not_checked: { id: string; part: string; pass?: string; why: string }[];
    sequences: Sequence[];
    causes: Cause[];
    fixes: Fix[];
    fixes_count: number;
    names: NameReading[];
    names_count: number;
    movies: Movie[];
    strays: string[];
    strays_count: number;
    not_understood: string[];
    not_understood_count: number;
    scene: CheckedScene | null;
    since: SinceBefore | null;
    strip: Strip[];
};

export interface CheckPage {
    book: Book;
    deliverable: DeliverableHead;
    ledger: Ledger;
}

export type CheckState = 'queued' | 'running' | 'done' | 'stopped' | 'failed';

export interface CheckToSign {
    id: number;
    at: string;
    depth: string;
    verdict: Verdict | null;
    files: number;
    bytes: number;
    /** Its files lie on the disk of whoever had them checked. */
    own: boolean;
    folder: string;
}

export type CheckedScene = {
    file: string | null;
    makes: string[];
    comes_to: { id: string; label: string; says: string; part?: string }[];
};

export type CommonCause = {
    id: string;
    who: { id: number; code: string; owner: string | null; says: string; folio: 'scene' | 'frames' }[];
};

export interface ConflictShown {
    requirements: RequirementId[];
    part: string;
    says: string;
    resolutions: SuggestedChange[];
}

export type CountingAttempt = 'last' | 'best';

export interface CountingShown {
    handIn: number;
    at: string;
    /** Null where it came in time. */
    late: string | null;
    verdict: Verdict;
    /** Null where those who mark do not agree. */
    points: string | null;
    of: string;
    /** What somebody who looks may still give; null where nothing is open. */
    open: string | null;
    /** Percent of the points, 0 to 100 and above; null where there are none, or none agreed on. */
    percent: number | null;
    disputed: boolean;
    /** Whether somebody has marked it: given points, or said something of it. */
    marked: boolean;
    /** What most likely went wrong first. */
    cause: string | null;
}

export interface CourseTable {
    assignments: { id: number; title: string; of: string | null; hidden: boolean }[];
    /** by assignment */
    people: { id: number; name: string; number: string | null; points: string[] }[];
}

export interface DeliverableHead extends IndexLine {
    specification: string;
    revision: number;
    /** each folio's own mark */
    folios: { scene: Mark | null; frames: Mark | null };
    /** Whether a movie is owed, whose folio has a mark of its own. */
    owesMovie: boolean;
    movie: Mark | null;
    /** Whether a sign-off of it stands. */
    submitted: boolean;
}

export type Delivers = 'frames' | 'still' | 'movie' | 'file';

export type DeliveryOrigin = 'intake' | 'own' | 'upload';

export interface DroppedLine {
    id: RequirementId;
    label: string;
    by: SetBy;
    from: SetBy;
    value: string;
    tokens: Record<string, string>;
}

export interface Due {
    at: string;
    words: string;
    late: boolean;
}

export interface EnterScenePage {
    book: Book;
    deliverable: DeliverableHead;
    entry: EntrySheet;
}

export type Entry = {
    id: RequirementId;
    part: string;
    level: Level;
    mark: Mark;
    required: string;
    scene?: Cell;
    files?: Cell;
    why?: string;
    set_by: string;
    pass?: string;
    waiver?: { reason: string; by?: string; key?: number };
    find_out?: string;
};

export interface EntryRow {
    field: string;
    line: string;
    label: string;
    group: Group | null;
    required: string | null;
    level: Level | null;
    example: string;
    /** what it can be, where that is a matter of a few words */
    words: string[];
    where: string | null;
}

export interface EntrySheet {
    /** all that are owed; of several, one is typed in at a time */
    parts: string[];
    part: string | null;
    rows: EntryRow[];
    /** what was typed, or brought otherwise, the last time */
    typed: Record<string, string>;
}

export interface FaultPage {
    status: number;
    says: string | null;
}

export interface FeedbackPage {
    book: Book;
    id: number;
    who: string;
    assignment: string;
    specification: number;
    /** Null where names are kept from those who mark. */
    deliverable: number | null;
    check: number | null;
    feedback: FeedbackShown;
    decides: boolean;
    /** what the reader has to say of it */
    own: { points: string | null; remark: string };
    /** what others who mark have to say */
    others: { by: string; points: string | null; remark: string }[];
    disputed: boolean;
    agreed: string | null;
    returned: string | null;
    mayReturn: boolean;
    /** hand-ins that count of others, in the order of the assignment */
    beside: { before: number | null; after: number | null };
}

export interface FeedbackShown {
    /** whose, of what, when */
    about: { name: string; value: string }[];
    lines: { label: string; earned: string; of: string; open: string; bad: string[]; untold: string[] }[];
    /** what is added to them, and taken off */
    sums: { label: string; points: string }[];
    /** Null where those who mark do not agree yet. */
    total: string | null;
    possible: string;
    causes: { says: string; next: string }[];
    remarks: { by: string; text: string }[];
}

export type FieldUnit =
    'factor' | 'percent' | 'bit/s' | 'kbit/s' | 'Mbit/s' | 'kHz' | 'Hz' | 'per cm' | 'per inch' | 'counted from 0';

export interface Finished {
    id: number;
    code: string;
    production: string;
    verdict: Verdict | null;
    waived: boolean;
    says: string;
    when: string;
    /** the page that has the trouble */
    folio: 'scene' | 'frames';
}

export type Fix = {
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
};

export interface FolderContents {
    below: string;
    folders: string[];
    /** names of what can be looked into like a folder */
    archives: string[];
    files: number;
    /** some names */
    sample: string[];
    /** whether there are more folders than are told */
    more: boolean;
}

export interface Found {
    kind: string;
    says: string;
    more: string;
    url: string;
}

export interface FoundScene {
    label: string;
    content: string;
    /** Whose it says that it is. */
    whose: string;
    deliverable: number | null;
    /** deliverables that it could be of */
    perhaps: number[];
    settings: number;
    /** How many of its names were not understood. */
    unknown: number;
}

export interface FoundScenes {
    scenes: FoundScene[];
    /** why others were refused */
    refused: string[];
    deliverables: { id: number; code: string; owner: string | null }[];
}

export interface FramePlace {
    /** below the folder that was checked */
    path: string;
    /** bytes */
    size: number;
    /** seconds since 1970 */
    modified: number;
}

export interface FramesPage {
    book: Book;
    deliverable: DeliverableHead;
    may: { specify: boolean; check: boolean };
    ledger: Ledger | null;
    past: PastCheck[];
    roots: IntakePlace[];
    running: Progress | null;
    broken: Unfinished | null;
    watch: WatchedFolder | null;
    /** Pixels are to be looked at: from elsewhere whole pictures have to be sent for that. */
    looks: boolean;
}

export interface FromListPage {
    book: Book;
    specifications: { id: number; title: string }[];
    /** what a column can mean */
    columns: { word: string; label: string }[];
    learners: { id: number; name: string; handle: string }[];
}

export interface GradebookPage {
    book: Book;
    assignments: { id: number; title: string }[];
    table: CourseTable;
}

export interface HandInPage {
    book: Book;
    deliverable: DeliverableHead;
    own: OwnLine;
    needed: Needed;
    /** what would be handed in */
    check: { id: number; at: string; verdict: Verdict | null; scene: boolean; files: boolean } | null;
    /** Whether a check of it has not come to its end yet. */
    underWay: boolean;
    /** How the newest check ended before its end. */
    broken: Unfinished | null;
    /** Why nothing can be handed in now. */
    obstacle: string | null;
    /** How late it would be now; null where it would be in time. */
    late: string | null;
    left: number | null;
    counts: CountingAttempt;
    /** the newest first */
    attempts: AttemptShown[];
    /** what is wrong now, the likeliest first */
    causes: { says: string; next: string }[];
    /** the least work that puts it right, in order */
    fixes: string[];
    rules: { zone: string; due: string | null; grace: number; percent: string; closes: number | null };
    /** what was granted beyond the rules */
    extension: { due: boolean; attempts: number; why: string } | null;
    team: { members: { id: number; name: string }[]; possible: { id: number; name: string }[] };
    released: boolean;
    may: { handIn: boolean; decide: boolean };
}

export interface HandOutPage {
    book: Book;
    deliverable: DeliverableHead;
    may: { specify: boolean };
    conflicts: ConflictShown[];
    links: SheetLinkShown[];
}

export interface HistoryPage {
    book: Book | null;
    acts: { id: number; at: string; who: string; about: About; what: string }[];
    filters: { about: string; who: string; text: string; from: string; until: string };
    people: string[];
    subjects: About[];
    page: number;
    pages: number;
    all: number;
}

export interface HousePage {
    book: Book;
    lines: AskedLine[];
    starting: StartingLine[];
    offered: OfferedRequirement[];
    faults: ConflictShown[];
}

export interface ImpliedPart {
    name: string;
    delivers: Delivers;
    madeFrom: string | null;
    prose: string;
    consequences: { label: string; value: string }[];
    /** as it is shown: pixels made square */
    shape: ShapeShown | null;
    ruler: Ruler | null;
    names: { sets: NameSet[]; tree: string[] } | null;
    /** what should be known of the names */
    notes: string[];
    conflicts: ConflictShown[];
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
    /** Something else is asked since it was checked. */
    stale: boolean;
    /** the page that has the trouble */
    folio: 'scene' | 'frames';
}

export interface IntakePlace {
    id: number;
    label: string;
    /** Where this deliverable is expected. */
    own: string;
    /** the folder that should be there, and what makes it */
    wanted: { folder: string; make: string | null } | null;
}

export type InvitationKind = 'administrator' | 'member' | 'password';

export interface JoinPage {
    kind: InvitationKind | null;
    production: string | null;
    role: Role | null;
    name: string;
    email: string;
    /** Who is signed in, and may take it up as they are. */
    reader: string | null;
    word: string;
}

export interface KeptScene {
    id: number;
    code: string;
    verdict: Verdict | null;
    holdsUp: string | null;
    cause: string | null;
    fault: string | null;
}

export interface Ledger {
    id: number;
    made: string;
    by: string | null;
    revision: number;
    /** All of what is asked, by whomever, is still what this check was made by. */
    current: boolean;
    /** Files were arriving then, and should be there by now. */
    arrived: boolean;
    /** frames, and the milliseconds they took to render; where a log has told */
    took: [number, number][];
    /** all that are owed */
    parts: string[];
    scene: { name: string; part: string | null; at: string } | null;
    delivery: ShownDelivery | null;
    /** by id */
    labels: Record<string, { label: string; group: string }>;
    /** A line is accepted in the newest check alone. */
    newest: boolean;
    /** Names and places can be put right by renaming, and it is the newest. */
    movable: boolean;
    /** Not from here, though: only by a script that is taken to where they are. */
    elsewhere: boolean;
    /** what was renamed in its folder last */
    moved: { id: number; files: number; by: string | null; at: string } | null;
    specification: string;
    document: CheckDocument;
}

export type Level = 'must' | 'should';

export type LinkKind = 'sheet' | 'check' | 'record';

export interface ListPreview {
    headings: string[] | null;
    /** what each column means */
    columns: (string | null)[] | null;
    /** the first rows as they stand */
    sample: string[][];
    notes: string[];
    /** By which writing it is asked for later: where the book has changed since, it is another one. */
    seal: string;
    counts: { make: number; change: number; same: number; refuse: number };
    /** those that are refused first, then in their order */
    rows: ListPreviewRow[];
    /** How many more there are than are shown. */
    more: number;
}

export interface ListPreviewRow {
    does: RowAction;
    line: number;
    code: string;
    title: string | null;
    owner: string | null;
    due: string | null;
    /** by requirement */
    asks: Record<string, string>;
    /** by piece of a name */
    values: Record<string, string>;
    frames: number | null;
    changes: { what: string; from: string; to: string }[];
    faults: string[];
    notes: string[];
}

export type LogEvent = 'started' | 'finished' | 'file' | 'warning' | 'error';

export type LogFacts = {
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
    progress: LogProgress | null;
};

export type LogFile = { name: string; bytes: number };

export type LogProgress = {
    expected: string;
    count: number;
    done: number;
    left: string;
    leftCount: number;
    resume: number | null;
    beyond: string;
    secondsLeft: [number, number] | null;
};

export interface LogShown {
    id: number;
    name: string;
    /** It lies in the intake, and is read on as it grows. */
    followed: boolean;
    shape: string | null;
    /** Bytes. */
    read: number;
    /** Bytes. */
    size: number;
    fault: string | null;
    at: string;
    reading: LogFacts | null;
}

export interface LogsInFolder {
    logs: LogFile[];
}

export interface LookPage {
    book: Book;
    deliverable: DeliverableHead;
    check: number;
    part: string;
    pass: string | null;
    /** all that can be seen of this check */
    sequences: { part: string; pass: string | null }[];
    /** frames that are there and whole, as a range */
    present: string;
    /** frames that are not as they should be, as a range */
    wrong: string;
    /** frames a second, as a fraction; null where no rate is asked */
    rate: [number, number] | null;
    /** whose channels can be shown; `""` for those in none */
    layers: string[];
    /** other checks whose files may be laid beside these, the newest first */
    earlier: { id: number; made: string }[];
    /** Whether they show all that is around one point. */
    around: boolean;
    /** frames that have an approved picture */
    approved: number[];
}

export interface ManyScenesPage {
    book: Book;
}

export type Mark = 'equal' | 'unequal' | 'waived' | 'unknown';

export interface MessageShown {
    /** null of an invitation, which is ended where people are */
    id: number | null;
    to: string;
    address: string;
    by: string | null;
    subject: string;
    body: string;
    at: string;
}

export type Movie = {
    part: string;
    path: string;
    kind: string;
    bytes?: number;
    width?: number | null;
    height?: number | null;
    rotation?: number;
    scan?: string | null;
    rate?: string | null;
    rate_constant?: boolean | null;
    uneven?: string | null;
    count?: number | null;
    duration?: string | null;
    start_timecode?: string | null;
    codec?: string | null;
    profile?: string | null;
    chroma?: string | null;
    bit_depth?: number | null;
    alpha?: boolean | null;
    bit_rate?: number | null;
    keyframe_interval_max?: number | null;
    b_frames_max?: number | null;
    keyframes?: string | null;
    projection?: string | null;
    index?: string | null;
    audio?: MovieSound[];
    damage?: string | null;
    against?: MovieAgainst;
};

export type MovieAgainst = {
    part: string;
    frames: string;
    looked: string;
    order: string | null;
    shows?: string | null;
    repeated: number | null;
    through?: string | null;
    apart?: string;
    why_not: string | null;
    newer?: string;
};

export interface MoviePage {
    book: Book;
    deliverable: DeliverableHead;
    ledger: Ledger | null;
    running: Progress | null;
    /** parts that are movies */
    movies: string[];
    recipes: ShownRecipe[];
    /** those of which a copy with other tags can be had, which is all or part of the work */
    taggable: string[];
    /** those whose pictures are decoded here, and can be drawn one by one */
    drawn: string[];
    /** Whether the reader may have its pictures held against the frames. */
    mayCheck: boolean;
    /** Whether the files can be opened from here. */
    playable: boolean;
}

export interface MovieRow {
    deliverable: number;
    code: string;
    owner: string | null;
    part: string;
    /** the part it is made from, which it is a preview or an assembly of; null: it stands for itself */
    from: string | null;
    /** its lines in the files together; null where no movie was looked at */
    mark: Mark | null;
    path: string | null;
    /** what it is, in a few words */
    is: string[];
    /** bytes */
    bytes: number | null;
}

export type MovieSound = {
    sample_rate: number | null;
    channels: number | null;
    bit_depth: number | null;
    codec: string;
};

export interface MoviesPage {
    book: Book;
    movies: MovieRow[];
}

export type NameReading = {
    part: string;
    pass?: string;
    name: string;
    frames: string;
    pieces: { piece: string; asked: string; found: string; differs: string[] }[];
};

export type NameSet = { pass: string | null; folder: string; names: string[] };

export type NamedBy = 'number' | 'address' | 'handle' | 'name';

export interface NamedField {
    field: string;
    label: string;
    /** in which it can be told */
    units: FieldUnit[];
}

export interface NamedSetting {
    name: string;
    is: string | null;
    label: string | null;
    unit: FieldUnit | null;
    /** values by the words that are written for them */
    words: Record<string, string>;
}

export interface NamesPage {
    book: Book;
    names: NamedSetting[];
    fields: NamedField[];
    shapes: { name: string; patterns: { event: string; pattern: string }[]; example: string }[];
    /** How many of the shapes, the first ones, are the production's own. */
    own: number;
    events: { event: LogEvent; says: string }[];
    pieces: string[];
}

export interface Need {
    id: number;
    code: string;
    title: string;
    production: string;
    owner: string | null;
    verdict: Verdict | null;
    waived: boolean;
    /** What holds it up, in few words. */
    says: string;
    due: Due | null;
    /** the page that has the trouble */
    folio: 'scene' | 'frames';
}

export type Needed = 'files' | 'scene' | 'both';

export interface NewDeliverablePage {
    book: Book;
    specifications: { id: number; title: string }[];
    presets: { word: string; group: string; title: string }[];
    others: { id: number; title: string; production: string }[];
    roots: { id: number; label: string }[];
    people: { id: number; name: string; role: Role }[];
}

export interface NewProductionPage {
    kinds: string[];
    intake: string;
    /** with what each asks of all */
    presets: { word: string; group: string; title: string; asks: string[] }[];
    zones: string[];
}

export interface News {
    unread: number;
    /** By which the next question says what is known already. */
    newest: number;
    /** since what is known, the newest first */
    since: { says: string; url: string; kind: NoticeKind }[];
    /** deliverables that are being checked */
    underWay: number[];
}

export type NoticeKind = 'checked' | 'handed-in' | 'asked-otherwise' | 'accepted' | 'signed-off' | 'due' | 'message';

export interface NoticesPage {
    notices: { id: number; says: string; url: string; at: string; production: string; isNew: boolean }[];
    messages: { id: number; by: string; production: string; subject: string; body: string; at: string }[];
    wishes: { kind: NoticeKind; says: string; page: boolean; mail: boolean }[];
    /** Whether mail leaves this installation. */
    mails: boolean;
}

export type ObstacleKind =
    'not-checked' | 'unbalanced' | 'open' | 'out-of-date' | 'changed' | 'under-way' | 'elsewhere';

export interface OfferedRequirement {
    id: RequirementId;
    label: string;
    group: Group;
    example: string;
    also: string;
    words: string[];
}

export interface OfferedSum {
    word: string;
    title: string;
    fields: { name: string; label: string; example: string; start: string }[];
}

export interface OutboxPage {
    book: Book;
    messages: MessageShown[];
}

export interface OwnFolderPage {
    link: number;
    code: string;
    title: string;
    production: string;
    until: string;
    /** Pixels are to be looked at, for which whole pictures have to be sent. */
    looks: boolean;
    /** how each requirement is called, by its id */
    labels: Record<string, string>;
}

export interface OwnLine {
    id: number;
    code: string;
    title: string;
    due: Due | null;
    verdict: Verdict | null;
    waived: boolean;
    /** What is to be done, in the fewest words; null: nothing was checked yet. */
    holdsUp: string | null;
    /** What most likely went wrong. */
    cause: string | null;
    /** the page that has the trouble */
    folio: 'scene' | 'frames';
    /** what is asked, a sentence a part */
    asked: string[];
    /** folders in which its files are looked for */
    folders: string[];
}

export interface PastCheck {
    id: number;
    verdict: Verdict | null;
    waived: boolean;
    holdsUp: string | null;
    made: string;
    revision: number;
    of: 'files' | 'scene' | 'scene and files';
    by: string | null;
}

export interface PeoplePage {
    book: Book;
    members: {
        id: number;
        name: string;
        email: string;
        handle: string;
        number: string | null;
        role: Role;
        owes: number;
        isReader: boolean;
    }[];
    invited: { id: number; name: string; email: string; role: Role; until: string }[];
    /** those that fit its kind first */
    roles: Role[];
    /** links that are shown this once */
    fresh: { name: string; email: string; link: string }[];
}

export interface PlaceShown {
    with: string;
    from: string;
    seen: string;
    isHere: boolean;
}

export interface Plan {
    ready: string | null;
    machines: number;
    needed: number | null;
    frames: number;
    bytes: string | null;
    jobs: PlanJob[];
}

export interface PlanJob {
    id: number;
    code: string;
    frames: string;
    count: number;
    word: 'in time' | 'late' | 'perhaps late' | 'never' | 'no date';
    perFrame: string;
    samples: number;
    /** at the earliest, likely, at the latest */
    ready: [string, string, string] | null;
    due: string | null;
    late: string | null;
    /** what would be in time */
    fits: { range: string; count: number; scale: number | null } | null;
    disk: string | null;
}

export interface PlannedMoves {
    lines: { from: string; to: string; frames: string; count: number; aside: boolean }[];
    /** lines that are not shown */
    more: number;
    files: number;
    /** what no renaming does */
    left: string[];
}

export interface Pool {
    machines: number;
    hours: string;
}

export interface PracticePage {
    book: Book;
    exercises: {
        id: number;
        title: string;
        kind: 'find' | 'write';
        mistakes: string[] | null;
        begun: number;
        answered: number;
        own: { earned: number; possible: number } | null;
    }[];
    /** those that ship; for those who decide */
    ready: { number: number; title: string; difficulty: number }[];
    /** mistakes that can be chosen */
    mistakes: string[];
    /** of all answers; the hardest first */
    causes: { cause: string; right: number; of: number }[];
    /** by exercise; for those who decide */
    people: { id: number; name: string; marks: string[] }[];
}

export interface Presence {
    state: AskedState;
    others: string[];
}

export interface PreviewedChange {
    id: number;
    code: string;
    from: string | null;
    to: string | null;
    /** what would contradict itself then, and does not now */
    conflicts: string[];
}

export interface ProductionLine {
    id: number;
    code: string;
    name: string;
    kind: string;
    role: Role | null;
    deliverables: number;
    unbalanced: number;
    open: number;
    balanced: number;
    archived: boolean;
}

export interface ProductionPage {
    book: Book;
    /** what is due first stands first */
    own: OwnLine[];
}

export interface ProductionsPage {
    productions: ProductionLine[];
    /** what is owed still, due first */
    needs: Need[];
    running: Running[];
    /** since the reader went */
    finished: Finished[];
    /** When that was. */
    awaySince: string | null;
}

export interface Progress {
    id: number;
    state: CheckState;
    done: number;
    all: number | null;
    at: string;
    /** seconds, as far as the pace so far tells */
    left: number | null;
    /** seconds for which nothing has moved; null while it moves */
    still: number | null;
    /** Nobody works on what is queued. */
    alone: boolean;
}

export interface ProofOfAll {
    found: { id: number | null; code: string; conflicts: ConflictShown[] }[];
    /** How many were read. */
    read: number;
}

export interface ProposalShown {
    parts: { name: string; prose: string; lines: { label: string; value: string }[] }[];
}

export interface RenderPage {
    book: Book;
    deliverable: DeliverableHead;
    may: { specify: boolean };
    frames: string | null;
    count: number;
    typed: { times: string; size: string };
    /** What the times of frames were taken from. */
    from: string | null;
    /** What one picture takes before it is compressed, as far as what is asked tells it. */
    uncompressed: string | null;
    pool: Pool;
    plan: Plan | null;
    log: LogShown | null;
    shapes: string[];
    roots: IntakePlace[];
}

export interface RenderPlanPage {
    book: Book;
    pool: Pool;
    plan: Plan;
    /** due, with no time known for a frame */
    untimed: { id: number; code: string; frames: string }[];
}

export interface RevisionLine {
    number: number;
    at: string;
    by: string | null;
    /** How many checks were made by it, and of how many deliverables. */
    checks: number;
    deliverables: number;
    /** It was checked by, and stays as it is. */
    fixed: boolean;
}

export interface RevisionsPage {
    book: Book;
    specification: { id: number; title: string; isRetired: boolean };
    revisions: RevisionLine[];
    from: number | null;
    to: number | null;
    differs: { part: string; id: string; label: string; from: string | null; to: string | null }[];
    parts: { name: string; delivers: Delivers; madeFrom: string | null }[];
    users: { id: number; code: string; title: string; overrides: number }[];
    /** newest by another one */
    outOfDate: { id: number; deliverable: string; deliverableId: number; revision: number }[];
}

export type Role = 'coordinator' | 'instructor' | 'artist' | 'learner';

export interface RosterRead {
    people: { name: string; email: string; number: string; teaches: boolean; isHere: boolean }[];
    classes: { id: string; title: string; people: number }[];
    /** what was left out, and why */
    notes: string[];
}

export type RowAction = 'make' | 'change' | 'same' | 'refuse';

export type Ruler = { cut: [number, number]; delivered: [number, number]; head: number; tail: number };

export interface Running {
    id: number;
    code: string;
    production: string;
    waits: boolean;
}

export type ScanDepth = 'quick' | 'full';

export interface ScenePage {
    book: Book;
    deliverable: DeliverableHead;
    may: { specify: boolean };
    ledger: Ledger | null;
    past: PastCheck[];
    unknown: { name: string; value: string; field: string | null }[];
    fields: NamedField[];
    broken: Unfinished | null;
}

export interface SealShown {
    id: number;
    underWay: boolean;
    /** Files that were signed already are read once more. */
    verifies: boolean;
    files: number;
    allFiles: number;
    bytes: number;
    allBytes: number;
    /** They are read by the browser of whoever has them on a disk of their own. */
    own: boolean;
    /** Nobody works on what is queued. */
    alone: boolean;
}

export type Sequence = {
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
};

export type SetBy = 'house' | 'specification' | 'deliverable';

export interface SettingsPage {
    book: Book;
    kinds: string[];
    zones: string[];
    /** The production's own; empty: the installation's. */
    zone: string;
    usualZone: string;
    intake: string;
    roots: { id: number; label: string; path: string; folder: string; fault: string | null }[];
    /** Since when it is archived. */
    archived: string | null;
    administers: boolean;
    isSample: boolean;
    /** how long checks are kept; null: for ever */
    retention: { checks: number; days: number } | null;
    limits: { word: string; says: string; own: number | null; usual: number }[];
    webhooks: {
        id: number;
        url: string;
        events: string[];
        calls: { event: string; at: string; arrived: boolean; tries: number; fault: string | null }[];
    }[];
    events: string[];
    secret: string | null;
}

export type ShapeShown = { width: number; height: number; aspect: string; spoken: string };

export type Share = 'part' | 'all';

export type SharedSetting = {
    specification: string;
    id: string;
    label: string;
    common: string;
    count: number;
    others: { whose: string; value: string }[];
};

export interface SheetLinkShown {
    id: number;
    /** null where it is closed */
    path: string | null;
    expires: string;
    state: 'open' | 'expired' | 'taken back';
    opened: number;
    kind: LinkKind;
}

export type ShownDelivery = {
    origin: DeliveryOrigin;
    root: string | null;
    rootId: number | null;
    folder: string;
    depth: string;
    files: number;
    bytes: number;
    at: string;
};

export interface ShownRecipe {
    lines: { label: string; value: string; why: string | null; id: string | null }[];
    /** what stands in the way, or is easily overlooked */
    notes: string[];
    part: string;
    from: string;
}

export interface ShownTree {
    id: number;
    root: number;
    place: string;
    folder: string;
    at: string;
    running: boolean;
    fault: string | null;
    progress: { done: number; all: number | null; at: string } | null;
    /** trouble first */
    lines: TreeLine[];
    /** what fits two or more alike */
    several: TreePiece[];
    /** what nobody asked for */
    none: TreePiece[];
    noneCount: number;
    totals: TreeTotals | null;
    /** key of a deliverable by the place of what was assigned to it */
    byHand: Record<string, string>;
}

export type Side = 'scene' | 'files';

export interface SignInPage {
    /** The demo's sign-in is shown. */
    demo: boolean;
    /** Nobody has an account yet. */
    isEmpty: boolean;
}

export type SinceBefore = {
    put_right: string[];
    accepted: string[];
    new: string[];
    back: string[];
    still: string[];
    unasked: { id: string; label: string; from: string; to: string }[];
};

export interface SinceShown {
    number: number;
    /** It was withdrawn, and what was approved by it with it. */
    withdrawn: boolean;
    says: string[];
}

export interface SpecificationPage {
    book: Book;
    deliverable: DeliverableHead;
    may: { specify: boolean };
    asked: Asked;
    sums: OfferedSum[];
}

export interface SpecificationsPage {
    book: Book;
    /** retired ones last */
    specifications: { id: number; title: string; revision: number; deliverables: number; isRetired: boolean }[];
    presets: { id: number; title: string }[];
}

export interface StartingLine {
    id: string;
    label: string;
    values: string[];
    token: string;
}

export type Strip = {
    part: string;
    pass: string | null;
    wrong: string;
    sizes: [number, number][];
    pictures?: number[];
    layers?: string[];
};

export interface SubmissionPage {
    book: Book;
    deliverable: DeliverableHead;
    may: { sign: boolean };
    check: CheckToSign | null;
    obstacles: { kind: ObstacleKind; says: string; key: string | null; before: string | null }[];
    since: SinceShown | null;
    /** The number of the one that was signed last. */
    before: number | null;
    accepted: { id: string; part: string; required: string; found: string | null; reason: string }[];
    algorithms: { value: string; label: string }[];
    current: SubmissionShown | null;
    /** all others, the newest first */
    past: SubmissionShown[];
    running: SealShown | null;
    /** to the record of the one that stands */
    links: SheetLinkShown[];
    /** newest first */
    history: { number: number; at: string; who: string; act: string; about: string; sum: string }[];
    /** Where the chain of all that happened is broken. */
    broken: string | null;
    /** By which others know the key that records are signed with. */
    signsWith: string;
}

export interface SubmissionShown {
    id: number;
    number: number | null;
    state: SubmissionState;
    by: string | null;
    at: string | null;
    note: string;
    files: number | null;
    bytes: number | null;
    fingerprint: string | null;
    sums: string[];
    /** Why it came to nothing. */
    fault: string | null;
    withdrawn: { by: string | null; at: string; why: string } | null;
    verified: { at: string; holds: boolean; says: string[] } | null;
    check: number | null;
    /** Its files stay on the disk of whoever had them checked. */
    own: boolean;
    /** The one that was signed before, with which it was compared; null where there is none. */
    sinceNumber: number | null;
    /** what of it came again since then, in sentences */
    since: string[];
    approved: { number: number; by: string; at: string; files: number; names: string[] }[];
}

export type SubmissionState = 'sealing' | 'signed' | 'failed' | 'withdrawn' | 'replaced';

export type SuggestedChange = { requirement: RequirementId; value: string | null; says: string };

export interface TogetherPage {
    book: Book;
    offered: OfferedRequirement[];
    lines: IndexLine[];
}

export type TokenScope = 'read' | 'check' | 'write' | 'administer';

export interface TokenShown {
    id: number;
    name: string;
    scope: string;
    made: string | null;
    used: string | null;
    until: string | null;
    /** Its time is over. */
    over: boolean;
}

export interface TokensPage {
    tokens: TokenShown[];
    scopes: { scope: TokenScope; says: string }[];
    /** It is shown once; only its hash is kept. */
    fresh: string | null;
    address: string;
    /** where one is signed in */
    places: PlaceShown[];
    /** one-time codes */
    codes: { since: string | null; left: number; offered: { address: string; secret: string } | null; fresh: string[] };
}

export type TreeLine = {
    key: number;
    deliverable: string;
    verdict: Verdict;
    says: string;
    folder: string;
    files: number;
    frames_missing: number;
    cause: string | null;
};

export interface TreePage {
    book: Book;
    roots: { id: number; label: string; own: string }[];
    deliverables: { id: number; code: string; title: string }[];
    tree: ShownTree | null;
    said: string | null;
}

export type TreePiece = { folder: string; pattern: string; frames: string; files: number; candidates: string[] };

export type TreeTotals = {
    deliverables: number;
    balanced: number;
    unbalanced: number;
    open: number;
    nothing_delivered: number;
    frames_missing: number;
    files_answering: number;
    files_fitting_several: number;
    files_nobody_asked: number;
};

export interface TriedGradebook {
    headings: string[];
    columns: { whose: string[]; by: NamedBy; points: string; remark: string | null } | null;
    filled: number;
    /** Rows that had other points before. */
    changed: number;
    unknown: string[];
    twice: string[];
    absent: string[];
    pointless: string[];
}

export interface TriedPatterns {
    lines: { text: string; told: { event: string; at: number | string; pieces: Record<string, string> }[] }[];
    /** by place of the pattern */
    faults: Record<string, string>;
}

export interface TryPage {
    book: Book;
    exercise: { id: number; title: string };
    may: { decides: boolean };
    /** The job that a specification is to be written for; null where mistakes are to be found. */
    brief: string | null;
    /** what a specification can ask */
    offered: { id: string; label: string; group: string }[];
    /** what was written, by requirement */
    written: Record<string, string>;
    /** Whether there is something to look at. */
    begun: boolean;
    asked: { id: string; label: string; required: string }[];
    /** what the scene is set to */
    scene: { name: string; value: string }[];
    files: { name: string; bytes: number; written: string }[];
    /** all causes there are */
    causes: { id: string; name: string; from: string }[];
    marks: {
        earned: number;
        possible: number;
        points: { about: string; key: string; mark: string; earned: number; possible: number; says: string }[];
    } | null;
}

export interface TypedAttempt {
    /** by requirement */
    lines: Record<string, { mark: Mark; found: string | null; required: string }>;
    /** why a value was not understood, by field */
    faults: Record<string, string>;
    /** as it was read, where that is not what was typed, by field */
    understood: Record<string, string>;
    causes: { says: string; explains: string[] }[];
    comesTo: { id: string; label: string; says: string }[];
    verdict: Verdict;
    fault: string | null;
}

export interface Understanding {
    says: string | null;
    sentence: string | null;
    fault: string | null;
    parts: ImpliedPart[];
}

export interface Unfinished {
    id: number;
    says: string;
}

export type Verdict = 'balanced' | 'unbalanced' | 'open';

export interface WatchedFolder {
    place: string;
    /** Pictures that are there. */
    pictures: number;
    others: number;
    /** pictures that are owed; null where that is open */
    expected: number | null;
    /** Files that were written to within the last seconds. */
    arriving: number;
    /** pictures a minute, with one decimal; null while that cannot be told */
    perMinute: string | null;
    /** when the last of them can be expected, by the pace so far */
    readyAt: string | null;
    /** Seconds for which nothing has changed. */
    still: number;
    /** Seconds without a change after which it is checked by itself. */
    patience: number;
    /** why it is not followed any more */
    ended: string | null;
}

export interface WorkedSum {
    results: { label: string; value: string; formula: string }[];
    fault: string | null;
}
