<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\ForgetLearner;
use App\Actions\People\LearnerData;
use App\Language\Phrase;
use App\Models\Membership;
use App\Models\Production;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Delivery\Archive\ZipWriter;
use PlainLedger\Core\Media\StringSource;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What a production keeps of one person: handed out whole, or deleted whole. */
final class LearnerDataController
{
    public function show(Production $production, Membership $membership): StreamedResponse
    {
        $data = new LearnerData($membership->setRelation('production', $production));
        $files = static function () use ($data): \Generator {
            foreach ($data->files() as $path => $text) {
                yield [$path, Carbon::now()->getTimestamp(), new StringSource($text)];
            }
        };

        return response()->stream(static function () use ($files): void {
            foreach (ZipWriter::write($files()) as $piece) {
                echo $piece;
                flush();
            }
        }, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => "attachment; filename=\"{$membership->user->handle}.zip\"",
        ]);
    }

    public function destroy(
        Request $request,
        Production $production,
        Membership $membership,
        ForgetLearner $forget,
    ): RedirectResponse {
        $name = $membership->user->name;
        if ($request->input('name') !== $name) {
            throw ValidationException::withMessages([
                'name' => Phrase::of('To delete all of it, type the name: :name.', ['name' => $name]),
            ]);
        }
        $forget->run($membership->setRelation('production', $production));

        return redirect()->route('people', $production->id)
            ->with('told', Phrase::of(
                'All that was kept of them is deleted. Files in the intake stay where they are.',
            ));
    }
}
