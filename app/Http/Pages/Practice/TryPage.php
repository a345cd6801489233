<?php

declare(strict_types=1);

namespace App\Http\Pages\Practice;

use App\Actions\Practice\PractiseFolder;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\PracticeExercise;
use App\Models\PracticeTry;
use App\Models\User;
use PlainLedger\Core\Diagnosis\CauseGuide;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification;

/** Something to practise on: what is asked, what the scene says, which files came; and what was said of it. */
final readonly class TryPage
{
    use RendersPage;

    public Book $book;

    /** @var array{id: int, title: string} */
    public array $exercise;

    /** @var array{decides: bool} */
    public array $may;

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
        $path = $try instanceof PracticeTry ? $folder->of($try) : null;
        $this->asked = $path === null ? [] : self::asked($path);
        $this->scene = $path === null ? [] : self::scene($path);
        $this->files = $path === null ? [] : self::files($path);
        $guide = CauseGuide::read((string) file_get_contents(base_path('docs/causes.md')));
        $causes = [];
        foreach ($guide->lines as $id => [$from]) {
            $causes[] = ['id' => (string) $id, 'name' => str_replace('-', ' ', (string) $id), 'from' => $from];
        }
        $this->causes = $path === null ? [] : $causes;
        $this->marks = $try?->marks;
    }

    /** @return list<array{id: string, label: string, required: string}> */
    private static function asked(string $path): array
    {
        $specification = Specification::fromDocument(JsonDocument::parse(
            (string) file_get_contents("{$path}/specification.json"),
            'specification.json',
            Specification::FORMAT,
        ));

        return array_values(array_map(static fn (Requirement $r): array => [
            'id' => $r->id(), 'label' => $r->descriptor->label, 'required' => $r->required(),
        ], $specification->parts[0]->requirements));
    }

    /** @return list<array{name: string, value: string}> */
    private static function scene(string $path): array
    {
        /** @var array{scene: array<string, mixed>, settings: array<string, mixed>} $scene */
        $scene = json_decode((string) file_get_contents("{$path}/scene.json"), true, 16, JSON_THROW_ON_ERROR);
        $lines = [];
        foreach (['scene.saved' => $scene['scene']['saved'] ?? null] + $scene['settings'] as $name => $value) {
            $lines[] = ['name' => $name, 'value' => match (true) {
                is_array($value) => implode(', ', array_filter($value, is_string(...))),
                is_bool($value) => $value ? 'yes' : 'no',
                default => is_scalar($value) ? (string) $value : '',
            }];
        }

        return $lines;
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
