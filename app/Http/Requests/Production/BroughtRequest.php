<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Media\SliceSource;
use PlainLedger\Core\Text\Text;

/**
 * The two ends of files that somebody drops, in base 64, with their names and lengths: by them it is known what each
 * is, and nothing is kept.
 */
final class BroughtRequest extends FormRequest
{
    public const MOST = 60;

    /** Letters of what comes of one end: a megabyte and a half. */
    private const LONGEST = 2_100_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'files' => ['required', 'array', 'max:'.self::MOST],
            'files.*' => ['array:name,size,head,tail'],
            'files.*.name' => ['required', 'string', 'max:1000'],
            'files.*.size' => ['required', 'integer', 'min:0'],
            'files.*.head' => ['present', 'nullable', 'string', 'max:'.self::LONGEST],
            'files.*.tail' => ['present', 'nullable', 'string', 'max:'.self::LONGEST],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['files.required' => Phrase::of(
            'Drop something first.',
        ), 'files.max' => Phrase::of('At most :most files in one go.', ['most' => self::MOST])];
    }

    /**
     * @return list<array{string, SliceSource}> names and what is known of their bytes
     *
     * @throws ValidationException
     */
    public function files(): array
    {
        $files = [];
        foreach ($this->array('files') as $file) {
            $size = (int) $file['size'];
            $head = self::bytes($file['head'] ?? '');
            $tail = self::bytes($file['tail'] ?? '');
            $files[] = [
                Text::shown((string) $file['name']),
                // of a short file the head is all of it
                new SliceSource($size, $size <= strlen($head)
                    ? [0 => $head]
                    : [0 => $head, max(0, $size - strlen($tail)) => $tail]),
            ];
        }

        return $files;
    }

    /** @throws ValidationException */
    private static function bytes(string $text): string
    {
        $bytes = base64_decode($text, true);
        if ($bytes === false) {
            throw ValidationException::withMessages(['files' => Phrase::of(
                'What was sent of these files is damaged. Try again.',
            )]);
        }

        return $bytes;
    }
}
