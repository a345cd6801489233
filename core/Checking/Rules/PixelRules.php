<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Looker;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification;

/** `content.black` and `content.alpha_used`: what each picture shows by itself. */
final readonly class PixelRules implements Rule
{
    /** Requirements for which pixels are looked at, and those among them that compare pictures. */
    private const LOOKS = ['content.black', 'content.alpha_used', 'content.frozen', 'content.hold', 'content.loop'];

    private const COMPARES = ['content.loop'];

    private const BLACK = '1/255';

    /** What is to look at pixels while files are scanned; null where nothing asks what is in them. */
    public static function looker(Specification $specification): ?Looker
    {
        return $specification->asksAny(self::LOOKS) ? Looker::standard($specification->asksAny(self::COMPARES)) : null;
    }

    public function answers(string $id): bool
    {
        return $id === 'content.black' || $id === 'content.alpha_used';
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $pass = ColourPass::of($subject);
        if ($pass === null) {
            return null;
        }

        return $requirement->id() === 'content.black' ? $this->black($requirement, $pass, $subject) : $this->alpha($requirement, $pass);
    }

    private function black(Requirement $requirement, ColourPass $pass, Subject $subject): Cell
    {
        $threshold = Fraction::parse($requirement->ask->threshold ?? self::BLACK);
        $allowed = $requirement->ask->single();
        $allowed = $allowed === null || $allowed === 'none' ? FrameRange::none() : FrameRange::parse($allowed);
        $black = [];
        foreach ($pass->looks as $frame => $look) {
            if ($look?->meanLight()?->isLessThanOrEqualTo($threshold) ?? false) {
                $black[] = $frame;
            }
        }
        $black = FrameRange::fromNumbers($black);
        $wrong = $black->minus($allowed);
        if (! $wrong->isEmpty()) {
            $shown = $subject->isNumbered() ? (string) $black : 'black';

            return Cell::of(Mark::Unequal, $shown, [], [$pass->place => $wrong]);
        }

        return $pass->hasUndecoded() ? Cell::unknown() : Cell::of(Mark::Equal, $black->isEmpty() ? 'none' : (string) $black);
    }

    /** Opaque pictures are right among others that are not: a whole frame may be covered. */
    private function alpha(Requirement $requirement, ColourPass $pass): Cell
    {
        $used = false;
        foreach ($pass->looks as $look) {
            $used = $used || ($look->seenThrough ?? false);
        }
        if (! $used && $pass->hasUndecoded()) {
            return Cell::unknown();
        }
        $found = $used ? 'yes' : 'no';
        $equal = $requirement->ask->single() === $found;

        return Cell::of($equal ? Mark::Equal : Mark::Unequal, $found, [], $equal ? [] : [$pass->place => FrameRange::fromNumbers(array_keys($pass->looks))]);
    }
}
