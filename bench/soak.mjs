// Fifty people at once for a minute: they read pages, change what is asked, bring settings and have files checked.
// Prints how many requests there were and how long they took; ends with 1 where one failed, or where something that was
// acknowledged does not stand there afterwards.
// Usage: node bench/soak.mjs [SECONDS] [PEOPLE]
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const seconds = Number(process.argv[2] ?? 60);
const people = Number(process.argv[3] ?? 50);
const port = 18000 + Math.floor(Math.random() * 2000);
const base = `http://127.0.0.1:${port}`;
const home = mkdtempSync(join(tmpdir(), 'plain-ledger-soak-'));
const password = 'a soak of many hands';
const env = {
    ...process.env,
    DB_DATABASE: join(home, 'ledger.sqlite'),
    DB_SIDE_DATABASE: join(home, 'side.sqlite'),
    LEDGER_INTAKE: join(home, 'intake'),
};
const server = spawn('bin/start', ['--port', String(port), '--workers', '2'], { env, stdio: 'ignore', detached: true });
const wait = (ms) => new Promise((done) => setTimeout(done, ms));
const end = (code) => {
    try {
        process.kill(-server.pid, 'SIGTERM');
    } catch {
        // it ended by itself
    }
    setTimeout(() => {
        rmSync(home, { recursive: true, force: true });
        process.exit(code);
    }, 5500);
};
for (let tries = 0; tries < 1200; tries++) {
    if (
        await fetch(`${base}/up`).then(
            (r) => r.ok,
            () => false,
        )
    ) {
        break;
    }
    await wait(250);
}
const there = JSON.parse(
    spawnSync('php', ['bench/soak-people.php', String(people), password], { env, encoding: 'utf8' }).stdout,
);

const times = [];
const faults = [];
const counts = {};

class Person {
    constructor(number) {
        this.number = number;
        this.jar = new Map();
        this.deliverable = there.deliverables[number % there.deliverables.length];
        this.written = null;
    }

    async ask(method, path, body) {
        const began = performance.now();
        const headers = {
            Cookie: [...this.jar].map(([n, v]) => `${n}=${v}`).join('; '),
            'X-Requested-With': 'XMLHttpRequest',
            Referer: `${base}/`,
        };
        if (this.jar.has('XSRF-TOKEN')) {
            headers['X-XSRF-TOKEN'] = decodeURIComponent(this.jar.get('XSRF-TOKEN'));
        }
        if (body !== undefined) {
            headers['Content-Type'] = 'application/json';
        }
        let reply;
        try {
            reply = await fetch(base + path, {
                method,
                headers,
                body: body === undefined ? undefined : JSON.stringify(body),
                redirect: 'manual',
            });
            for (const cookie of reply.headers.getSetCookie()) {
                const [name, ...value] = cookie.split(';')[0].split('=');
                this.jar.set(name, value.join('='));
            }
            this.text = await reply.text();
        } catch (fault) {
            faults.push(`${method} ${path}: ${fault.message}`);

            return null;
        }
        times.push(performance.now() - began);
        counts[reply.status] = (counts[reply.status] ?? 0) + 1;
        // too often is an answer too, the limit of each person; and so is that somebody else's check of it is under way
        if (
            reply.status >= 400 &&
            reply.status !== 429 &&
            !(reply.status === 422 && this.text.includes('is under way'))
        ) {
            faults.push(`${method} ${path}: ${reply.status} ${this.text.slice(0, 200)}`);
        }

        return reply;
    }

    async signIn() {
        await this.ask('GET', '/sign-in');
        const reply = await this.ask('POST', '/sign-in', { email: `soak${this.number}@harbour.example`, password });
        if (reply?.headers.get('location')?.endsWith('/sign-in') ?? true) {
            faults.push(`${this.number} could not sign in`);
        }
    }

    async work(until) {
        for (let turn = 0; performance.now() < until; turn++) {
            const what = (turn + this.number) % 6;
            if (what === 0) {
                await this.ask('GET', `/deliverables/${this.deliverable}/frames`);
            } else if (what === 1 || what === 4) {
                const value = `${this.number}.${turn}`;
                const reply = await this.ask('PATCH', `/deliverables/${this.deliverable}/values`, {
                    name: `soak${this.number}`,
                    value,
                });
                this.written = reply !== null && reply.status < 400 ? value : this.written;
            } else if (what === 2) {
                await this.ask('GET', `/productions/${there.production}/board`);
            } else if (what === 3) {
                const reply = await this.ask('POST', `/deliverables/${this.deliverable}/scene`, {
                    pasted: `resolution = 2048x858\nframe range = 1001-1096\nnote = ${this.number} ${turn}`,
                });
                this.scenes = (this.scenes ?? 0) + (reply !== null && reply.status < 400 ? 1 : 0);
            } else {
                await this.ask('POST', `/deliverables/${this.deliverable}/checks`, {
                    root: there.root,
                    below: '',
                    depth: 'quick',
                });
            }
            await wait(250);
        }
    }
}

const everybody = Array.from({ length: people }, (_, n) => new Person(n + 1));
for (const person of everybody) {
    await person.signIn();
}
times.length = 0;
const until = performance.now() + seconds * 1000;
await Promise.all(everybody.map((person) => person.work(until)));

// what was acknowledged stands
const php = [
    `$d = new PDO('sqlite:${env.DB_DATABASE}')`,
    `$v = []`,
    `foreach ($d->query('select "values" from deliverables') as $r) $v += json_decode($r[0], true) ?: []`,
    `$count = fn ($of) => (int) $d->query("select count(*) from {$of}")->fetchColumn()`,
    `$scenes = $count("scenes where user_id in (select id from users where handle like 'soak%')")`,
    `$open = $count("checks where state in ('queued', 'running')")`,
    `$ok = $d->query('pragma integrity_check')->fetchColumn()`,
    `echo json_encode(['values' => $v, 'scenes' => $scenes, 'open' => $open, 'ok' => $ok]);`,
].join('; ');
let stands;
for (let tries = 0; tries < 120; tries++) {
    stands = JSON.parse(spawnSync('php', ['-r', php], { encoding: 'utf8' }).stdout);
    if (stands.open === 0) {
        break;
    }
    await wait(500);
}
const lost = everybody.filter(
    (person) => person.written !== null && stands.values[`soak${person.number}`] !== person.written,
);
const scenes = everybody.reduce((sum, person) => sum + (person.scenes ?? 0), 0);
times.sort((a, b) => a - b);
const at = (share) => Math.round(times[Math.floor(times.length * share)] ?? 0);
console.log(
    [
        `${people} people, ${seconds} s: ${times.length} requests, ${(times.length / seconds).toFixed(0)} a second`,
        `half within ${at(0.5)} ms, 95 of 100 within ${at(0.95)} ms, the longest ${at(0.9999)} ms.`,
    ].join('; '),
);
console.log(`Replies by status: ${JSON.stringify(counts)}.`);
console.log(
    [
        `${faults.length} faults`,
        `${lost.length} of ${everybody.filter((p) => p.written !== null).length} last writes lost`,
        `${stands.scenes} of ${scenes} settings kept; ${stands.open} checks left open; the database is ${stands.ok}.`,
    ].join('; '),
);
faults.slice(0, 10).forEach((fault) => console.log(`  ${fault}`));
end(faults.length > 0 || lost.length > 0 || stands.open > 0 || stands.scenes < scenes ? 1 : 0);
