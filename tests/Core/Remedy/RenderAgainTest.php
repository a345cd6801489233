<?php

declare(strict_types=1);

namespace Tests\Core\Remedy;

use PHPUnit\Framework\TestCase;
use Tests\Core\Support\Workbench;

/** Frames that are rendered once more come out as they are set and named by then: both are told. */
final class RenderAgainTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $asked
     * @return list<string>
     */
    private static function told(array $asked, string $fixture): array
    {
        $bytes = (string) file_get_contents(dirname(__DIR__, 2)."/fixtures/stills/{$fixture}");
        $bench = new Workbench;
        foreach ([1, 2, 3] as $frame) {
            $bench->put("still_000{$frame}.tif", $bytes);
        }
        $asked += ['time.range' => '1-3', 'format.kind' => 'tiff', 'naming.pattern' => 'still_{frame:4}.tif'];

        return array_map(
            static fn (array $fix): string => $fix['kind'].' '.($fix['id'] ?? $fix['frames']),
            $bench->check(Workbench::specification($asked))['fixes'],
        );
    }

    public function test_what_would_be_saved_again_is_set_where_it_is_rendered_anyway(): void
    {
        $asked = ['format.compression' => 'lzw', 'picture.resolution' => '132x76'];
        self::assertSame(
            ['set picture.scale', 'set format.compression', 'render 1-3'],
            self::told($asked, 'ffmpeg-deflate.tif'),
        );
        unset($asked['picture.resolution']);
        self::assertSame(['encode format.compression'], self::told($asked, 'ffmpeg-deflate.tif'));
    }

    public function test_what_is_rendered_is_told_its_name_where_names_are_wrong(): void
    {
        foreach (['still-0' => ', named still_####.png.', 'still_000' => '.'] as $name => $ends) {
            $bench = new Workbench;
            foreach ([1, 2, 3, 5, 6] as $frame) {
                $bench->put("{$name}{$frame}.png", Workbench::png());
            }
            $document = $bench->check(Workbench::specification([
                'time.range' => '1-6', 'format.kind' => 'png', 'naming.pattern' => 'still_{frame:4}.{ext}',
            ]));
            self::assertSame(
                "Render 4, 1 frame{$ends}",
                array_column($document['fixes'], 'says', 'kind')['render'],
            );
        }
    }
}
