<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\PieceReading;
use PlainLedger\Core\Specification\RequirementId;

/** Whether files that are named as another version are the one that is asked all the same. */
final readonly class VersionProof
{
    /** Named as another version, without proof that it is the one asked. */
    public static function isLacking(Situation $situation, Take $take): bool
    {
        foreach ($take->reading->pieces ?? [] as $piece) {
            if (in_array(Difference::Version, $piece->differences, true)) {
                return ! self::holds($piece, $situation);
            }
        }

        return false;
    }

    /** The scene is at the version asked, and writes the other one into its names. */
    public static function holds(PieceReading $piece, Situation $situation): bool
    {
        $file = $situation->scene()->source->file ?? '';
        $name = $situation->told(RequirementId::NAMING_PATTERN) ?? '';

        return self::isAt($file, $piece->asked)
            && ! self::isAt($file, $piece->found)
            && self::isAt($name, $piece->found)
            && ! self::isAt($name, $piece->asked);
    }

    /** Whether a text names a version, with zeros before it or without. */
    public static function isAt(string $text, string $version): bool
    {
        return preg_match('~(?<!\d)0*'.preg_quote(ltrim($version, '0'), '~').'(?!\d)~', $text) === 1;
    }
}
