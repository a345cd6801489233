<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use Brick\Math\BigRational;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Values\Scalar;

/** A picture that was approved for one frame, and how far the frame may be from it on the mean of its pixels. */
final readonly class ApprovedPicture
{
    private const BETWEEN = '~\s*;\s*(?=(?:frame\s+)?-?\d+\s*[:=\s])~i';

    /** One step of eight bits: what saving in another format may change. */
    private const TOLERANCE = '1/255';

    /** Each is decoded before the frames are looked at. */
    private const MOST = 50;

    private function __construct(public int $frame, public string $picture, public BigRational $tolerance) {}

    /**
     * One text for each picture that is approved: its frame, its path and its tolerance as JSON.
     *
     * @return non-empty-list<string>
     *
     * @throws NotUnderstood
     */
    public static function canonical(mixed $json): array
    {
        if (is_string($json) && ! str_starts_with(trim($json), '{')) {
            $json = preg_split(self::BETWEEN, trim($json), -1, PREG_SPLIT_NO_EMPTY) ?: $json;
        }
        $one = is_array($json) && isset($json['value']) ? $json['value'] : $json;
        $list = is_array($json) && array_is_list($json) ? $json : [$one];
        if ($list === [] || count($list) > self::MOST) {
            $many = number_format(count($list));
            throw NotUnderstood::because($list === []
                ? 'the list of approved pictures is empty.'
                : 'at most '.self::MOST." frames have an approved picture, and these are {$many}.");
        }

        return array_map(self::text(...), $list);
    }

    private static function text(mixed $told): string
    {
        $one = is_string($told) ? self::decoded($told) : $told;
        [$frame, $picture] = is_array($one) ? [$one['frame'] ?? null, $one['picture'] ?? null] : [null, null];
        $isFrame = $frame !== null && preg_match('~^-?\d{1,9}$~', Scalar::text($frame)) === 1;
        if (! is_array($one) || ! $isFrame || ! is_string($picture) || trim($picture) === '') {
            throw NotUnderstood::because(
                'an approved picture is written as {"frame": 1024, "picture": "approved/1024.png", "tolerance": '
                    .'"4/255"}, '
                    .'or “frame 1024: approved/1024.png, tolerance 4/255”, and '
                        .JsonDocument::typeOf($one)
                        .' stands there.',
            );
        }
        $tolerance = Tolerance::canonical(Scalar::text($one['tolerance'] ?? self::TOLERANCE));

        return (string) json_encode(
            ['frame' => (int) Scalar::text($frame), 'picture' => trim($picture), 'tolerance' => $tolerance],
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    private static function decoded(string $text): mixed
    {
        return str_starts_with(trim($text), '{') ? json_decode($text, true) : self::spoken($text);
    }

    /** @return array<string, string>|null */
    private static function spoken(string $text): ?array
    {
        if (
            preg_match(
                '~^\s*(?:frame\s+)?(-?\d{1,9})\s*[:=]?\s+(.+?)(?:,\s*(?:tolerance|within)\s+(\S+))?\s*$~i',
                $text,
                $m,
            ) !== 1
        ) {
            return null;
        }

        return ['frame' => $m[1], 'picture' => $m[2]] + (isset($m[3]) ? ['tolerance' => $m[3]] : []);
    }

    /** @return list<self> */
    public static function listOf(RequirementValue $value): array
    {
        return array_map(self::of(...), $value->values);
    }

    /** One canonical text. */
    public static function of(string $text): self
    {
        /** @var array{frame: int, picture: string, tolerance: string} $data */
        $data = json_decode($text, true);

        return new self($data['frame'], $data['picture'], Fraction::parse($data['tolerance']));
    }

    /** @return array<int, string> the picture of each frame that any part is asked to agree with */
    public static function in(Specification $specification): array
    {
        $all = [];
        foreach ($specification->parts as $part) {
            foreach ([$part->requirements, ...array_values($part->ofPasses)] as $requirements) {
                foreach (isset($requirements[RequirementId::CONTENT_REFERENCE]) ? self::listOf(
                    $requirements[RequirementId::CONTENT_REFERENCE]->value,
                ) : [] as $approved) {
                    $all[$approved->frame] ??= $approved->picture;
                }
            }
        }

        return $all;
    }

    /** As it would be typed. */
    public function typed(): string
    {
        return "frame {$this->frame}: {$this->picture}, tolerance ".Fraction::write($this->tolerance);
    }

    public function spokenOf(): string
    {
        return "frame {$this->frame} as {$this->picture}, within ".Tolerance::spoken($this->tolerance);
    }
}
