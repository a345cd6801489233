<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\Production;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A code of a deliverable: one that can stand in names, and that no other of its production has. */
final readonly class DeliverableCode implements ValidationRule
{
    private const LONGEST = 80;

    private const SHAPE = '~^[A-Za-z0-9][A-Za-z0-9_.-]*$~D';

    /** @param  Deliverable|null  $own  the one that has it already, which may keep it */
    public function __construct(private Production $production, private ?Deliverable $own = null) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || preg_match(self::SHAPE, $value) !== 1) {
            $fail(Phrase::of(
                'A code has letters, digits, dots, dashes and underscores, and begins with a letter or a '
                    .'digit.',
            ));

            return;
        }
        if (strlen($value) > self::LONGEST) {
            $fail(Phrase::of('A code has at most :longest letters.', ['longest' => self::LONGEST]));
        }
        $there = $this->production->everything()->whereRaw('lower(code) = ?', [strtolower($value)])->first();
        if ($there !== null && ! $there->is($this->own)) {
            $fail($there->put_away_at === null
                ? Phrase::of('This production has a deliverable of that code already; small and large letters make '
                    .'no difference.')
                : Phrase::of('This production has a deliverable of that code already, which was put away; small and '
                    .'large letters make no difference.'));
        }
    }
}
