<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use App\Language\Phrase;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\SpecificationDocument;

/** What was typed, as JSON that a layer keeps. */
final readonly class WrittenRequirement
{
    /**
     * The value alone, where nothing more is said of it.
     *
     * @param  string  $level  must or should
     *
     * @throws ValidationException where it is not known
     * @throws \PlainLedger\Core\Text\PlainSentence where the value is none of its kind
     */
    public static function typed(string $id, string $value, string $level, ?string $why): string
    {
        $descriptor = self::descriptor($id);
        $typed = RequirementValue::typed($descriptor, $value);
        $new = $level === 'must' && $why === null
            ? $typed
            : ['value' => $typed] + array_filter(['level' => $level, 'why' => $why], is_string(...));
        $requirement = Requirement::read($descriptor, $new, SetBy::Deliverable, 'Here');

        return self::json(SpecificationDocument::ask($requirement));
    }

    /**
     * Several starting values stand with bars between them.
     *
     * @throws ValidationException where it is not known
     * @throws \PlainLedger\Core\Text\PlainSentence where a value is none of its kind
     */
    public static function startingValues(string $id, string $text): string
    {
        $descriptor = self::descriptor($id);
        $values = array_map(
            static fn (string $one): string => (string) RequirementValue::read($descriptor, $one),
            preg_split('~\s*\|\s*~', trim($text), -1, PREG_SPLIT_NO_EMPTY) ?: [''],
        );

        return self::json(array_values(array_unique($values)));
    }

    public static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    private static function descriptor(string $id): Descriptor
    {
        return Catalogue::standard()->find($id)
            ?? throw ValidationException::withMessages(['value' => Phrase::of(
                '“:id” is not known here.',
                ['id' => $id],
            )]);
    }
}
