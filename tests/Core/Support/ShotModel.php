<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Specification\Specification;

/**
 * A shot of several passes as files that exist in memory only, of which each remembers what it was made with: mistakes
 * are made in it, and fixes carried out just as they are told.
 */
final class ShotModel
{
    private const RIGHT = [
        'size' => [64, 36],
        'bits' => 16,
        'channels' => 'RGBA',
        'density' => null,
        'state' => 'whole',
    ];

    /** @var array<string, array{pass: string, frame: int, facts: array<string, mixed>, time: int}> by path */
    public array $files = [];

    /** What a setting decides of a file. */
    private const DECIDES = [
        'picture.resolution' => 'size', 'picture.scale' => 'size', 'picture.region' => 'size',
        'format.bit_depth' => 'bits', 'format.channels' => 'channels', 'format.alpha' => 'channels',
        'picture.pixel_aspect' => 'density',
    ];

    /** @var array<string, array<string, mixed>> by pass: what is rendered from here on comes out like this */
    private array $settings = [];

    /** @param  list<string>  $passes */
    public function __construct(
        public readonly array $passes,
        public readonly FrameRange $range,
        private readonly bool $inFolders,
    ) {
        foreach ($passes as $pass) {
            foreach ($range->numbers() as $frame) {
                $this->render($pass, $frame);
            }
        }
    }

    public function specification(): Specification
    {
        $name = count($this->passes) === 1 || $this->inFolders
            ? '{shot}_v{version:3}.{frame:4}.{ext}'
            : '{shot}_{pass}_v{version:3}.{frame:4}.{ext}';

        return Workbench::specification([
            'picture.resolution' => '64x36',
            'picture.pixel_aspect' => '1/1',
            'time.range' => (string) $this->range,
            'time.step' => 1,
            'time.count' => count($this->range),
            'format.kind' => 'png',
            'format.bit_depth' => 16,
            'format.channels' => 'RGBA',
            'naming.pattern' => $name,
            'naming.folder' => $this->inFolders ? 'out/{pass}' : 'out',
            'content.whole' => 'yes',
            'content.uniform' => 'yes',
            'delivery.extras' => 'none',
        ] + (count($this->passes) === 1 ? [] : ['passes' => $this->passes]), [
            'delivers' => 'frames',
            'values' => ['shot' => 'TC_010', 'version' => 3],
        ]);
    }

    public function name(string $pass, int $frame): string
    {
        $folder = $this->inFolders ? "out/{$pass}" : 'out';
        $word = count($this->passes) === 1 || $this->inFolders ? '' : "_{$pass}";

        return sprintf('%s/TC_010%s_v003.%04d.png', $folder, $word, $frame);
    }

    public function render(string $pass, int $frame): void
    {
        $this->files[$this->name($pass, $frame)] = [
            'pass' => $pass,
            'frame' => $frame,
            'facts' => ($this->settings[$pass] ?? []) + self::RIGHT,
            'time' => Workbench::NOW - 90_000 + 60 * $frame,
        ];
    }

    /**
     * Changes every file of a pass, or of all.
     *
     * @param  \Closure(string, array{pass: string, frame: int, facts: array<string, mixed>, time: int}): array<string,
     *   array<string, mixed>>  $change  path and file to what becomes of it
     */
    public function change(?string $pass, \Closure $change): void
    {
        $files = [];
        foreach ($this->files as $path => $file) {
            $files += $pass === null || $file['pass'] === $pass ? $change($path, $file) : [$path => $file];
        }
        $this->files = $files;
    }

    public function scan(): Delivery
    {
        return (new Scan($this->listing(), Probe::standard()))->run(Workbench::NOW);
    }

    public function listing(): Listing
    {
        static $made = [];
        $listed = [];
        $contents = [];
        foreach ($this->files as $path => $file) {
            $facts = $file['facts'];
            $key = serialize($facts);
            $made[$key] ??= $facts['state'] === 'stray'
                ? 'a note'
                : Workbench::png(
                    $facts['size'][0],
                    $facts['size'][1],
                    $facts['channels'],
                    $facts['bits'],
                    $facts['density'],
                );
            $bytes = match ($facts['state']) {
                'empty' => '', 'cut' => substr($made[$key], 0, intdiv(strlen($made[$key]), 2)), default => $made[$key],
            };
            $folder = dirname($path) === '.' ? '' : dirname($path);
            $listed[] = new ListedFile($folder, basename($path), strlen($bytes), $file['time']);
            $contents[$path] = $bytes;
        }

        return new class($listed, $contents) implements Listing
        {
            /**
             * @param  list<ListedFile>  $listed
             * @param  array<string, string>  $contents
             */
            public function __construct(private array $listed, private array $contents) {}

            public function mayGrow(): bool
            {
                return true;
            }

            public function root(): string
            {
                return '';
            }

            public function files(): iterable
            {
                return $this->listed;
            }

            public function open(ListedFile $file): ByteSource
            {
                return new StringSource($this->contents[$file->path()]);
            }

            public function again(ListedFile $file): ListedFile
            {
                return $file;
            }
        };
    }

