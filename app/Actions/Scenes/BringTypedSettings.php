<?php

declare(strict_types=1);

namespace App\Actions\Scenes;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Checking\SceneParts;
use PlainLedger\Core\Scene\NamedValues;
use PlainLedger\Core\Scene\RawSettings;
use PlainLedger\Core\Scene\SceneDocument;
use PlainLedger\Core\Scene\TypedSettings;

/** What was typed in off the screen, of one part. What was typed of the other parts before stays beside it. */
final readonly class BringTypedSettings
{
    /** It is kept under this name. */
    private const NAME = 'typed in';

    public function __construct(private BringScene $bring) {}

    /**
     * @param  non-empty-array<string, string>  $typed  by field
     * @param  string|null  $part  null where there is one part alone
     */
    public function run(Deliverable $deliverable, array $typed, ?string $part, User $by): Check
    {
        if ($part === null) {
            return $this->bring->run(
                $deliverable,
                self::NAME,
                json_encode(
                    $typed,
                    JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                ),
                $by,
            );
        }
        $told = self::typedBefore($deliverable);
        $told[$part] = $typed;
        $pairs = static fn (array $fields): array => array_map(
            static fn (string $field, string $value): array => [$field, $value],
            array_keys($fields),
            array_values($fields),
        );

        return $this->bring->run(
            $deliverable,
            self::NAME,
            SceneDocument::ofParts(
                array_map(static fn (array $fields): RawSettings => NamedValues::understood($pairs($fields)), $told),
            ),
            $by,
        );
    }

    /** @return array<array-key, array<string, string>> by part */
    private static function typedBefore(Deliverable $deliverable): array
    {
        $last = $deliverable->scenes()->latest('id')->first();
        if ($last === null || $last->file_name !== self::NAME) {
            return [];
        }
        $parts = SceneParts::of($last->settings(), $deliverable->draft()->specification);

        return array_map(TypedSettings::of(...), $parts);
    }
}
