<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;

/** What has become of the frames of each part and pass since the check before. */
final readonly class FrameComparison
{
    private const KINDS = [
        'come' => 'come', 'gone' => 'gone', 'whole' => 'whole now', 'damaged' => 'damaged now',
        'rerender' => 'still to be rendered',
    ];

    /**
     * @param  list<array{part: string, pass: string, come: string, gone: string, whole: string, damaged: string,
     *   rerender: string}>  $sequences
     */
    private function __construct(private array $sequences) {}

    /**
     * @param  array<string, mixed>  $now  a `plain-ledger/check` document
     * @param  array<string, mixed>  $before
     */
    public static function of(array $now, array $before): self
    {
        $earlier = self::byPass($before);
        $sequences = [];
        foreach (self::byPass($now) as $key => $own) {
            $was = $earlier[$key] ?? null;
            if ($was === null) {
                continue;
            }
            [$part, $pass] = explode("\t", $key);
            $both = $own['present']->and($was['present']);
            $told = [
                'come' => $own['present']->minus($was['present']),
                'gone' => $was['present']->minus($own['present']),
                'whole' => $was['damaged']->minus($own['damaged'])->and($both),
                'damaged' => $own['damaged']->minus($was['damaged']),
                'rerender' => $own['rerender'],
            ];
            $sequences[] = ['part' => $part, 'pass' => $pass, ...array_map(strval(...), $told)];
        }

        return new self($sequences);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, array{present: FrameRange, damaged: FrameRange, rerender: FrameRange}>
     */
    private static function byPass(array $document): array
    {
        $passes = [];
        $all = is_array($document['sequences'] ?? null) ? $document['sequences'] : [];
        foreach (array_filter($all, is_array(...)) as $sequence) {
            $key = self::text($sequence, 'part')."\t".self::text($sequence, 'pass');
            // what no part asks for has none
            if ($key[0] !== "\t") {
                $passes[$key] ??= [
                    'present' => self::range($sequence, 'present'),
                    'damaged' => self::range($sequence, 'damaged'),
                    'rerender' => self::range($sequence, 'rerender'),
                ];
            }
        }

        return $passes;
    }

    /** @param  array<mixed>  $sequence */
    private static function text(array $sequence, string $key): string
    {
        return is_string($sequence[$key] ?? null) ? $sequence[$key] : '';
    }

    /** @param  array<mixed>  $sequence */
    private static function range(array $sequence, string $key): FrameRange
    {
        $text = self::text($sequence, $key);
        try {
            return $text === '' ? FrameRange::none() : FrameRange::parse($text);
        } catch (NotUnderstood) {
            return FrameRange::none();
        }
    }

    /** @return list<array<string, string>> */
    public function toArray(): array
    {
        return $this->sequences;
    }

    /** @return list<string> */
    public function sentences(): array
    {
        $sentences = [];
        foreach ($this->sequences as $sequence) {
            $of = $sequence['part'].($sequence['pass'] === '' ? '' : ", {$sequence['pass']}");
            foreach (self::KINDS as $key => $word) {
                if ($sequence[$key] !== '') {
                    $sentences[] = "Frames of {$of}, {$word}: {$sequence[$key]}";
                }
            }
        }

        return $sentences;
    }
}
