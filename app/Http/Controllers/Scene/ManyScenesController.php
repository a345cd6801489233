<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Actions\Scenes\BringScene;
use App\Http\Pages\Scene\KeptScene;
use App\Http\Pages\Scene\ManyScenesPage;
use App\Http\Requests\Scene\ManyScenesRequest;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** Settings of many scenes at once. */
final class ManyScenesController
{
    public function create(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new ManyScenesPage($production, $reader))->render();
    }

    /**
     * Some of them are kept and checked; the page sends as many as go into a few seconds.
     *
     * @answers array{done: list<KeptScene>}
     */
    public function store(
        ManyScenesRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        BringScene $bring,
    ): JsonResponse {
        $open = $production->deliverables()->openTo($by)->withAsked();
        $done = [];
        foreach ($request->scenes() as $scene) {
            $deliverable = (clone $open)->find((int) $scene['deliverable']);
            $done[] = $deliverable === null
                ? KeptScene::refused(null, "“{$scene['label']}” was to go to a deliverable that is not of this "
                    .'production, or not yours.')
                : self::kept($bring, $deliverable, $scene['label'], $scene['content'], $by);
        }
        if (array_filter($done, static fn (KeptScene $each): bool => $each->id !== 0) === []) {
            throw ValidationException::withMessages(['scenes' => (string) $done[0]->fault]);
        }

        return response()->json(['done' => $done]);
    }

    private static function kept(
        BringScene $bring,
        Deliverable $deliverable,
        string $label,
        string $content,
        User $by,
    ): KeptScene {
        try {
            $check = $bring->run($deliverable, mb_substr($label, 0, 250), $content, $by);

            return KeptScene::checked($deliverable, $check);
        } catch (PlainSentence $refused) {
            return KeptScene::refused($deliverable, $refused->getMessage());
        } catch (\Throwable $fault) {
            // one that nobody foresaw spares the others
            report($fault);

            return KeptScene::refused(
                $deliverable,
                "“{$label}” could not be read, by a fault of this program. The others were.",
            );
        }
    }
}
