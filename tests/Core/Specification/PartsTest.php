<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\PartsEditor;
use PlainLedger\Core\Specification\RevisionDifference;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationRefused;

/** Parts of a specification, added and taken away; two of its revisions beside each other. */
final class PartsTest extends TestCase
{
    private const ONE = [
        'delivers' => 'frames',
        'require' => [
            'picture.resolution' => '1280x720',
            'time.range' => '1-96',
            'format.kind' => 'png',
            'naming.pattern' => '{shot}.{frame:4}.{ext}',
        ],
    ];

    /** @param  array<string, mixed>  $data */
    private static function read(array $data): Specification
    {
        return Specification::draft(new Layer(SetBy::Specification, $data, 'here'))->specification;
    }

    public function test_the_first_part_keeps_what_only_it_can_mean(): void
    {
        $plan = PartsEditor::of(self::ONE)->with('preview', 'movie', 'frames');

        self::assertSame(['picture.resolution' => '1280x720', 'time.range' => '1-96'], $plan->data['require']);
        $read = self::read($plan->data);
        self::assertSame(['frames', 'preview'], array_map(static fn ($p): string => $p->name, $read->parts));
        self::assertSame(
            ['png', null],
            [$read->parts[0]->single('format.kind'), $read->parts[1]->single('format.kind')],
        );
        self::assertSame(
            ['1-96', '1-96', 'frames'],
            [$read->parts[0]->single('time.range'), $read->parts[1]->single('time.range'), $read->parts[1]->madeFrom],
        );
    }

    public function test_a_part_is_renamed_with_what_is_made_from_it(): void
    {
        $plan = PartsEditor::of(self::ONE)->with('preview', 'movie', 'frames')->renamed('frames', 'lit');
        self::assertSame(['lit', 'preview'], array_column((array) $plan->data['parts'], 'name'));
        self::assertSame('lit', self::read($plan->data)->parts[1]->madeFrom);
    }

    public function test_the_only_part_is_renamed_and_loses_nothing(): void
    {
        $read = self::read(PartsEditor::of(self::ONE)->renamed('frames', 'lit')->data);
        self::assertSame('lit', $read->parts[0]->name);
        self::assertSame(
            array_keys(self::read(self::ONE)->parts[0]->requirements),
            array_keys($read->parts[0]->requirements),
        );
    }

    public function test_a_part_is_taken_away(): void
    {
        $plan = PartsEditor::of(self::ONE)->with('preview', 'movie', 'frames')->with('poster', 'still', null);
        self::assertSame(['frames', 'poster'], array_column((array) $plan->without('preview')->data['parts'], 'name'));
    }

    /** @return iterable<string, array{\Closure(PartsEditor): mixed, string}> */
    public static function refusals(): iterable
    {
        yield 'a name that is taken' => [
            static fn (PartsEditor $p): mixed => $p->with('frames', 'movie', null),
            'called “frames” already',
        ];
        yield 'no name' => [static fn (PartsEditor $p): mixed => $p->with('  ', 'movie', null), 'needs a name'];
        yield 'made from nothing that is there' => [
            static fn (PartsEditor $p): mixed => $p->with('x', 'movie', 'nowhere'),
            'no such part',
        ];
        yield 'one that another is made from' => [
            static fn (PartsEditor $p): mixed => $p->with('preview', 'movie', 'frames')->without('frames'),
            'another is made from it',
        ];
        yield 'one that is not there' => [
            static fn (PartsEditor $p): mixed => $p->with('preview', 'movie', null)->without('nowhere'),
            'none called “nowhere”',
        ];
        yield 'the last one' => [
            static fn (PartsEditor $p): mixed => $p->with('preview', 'movie', null)
                ->without('preview')
                ->without('frames'),
            'keeps at least one',
        ];
        yield 'a new name that is taken' => [
            static fn (PartsEditor $p): mixed => $p->with('preview', 'movie', null)->renamed('frames', 'preview'),
            'called “preview” already',
        ];
    }

    #[DataProvider('refusals')]
    public function test_what_cannot_be_is_refused_in_words(\Closure $does, string $says): void
    {
        $this->expectException(SpecificationRefused::class);
        $this->expectExceptionMessage($says);
        $does(PartsEditor::of(self::ONE));
    }

    public function test_two_revisions_line_by_line(): void
    {
        $before = self::read(['title' => 'Lit'] + self::ONE);
        $after = self::read(
            [
                'title' => 'Lit frames',
                'delivers' => 'frames',
                'require' => [
                    'time.range' => '1-96',
                    'format.kind' => ['png', 'tiff'],
                    'naming.pattern' => '{shot}.{frame:4}.{ext}',
                    'render.samples' => ['min' => 64, 'level' => 'should', 'why' => 'noise'],
                ],
            ],
        );

        self::assertSame([], RevisionDifference::between($before, $before));
        self::assertSame([
            ['', 'the title', 'Lit', 'Lit frames'],
            ['frames', 'Resolution', '1280x720', null],
            ['frames', 'Samples', null, '>= 64 (should), noise'],
            ['frames', 'Format', 'png', 'png | tiff'],
        ], array_map(
            static fn (array $l): array => [$l['part'], $l['label'], $l['from'], $l['to']],
            RevisionDifference::between($before, $after),
        ));
        $parted = self::read(PartsEditor::of(self::ONE)->with('preview', 'movie', 'frames')->data);
        $lines = RevisionDifference::between(self::read(self::ONE), $parted);
        self::assertSame(
            ['preview', 'the part', null, 'movie'],
            [$lines[0]['part'], $lines[0]['label'], $lines[0]['from'], $lines[0]['to']],
        );
    }

    public function test_a_changed_pass_of_its_own_is_seen(): void
    {
        $with = static fn (string $channels): Specification => self::read(
            [
                'delivers' => 'frames',
                'require' => [
                    'passes' => ['beauty', ['name' => 'mist', 'require' => ['format.channels' => $channels]]],
                ],
            ],
        );
        $lines = RevisionDifference::between($with('Y'), $with('RGB'));
        self::assertCount(1, $lines);
        self::assertStringContainsString('"format.channels":"Y"', (string) $lines[0]['from']);
    }
}
