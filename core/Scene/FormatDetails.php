<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Spellings;
use PlainLedger\Core\Specification\ValueType;
use PlainLedger\Core\Specification\Vocabulary;

/** What a format's name tells besides the format: `EXR (DWAA)`, `TIFF 16 bit`, `MP4 (H.264)`. */
final readonly class FormatDetails
{
    private const DEPTH = '~^(.*?\S)[\s,]*[(/,]?\s*\b(8|10|12|16|32)\s*-?\s*bits?(?:\s*(half|float|integer'
        .'|int))?\)?$~i';

    private const FIELDS = [RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_CODEC];

    /**
     * @param  array<string, array{string, string}>  $fields  name and value by field
     * @return array<string, array{string, string}>
     */
    public static function spread(array $fields): array
    {
        $fields = self::sound($fields);
        [$name, $value] = $fields[RequirementId::FORMAT_KIND] ?? ['', ''];
        if (preg_match(self::DEPTH, $value, $m) === 1 && Kind::fromWord($m[1]) !== null) {
            $sample = strtolower($m[3] ?? '');
            $kind = str_starts_with($sample, 'int') ? 'uint' : 'float';

            return [RequirementId::FORMAT_KIND => [$name, $m[1]]]
                + $fields
                + [RequirementId::FORMAT_BIT_DEPTH => [$name, $m[2]]]
                + ($sample === '' ? [] : [RequirementId::FORMAT_SAMPLE => [$name, $kind]]);
        }
        if (preg_match('~^(.*?\S)\s*\(([^()]+)\)$~', $value, $m) !== 1) {
            return $fields;
        }
        $kind = Kind::fromWord($m[1]);
        $field = $kind === null ? null : self::fieldOf($m[2], $kind->isMovie());

        return $field === null ? $fields : $fields + [$field => [$name, $m[2]]];
    }

    /** The field that a remark beside a format tells of; a movie's is its codec. */
    private static function fieldOf(string $remark, bool $movie): ?string
    {
        foreach (self::FIELDS as $field) {
            $descriptor = Catalogue::standard()->find($field);
            $mayBe = $descriptor !== null && $movie === ($field === RequirementId::FORMAT_CODEC);
            if ($mayBe && Vocabulary::has($descriptor, self::usual($descriptor, $remark))) {
                return $field;
            }
        }

        return null;
    }

    /**
     * “AAC 48 kHz stereo” is sound, of that rate and so many channels.
     *
     * @param  array<string, array{string, string}>  $fields
     * @return array<string, array{string, string}>
     */
    private static function sound(array $fields): array
    {
        [$name, $value] = $fields[RequirementId::AUDIO_PRESENCE] ?? ['', ''];
        if (
            preg_match('~\b(?:aac|pcm|mp3|opus|ac-?3|flac|alac|vorbis|wav)\b|\d\s*k?hz\b~i', $value) !== 1
            || preg_match('~^\w+$~', $value) === 1
        ) {
            return $fields;
        }
        $fields[RequirementId::AUDIO_PRESENCE] = [$name, 'yes'];
        if (preg_match('~(\d{1,3}(?:[.,]\d+)?\s*khz|\d{4,6}\s*hz)~i', $value, $m) === 1) {
            $fields += [RequirementId::AUDIO_SAMPLE_RATE => [$name, $m[1]]];
        }

        return preg_match('~\b(stereo|mono|[57]\.1)\b~i', $value, $m) === 1
            ? $fields + [RequirementId::AUDIO_CHANNELS => [$name, $m[1]]]
            : $fields;
    }

    private static function usual(Descriptor $descriptor, string $word): string
    {
        try {
            return $descriptor->type === ValueType::Codec
                ? $descriptor->canonical($word)
                : strtolower(trim(Spellings::usual($descriptor->id, $word)));
        } catch (NotUnderstood) {
            return $word;
        }
    }
}
