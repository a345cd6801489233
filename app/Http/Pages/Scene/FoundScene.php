<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use PlainLedger\Core\Matching\OwnerCandidate;
use PlainLedger\Core\Matching\SceneOwnership;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Text\Text;

/** One scene of several that were brought. */
final readonly class FoundScene
{
    public string $label;

    public string $content;

    /** Whose it says that it is. */
    public string $whose;

    public ?int $deliverable;

    /** @var list<int> deliverables that it could be of */
    public array $perhaps;

    public int $settings;

    /** How many of its names were not understood. */
    public int $unknown;

    public function __construct(RawScene $told, SceneOwnership $owners)
    {
        $found = array_map(static fn (OwnerCandidate $o): int => $o->id, $owners->of($told->whose));
        $this->label = Text::shown($told->label);
        $this->content = mb_check_encoding($told->content, 'UTF-8')
            ? $told->content
            : mb_convert_encoding($told->content, 'UTF-8', 'Windows-1252');
        $this->whose = Text::shown(mb_strimwidth($told->whose[0] ?? '', 0, 80, '…'));
        $this->deliverable = count($found) === 1 ? $found[0] : null;
        $this->perhaps = count($found) > 1 ? array_slice($found, 0, 20) : [];
        $this->settings = count($told->settings->all());
        $this->unknown = count($told->settings->misread->unknown);
    }
}
