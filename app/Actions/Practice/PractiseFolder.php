<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Models\PracticeTry;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Practice\PracticeTruth;
use PlainLedger\Demo\Practice\PracticeMaker;

/** The files of a try: made when they are first needed, and made again the same where they are gone. */
final readonly class PractiseFolder
{
    public function __construct(private PracticeMaker $maker) {}

    /** @return string its path on this machine */
    public function of(PracticeTry $try): string
    {
        $folder = Storage::path($try->folder());
        if (is_file("{$folder}/specification.json")) {
            return $folder;
        }
        // as a whole or not at all: two that ask at once each make one, and one of them stays
        $beside = $try->folder().'-'.bin2hex(random_bytes(4));
        Storage::makeDirectory($beside);
        $exercise = $try->exercise;
        $this->maker->make($exercise->title, $exercise->blunders(), $try->word, Storage::path($beside));
        if (! @rename(Storage::path($beside), $folder)) {
            Storage::deleteDirectory($beside);
        }

        return $folder;
    }

    public function truth(PracticeTry $try): PracticeTruth
    {
        return PracticeMaker::truth($this->of($try));
    }
}
