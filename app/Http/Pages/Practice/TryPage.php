<?php

declare(strict_types=1);

namespace App\Http\Pages\Practice;

use App\Actions\Practice\PractiseFolder;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\PracticeExercise;
use App\Models\PracticeTry;
use App\Models\User;
use PlainLedger\Core\Checking\SourceRequirements;
use PlainLedger\Core\Diagnosis\CauseGuide;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Demo\Practice\Brief;

/** Something to practise on: what is asked, what the scene says, which files came; and what was said of it. */
final readonly class TryPage
{
    use RendersPage;

    public Book $book;

    /** @var array{id: int, title: string} */
    public array $exercise;

    /** @var array{decides: bool} */
    public array $may;

    /** The job that a specification is to be written for; null where mistakes are to be found. */
    public ?string $brief;

    /** @var list<array{id: string, label: string, group: string}> what a specification can ask */
    public array $offered;

    /** @var array<string, string> what was written, by requirement */
    public array $written;

    /** Whether there is something to look at. */
    public bool $begun;

    /** @var list<array{id: string, label: string, required: string}> */
    public array $asked;

    /** @var list<array{name: string, value: string}> what the scene is set to */
    public array $scene;

    /** @var list<array{name: string, bytes: int, written: string}> */
    public array $files;

    /** @var list<array{id: string, name: string, from: string}> all causes there are */
    public array $causes;

    /**
     * @var array{earned: int, possible: int, points: list<array{about: string, key: string, mark: string, earned: int,
     *   possible: int, says: string}>}|null
     */
    public ?array $marks;

    public function __construct(PracticeExercise $exercise, User $reader, PractiseFolder $folder)
    {
        $try = $exercise->tries()->where('user_id', $reader->id)->latest('id')->first();
        $this->book = new Book($exercise->production, $reader);
        $this->exercise = ['id' => $exercise->id, 'title' => $exercise->title];
        $this->may = ['decides' => $reader->can('decide', $exercise->production)];
        $this->begun = $try !== null;
        $isBrief = $exercise->isBrief();
        $this->brief = $isBrief && $try instanceof PracticeTry ? Brief::of($try->word)->text() : null;
        $this->offered = $isBrief ? self::offered() : [];
        $this->written = $try->answer['require'] ?? [];
        $path = self::place($try, $isBrief, $folder);
        $this->asked = $path === null ? [] : self::asked($path);
        $this->scene = $path === null ? [] : self::scene($path);
        $this->files = $path === null ? [] : self::files($path);
        $this->causes = $path === null ? [] : self::causes();
        $this->marks = $try?->marks;
    }

    /** Where its files lie; null where there are none. */
    private static function place(?PracticeTry $try, bool $isBrief, PractiseFolder $folder): ?string
    {
        return $try === null || $isBrief ? null : $folder->of($try);
    }

    /** @return list<array{id: string, name: string, from: string}> */
    private static function causes(): array
    {
        $guide = CauseGuide::read((string) file_get_contents(base_path('docs/causes.md')));
        $causes = [];
        foreach ($guide->lines as $id => [$from]) {
            $causes[] = ['id' => (string) $id, 'name' => str_replace('-', ' ', (string) $id), 'from' => $from];
        }

        return $causes;
    }

    /** @return list<array{id: string, label: string, group: string}> those that files can show */
    private static function offered(): array
    {
        $offered = [];
        foreach (Catalogue::standard()->all() as $one) {
            if ($one->inFiles() || $one->inDelivery()) {
                $offered[] = ['id' => $one->id, 'label' => $one->label, 'group' => $one->group->value];
            }
        }

        return $offered;
    }

    /** @return list<array{id: string, label: string, required: string}> */
    private static function asked(string $path): array
    {
        $specification = Specification::fromDocument(JsonDocument::parse(
            (string) file_get_contents("{$path}/specification.json"),
            'specification.json',
            Specification::FORMAT,
        ));

        $required = [];
        foreach ($specification->parts as $part) {
            $source = $part->madeFrom === null ? null : $specification->part($part->madeFrom);
            // what a movie owes the frames it is made from is not written down
            $implied = $source === null ? [] : SourceRequirements::owed($part, $source, null);
            foreach ([...array_values($part->requirements), ...$implied] as $requirement) {
                $required[$requirement->id()][$part->name] ??= $requirement;
            }
        }

        return array_map(self::line(...), array_values($required));
    }

    /**
     * @param  non-empty-array<string, Requirement>  $of  by part
     * @return array{id: string, label: string, required: string}
     */
    private static function line(array $of): array
    {
        $first = reset($of);
        $texts = array_map(static fn (Requirement $r): string => $r->required(), $of);
        $told = count(array_unique($texts)) === 1
            ? [reset($texts)]
            : array_map(
                static fn (string $part, string $text): string => "{$text} ({$part})",
                array_keys($texts),
                $texts,
            );

        return ['id' => $first->id(), 'label' => $first->descriptor->label, 'required' => implode(', ', $told)];
    }

    /** @return list<array{name: string, value: string}> */
    private static function scene(string $path): array
    {
        /** @var array{scene: array<string, mixed>, settings: array<string, mixed>} $scene */
        $scene = json_decode((string) file_get_contents("{$path}/scene.json"), true, 16, JSON_THROW_ON_ERROR);
        $lines = [];
        foreach (['scene.saved' => $scene['scene']['saved'] ?? null] + $scene['settings'] as $name => $value) {
            $lines[] = ['name' => $name, 'value' => match (true) {
                is_array($value) => implode(', ', array_map(self::item(...), $value)),
                is_bool($value) => $value ? 'yes' : 'no',
                default => is_scalar($value) ? (string) $value : '',
            }];
        }

        return $lines;
    }

    /** A camera's name; a pass with whether it is saved. */
    private static function item(mixed $item): string
    {
        return match (true) {
            is_string($item) => $item,
            is_array($item) => ($item['name'] ?? '').(($item['saved'] ?? true) === true ? '' : ' (not saved)'),
            default => '',
        };
    }

    /** @return list<array{name: string, bytes: int, written: string}> */
    private static function files(string $path): array
    {
        $files = [];
        foreach (glob("{$path}/files/*") ?: [] as $file) {
            $files[] = [
                'name' => basename($file), 'bytes' => (int) filesize($file),
                'written' => gmdate('j M Y, H:i', (int) filemtime($file)),
            ];
        }

        return $files;
    }
}
