<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Json\CanonicalJson;

/**
 * By which submission each file was signed for the first time as it is now. What is asked otherwise since was signed
 * for something else, so that it all begins anew; and so it does after one that was withdrawn.
 */
final readonly class Approvals
{
    /**
     * @param  array<array-key, int>  $numbers  of the submission, by path as it is now; none for those that are new
     * @param  array<int, array{by: string, at: string}>  $who  by number
     */
    private function __construct(public array $numbers, private array $who) {}

    public static function none(): self
    {
        return new self([], []);
    }

    /**
     * What stays of those of a record that stands.
     *
     * @param  array<string, mixed>  $asked  what is asked now, as a specification document
     */
    public static function staying(SubmissionRecord $before, Redelivery $since, array $asked): self
    {
        $then = is_array($before->data['asked'] ?? null) ? $before->data['asked'] : [];
        if (! $since->isExact || CanonicalJson::write($then) !== CanonicalJson::write(self::plain($asked))) {
            return self::none();
        }
        $first = $before->firstSigned();
        $names = array_combine(array_column($since->renamed, 1), array_column($since->renamed, 0));
        $numbers = [];
        foreach ($since->unchanged() as $path) {
            $numbers[$path] = $first[$names[$path] ?? $path] ?? $before->number();
        }
        $who = $before->approvedBy();

        return new self($numbers, array_intersect_key($who, array_flip($numbers)));
    }

    /**
     * @param  list<string>  $paths  all that are signed now
     * @return list<array<string, mixed>> who signed which of them first, the oldest first
     */
    public function toArray(array $paths, int $number, string $by, string $at): array
    {
        $files = [];
        foreach ($paths as $path) {
            $files[$this->numbers[$path] ?? $number][] = $path;
        }
        ksort($files);
        $who = $this->who + [$number => ['by' => $by, 'at' => $at]];
        $told = [];
        foreach ($files as $one => $those) {
            $told[] = [
                'number' => $one, 'signed_by' => $who[$one]['by'] ?? '', 'signed_at' => $who[$one]['at'] ?? '',
                'files' => count($those), 'names' => array_map(SubmissionRecord::written(...), PathRuns::of($those)),
            ];
        }

        return $told;
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<mixed> as it is read again from a record
     */
    private static function plain(array $data): array
    {
        $plain = json_decode(json_encode($data, JSON_PRESERVE_ZERO_FRACTION | JSON_INVALID_UTF8_SUBSTITUTE
            | JSON_THROW_ON_ERROR), true, 512, JSON_BIGINT_AS_STRING | JSON_THROW_ON_ERROR);

        return is_array($plain) ? $plain : [];
    }
}
