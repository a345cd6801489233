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
            $json = preg_split('~\s*;\s*(?=(?:frame\s+)?-?\d+\s*[:=\s])~i', trim($json), -1, PREG_SPLIT_NO_EMPTY)
                ?: $json;
        }
        $list = is_array($json) && array_is_list($json)
            ? $json
            : [is_array($json) && isset($json['value']) ? $json['value'] : $json];
        $texts = [];
        foreach ($list as $one) {
            $one = is_string($one)
                ? (str_starts_with(trim($one), '{') ? json_decode($one, true) : self::spoken($one))
                : $one;
            if (
                ! is_array($one)
                || ! isset($one['frame'], $one['picture'])
                || ! is_string($one['picture'])
                || trim($one['picture']) === ''
                || preg_match('~^-?\d{1,9}$~', Scalar::text($one['frame'])) !== 1
            ) {
                throw NotUnderstood::because(
                    'an approved picture is written as {"frame": 1024, "picture": "approved/1024.png", "tolerance": '
                        .'"4/255"}, or “frame 1024: approved/1024.png, tolerance 4/255”, and '
                        .JsonDocument::typeOf($one)
                        .' stands there.',
                );
            }
            $tolerance = Tolerance::canonical(Scalar::text($one['tolerance'] ?? self::TOLERANCE));
            $texts[] = (string) json_encode(
                [
                    'frame' => (int) Scalar::text($one['frame']),
                    'picture' => trim($one['picture']),
                    'tolerance' => $tolerance,
                ],
                JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
            );
        }

        if (count($texts) > self::MOST) {
            throw NotUnderstood::because(
                'at most '
                    .self::MOST
                    .' frames have an approved picture, and these are '
                    .number_format(count($texts))
                    .'.',
            );
        }

        return $texts === [] ? throw NotUnderstood::because('the list of approved pictures is empty.') : $texts;
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
