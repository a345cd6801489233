<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Picked;

use PlainLedger\Core\Delivery\ContentOrder;

/** A step of a look at files that lie elsewhere, in plain values, so that another process can take it. */
final readonly class PickedOrder
{
    /**
     * @param  string  $spool  a folder: names, what has come, and what was found so far
     * @param  string  $label  the name of the folder that was picked
     * @param  bool  $whole  whether pictures come whole where their pixels are to be looked at
     * @param  list<array{string, string}>  $avoided  path and stage, of files that have broken a step off
     */
    public function __construct(
        public string $spool,
        public string $label,
        public bool $whole,
        public ContentOrder $content,
        public array $avoided = [],
    ) {}

    /** One line of JSON. Paths are kept as they are, whatever their encoding. */
    public function write(): string
    {
        return json_encode([
            'spool' => base64_encode($this->spool),
            'label' => base64_encode($this->label),
            'whole' => $this->whole,
            'content' => $this->content->toArray(),
            'avoided' => array_map(static fn (array $at): array => [base64_encode($at[0]), $at[1]], $this->avoided),
        ], JSON_THROW_ON_ERROR);
    }

    public static function read(string $line): self
    {
        /**
         * @var array{spool: string, label: string, whole: bool, content: array{looks_for: array{compares: bool,
         *   dark: string|null, approved: array<int, string>}|null, approved: array<int, array{folder: string,
         *   name: string}>, sums: bool}, avoided: list<array{string, string}>} $data
         */
        $data = json_decode($line, true, 64, JSON_THROW_ON_ERROR);
        $raw = static fn (string $text): string => (string) base64_decode($text, true);

        return new self(
            $raw($data['spool']),
            $raw($data['label']),
            $data['whole'],
            ContentOrder::fromArray($data['content']),
            array_map(static fn (array $at): array => [$raw($at[0]), $at[1]], $data['avoided']),
        );
    }
}
