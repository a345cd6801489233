<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Pages\People\RosterRead;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use PlainLedger\Core\Course\RosterFiles;
use PlainLedger\Core\Media\FileSource;

/** A roster of another system: who is on it is told, and nobody is invited yet. */
final class RosterController
{
    public function __invoke(Request $request, Production $production): JsonResponse
    {
        $request->validate(
            [
                'files' => ['required', 'array', 'max:40'], 'files.*' => ['file', 'max:50000'],
                'class' => ['nullable', 'string', 'max:200'],
            ],
            ['files*' => Phrase::of('Give the roster as a file of at most 50 MB.')],
        );
        $files = [];
        foreach ((array) $request->file('files') as $file) {
            if ($file instanceof UploadedFile) {
                $files[$file->getClientOriginalName()] = FileSource::open($file->getPathname());
            }
        }
        $class = $request->string('class')->toString();

        return response()->json(new RosterRead($production, RosterFiles::read($files, $class === '' ? null : $class)));
    }
}
