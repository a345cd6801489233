<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Actions\People\PeopleRefused;
use App\Language\Phrase;
use App\Models\PracticeTry;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Practice\Marking;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Demo\Practice\Brief;

/** Marks the specification that somebody wrote for a described job, once. */
final readonly class MarkWritten
{
    /**
     * @param  array<string, string>  $lines  values as they were typed, by requirement
     *
     * @throws PeopleRefused where it was marked already
     */
    public function run(PracticeTry $try, array $lines): Marking
    {
        $brief = Brief::of($try->word);
        $document = json_encode(['require' => (object) $lines] + $brief->blank(), JSON_THROW_ON_ERROR);
        $read = JsonDocument::parse($document, Phrase::of('What you wrote'), Specification::FORMAT);
        $folder = 'practice/brief-'.bin2hex(random_bytes(6));
        Storage::makeDirectory($folder);
        try {
            $marking = $brief->mark($read, Storage::path($folder));
        } finally {
            Storage::deleteDirectory($folder);
        }
        KeepMarks::of($try, ['require' => $lines], $marking);

        return $marking;
    }
}
