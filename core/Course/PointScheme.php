<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use Brick\Math\BigRational;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Text\Text;

/** What lines are worth: points by group, or by a line of its own; and what those that only should hold add. */
final readonly class PointScheme
{
    /** All groups that have no points of their own, together. */
    public const REST = '*';

    /**
     * @param  array<string, BigRational>  $groups  by a group's name or `*`
     * @param  array<string, BigRational>  $lines  by a requirement's id; such a line counts in no group
     * @param  BigRational  $bonus  for all *should* lines together, as much of it as hold
     */
    public function __construct(
        public array $groups,
        public array $lines,
        public Share $share,
        public BigRational $bonus,
    ) {}

    /** A hundred points for all lines alike. */
    public static function plain(): self
    {
        return new self([self::REST => BigRational::of(100)], [], Share::Part, BigRational::zero());
    }

    /**
     * @param  array<string, mixed>  $data  `groups`, `lines`, `share`, `bonus`; without points a hundred for all alike
     *
     * @throws CourseRefused
     */
    public static function fromArray(array $data, string $label): self
    {
        $groups = self::points($data['groups'] ?? [], 'groups', $label);
        $lines = self::points($data['lines'] ?? [], 'lines', $label);
        self::refuseUnknown($groups, $lines, $label);
        $share = $data['share'] ?? Share::Part->value;
        $share = (is_string($share) ? Share::tryFrom($share) : null)
            ?? throw CourseRefused::because($label, 'a share of the points is “part” or “all”.');
        $bonus = Decimal::read($data['bonus'] ?? 0)
            ?? throw CourseRefused::because($label, 'the bonus is a number of points.');

        return $groups === [] && $lines === []
            ? new self(self::plain()->groups, [], $share, $bonus)
            : new self($groups, $lines, $share, $bonus);
    }

    /**
     * @param  array<string, BigRational>  $groups
     * @param  array<string, BigRational>  $lines
     *
     * @throws CourseRefused
     */
    private static function refuseUnknown(array $groups, array $lines, string $label): void
    {
        foreach (array_keys($groups) as $name) {
            if ($name !== self::REST && Group::tryFrom($name) === null) {
                throw CourseRefused::because($label, '“'.Text::shown($name).'” is no group of lines.');
            }
        }
        foreach (array_keys($lines) as $id) {
            if (Catalogue::standard()->find($id) === null && ! str_starts_with($id, 'other.')) {
                throw CourseRefused::because($label, '“'.Text::shown($id).'” is no requirement.');
            }
        }
    }

    /** @return array{groups: array<string, string>, lines: array<string, string>, share: string, bonus: string} */
    public function toArray(): array
    {
        return [
            'groups' => array_map(Decimal::shown(...), $this->groups),
            'lines' => array_map(Decimal::shown(...), $this->lines),
            'share' => $this->share->value,
            'bonus' => Decimal::shown($this->bonus),
        ];
    }

    public function label(string $source): string
    {
        return match (true) {
            $source !== self::REST => Catalogue::standard()->find($source)->label ?? $source,
            count($this->groups) + count($this->lines) > 1 => 'All others',
            default => 'All lines',
        };
    }

    /** Where a line's points come from: its own id, its group, or all that are left; null where it is worth nothing. */
    public function sourceOf(GradedLine $line): ?string
    {
        return match (true) {
            isset($this->lines[$line->id]) => $line->id,
            isset($this->groups[$line->group->value]) => $line->group->value,
            isset($this->groups[self::REST]) => self::REST,
            default => null,
        };
    }

    /**
     * @return array<string, BigRational>
     *
     * @throws CourseRefused
     */
    private static function points(mixed $told, string $what, string $label): array
    {
        if (! is_array($told)) {
            throw CourseRefused::because($label, "“{$what}” holds points by name.");
        }
        $points = [];
        foreach ($told as $name => $written) {
            $points[(string) $name] = Decimal::read($written) ?? throw CourseRefused::because(
                $label,
                'the points of “'.Text::shown((string) $name).'” are a number from 0 to '.number_format(Decimal::MOST)
                    .', with at most two places.',
            );
        }

        return $points;
    }
}
