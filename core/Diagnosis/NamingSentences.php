<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\PieceReading;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** What is said of a piece of a name that differs. */
final readonly class NamingSentences
{
    public function __construct(private Situation $situation) {}

    public function says(Difference $difference, PieceReading $piece): string
    {
        [$found, $asked] = [Text::shown($piece->found), $piece->asked];

        return match ($difference) {
            Difference::TooFewDigits, Difference::TooManyDigits => $this->digits($piece),
            Difference::NumberPlace => 'The frame number is not where the pattern has it.',
            Difference::Case => "“{$found}” differs from “{$asked}” in upper and lower case.",
            Difference::Version => $this->version($piece),
            Difference::Another => self::ofAnother($piece),
            Difference::Misspelled => "“{$found}” is not quite “{$asked}”.",
            Difference::CopySuffix => "The name carries the mark of a copy, “{$found}”.",
            Difference::Value => $this->value($piece),
            default => $this->mark($difference, $piece),
        };
    }

    public static function ofAnother(PieceReading $piece): string
    {
        $what = $piece->piece === 'separator' ? 'name' : str_replace('_', ' ', $piece->piece);

        return '“'.Text::shown($piece->found)."” is another’s {$what}, and “{$piece->asked}” is asked.";
    }

    private static function called(PieceReading $piece): string
    {
        return $piece->piece === 'frame' ? 'frame number' : $piece->piece;
    }

    private function digits(PieceReading $piece): string
    {
        $digits = Text::count(strlen(ltrim($piece->found, '-')), 'digit');
        $asked = strlen(ltrim($piece->asked, '-'));

        return 'The '.self::called($piece)." has {$digits}, and {$asked} are asked.";
    }

    private function value(PieceReading $piece): string
    {
        [$found, $asked, $what] = [Text::shown($piece->found), $piece->asked, self::called($piece)];

        return match ('') {
            $found => "The {$what} “{$asked}” is missing from the name.",
            $asked => "“{$found}” stands in the name and is not asked.",
            default => "The {$what} is “{$found}”, and “{$asked}” is asked.",
        };
    }

    /** Separators, dots, spaces and extensions; `extra` is one that belongs to no piece. */
    private function mark(Difference $difference, PieceReading $piece): string
    {
        [$found, $asked] = [Text::shown($piece->found), $piece->asked];
        $extra = $piece->piece === 'extra';

        return match ($difference) {
            Difference::Dots => $extra
                ? "A dot too many: “{$found}”."
                : "A dot stands inside “{$found}”, and “{$asked}” is asked.",
            Difference::Spaces => $extra
                ? 'A space stands in the name where none belongs.'
                : "A space stands inside “{$found}”, and “{$asked}” is asked.",
            Difference::Extension => $extra
                ? "The extension stands twice; “{$found}” is too much."
                : "The extension is written “{$found}”, and “{$asked}” is asked.",
            default => $this->separator($piece),
        };
    }

    private function separator(PieceReading $piece): string
    {
        [$found, $asked] = [Text::shown($piece->found), $piece->asked];
        if ($piece->piece !== 'separator') {
            return "The separators inside “{$found}” differ from “{$asked}”.";
        }

        return $found === ''
            ? "A separator “{$asked}” is missing."
            : "The separator is “{$found}”, and “{$asked}” is asked.";
    }

    /** Which version is the right one, as far as the scene's own name tells. */
    private function version(PieceReading $piece): string
    {
        $says = "The version is {$piece->found}, and {$piece->asked} is asked.";
        $pattern = $this->situation->told(RequirementId::NAMING_PATTERN) ?? '';
        $scene = ($this->situation->scene()->source->file ?? '').' '.$pattern;
        $asked = VersionProof::isAt($scene, $piece->asked);
        $found = VersionProof::isAt($scene, $piece->found);

        return $says.match (true) {
            VersionProof::holds($piece, $this->situation) => " The scene is at {$piece->asked} and writes "
                ."{$piece->found} into its names, so they are the right ones.",
            trim($scene) === '' => ' Whether they are older files or only named so, nothing here tells.',
            $asked && ! $found => " The scene is at {$piece->asked}, so these files are of another version: deliver "
                .'the right ones.',
            $found && ! $asked => " The scene is at {$piece->found} too.",
            default => '',
        };
    }
}
