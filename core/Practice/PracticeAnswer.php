<?php

declare(strict_types=1);

namespace PlainLedger\Core\Practice;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;

/** What somebody says is the matter with an exercise's delivery. */
final readonly class PracticeAnswer
{
    public const FORMAT = 'plain-ledger/practice-answer';

    /**
     * @param  list<string>  $lines  ids of requirements that differ
     * @param  list<string>  $causes  their ids
     * @param  array<string, FrameRange>  $render  frames to render again, by part; `""` where there is one part
     */
    public function __construct(
        public bool $balances,
        public array $lines,
        public array $causes,
        public array $render,
    ) {}

    /** @throws JsonRefused */
    public static function read(string $text, string $label): self
    {
        $document = JsonDocument::parse($text, $label, self::FORMAT);

        return new self(
            ($document->data['balances'] ?? false) === true,
            self::words($document, 'lines'),
            self::words($document, 'causes'),
            self::frames($document),
        );
    }

    /**
     * @return list<string> each once
     *
     * @throws JsonRefused
     */
    private static function words(JsonDocument $document, string $key): array
    {
        $words = [];
        foreach (is_array($document->data[$key] ?? []) ? $document->data[$key] ?? [] : [null] as $word) {
            if (! is_string($word)) {
                throw JsonRefused::because($document->label, "\"{$key}\" must be a list of ids.");
            }
            $words[$word] = $word;
        }

        return array_values($words);
    }

    /**
     * @return array<string, FrameRange>
     *
     * @throws JsonRefused
     */
    private static function frames(JsonDocument $document): array
    {
        $told = $document->data['render'] ?? '';
        $frames = [];
        foreach (is_array($told) ? $told : ['' => $told] as $part => $text) {
            try {
                $frames[(string) $part] = is_string($text) && trim($text) !== ''
                    ? FrameRange::parse($text)
                    : FrameRange::none();
            } catch (NotUnderstood $no) {
                throw JsonRefused::because($document->label, "\"render\": {$no->getMessage()}", $no);
            }
        }

        return array_filter($frames, static fn (FrameRange $range): bool => ! $range->isEmpty());
    }
}
