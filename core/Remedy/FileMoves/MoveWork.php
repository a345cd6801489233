<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

/** Files that are being moved together, as it is written down before the first is touched. */
final readonly class MoveWork
{
    private const TEMPORARY = '.plain-ledger-';

    /**
     * @param  string  $id  letters, digits and dashes
     * @param  list<array{string, string}>  $moves  from and to, relative to the root
     * @param  list<string>  $folders  that are made for it, the deepest last
     * @param  string|null  $undoes  the id of what it undoes
     */
    public function __construct(
        public string $id,
        public array $moves,
        public array $folders = [],
        public ?string $undoes = null,
    ) {}

    /** Where a file is meanwhile: in the folder where it is to lie. */
    public function temporary(int $number): string
    {
        $folder = dirname($this->moves[$number][1]);

        return ($folder === '.' ? '' : "{$folder}/").self::TEMPORARY."{$this->id}-{$number}";
    }

    public function toJson(): string
    {
        return json_encode([
            'id' => $this->id,
            'undoes' => $this->undoes,
            'from' => array_map(base64_encode(...), array_column($this->moves, 0)),
            'to' => array_map(base64_encode(...), array_column($this->moves, 1)),
            'folders' => array_map(base64_encode(...), $this->folders),
        ], JSON_THROW_ON_ERROR);
    }

    /** Null where it is none. */
    public static function fromJson(string $text): ?self
    {
        $data = json_decode($text, true);
        if (! is_array($data) || ! is_string($data['id'] ?? null)) {
            return null;
        }
        $moves = array_map(
            static fn (string $from, string $to): array => [$from, $to],
            self::paths($data['from'] ?? null),
            self::paths($data['to'] ?? null),
        );
        $undoes = is_string($data['undoes'] ?? null) ? $data['undoes'] : null;

        return new self($data['id'], $moves, self::paths($data['folders'] ?? null), $undoes);
    }

    /** @return list<string> */
    private static function paths(mixed $packed): array
    {
        $raw = static fn (mixed $path): string => is_string($path) ? (string) base64_decode($path, true) : '';

        return is_array($packed) ? array_values(array_map($raw, $packed)) : [];
    }
}
