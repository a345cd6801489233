<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use Illuminate\Foundation\Http\FormRequest;

/** A folder on the visitor's own disk that is to be checked. */
final class PickedFolderRequest extends FormRequest
{
    /** Clocks that differ by less are taken to agree: a question takes its time. */
    private const AGREE = 3000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'folder' => ['nullable', 'string', 'max:1000'],
            // milliseconds since 1970, by the clock by which its files are dated
            'now' => ['required', 'integer', 'min:0', 'max:100000000000000'],
            'whole' => ['boolean'],
        ];
    }

    public function folder(): string
    {
        return $this->string('folder')->toString();
    }

    /** Milliseconds by which the visitor's clock is ahead. */
    public function ahead(): int
    {
        $ahead = $this->integer('now') - (int) (microtime(true) * 1000);

        return abs($ahead) < self::AGREE ? 0 : $ahead;
    }
}
