<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PieceValues;
use PlainLedger\Core\Scene\SceneSettings;

/**
 * Stands in for the programs and machines that render: takes scene settings and writes the frames they would give, and
 * makes mistakes on request.
 */
final readonly class StandInRenderer
{
    /** @param  int  $finished seconds since 1970: when the last file was written; the others came a minute apart before it */
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
        $size = $mistakes->size === null ? ($scene->renderedSizes()[0] ?? Resolution::of(1280, 720)) : Resolution::of(...$mistakes->size);
        $kind = Kind::tryFrom($scene->get('format.kind') ?? '') ?? Kind::Png;
        $frames = $mistakes->render ?? $scene->frames() ?? throw new \InvalidArgumentException('The scene says no range.');
        $pattern = NamePattern::parseSceneName($mistakes->name ?? $scene->get('naming.pattern') ?? 'untitled_{frame:4}.{ext}');
        $values = PieceValues::of([])->withExtensions([$kind->usualExtension()]);
        $alpha = str_contains($scene->get('format.channels') ?? '', 'A');
        $painter = new Painter($size->width, $size->height, cutOut: $kind === Kind::Png && $alpha);
        $count = count($frames);
        $packed = new \ArrayObject;
        foreach ($frames->numbers() as $n => $frame) {
            $bytes = $this->file($scene, $kind, $size, $painter, $frame, $mistakes, $packed);
            if (in_array($frame, $mistakes->cutShort, true)) {
                $bytes = substr($bytes, 0, intdiv(strlen($bytes) * 3, 5));
            }
            $path = $folder.'/'.$pattern->make($values, $frame);
            file_put_contents($path, in_array($frame, $mistakes->empty, true) ? '' : $bytes);
            touch($path, $this->finished - ($count - 1 - $n) * $this->secondsAFrame);
        }
        foreach ($mistakes->strays as $name => $text) {
            file_put_contents("{$folder}/{$name}", $text);
            touch("{$folder}/{$name}", $this->finished);
        }

        return $count + count($mistakes->strays);
    }

    /** @param  \ArrayObject<string, string>  $packed */
    private function file(SceneSettings $scene, Kind $kind, Resolution $size, Painter $painter, int $frame, Mistakes $mistakes, \ArrayObject $packed): string
    {
        $channels = $mistakes->channels ?? Channels::parse($scene->get('format.channels') ?? ($kind === Kind::Exr ? 'RGBA' : 'RGB'));
        if ($kind === Kind::Png) {
            return (new PngWriter($size->width, $size->height, Channels::write($channels), (int) ($scene->get('format.bit_depth') ?? 8)))->write($painter->lines($frame));
        }
        if ($kind !== Kind::Exr) {
            throw new \InvalidArgumentException("The stand-in writes PNG and OpenEXR, not {$kind->spoken()}.");
        }
        $rate = FrameRate::parse($scene->get('time.rate') ?? '24')->value;
        foreach ($scene->passes ?? [] as $pass) {
            if ($pass['saved'] === true && strtolower($pass['name']) !== 'beauty') {
                $channels[] = "{$pass['name']}.Y";
            }
        }
        $compression = $scene->get('format.compression') ?? 'zip';
        $camera = $scene->chosenCameras[0] ?? $scene->get('camera.name');

        return (new ExrWriter(
            $size->width, $size->height, $channels, in_array($compression, ['none', 'zips', 'zip'], true) ? $compression : 'zip',
            ($scene->get('format.bit_depth') ?? '16') === '16', rate: [$rate->getNumerator()->toInt(), $rate->getDenominator()->toInt()],
            texts: $camera === null ? [] : ['camera' => $camera], packed: $packed,
        ))->write($painter->lines($frame));
    }
}
