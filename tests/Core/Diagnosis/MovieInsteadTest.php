<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Support\Workbench;

/** A movie where frames are asked: they are taken out of it where it has them all, and rendered where it has not. */
final class MovieInsteadTest extends TestCase
{
    private const RIGHT = [
        'time.range' => '1-12', 'picture.resolution' => '64x36', 'format.kind' => 'png',
        'naming.pattern' => 'TC_010.{frame:4}.{ext}',
    ];

    /** @return iterable<string, array{string, array<string, mixed>, bool}> the movie; what is asked; it has them all */
    public static function movies(): iterable
    {
        yield 'lossless' => ['png.mov', [], true];
        yield 'lossless, with the alpha that is asked' => ['png.mov', ['format.alpha' => 'any'], true];
        yield 'lossless, of too few pictures' => ['png.mov', ['time.range' => '1-24'], false];
        yield 'lossless, of another size' => ['png.mov', ['picture.resolution' => '128x72'], false];
        yield 'lossless, of too few bits' => ['png.mov', ['format.bit_depth' => 16], false];
        yield 'lossless, and floats are asked' => ['png.mov', ['format.sample' => 'float'], false];
        yield 'lossless, without the alpha that is asked' => ['raw.avi', ['format.alpha' => 'any'], false];
        yield 'lossy' => ['hq.mov', [], false];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('movies')]
    public function test_frames_are_taken_out_where_nothing_was_lost(string $movie, array $more, bool $hasAll): void
    {
        $end = pathinfo($movie, PATHINFO_EXTENSION);
        $bytes = (string) file_get_contents(dirname(__DIR__, 2)."/fixtures/movies/{$movie}");
        $document = (new Workbench)->put("TC_010.{$end}", $bytes)
            ->check(Workbench::specification($more + self::RIGHT));

        self::assertSame('movie-instead-of-frames', $document['causes'][0]['id']);
        $kinds = array_column($document['fixes'], 'kind');
        self::assertSame($hasAll, in_array('encode', $kinds, true), implode(', ', $kinds));
        self::assertSame(! $hasAll, in_array('render', $kinds, true), implode(', ', $kinds));
        self::assertContains('set-aside', $kinds);
        $says = implode(' ', array_column($document['fixes'], 'says'));
        self::assertSame($hasAll, str_contains($says, "Take the pictures out of TC_010.{$end} as png frames 1-12"));
    }
}
