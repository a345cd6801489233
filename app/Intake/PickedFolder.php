<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use App\Models\SheetLink;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\Picked\PickedNames;
use PlainLedger\Core\Delivery\Picked\PickedSpool;
use PlainLedger\Core\Delivery\Picked\Wanted;
use PlainLedger\Core\Text\Text;

/**
 * A folder on somebody's own disk while it is looked at: names and slices that were sent, and what has to come next.
 * It is known by a word that only whoever began it was told, and is gone when it ends, or after an hour of silence.
 */
final class PickedFolder
{
    private const PLACE = 'spool/picked';

    /** Seconds after which nobody is expected to go on with it. */
    private const KEPT = 3600;

    /** Seconds of silence after which another one may take its place. */
    private const IDLE = 120;

    /** Bytes of names that are kept. */
    private const MOST_NAMES = 64_000_000;

    /** So many of one person, or of one link. */
    private const AT_ONCE = 20;

    private const LABEL = 200;

    /** Tenths of a second for which another request is waited for. */
    private const PATIENCE = 200;

    /** @var resource|null held while one request works on it */
    private $lock = null;

    /**
     * @param  array{deliverable: int, user: int|null, link: int|null, label: string, whole: bool, ahead: int,
     *   names: int, isListed: bool, ranges: array<int, list<array{int, int}>>, sums: array<int, string>, done: int,
     *   avoided: list<array{string, string}>, digest?: string|false}  $about
     */
    private function __construct(public readonly string $token, private array $about) {}

    /** @param  int  $ahead  milliseconds by which that machine's clock is ahead of ours */
    public static function begin(
        Deliverable $deliverable,
        User|SheetLink $by,
        string $label,
        bool $whole,
        int $ahead,
    ): self {
        $owner = ($by instanceof User ? 'u' : 'l').$by->id;
        self::makeRoom($owner);
        $folder = new self("{$owner}-".bin2hex(random_bytes(16)), [
            'deliverable' => $deliverable->id,
            'user' => $by instanceof User ? $by->id : null,
            'link' => $by instanceof SheetLink ? $by->id : null,
            'label' => mb_substr(Text::shown($label), 0, self::LABEL),
            'whole' => $whole, 'ahead' => $ahead, 'names' => 0, 'isListed' => false, 'ranges' => [], 'sums' => [],
            'done' => 0, 'avoided' => [],
        ]);
        Storage::makeDirectory($folder->place());
        $folder->keep();

        return $folder;
    }

    /** What nobody went on with is forgotten; where others wait, sooner. */
    private static function makeRoom(string $owner): void
    {
        $own = [];
        foreach (Storage::directories(self::PLACE) as $place) {
            $about = "{$place}/about.json";
            $moved = Storage::exists($about) ? Storage::lastModified($about) : 0;
            if ($moved < time() - self::KEPT) {
                Storage::deleteDirectory($place);
            } elseif (str_starts_with(basename($place), "{$owner}-")) {
                $own[$place] = $moved;
            }
        }
        asort($own);
        foreach (array_slice($own, 0, max(0, count($own) + 1 - self::AT_ONCE)) as $place => $moved) {
            if ($moved > time() - self::IDLE) {
                throw FolderRefused::because(
                    'chosen',
                    'has to wait: '.self::AT_ONCE.' others are being looked at in the same way. Try again in a minute',
                );
            }
            Storage::deleteDirectory($place);
        }
    }

    /** Null where there is none, or another request works on it for long. */
    public static function find(string $token): ?self
    {
        $place = self::PLACE."/{$token}";
        if (preg_match('~^[ul]\d{1,18}-[0-9a-f]{32}$~D', $token) !== 1 || ! Storage::exists("{$place}/about.json")) {
            return null;
        }
        $lock = self::locked(Storage::path("{$place}/lock"));
        // whoever was waited for may have ended it
        $kept = $lock === null ? null : Storage::get("{$place}/about.json");
        if ($kept === null) {
            return null;
        }
        /**
         * @var array{deliverable: int, user: int|null, link: int|null, label: string, whole: bool, ahead: int,
         *   names: int, isListed: bool, ranges: array<int, list<array{int, int}>>, sums: array<int, string>, done: int,
         *   avoided: list<array{string, string}>, digest?: string|false} $about
         */
        $about = json_decode($kept, true, 8, JSON_THROW_ON_ERROR);
        $found = new self($token, $about);
        $found->lock = $lock;

        return $found;
    }

    /**
     * Waits for a request before it whose answer never arrived.
     *
     * @return resource|null
     */
    private static function locked(string $path)
    {
        $lock = fopen($path, 'c');
        for ($tries = 0; $lock !== false && $tries < self::PATIENCE; $tries++) {
            if (flock($lock, LOCK_EX | LOCK_NB)) {
                return $lock;
            }
            usleep(100_000);
        }

        return null;
    }