    /** Whatever all files of a pass share was set so, and comes out so again until it is set otherwise. */
    public function rememberSettings(): void
    {
        foreach ($this->passes as $pass) {
            $own = array_filter(
                $this->files,
                // what is named as another's says nothing of this one's settings
                static fn (array $file, string $path): bool => $file['pass'] === $pass
                    && $file['facts']['state'] === 'whole'
                    && str_contains($path, 'TC_010'),
                ARRAY_FILTER_USE_BOTH,
            );
            foreach (array_unique(self::DECIDES) as $fact) {
                $values = array_unique(array_column(array_column($own, 'facts'), $fact), SORT_REGULAR);
                if (count($values) === 1) {
                    $this->settings[$pass][$fact] = reset($values);
                }
            }
        }
    }

    private function set(string $id, string $pass): void
    {
        foreach ($pass === '' ? $this->passes : [$pass] as $each) {
            unset($this->settings[$each][self::DECIDES[$id] ?? '']);
        }
    }

    /** @param  array<string, mixed>  $fix  as a check tells it */
    public function carryOut(array $fix): void
    {
        $given = $fix;
        $fix += ['frames' => '', 'pass' => '', 'shift' => 0, 'from' => '', 'to' => '', 'files' => ''];
        $frames = FrameRange::parse((string) $fix['frames']);
        [$from, $to] = [(string) $fix['from'], (string) $fix['to']];
        match ($fix['kind']) {
            'set' => $this->set((string) $fix['id'], (string) $fix['pass']),
            'render', 'deliver' => $this->renderAll((string) $fix['pass'], $frames),
            'rename' => $this->rename($from, $to, $frames, (int) $fix['shift']),
            'move' => $this->move($from, $to, (string) $fix['files'], $frames),
            'set-aside' => $this->setAside($from, isset($given['frames']) ? $frames : null),
            'encode', 'retag' => $this->save($given, $frames),
            default => throw new \LogicException("Nobody can {$fix['kind']} here."),
        };
    }

    private function renderAll(string $pass, FrameRange $frames): void
    {
        foreach ($pass === '' ? $this->passes : [$pass] as $each) {
            foreach ($frames->numbers() as $frame) {
                $this->render($each, $frame);
            }
        }
    }

    /** The frame number a path has by a pattern with `#`; null where it is another path. */
    private static function number(string $path, string $pattern): ?int
    {
        $digits = substr_count($pattern, '#');
        $expression = str_replace(str_repeat('\#', $digits), '(-?\d+)', preg_quote($pattern, '~'));
        if ($digits === 0) {
            return $path === $pattern ? 0 : null;
        }
        if (preg_match("~^{$expression}\$~", $path, $m) !== 1) {
            return null;
        }

        return str_pad((string) abs((int) $m[1]), $digits, '0', STR_PAD_LEFT) === ltrim($m[1], '-')
            ? (int) $m[1]
            : null;
    }

    private static function written(string $pattern, int $number): string
    {
        $digits = substr_count($pattern, '#');

        return $digits === 0
            ? $pattern
            : str_replace(str_repeat('#', $digits), str_pad((string) $number, $digits, '0', STR_PAD_LEFT), $pattern);
    }

    private function rename(string $from, string $to, FrameRange $frames, int $shift): void
    {
        $renamed = [];
        foreach ($this->files as $path => $file) {
            $number = self::number($path, $from);
            if ($number !== null && $frames->contains($number)) {
                unset($this->files[$path]);
                $renamed[self::written($to, $number + $shift)] = $file;
            }
        }
        foreach ($renamed as $path => $file) {
            if (isset($this->files[$path])) {
                throw new \LogicException("{$path} is there already.");
            }
            $this->files[$path] = $file;
        }
    }

    private function move(string $from, string $to, string $pattern, FrameRange $frames): void
    {
        $in = static fn (string $folder, string $name): string => $folder === '.' ? $name : "{$folder}/{$name}";
        $this->rename($in($from, $pattern), $in($to, $pattern), $frames, 0);
    }

    private function setAside(string $what, ?FrameRange $frames): void
    {
        foreach (array_keys($this->files) as $path) {
            $number = self::number($path, $what);
            if ($number !== null && ($frames === null || $frames->contains($number))) {
                unset($this->files[$path]);
            }
        }
    }

    /** @param  array<string, mixed>  $fix */
    private function save(array $fix, FrameRange $frames): void
    {
        foreach ($this->files as $path => $file) {
            $mine = ($fix['pass'] ?? $file['pass']) === $file['pass']
                && preg_match('~(\d+)\.png$~', $path, $m) === 1
                && $frames->contains((int) $m[1]);
            if (! $mine) {
                continue;
            }
            match ($fix['id']) {
                'format.channels', 'format.alpha' => $this->files[$path]['facts']['channels'] = 'RGBA',
                'format.bit_depth' => $this->files[$path]['facts']['bits'] = 16,
                'picture.pixel_aspect' => $this->files[$path]['facts']['density'] = null,
                default => throw new \LogicException("Nobody saves {$fix['id']} here."),
            };
        }
    }
}
