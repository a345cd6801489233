<?php

declare(strict_types=1);

namespace App\Actions\Scenes;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Scene\Readers\UsdScene;
use PlainLedger\Core\Scene\SceneDocument;
use PlainLedger\Core\Text\PlainSentence;

/** A scene too large to be kept word for word, from a file: what was read of it is kept, as a document. */
final readonly class BringLargeScene
{
    public function __construct(private BringScene $bring) {}

    /** @throws PlainSentence */
    public function run(Deliverable $deliverable, string $name, string $path, User $by): Check
    {
        $settings = UsdScene::from(FileSource::open($path), $name);

        return $this->bring->run(
            $deliverable,
            mb_substr("{$name}, as it was read", 0, 250),
            SceneDocument::write($settings),
            $by,
        );
    }
}
