<?php

declare(strict_types=1);

namespace App\Actions\Specifications;

use App\Intake\IntakeFolder;
use App\Intake\QuickLook;
use App\Language\Phrase;
use App\Models\IntakeRoot;
use App\Models\Preset as OwnPreset;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Proposal\SpecificationProposal;
use PlainLedger\Core\Specification\Preset;
use PlainLedger\Core\Specification\Specification as Resolved;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Where a new specification begins: empty, from a preset, from another, from a document, from files that are right. */
final readonly class StartingDocument
{
    /** @return list<array{word: string, group: string, title: string}> a production's own first */
    public static function offered(Production $production): array
    {
        $own = $production->presets()
            ->orderBy('title')
            ->get()
            ->map(
                static fn (OwnPreset $p): array => [
                    'word' => "own:{$p->id}",
                    'group' => 'This production’s own',
                    'title' => $p->title,
                ],
            )
            ->all();

        return [
            ...array_values($own),
            ...array_map(
                static fn (Preset $p): array => [
                    'word' => "preset:{$p->word}",
                    'group' => $p->group,
                    'title' => $p->title,
                ],
                Preset::shipped(),
            ),
        ];
    }

    /**
     * @return list<array{id: int, title: string, production: string}> specifications that this person may begin from
     */
    public static function elsewhere(Production $here, User $reader): array
    {
        $productions = $reader->productions()
            ->get()
            ->filter(static fn (Production $p): bool => $reader->roleIn($p->id)?->decides() ?? false);

        return array_values(
            Specification::query()->whereIn('production_id', $productions->pluck('id'))
                ->with('production')
                ->orderByDesc('updated_at')
                ->limit(200)
                ->get()
                ->map(
                    static fn (Specification $s): array => [
                        'id' => $s->id,
                        'title' => $s->title,
                        'production' => $s->production_id === $here->id ? '' : $s->production->name,
                    ],
                )->all(),
        );
    }

    /**
     * @param  StartingChoice  $choice  where it begins
     * @param  User  $by  who may copy what they decide on themselves
     * @return array<string, mixed>
     *
     * @throws ValidationException
     */
    public static function document(Production $production, StartingChoice $choice, User $by): array
    {
        return match ($choice->kind) {
            'preset' => Preset::find($choice->word)->document ?? throw self::unknown('preset'),
            'own' => $production->presets()->find((int) $choice->word)->document ?? throw self::unknown('preset'),
            'copy' => self::copy((int) $choice->word, $by),
            'files' => self::files($production, $choice->root, $choice->below, $choice->code),
            default => ['delivers' => 'frames', 'values' => [], 'require' => []],
        };
    }

    private static function unknown(string $what): ValidationException
    {
        return ValidationException::withMessages(['begin' => Phrase::of('There is no such :what.', ['what' => $what])]);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws PlainSentence
     */
    public static function uploaded(UploadedFile $file): array
    {
        $content = (string) $file->getContent();
        $document = JsonDocument::parse($content, $file->getClientOriginalName(), Resolved::FORMAT);
        Resolved::fromDocument($document);

        return $document->data;
    }

    /** @return array<string, mixed> */
    private static function copy(int $id, User $by): array
    {
        $specification = Specification::query()->with('production', 'latest')->find($id);
        if ($specification === null || ! $by->can('decide', $specification->production)) {
            throw ValidationException::withMessages(['begin' => Phrase::of('There is no such specification.')]);
        }

        return $specification->latest->data;
    }

    /**
     * What the files in a folder of the intake fulfil.
     *
     * @return array<string, mixed>
     *
     * @throws ValidationException
     */
    public static function files(Production $production, int $root, string $below, ?string $code): array
    {
        try {
            $found = IntakeRoot::query()->where('production_id', $production->id)->find($root)
                ?? throw ValidationException::withMessages(['begin' => Phrase::of('Choose a folder of the intake.')]);
            $folder = IntakeFolder::ofProduction($found, $below);
            $proposal = SpecificationProposal::from(QuickLook::at($folder), $code);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['begin' => Text::shown($refused->getMessage())]);
        }

        return $proposal->document
            ?? throw ValidationException::withMessages(
                ['begin' => Phrase::of('There is no picture and no movie in that folder to begin from.')],
            );
    }
}
