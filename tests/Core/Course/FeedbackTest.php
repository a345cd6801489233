<?php

declare(strict_types=1);

namespace Tests\Core\Course;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Course\Attempt;
use PlainLedger\Core\Course\Decimal;
use PlainLedger\Core\Course\Feedback;
use PlainLedger\Core\Course\FeedbackHtml;
use PlainLedger\Core\Course\FeedbackPhrases;
use PlainLedger\Core\Course\GradedLine;
use PlainLedger\Core\Course\Lateness;
use PlainLedger\Core\Course\LateRule;
use PlainLedger\Core\Course\Points;
use PlainLedger\Core\Course\PointScheme;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\Level;

/** What a learner is told, and the page it is printed on. */
final class FeedbackTest extends TestCase
{
    private const CAUSES = [['id' => 'scale-below-full', 'says' => 'The frames are <half> as large.']];

    private static function attempt(?string $given = null, int $percent = 10): Attempt
    {
        $zone = new \DateTimeZone('UTC');
        $late = Lateness::of(
            new \DateTimeImmutable('2026-03-07 01:00', $zone),
            new \DateTimeImmutable('2026-03-06 23:00', $zone),
            LateRule::fromArray(['percent' => $percent], 'rules'),
            $zone,
        );
        $must = Level::Must;
        $line = static function (string $id, Group $group, Mark $mark, ?Level $level = null) use ($must): GradedLine {
            return new GradedLine($id, $group, 'frames', null, $level ?? $must, $mark);
        };
        $points = Points::of(PointScheme::fromArray([
            'groups' => ['Picture' => 60, 'Time' => 40], 'bonus' => 4,
        ], 'rules'), [
            $line('picture.resolution', Group::Picture, Mark::Unequal),
            $line('picture.pixel_aspect', Group::Picture, Mark::Equal),
            $line('time.rate', Group::Time, Mark::Unknown), $line('time.range', Group::Time, Mark::Equal),
            $line('render.samples', Group::Render, Mark::Equal, Level::Should),
        ], $late);

        return new Attempt(1, $points, $late, Decimal::read($given));
    }

    private static function feedback(Attempt $attempt, bool $isDisputed = false): Feedback
    {
        return Feedback::of(
            ['Learner' => 'Wren <Reed>', 'Attempt' => ''],
            $attempt,
            $isDisputed,
            self::CAUSES,
            FeedbackPhrases::of([]),
            [['by' => 'Corvin Ash', 'text' => "Good light.\nMind & measure."], ['by' => 'Odile', 'text' => ' ']],
        );
    }

    public function test_points_what_is_added_and_what_is_taken_off(): void
    {
        $feedback = self::feedback(self::attempt());

        self::assertSame(['30', '20'], array_column($feedback->lines, 'earned'));
        self::assertSame(['', '20'], array_column($feedback->lines, 'open'));
        self::assertSame([['Resolution'], []], array_column($feedback->lines, 'bad'));
        self::assertSame([['label' => 'Lines that only should hold', 'points' => '+4'], [
            'label' => '2 hours late, 1st day: 10 % off', 'points' => '−5.4',
        ]], $feedback->sums);
        self::assertSame(['48.6', '100'], [$feedback->total, $feedback->possible]);
        self::assertSame('Set the scale back to 100 % after test renders.', $feedback->causes[0]['next']);
        // who says nothing stands nowhere
        self::assertSame(['Corvin Ash'], array_column($feedback->remarks, 'by'));
    }

    public function test_points_by_hand_stand_whatever_lateness_takes_off(): void
    {
        $feedback = self::feedback(self::attempt('70'));

        self::assertSame('70', $feedback->total);
        self::assertSame('Given by hand instead', $feedback->sums[1]['label']);
        self::assertNull(self::feedback(self::attempt('70'), true)->total);
        // what takes nothing off is not told
        self::assertCount(1, self::feedback(self::attempt(percent: 0))->sums);
    }

    public function test_the_page_says_all_of_it_and_runs_nothing(): void
    {
        $html = (new FeedbackHtml('8.5pt'))->write('Wren <Reed>, vane', self::feedback(self::attempt()));

        foreach ([
            '<title>Wren &lt;Reed&gt;, vane</title>', '<h1>Wren &lt;Reed&gt;, vane</h1>', 'The frames are &lt;half&gt;',
            'Resolution differs', 'could not be checked: Frame rate', '20 (+20 by eye)', '−5.4', '48.6',
            'Next time: Set the scale back', "Good light.<br />\nMind &amp; measure.", '8.5pt/1.4',
        ] as $piece) {
            self::assertStringContainsString($piece, $html);
        }
        self::assertStringNotContainsString('Attempt', $html);
        self::assertStringNotContainsString('<script', $html);
        $document = new \DOMDocument;
        self::assertTrue($document->loadHTML($html, LIBXML_NOERROR));
        self::assertSame(3, $document->getElementsByTagName('h2')->length);
        $disputed = (new FeedbackHtml)->write('x', self::feedback(self::attempt('7'), true));
        self::assertStringContainsString('to be agreed on', $disputed);
    }

    public function test_nothing_went_wrong(): void
    {
        $feedback = Feedback::of([], self::attempt(), false, [], FeedbackPhrases::of([]), []);

        self::assertStringContainsString(
            'Nothing: all that could be checked is as it was asked.',
            (new FeedbackHtml)->write('x', $feedback),
        );
    }
}