    private function place(): string
    {
        return self::PLACE."/{$this->token}";
    }

    private function keep(): void
    {
        Storage::put("{$this->place()}/about.json", json_encode($this->about, JSON_THROW_ON_ERROR));
    }

    public function spool(): PickedSpool
    {
        return new PickedSpool(Storage::path($this->place()));
    }

    public function path(): string
    {
        return Storage::path($this->place());
    }

    public function deliverable(): int
    {
        return $this->about['deliverable'];
    }

    public function user(): ?int
    {
        return $this->about['user'];
    }

    public function link(): ?int
    {
        return $this->about['link'];
    }

    public function label(): string
    {
        return $this->about['label'];
    }

    public function isWhole(): bool
    {
        return $this->about['whole'];
    }

    /** @return list<array{string, string}> path and stage, of files that ended a step before */
    public function avoided(): array
    {
        return array_map(
            static fn (array $at): array => [(string) base64_decode($at[0], true), $at[1]],
            $this->about['avoided'],
        );
    }

    public function avoid(string $path, string $stage): void
    {
        $this->about['avoided'][] = [base64_encode($path), $stage];
        $this->keep();
    }

    /**
     * @param  array<mixed>  $told  a list of [path, size, time in milliseconds]
     * @param  bool  $isAll  whether these are the last
     *
     * @throws FolderRefused
     */
    public function addNames(array $told, bool $isAll): void
    {
        if ($this->about['isListed']) {
            throw FolderRefused::because($this->label(), 'was listed before');
        }
        $this->about['names'] += count($told);
        $bytes = is_file($this->spool()->names()) ? (int) filesize($this->spool()->names()) : 0;
        if ($this->about['names'] > PickedNames::MOST || $bytes > self::MOST_NAMES) {
            throw FolderRefused::because(
                $this->label(),
                'holds more than '.number_format(PickedNames::MOST).' files. Choose a folder further down, or use the '
                    .'console program where it lies',
            );
        }
        file_put_contents($this->spool()->names(), PickedNames::lines($told, $this->about['ahead']), FILE_APPEND);
        $this->about['isListed'] = $isAll;
        $isAll && $this->goOn();
        $this->keep();
    }

    /**
     * Where the same person has chosen the very same folder before and it broke off, it goes on from there. What came
     * by a link is of many, and begins anew.
     */
    private function goOn(): void
    {
        $this->about['digest'] = hash_file('sha256', $this->spool()->names());
        $same = ['digest', 'deliverable', 'user', 'whole', 'label'];
        foreach ($this->about['user'] === null ? [] : Storage::directories(self::PLACE) as $place) {
            $kept = Storage::exists("{$place}/state.gz") ? Storage::get("{$place}/about.json") : null;
            /** @var array<string, mixed>|null $other */
            $other = $kept === null ? null : json_decode($kept, true, 8);
            $isOwn = $other !== null && $place !== $this->place() && array_filter(
                $same,
                fn (string $key): bool => ($other[$key] ?? null) !== $this->about[$key],
            ) === [];
            if ($isOwn) {
                $theirs = array_filter(["{$place}/state.gz", "{$place}/slices"], Storage::exists(...));
                foreach ($theirs as $file) {
                    Storage::copy($file, $this->place().'/'.basename($file));
                }
                Storage::deleteDirectory($place);

                return;
            }
        }
    }

    public function isListed(): bool
    {
        return $this->about['isListed'];
    }

    public function wanted(): Wanted
    {
        return new Wanted($this->about['ranges'], $this->about['sums']);
    }

    public function done(): int
    {
        return $this->about['done'];
    }

    public function count(): int
    {
        return $this->about['names'];
    }

    public function want(Wanted $wanted, int $done): void
    {
        $this->about['ranges'] = $wanted->ranges;
        $this->about['sums'] = $wanted->sums;
        $this->about['done'] = $done;
        $this->keep();
    }

    /** Keeps what was sent, for the step that reads it. */
    public function take(SentSlices $sent): void
    {
        file_put_contents($this->spool()->slices(), $sent->slices->pack(), FILE_APPEND);
        file_put_contents(
            $this->spool()->answers(),
            json_encode(['gone' => (object) $sent->gone, 'sums' => (object) $sent->sums], JSON_THROW_ON_ERROR),
        );
    }

    public function remove(): void
    {
        Storage::deleteDirectory($this->place());
        $this->lock === null ? null : fclose($this->lock);
        $this->lock = null;
    }
}
