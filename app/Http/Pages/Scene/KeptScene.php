<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use App\Models\Check;
use App\Models\Deliverable;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Checking\Verdict;

/** What came of one scene of several: how it stands, or why it was not kept. */
final readonly class KeptScene
{
    private function __construct(
        public int $id,
        public string $code,
        public ?Verdict $verdict,
        public ?string $holdsUp,
        public ?string $cause,
        public ?string $fault,
    ) {}

    public static function checked(Deliverable $deliverable, Check $check): self
    {
        // of a scene beside files, what the scene shows is what was asked for
        $causes = $check->summary['causes'] ?? [];
        $ofScene = array_filter($causes, static fn (array $c): bool => $c['side'] === Side::Scene->value);
        $first = array_values($ofScene)[0] ?? $causes[0] ?? null;

        return new self(
            $deliverable->id,
            $deliverable->code,
            $check->verdict,
            $check->holds_up,
            $first['says'] ?? null,
            null,
        );
    }

    public static function refused(?Deliverable $deliverable, string $fault): self
    {
        return new self($deliverable->id ?? 0, $deliverable->code ?? '', null, null, null, $fault);
    }
}
