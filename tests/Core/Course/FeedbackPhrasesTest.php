<?php

declare(strict_types=1);

namespace Tests\Core\Course;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Course\FeedbackPhrases;
use PlainLedger\Core\Course\NextTime;
use PlainLedger\Core\Diagnosis\CauseId;

final class FeedbackPhrasesTest extends TestCase
{
    public function test_each_cause_has_a_sentence_of_its_own_that_ends(): void
    {
        $causes = array_column(CauseId::cases(), 'value');
        self::assertSame([], array_diff($causes, NextTime::causes()));
        self::assertSame([], array_diff(NextTime::causes(), $causes));
        foreach ($causes as $cause) {
            self::assertMatchesRegularExpression('~^\p{Lu}.{20,110}\.$~u', (string) NextTime::for($cause), $cause);
        }
    }

    public function test_a_course_has_words_of_its_own(): void
    {
        $phrases = FeedbackPhrases::of([
            'cut-short' => '  Look at chapter 3.  ',
            'pass-short' => '',
            'leftovers' => NextTime::for('leftovers'),
            'no-such-cause' => 'nothing',
            'black-frames' => ['no text'],
            'index-last' => str_repeat('x', 700),
        ]);

        self::assertSame('Look at chapter 3.', $phrases->for('cut-short'));
        self::assertSame(NextTime::for('pass-short'), $phrases->for('pass-short'));
        self::assertNull($phrases->for('no-such-cause'));
        self::assertSame(['cut-short', 'index-last'], array_keys($phrases->own));
        self::assertSame(FeedbackPhrases::LONGEST, mb_strlen($phrases->own['index-last']));
    }
}
