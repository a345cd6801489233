<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;
use PlainLedger\Core\Media\ByteSource;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/** Some bytes of a movie, as players ask for them (RFC 9110, 14): one range, never more of it than a piece. */
final readonly class MovieStream
{
    /** So that nobody who watches slowly keeps a worker for long. */
    private const PIECE = 4 << 20;

    public static function of(ByteSource $source, string $type, ?string $range): Response
    {
        $size = $source->size();
        [$from, $to] = self::asked($range ?? 'bytes=0-', $size);
        if ($from === null || $size === 0) {
            return response('', AnyResponse::HTTP_REQUESTED_RANGE_NOT_SATISFIABLE)
                ->header('Content-Range', "bytes */{$size}");
        }
        $to = min($to, $from + self::PIECE - 1);

        return response($source->read($from, $to - $from + 1), AnyResponse::HTTP_PARTIAL_CONTENT)
            ->header('Content-Type', $type)
            ->header('Content-Range', "bytes {$from}-{$to}/{$size}")
            ->header('Accept-Ranges', 'bytes')
            ->header('Cache-Control', 'private, max-age=600');
    }

    /** @return array{int|null, int} the first byte and the last; null where there is none of these */
    private static function asked(string $range, int $size): array
    {
        if (preg_match('~^bytes=(\d{0,18})-(\d{0,18})$~D', trim($range), $m) !== 1 || $m[1].$m[2] === '') {
            return [0, $size - 1];
        }
        if ($m[1] === '') {
            // so many from the end
            return [max(0, $size - (int) $m[2]), $size - 1];
        }
        $to = $m[2] === '' ? $size - 1 : min((int) $m[2], $size - 1);

        return (int) $m[1] > $to ? [null, 0] : [(int) $m[1], $to];
    }
}
