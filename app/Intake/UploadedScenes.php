<?php

declare(strict_types=1);

namespace App\Intake;

use App\Language\Phrase;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Scene\ReadBudget;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneArchive;
use PlainLedger\Core\Text\Text;

/** Scene settings in files that somebody hands in, whatever their form. */
final readonly class UploadedScenes
{
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
                    'settings' => Phrase::of(
                        ':name: it has :of, and a settings file has at most :of2; this is probably another '
                            .'file.',
                        [
                            'name' => $name, 'of' => ByteSize::of((int) $file->getSize()),
                            'of2' => ByteSize::of(JsonDocument::LARGEST),
                        ],
                    ),
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
}
