<?php

declare(strict_types=1);

namespace App\Http\Requests\Submission;

use Illuminate\Foundation\Http\FormRequest;

/** Sums of files on the visitor's own disk, and how far the reading of them is. */
final class SentSumsRequest extends FormRequest
{
    /** Clocks that differ by less are taken to agree, in seconds. */
    private const AGREE = 3;

    private const PROGRESS = ['files', 'all_files', 'bytes', 'all_bytes'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'sums' => ['present', 'array', 'max:2000'],
            'all' => ['required', 'boolean'],
            'gone' => ['array', 'max:100'],
            'gone.*' => ['string', 'max:4000'],
            // milliseconds since 1970, by the clock by which its files are dated
            'now' => ['required', 'integer', 'min:0', 'max:100000000000000'],
        ] + array_fill_keys(self::PROGRESS, ['required', 'integer', 'min:0']);
    }

    /** @return array<mixed> as they were told; looked through where they are taken */
    public function sums(): array
    {
        return (array) $this->input('sums', []);
    }

    /** @return array{files: int, all_files: int, bytes: int, all_bytes: int} */
    public function progress(): array
    {
        return [
            'files' => $this->integer('files'), 'all_files' => $this->integer('all_files'),
            'bytes' => $this->integer('bytes'), 'all_bytes' => $this->integer('all_bytes'),
        ];
    }

    /** @return list<string> */
    public function gone(): array
    {
        return array_values(array_map(strval(...), (array) $this->input('gone', [])));
    }

    /** Seconds by which the visitor's clock is ahead. */
    public function ahead(): int
    {
        $ahead = intdiv($this->integer('now'), 1000) - time();

        return abs($ahead) < self::AGREE ? 0 : $ahead;
    }
}
