<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\SpecificationDocument;

/** One requirement as somebody wants it from now on. */
final readonly class RequirementEdit
{
    /**
     * @param  string  $part  empty for all parts
     * @param  string  $layer  deliverable, specification or house
     * @param  bool  $drop  it is to be asked no more
     * @param  string|null  $seen  the token of what stood there when it was begun
     */
    public function __construct(
        public string $id,
        public string $part,
        public string $layer,
        public bool $drop,
        public ?string $json,
        public ?string $seen,
    ) {}

    /**
     * What is kept of what was typed: the value alone, where nothing more is said of it.
     *
     * @throws ValidationException where it is not known
     */
    public static function json(string $id, string $value, string $level, ?string $why): string
    {
        $descriptor = Catalogue::standard()->find($id)
            ?? throw ValidationException::withMessages(['value' => "“{$id}” is not known here."]);
        $typed = RequirementValue::typed($descriptor, $value);
        $new = $level === 'must' && $why === null
            ? $typed
            : ['value' => $typed] + array_filter(['level' => $level, 'why' => $why], is_string(...));
        $requirement = Requirement::read($descriptor, $new, SetBy::Deliverable, 'Here');

        return json_encode(
            SpecificationDocument::ask($requirement),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }
}
