<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PieceValues;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\RequirementId;

/**
 * Stands in for the programs and machines that render: takes scene settings and writes the frames they would give, and
 * makes mistakes on request.
 */
final readonly class StandInRenderer
{
    /** Where the scene says none. */
    private const CHANNELS = ['png' => 'RGB', 'tiff' => 'RGB', 'exr' => 'RGBA'];

    /**
     * @param  int  $finished seconds since 1970: when the last file was written; the others came a minute apart
     *   before it
     */
    public function __construct(private int $finished, private int $secondsAFrame = 60) {}

    /**
     * @param  string  $folder  where the files go; made where it is not there
     * @return int files written
     */
    public function render(SceneSettings $scene, string $folder, Mistakes $mistakes = new Mistakes): int
    {
        $folder .= $mistakes->folder === null ? '' : "/{$mistakes->folder}";
        if (! is_dir($folder) && ! mkdir($folder, 0o775, true) && ! is_dir($folder)) {
            throw new \RuntimeException("The folder {$folder} could not be made.");
        }
        $frames = $mistakes->render
            ?? $scene->frames()
            ?? throw new \InvalidArgumentException('The scene says no range.');
        $naming = self::naming($scene, $mistakes);
        $picture = self::picture($scene, $mistakes);
        $last = count($frames) - 1;
        foreach ($frames->numbers() as $n => $frame) {
            $path = $folder.'/'.$naming($frame);
            file_put_contents($path, $mistakes->spoilt->spoil($picture($frame), $frame));
            touch($path, $this->finished - ($last - $n) * $this->secondsAFrame);
        }
        if ($mistakes->log !== null) {
            $numbers = iterator_to_array($frames->numbers(), false);
            $this->writeLog($scene, dirname($folder)."/{$mistakes->log}", $numbers, $mistakes, $naming);
        }
        foreach ($mistakes->strays as $name => $text) {
            file_put_contents("{$folder}/{$name}", $text);
            touch("{$folder}/{$name}", $this->finished);
        }

        return count($frames) + count($mistakes->strays);
    }

    /** @return \Closure(int): string the name of each frame's file */
    private static function naming(SceneSettings $scene, Mistakes $mistakes): \Closure
    {
        $pattern = NamePattern::parseSceneName(
            $mistakes->name ?? $scene->get(RequirementId::NAMING_PATTERN) ?? 'untitled_{frame:4}.{ext}',
        );
        $values = PieceValues::of([])->withExtensions([self::kind($scene)->usualExtension()]);

        return static fn (int $frame): string => $pattern->make($values, $frame);
    }

    private static function kind(SceneSettings $scene): Kind
    {
        return Kind::tryFrom($scene->get(RequirementId::FORMAT_KIND) ?? '') ?? Kind::Png;
    }

    /** @return \Closure(int): string the bytes of each frame's file */
    private static function picture(SceneSettings $scene, Mistakes $mistakes): \Closure
    {
        $kind = self::kind($scene);
        $size = $mistakes->size === null
            ? ($scene->renderedSizes()[0] ?? Resolution::of(1280, 720))
            : Resolution::of(...$mistakes->size);
        $told = $scene->get(RequirementId::FORMAT_CHANNELS);
        $painter = new Painter(
            $size->width,
            $size->height,
            cutOut: $kind === Kind::Png && str_contains((string) $told, 'A'),
        );
        $channels = Channels::parse($told ?? self::CHANNELS[$kind->value] ?? '');

        $writer = match ($kind) {
            Kind::Png => new PngWriter($size->width, $size->height, Channels::write($channels), self::bits($scene)),
            Kind::Tiff => new TiffWriter($size->width, $size->height, Channels::write($channels), self::bits($scene)),
            Kind::Exr => self::exr($scene, $size, $channels),
            default => throw new \InvalidArgumentException(
                "The stand-in writes PNG, TIFF and OpenEXR, not {$kind->spoken()}.",
            ),
        };
        $spoilt = $mistakes->spoilt;

        return static fn (int $frame): string => $writer->write(
            in_array($frame, $spoilt->black, true) ? $painter->nothing() : $painter->lines($spoilt->shownIn($frame)),
        );
    }

    private static function bits(SceneSettings $scene): int
    {
        return (int) ($scene->get(RequirementId::FORMAT_BIT_DEPTH) ?? 8);
    }

    /** @param  list<string>  $channels */
    private static function exr(SceneSettings $scene, Resolution $size, array $channels): ExrWriter
    {
        $rate = FrameRate::parse($scene->get(RequirementId::TIME_RATE) ?? '24')->value;
        foreach ($scene->passes ?? [] as $pass) {
            if ($pass['saved'] === true && strtolower($pass['name']) !== 'beauty') {
                $channels[] = "{$pass['name']}.Y";
            }
        }
        $compression = $scene->get(RequirementId::FORMAT_COMPRESSION) ?? 'zip';
        $camera = $scene->cameraSetup->chosen[0] ?? $scene->get(RequirementId::CAMERA_NAME);

        return new ExrWriter(
            $size->width,
            $size->height,
            $channels,
            in_array($compression, ['none', 'zips', 'zip'], true) ? $compression : 'zip',
            ($scene->get(RequirementId::FORMAT_BIT_DEPTH) ?? '16') === '16',
            new ExrAttributes(
                rate: [$rate->getNumerator()->toInt(), $rate->getDenominator()->toInt()],
                texts: $camera === null ? [] : ['camera' => $camera],
            ),
        );
    }

    /** A movie of the frames, drawn at its own size. */
    public function movie(
        string $path,
        int $width,
        int $height,
        FrameRange $frames,
        MovieTraits $traits = new MovieTraits,
    ): void {
        $painter = new Painter($width, $height);
        $writer = new PngWriter($width, $height, 'RGB', 8);
        $pictures = array_map(
            static fn (int $frame): string => $writer->write($painter->lines($frame)),
            iterator_to_array($frames->numbers(), false),
        );
        file_put_contents($path, (new MovieWriter($width, $height, $traits))->write($pictures));
        touch($path, $this->finished);
    }

    /**
     * A line as each frame begins, and as it is done and written; one that was cut short is never done.
     *
     * @param  list<int>  $frames
     * @param  \Closure(int): string  $name
     */
    private function writeLog(
        SceneSettings $scene,
        string $path,
        array $frames,
        Mistakes $mistakes,
        \Closure $name,
    ): void {
        if (! is_dir(dirname($path)) && ! mkdir(dirname($path), 0o775, true) && ! is_dir(dirname($path))) {
            throw new \RuntimeException("The folder of {$path} could not be made.");
        }
        $at = $this->finished - count($frames) * $this->secondsAFrame;
        $clock = static fn (int $moment): string => date('Y-m-d H:i:s', $moment);
        $text = "{$clock($at)} stand-in renderer, scene ".($scene->source->file ?? 'untitled')."\n";
        foreach ($frames as $n => $frame) {
            // some frames have more in them than others, and one met a busy disk
            $seconds = $this->secondsAFrame + ($n * 7) % 11 - 5 + ($n === 23 ? 3 * $this->secondsAFrame : 0);
            $text .= "{$clock($at)} frame {$frame} begins\n".(
                $n % 16 === 5 ? "{$clock($at)} warning: no light reaches layer ".($n % 3)."\n" : ''
            );
            $at += $seconds;
            if (in_array($frame, $mistakes->spoilt->cutShort, true)) {
                $text .= "{$clock($at)} error: the machine was lost while it rendered frame {$frame}\n";
                break;
            }
            $text .= "{$clock($at)} frame {$frame} done in {$seconds}.0 s\n{$clock($at)} wrote {$name($frame)}\n";
        }
        file_put_contents($path, $text);
        touch($path, $this->finished);
    }
}
