<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;

/** A delivered tree and all that it may answer, in plain values, so that another process can look through it. */
final readonly class TreeOrder
{
    /**
     * @param  string  $folder  its real place
     * @param  string  $spool  a folder for what is found: as much as is there is not read again
     * @param  int  $seconds  after which reading is left to another turn
     * @param  array<int, list<array{set_by: string, data: array<string, mixed>, label: string}>>  $layers  of each
     *   deliverable, by its key
     * @param  array<int, array<int, array{folder: string, name: string}>>  $approved  where approved pictures lie, by
     *   key and frame
     * @param  array<string, string>  $byHand  key of a deliverable by the place of what was assigned to it
     */
    public function __construct(
        public string $folder,
        public string $spool,
        public int $seconds,
        public array $layers,
        public array $approved,
        public array $byHand,
    ) {}

    /** What was found, once all was read. */
    public function scanned(): string
    {
        return "{$this->spool}/scanned.gz";
    }

    /** How far reading has come. */
    public function partial(): string
    {
        return "{$this->spool}/partial.gz";
    }

    /** How each deliverable stands. */
    public function report(): string
    {
        return "{$this->spool}/report.gz";
    }

    /** @return list<OwedDelivery> */
    public function owed(): array
    {
        $owed = [];
        foreach ($this->layers as $key => $layers) {
            $owed[] = new OwedDelivery((string) $key, Specification::resolve(...array_map(
                static fn (array $l): Layer => new Layer(SetBy::from($l['set_by']), $l['data'], $l['label']),
                $layers,
            )));
        }

        return $owed;
    }

    /** One line of JSON. Paths are kept as they are, whatever their encoding. */
    public function write(): string
    {
        $raw = base64_encode(...);

        return json_encode([
            'folder' => $raw($this->folder), 'spool' => $raw($this->spool), 'seconds' => $this->seconds,
            'layers' => (object) $this->layers,
            'approved' => (object) array_map(
                static fn (array $frames): object => (object) array_map(
                    static fn (array $place): array => array_map($raw, $place),
                    $frames,
                ),
                $this->approved,
            ),
            'by_hand' => (object) $this->byHand,
        ], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    public static function read(string $line): self
    {
        /**
         * @var array{folder: string, spool: string, seconds: int, layers: array<int, list<array{set_by: string,
         *   data: array<string, mixed>, label: string}>>, approved: array<int, array<int, array{folder: string,
         *   name: string}>>, by_hand: array<string, string>} $data
         */
        $data = json_decode($line, true, 64, JSON_THROW_ON_ERROR);
        $raw = static fn (string $text): string => (string) base64_decode($text, true);

        return new self(
            $raw($data['folder']),
            $raw($data['spool']),
            $data['seconds'],
            $data['layers'],
            array_map(
                static fn (array $frames): array => array_map(
                    static fn (array $p): array => ['folder' => $raw($p['folder']), 'name' => $raw($p['name'])],
                    $frames,
                ),
                $data['approved'],
            ),
            $data['by_hand'],
        );
    }
}
