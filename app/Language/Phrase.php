<?php

declare(strict_types=1);

namespace App\Language;

use Illuminate\Support\Facades\Lang;

/**
 * A sentence that is told to whoever uses the ledger: English where it stands, and in the language of the installation
 * where `lang/LANGUAGE.json` has it.
 */
final readonly class Phrase
{
    /** @param  array<string, string|int|\Stringable|null>  $with  what stands in it, by name: `:name` */
    public static function of(string $english, array $with = []): string
    {
        $told = Lang::get($english, array_map(static fn (mixed $value): string => (string) $value, $with));

        return is_string($told) ? $told : $english;
    }

    /**
     * A sentence with a number in it, `:count`.
     *
     * @param  string  $english  for one, and behind a stroke for any other number: `:count file moved.|:count files
     *   moved.`
     * @param  array<string, string|int|\Stringable|null>  $with
     */
    public static function counted(int $number, string $english, array $with = []): string
    {
        $with = ['count' => number_format($number)] + $with;

        return Lang::choice($english, $number, array_map(static fn (mixed $value): string => (string) $value, $with));
    }
}
