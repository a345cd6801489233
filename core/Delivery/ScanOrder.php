<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ScanDepth;

/**
 * What a scan is to do, in plain values, so that another process can do it.
 */
final readonly class ScanOrder
{
    /**
     * @param  string  $spool  a file: what was found so far, and what is found
     * @param  int  $seconds  after which the rest is left to the next one
     * @param  array<array-key, list<string>>  $avoided  stages by path, of files that have broken one off
     * @param  bool  $careful  whether each step is announced
     */
    public function __construct(
        public ScanPlace $place,
        public ScanDepth $depth,
        public ContentOrder $content,
        public string $spool,
        public int $seconds,
        public array $avoided = [],
        public bool $careful = false,
    ) {}

    /** One line of JSON. Paths are kept as they are, whatever their encoding. */
    public function write(): string
    {
        $raw = static fn (string $path): string => base64_encode($path);
        $avoided = [];
        foreach ($this->avoided as $path => $stages) {
            $avoided[] = [$raw((string) $path), $stages];
        }

        return json_encode([
            'folder' => $raw($this->place->path),
            'depth' => $this->depth->value, 'content' => $this->content->toArray(),
            'spool' => $raw($this->spool), 'seconds' => $this->seconds, 'avoided' => $avoided,
            'careful' => $this->careful, 'known' => $raw($this->place->known),
            'called' => $raw($this->place->called),
        ], JSON_THROW_ON_ERROR);
    }

    public static function read(string $line): self
    {
        /**
         * @var array{folder: string, depth: string, content: array{looks_for: array{compares: bool,
         *   dark: string|null, approved: array<int, string>}|null, approved: array<int, array{folder: string,
         *   name: string}>, sums: bool, layers: list<array{set_by: string, data: array<string, mixed>,
         *   label: string}>, seen: array<string, array{path: string, size: int, modified: int,
         *   grids: array<int, string>}>}, spool: string, seconds: int, avoided: list<array{string, list<string>}>,
         *   careful: bool, known: string, called: string} $data
         */
        $data = json_decode($line, true, 64, JSON_THROW_ON_ERROR);
        $raw = static fn (string $text): string => (string) base64_decode($text, true);
        $avoided = [];
        foreach ($data['avoided'] as [$path, $stages]) {
            $avoided[$raw($path)] = $stages;
        }

        return new self(
            new ScanPlace($raw($data['folder']), $raw($data['called']), $raw($data['known'])),
            ScanDepth::from($data['depth']),
            ContentOrder::fromArray($data['content']),
            $raw($data['spool']), $data['seconds'], $avoided, $data['careful'],
        );
    }
}
