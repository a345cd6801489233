<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly\Writers;

use PlainLedger\Core\Assembly\Recipe;
use PlainLedger\Core\Assembly\RecipeNotes;
use PlainLedger\Core\Assembly\RecipeRefused;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * A recipe as a shell script (POSIX) for `ffmpeg`, to be run in the folder of the delivery: one command, or two where
 * a size is to be kept. Every word is quoted.
 */
final readonly class RecipeCommands
{
    private const LIST = 'frames.txt';

    private const SOUND = 'sound.wav';

    /** @throws RecipeRefused where what is asked cannot be written as a command */
    public static function write(Recipe $recipe): string
    {
        if (preg_match('~[\x00-\x1F\x7F]~', $recipe->source->path().$recipe->name) === 1) {
            throw RecipeRefused::because('a name has a line break or the like in it, which no command line should');
        }
        $text = "#!/bin/sh\n".self::comment(
            "{$recipe->part->name}, made from {$recipe->source->part->name}: run it in the folder of the delivery.",
        );
        foreach (RecipeNotes::of($recipe) as $note) {
            $text .= self::comment($note);
        }
        if ($recipe->source->picture->isLinear()) {
            $view = $recipe->part->single(RequirementId::COLOUR_VIEW);
            $text .= self::comment('The frames are linear: here they get the plain curve of the encoding. '
                .($view === null ? 'Another view' : "The view “{$view}”")." is the assembling program's.");
        }
        $text .= "set -eu\n".self::listed($recipe);
        foreach (self::commands($recipe) as $words) {
            $text .= 'ffmpeg '.implode(' ', array_map(self::quoted(...), $words))."\n";
        }
        $temporary = $recipe->isInTwoPasses() ? 'rm -f '.self::quoted(self::log($recipe)).'*'."\n" : '';

        return $text.$temporary;
    }

    /**
     * Arguments, a list a run of the encoder.
     *
     * @return non-empty-list<list<string>>
     *
     * @throws RecipeRefused
     */
    public static function commands(Recipe $recipe): array
    {
        if ($recipe->timing->rate === null) {
            throw RecipeRefused::because('no frame rate is asked, and the frames do not tell theirs');
        }
        $before = ['-hide_banner', '-loglevel', 'warning', ...self::input($recipe)];
        $picture = self::picture($recipe);
        $after = [...self::sound($recipe), ...self::container($recipe), self::shown($recipe->name)];
        if (! $recipe->isInTwoPasses()) {
            // what is there already is not written over
            return [['-n', ...$before, ...$picture, ...$after]];
        }
        $isHevc = $recipe->encoded->codec === 'hevc';
        $pass = static fn (int $number): array => $isHevc
            ? ['-x265-params', "pass={$number}:stats=".self::log($recipe)]
            : ['-pass', (string) $number, '-passlogfile', self::log($recipe)];

        return [
            ['-y', ...$before, ...$picture, ...$pass(1), '-an', '-f', 'null', '/dev/null'],
            ['-n', ...$before, ...$picture, ...$pass(2), ...$after],
        ];
    }

    private static function log(Recipe $recipe): string
    {
        return self::shown($recipe->name).'.pass';
    }

    /** @return list<string> */
    private static function input(Recipe $recipe): array
    {
        [$source, $range, $rate] = [$recipe->source, $recipe->timing->range, (string) $recipe->timing->rate];
        $curve = $source->picture->isLinear()
            ? ['-apply_trc', EncoderColour::of($recipe->encoding())->curve]
            : [];
        $sound = $recipe->bounds->sound === null ? [] : ['-i', self::SOUND];
        if ($source->part->delivers === Delivers::Movie) {
            return ['-i', self::shown($source->path()), ...$sound];
        }
        if ($range === null || ! $source->isSequence()) {
            return ['-loop', '1', '-framerate', $rate, ...$curve, '-i', self::shown($source->path()), ...$sound];
        }
        if (! self::isCounted($recipe)) {
            return ['-r', $rate, '-f', 'concat', '-safe', '0', ...$curve, '-i', self::LIST, ...$sound];
        }

        return [
            '-framerate', $rate, '-start_number', (string) $range->first(), ...$curve,
            '-i', self::counted($recipe), ...$sound,
        ];
    }

    /** Whether its frames follow each other by one, so that they need no list. */
    private static function isCounted(Recipe $recipe): bool
    {
        $range = $recipe->timing->range;

        return $range !== null && $range->isOneRun() && $range->first() >= 0;
    }

    /** The pattern in the encoder's way of writing it. */
    private static function counted(Recipe $recipe): string
    {
        $path = str_replace('%', '%%', self::shown($recipe->source->path()));
        $digits = substr_count($recipe->source->pattern, '#');

        return (string) preg_replace('~#+(?=[^/]*$)~', $digits > 1 ? "%0{$digits}d" : '%d', $path, 1);
    }

    /** Frames that do not follow each other, one a line. */
    private static function listed(Recipe $recipe): string
    {
        $range = $recipe->timing->range;
        if ($range === null || ! $recipe->source->isSequence() || self::isCounted($recipe)) {
            return '';
        }
        $text = 'cat > '.self::LIST." <<'END'\n";
        foreach ($range->numbers() as $frame) {
            $text .= "file '".str_replace("'", "'\\''", $recipe->source->pathOf($frame))."'\n";
        }

        return $text."END\n";
    }

    /** @return list<string> */
    private static function picture(Recipe $recipe): array
    {
        $encoded = $recipe->encoded;
        $rate = $encoded->hasBitRate() ? $recipe->bounds->rate : null;
        [$keyframes, $b] = [$recipe->keyframes(), $recipe->bFrames()];
        $colour = EncoderColour::of($recipe->encoding());
        /** @var list<string> $words */
        $words = [
            '-vf', self::filters($recipe),
            ...EncoderWords::codec($encoded),
            '-pix_fmt', EncoderWords::pixels($encoded),
            ...($rate === null
                ? EncoderWords::constantQuality($encoded->codec)
                : ['-b:v', (string) $rate->bits, '-maxrate', (string) $rate->bits, '-bufsize', (string) $rate->bits]),
            ...($encoded->hasAlpha && str_starts_with($encoded->codec, 'prores') ? ['-alpha_bits', '16'] : []),
            ...($keyframes === null ? [] : ['-g', (string) $keyframes]),
            ...($b === null ? [] : ['-bf', (string) $b]),
            ...($encoded->chroma === null ? [] : $colour->tags($encoded->codec === 'mjpeg')),
            '-r', (string) $recipe->timing->rate,
        ];

        return $recipe->timing->count === null
            ? $words
            : [...$words, '-frames:v', (string) $recipe->timing->count];
    }

    private static function filters(Recipe $recipe): string
    {
        $size = $recipe->isResized() ? $recipe->size() : null;
        $scale = $size === null ? [] : ["{$size->width}:{$size->height}", 'flags=lanczos'];
        if ($recipe->encoded->chroma !== null) {
            $scale[] = 'out_color_matrix='.EncoderColour::of($recipe->encoding())->scalesTo();
            $scale[] = $recipe->encoded->codec === 'mjpeg' ? 'out_range=pc' : 'out_range=tv';
        }
        $aspect = $recipe->pixelAspect();

        return ($scale === [] ? '' : 'scale='.implode(':', $scale).',').'setsar='.Fraction::writeFull($aspect);
    }

    /** @return list<string> */
    private static function sound(Recipe $recipe): array
    {
        $sound = $recipe->bounds->sound;
        if ($sound === null) {
            return ['-an'];
        }
        $codec = match (true) {
            $sound->isPacked => [
                $recipe->encoded->kind === Kind::Webm ? 'libopus' : 'aac', '-b:a', (string) $sound->bitRate(),
            ],
            $sound->depth > 16 => ["pcm_s{$sound->depth}le"],
            default => ['pcm_s16le'],
        };

        return [
            '-map', '0:v:0', '-map', '1:a:0', '-c:a', ...$codec, '-ar', (string) $sound->sampleRate,
            '-ac', (string) $sound->channels,
        ];
    }

    /** @return list<string> */
    private static function container(Recipe $recipe): array
    {
        $timecode = $recipe->part->single(RequirementId::TIME_START_TIMECODE);
        $isBoxes = in_array($recipe->encoded->kind, [Kind::Mp4, Kind::Mov], true);

        return [
            ...($timecode === null ? [] : ['-timecode', $timecode]),
            ...($isBoxes ? ['-movflags', '+faststart+write_colr'] : []),
        ];
    }

    private static function comment(string $text): string
    {
        return '# '.preg_replace('~\s+~', ' ', Text::shown($text))."\n";
    }

    /** A name that begins with a dash is no option. */
    private static function shown(string $path): string
    {
        return str_starts_with($path, '-') ? "./{$path}" : $path;
    }

    /** A word of a POSIX shell, whatever stands in it. */
    private static function quoted(string $text): string
    {
        $isPlain = preg_match('~^[A-Za-z0-9_./:=+,%-]+$~D', $text) === 1;

        return $isPlain ? $text : "'".str_replace("'", "'\\''", $text)."'";
    }
}
