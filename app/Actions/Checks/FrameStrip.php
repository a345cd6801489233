<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\RequirementId;

/** What the frame strip draws, for each owed sequence: sets of frames as texts, and at most 240 sizes along them. */
final readonly class FrameStrip
{
    private const POINTS = 240;

    private const SUSPICIOUS = 3;

    private const MOST_LAYERS = 60;

    /** A float picture of more takes seconds to decode: one of them is enough. */
    private const QUICK_PIXELS = 500_000;

    /**
     * @return list<array{part: string, pass: string|null, wrong: string, sizes: list<array{int, int}>,
     *   pictures: list<int>, layers: list<string>}>
     */
    public static function of(CheckReport $account): array
    {
        $strips = [];
        foreach ($account->check->subjects as $subject) {
            foreach ($subject->match->passes ?? [] as $p => $pass) {
                $wrong = FrameRange::none();
                foreach ($account->check->entries as $entry) {
                    // a wrong name or place says nothing of the picture, and has its own drawing
                    if (
                        $entry->part === $subject->part->name
                        && ! in_array(
                            $entry->id(),
                            [
                                RequirementId::TIME_RANGE,
                                RequirementId::CONTENT_WHOLE,
                                RequirementId::NAMING_PATTERN,
                                RequirementId::NAMING_FOLDER,
                            ],
                            true,
                        )
                    ) {
                        $wrong = $wrong->plus($entry->files->wrong[$p] ?? FrameRange::none());
                    }
                }
                $sizes = [];
                $count = $pass->frames->count();
                $every = max(1, intdiv($count + self::POINTS - 1, self::POINTS));
                for ($i = 0; $i < $count; $i += $every) {
                    $sizes[] = [$pass->frames->numbers[$i], $pass->frames->sizes[$i]];
                }
                $strips[] = [
                    'part' => $subject->part->name,
                    'pass' => $pass->pass,
                    'wrong' => (string) $wrong->minus($pass->damaged),
                    'sizes' => $sizes,
                    'pictures' => self::pictures($pass, $wrong),
                    'layers' => self::layers($pass),
                ];
            }
        }

        return $strips;
    }

    /**
     * Frames worth a look: first, middle and last of those that can be decoded, and the first of the first runs that
     * are not as asked; or one alone, where each takes long.
     *
     * @return list<int> in their order
     */
    private static function pictures(PassMatch $pass, FrameRange $wrong): array
    {
        $decoder = PictureDecoder::standard();
        $whole = FrameRange::none();
        $heavy = false;
        foreach ($pass->frames->alike as $alike) {
            if ($decoder->shows($alike->facts)) {
                $whole = $whole->plus($alike->frames);
                $heavy = $heavy
                    || (
                        $alike->facts->kind === Kind::Exr
                        && ($alike->facts->picture->width ?? 0) * (
                            $alike->facts->picture->height ?? 0
                        ) > self::QUICK_PIXELS
                    );
            }
        }
        if ($whole->isEmpty()) {
            return [];
        }
        $numbers = iterator_to_array($whole->numbers(), false);
        $middle = $numbers[intdiv(count($numbers), 2)];
        $suspicious = self::firstOfRuns($wrong->and($whole));
        if ($heavy) {
            return [$suspicious[0] ?? $middle];
        }
        $pictures = array_unique([$numbers[0], $middle, $numbers[count($numbers) - 1], ...$suspicious]);
        sort($pictures);

        return $pictures;
    }

    /**
     * What the pictures can be shown by, where that is more than their colours.
     *
     * @return list<string> `""` for channels that stand in no layer
     */
    private static function layers(PassMatch $pass): array
    {
        $layers = [];
        foreach ($pass->frames->alike as $alike) {
            $channels = $alike->facts->kind === Kind::Exr ? $alike->facts->encoding->channels ?? [] : [];
            foreach ($channels as $channel) {
                $layers[] = Channels::split($channel)[0];
            }
        }
        sort($layers);
        $layers = array_slice(array_values(array_unique($layers)), 0, self::MOST_LAYERS);

        return $layers === [''] ? [] : $layers;
    }

    /** @return list<int> of at most so many runs */
    private static function firstOfRuns(FrameRange $frames): array
    {
        $firsts = [];
        foreach ($frames->runs() as $run) {
            if (count($firsts) === self::SUSPICIOUS) {
                break;
            }
            $firsts[] = $run[0];
        }

        return $firsts;
    }
}
