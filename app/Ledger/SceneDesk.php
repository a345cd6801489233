<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Actions\Checks\CheckScene;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Scene;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Checking\SceneParts;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldMeaning;
use PlainLedger\Core\Scene\NamedValues;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Scene\RawSettings;
use PlainLedger\Core\Scene\ReadBudget;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\Readers\UsdScene;
use PlainLedger\Core\Scene\SceneArchive;
use PlainLedger\Core\Scene\SceneDocument;
use PlainLedger\Core\Scene\TypedSettings;
use PlainLedger\Core\Specification\CustomFacts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Where scene settings come in, in whatever form, and are kept with what their names meant. */
final readonly class SceneDesk
{
    /** What was typed is kept under this name. */
    public const TYPED = 'typed in';

    public function __construct(private CheckScene $check) {}

    /** @throws ValidationException where the upload itself went wrong */
    public static function name(UploadedFile $file): string
    {
        $name = mb_substr(Text::shown($file->getClientOriginalName()), 0, 200);
        if (! $file->isValid()) {
            $why = in_array($file->getError(), [UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE], true)
                ? 'it is far too large; a settings file has at most '
                    .ByteSize::of(JsonDocument::LARGEST)
                    .', so this is probably another file.'
                : 'it did not arrive whole; try once more.';
            throw ValidationException::withMessages(['settings' => "{$name}: {$why}"]);
        }

        return $name;
    }

    /** @throws ValidationException */
    public static function content(UploadedFile $file): string
    {
        $name = self::name($file);
        if ($file->getSize() > JsonDocument::LARGEST) {
            throw ValidationException::withMessages(
                [
                    'settings' => "{$name}: it has "
                        .ByteSize::of((int) $file->getSize())
                        .', and a settings file has at most '
                        .ByteSize::of(JsonDocument::LARGEST)
                        .'; this is probably another file.',
                ],
            );
        }

        return (string) $file->getContent();
    }

    /**
     * The scenes of one file, or of all files of an archive; what cannot be read is told by name.
     *
     * @return iterable<RawScene|JsonRefused>
     */
    public static function scenes(UploadedFile $file, FieldMap $map, ?ReadBudget $room = null): iterable
    {
        $name = self::name($file);
        $head = (string) @file_get_contents($file->getRealPath(), length: 8);
        $contents = SceneArchive::looksLikeOne($head)
            ? SceneArchive::files($file->getRealPath(), $name, $room)
            : [$name => self::content($file)];
        try {
            foreach ($contents as $label => $content) {
                if ($content instanceof JsonRefused) {
                    yield $content;

                    continue;
                }
                try {
                    yield from (new DetectingReader)->scenes($content, (string) $label, $map);
                } catch (JsonRefused $refused) {
                    yield $refused;
                }
            }
        } catch (JsonRefused $refused) {
            yield $refused;
        }
    }

    /**
     * What names stand for in scenes of a deliverable: the labels of facts of its own, and the names of the production.
     */
    public static function namesFor(Deliverable $deliverable): FieldMap
    {
        return FieldMap::ofOwnFacts(
            CustomFacts::labels($deliverable->draft()->specification),
        )->under($deliverable->production->fieldMap());
    }

    /**
     * Keeps a scene and checks it. The very same settings once more make no second check.
     *
     * @param  string|null  $part  the part that they make, where somebody said so
     *
     * @throws PlainSentence where they cannot be read
     */
    public function bring(
        Deliverable $deliverable,
        string $name,
        string $content,
        User $by,
        ?FieldMap $own = null,
        ?string $part = null,
    ): Check {
        $map = self::namesFor($deliverable)->under($own ?? FieldMap::none());
        (new DetectingReader)->read($content, $name, $map);
        $fields = array_map(static fn (FieldMeaning $m): array => $m->toArray(), $map->meanings());
        $last = $deliverable->scenes()->latest('id')->first();
        $newest = $deliverable->checks()->where('state', 'done')->latest('id')->first();
        if (
            $last !== null
            && $newest !== null
            && $newest->scene_id === $last->id
            && $last->hash === hash('sha256', $content)
            && $last->file_name === $name
            && $last->part === $part
            && ($last->field_map ?? []) == $fields
            && ! Asked::hasChangedSince($deliverable, $newest)
        ) {
            return $newest;
        }

        return $this->check->run(
            $deliverable,
            [
                'user_id' => $by->id,
                'file_name' => $name,
                'content' => $content,
                'field_map' => $fields,
                'part' => $part,
            ],
            $by,
        );
    }

    /**
     * A scene too large to be kept word for word, from a file: what was read of it is kept, as a document.
     *
     * @throws PlainSentence
     */
    public function bringLarge(Deliverable $deliverable, string $name, string $path, User $by): Check
    {
        $settings = UsdScene::from(FileSource::open($path), $name);

        return $this->bring(
            $deliverable,
            mb_substr("{$name}, as it was read", 0, 250),
            SceneDocument::write($settings),
            $by,
        );
    }

    /**
     * What was typed in off the screen, of one part. What was typed of the other parts before stays beside it.
     *
     * @param  non-empty-array<string, string>  $typed  by field
     * @param  string|null  $part  null where there is one part alone
     */
    public function typed(Deliverable $deliverable, array $typed, ?string $part, User $by): Check
    {
        if ($part === null) {
            return $this->bring(
                $deliverable,
                self::TYPED,
                json_encode(
                    $typed,
                    JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                ),
                $by,
            );
        }
        $told = [];
        $last = $deliverable->scenes()->latest('id')->first();
        foreach ($last?->file_name === self::TYPED ? SceneParts::of(
            $last->settings(),
            $deliverable->draft()->specification,
        ) : [] as $other => $settings) {
            $told[(string) $other] = TypedSettings::of($settings);
        }
        $told[$part] = $typed;
        $pairs = static fn (array $fields): array => array_map(
            static fn (string $field, string $value): array => [$field, $value],
            array_keys($fields),
            array_values($fields),
        );

        return $this->bring(
            $deliverable,
            self::TYPED,
            SceneDocument::ofParts(
                array_map(static fn (array $fields): RawSettings => NamedValues::understood($pairs($fields)), $told),
            ),
            $by,
        );
    }

    /** The newest settings once more, with a name in them pointed at. */
    public function pointAt(Deliverable $deliverable, FieldMeaning $meaning, bool $forAll, User $by): Check
    {
        /** @var Scene $last */
        $last = $deliverable->scenes()->latest('id')->firstOrFail();
        $own = Scene::map($last->field_map)->with($meaning);
        if ($forAll) {
            $this->keep($deliverable, $meaning);
        }

        return $this->bring($deliverable, $last->file_name, $last->content, $by, $own, $last->part);
    }

    /**
     * The newest settings once more, told which part they make.
     *
     * @param  string|null  $part  null: as their format and name tell
     */
    public function makes(Deliverable $deliverable, ?string $part, User $by): Check
    {
        /** @var Scene $last */
        $last = $deliverable->scenes()->latest('id')->firstOrFail();

        return $this->bring($deliverable, $last->file_name, $last->content, $by, Scene::map($last->field_map), $part);
    }

    private function keep(Deliverable $deliverable, FieldMeaning $meaning): void
    {
        $deliverable->production->alone(
            static fn (Production $now): bool => $now->update(
                [
                    'field_map' => array_map(
                        static fn (FieldMeaning $m): array => $m->toArray(),
                        $now->fieldMap()->with($meaning)->meanings(),
                    ),
                ],
            ),
        );
    }
}
