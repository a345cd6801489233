<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Http\Pages\Scene\FoundScene;
use App\Http\Pages\Scene\FoundScenes;
use App\Http\Requests\Scene\FoundScenesRequest;
use App\Intake\Ownership;
use App\Intake\UploadedScenes;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\UploadedFile;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Matching\SceneOwnership;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Scene\ReadBudget;
use PlainLedger\Core\Text\Text;

/** What is in files of settings, and whose each is; nothing is kept yet. */
final class FoundScenesController
{
    private const MOST = 2_000;

    /** Bytes of settings that go to the page and come back. */
    private const MOST_BYTES = 24_000_000;

    public function __invoke(
        FoundScenesRequest $request,
        #[CurrentUser] User $reader,
        Production $production,
    ): JsonResponse {
        $deliverables = $production->deliverables()->openTo($reader)->with('owner')->orderBy('code')->get();
        $owners = Ownership::among($deliverables);
        [$scenes, $refused] = self::scenesIn($request->files(), $production->fieldMap(), $owners);

        return response()->json(new FoundScenes($scenes, $refused, $deliverables));
    }

    /**
     * @param  list<UploadedFile>  $files
     * @return array{list<FoundScene>, list<string>} scenes, and why others were refused
     */
    private static function scenesIn(array $files, FieldMap $map, SceneOwnership $owners): array
    {
        $scenes = [];
        $refused = [];
        $bytes = 0;
        $room = ReadBudget::standard();
        foreach ($files as $file) {
            foreach (UploadedScenes::scenes($file, $map, $room) as $told) {
                if ($told instanceof JsonRefused) {
                    $refused[] = $told->getMessage();

                    continue;
                }
                $bytes += strlen($told->content);
                if (count($scenes) >= self::MOST || $bytes > self::MOST_BYTES) {
                    return [$scenes, [...$refused, self::tooMany($told)]];
                }
                $scenes[] = new FoundScene($told, $owners);
            }
        }

        return [$scenes, $refused];
    }

    private static function tooMany(RawScene $first): string
    {
        $most = number_format(self::MOST);
        $bytes = (string) ByteSize::of(self::MOST_BYTES);

        return Text::shown($first->label).": these are more than {$most} scenes, or more than {$bytes} of settings; "
            .'bring what comes from here on afterwards.';
    }
}
