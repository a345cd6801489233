<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use PlainLedger\Core\Specification\SetBy;

/** One requirement as somebody wants it from now on. */
final readonly class RequirementEdit
{
    /**
     * @param  string  $part  empty for all parts
     * @param  string|null  $json  what is asked; null: it is to be asked no more
     * @param  string|null  $seen  the token of what stood there when it was begun
     */
    public function __construct(
        public string $id,
        public string $part,
        public SetBy $layer,
        public ?string $json,
        public ?string $seen,
    ) {}
}
