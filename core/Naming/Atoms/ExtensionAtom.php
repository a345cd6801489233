<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\Piece;

/** What stands after the last dot. */
final readonly class ExtensionAtom extends Atom
{
    private const OTHER = 20;

    private const ALIKE = 5;

    /** Extensions of one and the same kind of file. */
    private const SAME_KIND = [
        ['jpg', 'jpeg', 'jpe', 'jfif'],
        ['tif', 'tiff'],
        ['mov', 'qt'],
        ['mp4', 'm4v'],
        ['wav', 'wave'],
    ];

    /** @param  list<string>  $right  the extensions that are right */
    public function __construct(Piece $piece, string $asked, private array $right)
    {
        parent::__construct($piece, $asked);
    }

    public function label(): string
    {
        return $this->piece->name ?? 'ext';
    }

    public function span(): int
    {
        return 3;
    }

    protected function costOfOther(FoundText $found): ?int
    {
        return match (true) {
            $found->isEmpty() => self::OTHER,
            in_array($found->text, $this->right, true) => 0,
            ! ctype_alnum($found->text) => null,
            $this->asked === '' => 0,
            default => $this->isAlike($found->text) ? self::ALIKE : self::OTHER,
        };
    }

    protected function differencesOfOther(string $found): array
    {
        return match (true) {
            $found === '' => [Difference::Value],
            $this->asked === '' || in_array($found, $this->right, true) => [],
            default => [$this->isAlike($found) ? Difference::Extension : Difference::Value],
        };
    }

    /** Whether it means the same, spelled otherwise. */
    private function isAlike(string $found): bool
    {
        foreach ([...$this->right, $this->asked] as $right) {
            if (strcasecmp($found, $right) === 0 || self::areOfOneKind(strtolower($found), strtolower($right))) {
                return true;
            }
        }

        return false;
    }

    private static function areOfOneKind(string $one, string $other): bool
    {
        foreach (self::SAME_KIND as $extensions) {
            if (in_array($one, $extensions, true) && in_array($other, $extensions, true)) {
                return true;
            }
        }

        return false;
    }
}
