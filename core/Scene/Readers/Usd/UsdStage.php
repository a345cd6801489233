<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers\Usd;

/**
 * What was kept of a stage: its metadata, and the prims that tell of a render.
 *
 * @phpstan-type Prim array{type: string, attributes: array<string, mixed>}
 */
final readonly class UsdStage
{
    /**
     * @param  array<string, mixed>  $metadata
     * @param  array<string, Prim>  $prims  by path
     */
    public function __construct(public array $metadata, private array $prims) {}

    public function isEmpty(): bool
    {
        return $this->metadata === [] && $this->prims === [];
    }

    /** @return list<string> paths */
    public function ofType(string $type): array
    {
        return array_keys(array_filter($this->prims, static fn (array $prim): bool => $prim['type'] === $type));
    }

    public function isA(string $path, string $type): bool
    {
        return ($this->prims[$path]['type'] ?? '') === $type;
    }

    /** @return array<string, mixed> */
    public function attributes(string $path): array
    {
        return $this->prims[$path]['attributes'] ?? [];
    }

    public function has(string $path): bool
    {
        return isset($this->prims[$path]);
    }

    /** A prim by the name people see, else by its last word. */
    public function nameOf(string $path): string
    {
        $shown = $this->attributes($path)['displayName'] ?? null;

        return is_string($shown) && $shown !== '' ? $shown : substr((string) strrchr("/{$path}", '/'), 1);
    }

    /** @return list<string> the paths that a relationship points to */
    public static function paths(mixed $value): array
    {
        $list = is_array($value) ? $value : [$value];

        return array_values(
            array_filter($list, static fn (mixed $p): bool => is_string($p) && $p !== '' && $p !== 'None'),
        );
    }
}
