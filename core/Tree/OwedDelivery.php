<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Specification\Specification;

/** One deliverable that a delivered tree may answer. */
final readonly class OwedDelivery
{
    /** Values that tell one deliverable from another, the telling ones first. */
    private const CODES = ['shot', 'learner', 'scene_name'];

    /** @param  string  $key  by which whoever asks knows it again: a path, a number */
    public function __construct(public string $key, public Specification $specification) {}

    /** Its code, and what it is called. */
    public function label(): string
    {
        $title = $this->specification->title;
        $code = $this->code();

        return match (true) {
            $code === null => $title === '' ? $this->key : $title,
            $title === '' || $title === $code => $code,
            default => "{$code} · {$title}",
        };
    }

    public function code(): ?string
    {
        return array_values($this->codes())[0] ?? null;
    }

    /** @return array<string, string> by piece of a name */
    public function codes(): array
    {
        $codes = [];
        foreach (self::CODES as $piece) {
            $value = trim((string) ($this->specification->values[$piece] ?? ''));
            $codes += $value === '' ? [] : [$piece => $value];
        }

        return $codes;
    }
}
