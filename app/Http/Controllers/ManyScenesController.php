<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Scenes\BringScene;
use App\Http\Pages\BookPage;
use App\Intake\UploadedScenes;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Matching\OwnerCandidate;
use PlainLedger\Core\Matching\SceneOwnership;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Scene\ReadBudget;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/**
 * The settings of many scenes at once: each finds its deliverable, what finds none is asked for, and all are checked.
 */
final class ManyScenesController
{
    private const MOST = 2_000;

    /** Bytes of settings that go to the page and come back. */
    private const MOST_BYTES = 24_000_000;

    public function show(Request $request, Production $production): Response
    {
        Gate::authorize('view', $production);
        /** @var User $reader */
        $reader = $request->user();

        return Inertia::render('ManyScenes', ['book' => BookPage::of($production, $reader)]);
    }

    /**
     * All of it for those who decide, what is theirs for everybody else.
     *
     * @return Builder<Deliverable>
     */
    private function open(Request $request, Production $production): Builder
    {
        return Deliverable::query()->where('production_id', $production->id)->when(
            $request->user()?->can('decide', $production) !== true,
            fn ($query) => $query->where('owner_id', $request->user()?->id),
        );
    }

    /** What is in the files, and whose each is; nothing is kept yet. */
    public function read(Request $request, Production $production): JsonResponse
    {
        Gate::authorize('view', $production);
        $request->validate(
            ['files' => ['required', 'array', 'max:500'], 'files.*' => ['file']],
            [
                'files.required' => 'Drop some files first.',
                'files.max' => 'At most 500 files at once; pack more of them as a zip.',
            ],
        );
        $deliverables = $this->open($request, $production)->with('owner')->orderBy('code')->get();
        /** @var list<UploadedFile> $files */
        $files = $request->file('files');
        self::noneMissing($files);
        [$scenes, $refused] = self::scenesIn($files, $production->fieldMap(), self::ownership($deliverables));

        return response()->json(
            [
                'scenes' => $scenes,
                'refused' => array_slice($refused, 0, 200),
                'deliverables' => $deliverables->map(
                    static fn (Deliverable $d): array => [
                        'id' => $d->id,
                        'code' => $d->code,
                        'owner' => $d->owner?->name,
                    ],
                )->all(),
            ],
        );
    }

    /** @param  Collection<int, Deliverable>  $deliverables */
    private static function ownership(Collection $deliverables): SceneOwnership
    {
        $candidate = static fn (Deliverable $d): OwnerCandidate => new OwnerCandidate(
            $d->id,
            $d->code,
            $d->owner?->handle,
            $d->owner?->name,
        );

        return new SceneOwnership(array_values($deliverables->map($candidate)->all()));
    }

    /**
     * @param  list<UploadedFile>  $files
     * @return array{list<array<string, mixed>>, list<string>} scenes, and why others were refused
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
                $scenes[] = self::line($told, $owners);
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

    /**
     * The server takes so many files and passes over the others without a word.
     *
     * @param  list<UploadedFile>  $files
     */
    private static function noneMissing(array $files): void
    {
        $most = (int) ini_get('max_file_uploads');
        if ($most > 0 && count($files) >= $most) {
            throw ValidationException::withMessages(
                [
                    'files' => 'These are '
                        .number_format($most)
                        .' files or more, and the server takes fewer at once. Bring them in two goes, or pack them '
                        .'as a zip.',
                ],
            );
        }
    }

    /** @return array<string, mixed> */
    private static function line(RawScene $told, SceneOwnership $owners): array
    {
        $found = $owners->of($told->whose);

        return [
            'label' => Text::shown($told->label),
            'content' => mb_check_encoding($told->content, 'UTF-8')
                ? $told->content
                : mb_convert_encoding($told->content, 'UTF-8', 'Windows-1252'),
            'whose' => Text::shown(mb_strimwidth($told->whose[0] ?? '', 0, 80, '…')),
            'deliverable' => count($found) === 1 ? $found[0]->id : null,
            'perhaps' => count($found) > 1
                ? array_map(static fn (OwnerCandidate $o): int => $o->id, array_slice($found, 0, 20))
                : [],
            'settings' => count($told->settings->all()), 'unknown' => count($told->settings->misread->unknown),
        ];
    }

    /** Some of them are kept and checked; the page sends as many as go into a few seconds. */
    public function store(Request $request, Production $production, BringScene $bring): JsonResponse
    {
        Gate::authorize('view', $production);
        $given = $request->validate([
            'scenes' => ['required', 'array', 'max:25'], 'scenes.*.deliverable' => ['required', 'integer'],
            'scenes.*.label' => ['required', 'string', 'max:300'],
            'scenes.*.content' => ['required', 'string', 'max:'.JsonDocument::LARGEST],
        ]);
        /** @var User $by */
        $by = $request->user();
        $done = [];
        foreach ($given['scenes'] as $scene) {
            $deliverable = $this->open($request, $production)
                ->with('production', 'owner', 'specification.latest')
                ->find((int) $scene['deliverable']);
            if ($deliverable === null) {
                $done[] = self::notDone(
                    0,
                    '',
                    "“{$scene['label']}” was to go to a deliverable that is not of this production, or not yours.",
                );

                continue;
            }
            try {
                $check = $bring->run($deliverable, mb_substr($scene['label'], 0, 250), $scene['content'], $by);
                // of a scene beside files, what the scene shows is what was asked for
                $causes = $check->summary['causes'] ?? [];
                $first = array_values(array_filter($causes, static fn (array $c): bool => $c['side'] === 'scene'))[0]
                    ?? $causes[0]
                    ?? null;
                $done[] = [
                    'id' => $deliverable->id, 'code' => $deliverable->code, 'verdict' => $check->verdict,
                    'holdsUp' => $check->holds_up, 'cause' => $first['says'] ?? null, 'fault' => null,
                ];
            } catch (PlainSentence $refused) {
                $done[] = self::notDone($deliverable->id, $deliverable->code, $refused->getMessage());
            } catch (\Throwable $fault) {
                // one that nobody foresaw spares the others
                report($fault);
                $done[] = self::notDone(
                    $deliverable->id,
                    $deliverable->code,
                    "“{$scene['label']}” could not be read, by a fault of this program. The others were.",
                );
            }
        }

        if (array_sum(array_column($done, 'id')) === 0) {
            throw ValidationException::withMessages(['scenes' => (string) $done[0]['fault']]);
        }

        return response()->json(['done' => $done]);
    }

    /** @return array<string, mixed> */
    private static function notDone(int $id, string $code, string $fault): array
    {
        return ['id' => $id, 'code' => $code, 'verdict' => null, 'holdsUp' => null, 'cause' => null, 'fault' => $fault];
    }
}
