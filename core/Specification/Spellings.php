<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** What people of the trade also write for a value, and the word it is kept by. */
final readonly class Spellings
{
    /** By requirement: what is written, in lower case and without spaces, dashes and dots; what it is kept as. */
    private const USUAL = [
        'picture.resolution' => ['720p' => '1280x720', '1080p' => '1920x1080', 'fullhd' => '1920x1080', '1440p' => '2560x1440', '2160p' => '3840x2160', 'uhd' => '3840x2160', '4320p' => '7680x4320'],
        'picture.scale' => ['full' => '100', 'fullsize' => '100', 'half' => '50', 'halfsize' => '50', '1/2' => '50', '1/4' => '25', 'quarter' => '25', 'third' => '100/3', '1/3' => '100/3'],
        'picture.projection' => ['latlong' => 'lat-long', 'equirectangular' => 'lat-long', 'spherical' => 'lat-long', '360' => 'lat-long', 'latlongstereo' => 'lat-long stereo', 'stereolatlong' => 'lat-long stereo', 'perspective' => 'flat', 'none' => 'flat'],
        'picture.scan' => ['p' => 'progressive', 'i' => 'interlaced', 'fields' => 'interlaced'],
        'time.extent' => ['single' => 'one', 'singleframe' => 'one', 'oneframe' => 'one', 'still' => 'one', 'currentframe' => 'one', 'range' => 'listed', 'framerange' => 'listed', 'listedrange' => 'listed', 'all' => 'whole', 'timeline' => 'whole', 'wholetimeline' => 'whole', 'animation' => 'whole', 'wholeanimation' => 'whole'],
        'time.handles' => ['none' => '0', 'no' => '0'],
        'camera.name' => ['any' => '*', 'anycamera' => '*'],
        'camera.exposure' => ['automatic' => 'auto', 'fixed' => 'manual'],
        'format.bit_depth' => ['half' => '16'],
        'format.sample' => ['half' => 'float', 'halffloat' => 'float', 'floatingpoint' => 'float', 'integer' => 'uint', 'int' => 'uint', 'unsigned' => 'uint', 'unsignedinteger' => 'uint'],
        'format.alpha' => ['no' => 'none', 'off' => 'none', 'yes' => 'any', 'on' => 'any', 'premult' => 'premultiplied', 'premul' => 'premultiplied', 'associated' => 'premultiplied', 'unassociated' => 'straight', 'unpremultiplied' => 'straight'],
        'format.compression' => ['uncompressed' => 'none', 'no' => 'none', 'off' => 'none'],
        'format.chroma' => ['444' => '4:4:4', '422' => '4:2:2', '420' => '4:2:0', 'yuv444' => '4:4:4', 'yuv422' => '4:2:2', 'yuv420' => '4:2:0', 'yuv420p' => '4:2:0', 'yuv422p' => '4:2:2', 'yuv444p' => '4:4:4'],
        'format.index' => ['front' => 'first', 'faststart' => 'first', 'start' => 'first', 'yes' => 'first'],
        'audio.presence' => ['no' => 'none', 'off' => 'none', 'silent' => 'none', 'mute' => 'none', 'yes' => 'required', 'on' => 'required', 'present' => 'required'],
        'audio.channels' => ['mono' => '1', 'stereo' => '2'],
        'delivery.extras' => ['no' => 'none', 'nothing' => 'none'],
        'delivery.checksums' => ['yes' => 'present', 'required' => 'present', 'md5' => 'present', 'sha256' => 'present'],
    ];

    /** The text itself where nothing else is usual for it. */
    public static function usual(string $id, string $text): string
    {
        $plain = strtolower((string) preg_replace('~[\s._-]+~', '', $text));

        return self::USUAL[$id][$plain] ?? match ($id) {
            // inches are what it is counted by
            'picture.density' => (string) preg_replace('~\s*(?:dpi|ppi|(?:pixels|dots)\s+(?:per|an|a|to the)\s+inch)$~i', '', $text),
            'time.speed' => preg_match('~^(\d+(?:\.\d+)?)\s*%$~', trim($text), $m) === 1 ? "{$m[1]}/100" : $text,
            'time.handles' => preg_match('~^head\s*:?\s*(\d+)\s*[,;]?\s*(?:and\s+)?tail\s*:?\s*(\d+)$~i', trim($text), $m) === 1 ? "{$m[1]}+{$m[2]}" : $text,
            'format.quality' => (string) preg_replace('~\s*%$~', '', $text),
            'audio.channels' => preg_match('~^([57])\.1(?:\s*surround)?$~i', trim($text), $m) === 1 ? (string) ((int) $m[1] + 1) : $text,
            'audio.sample_rate' => self::hertz($text),
            default => $text,
        };
    }

    /** What stands for yes and for no wherever either can stand; null for any other word. */
    public static function truth(string $text): ?bool
    {
        return match (strtolower(trim($text))) {
            'yes', 'on', 'true', '1', 'y', 'enabled', 'enable', 'active', 'checked', 'ticked', 'set', 'x', '✓', '✔', '☑', '[x]' => true,
            'no', 'off', 'false', '0', 'n', 'disabled', 'disable', 'inactive', 'unchecked', 'not checked', 'unticked', 'unset', 'none', '✗', '✘', '☐', '[ ]', '-', '' => false,
            default => null,
        };
    }

    /** `48 kHz`, `44.1k`, `48000 Hz` */
    private static function hertz(string $text): string
    {
        if (preg_match('~^(\d{1,4})(?:\.(\d{1,3}))?\s*k(?:hz)?$~i', trim($text), $m) === 1) {
            return (string) ((int) $m[1] * 1000 + (int) str_pad($m[2] ?? '', 3, '0'));
        }

        return (string) preg_replace('~\s*hz$~i', '', $text);
    }
}
