<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

/**
 * Which deliverable a scene belongs to, by the code of the shot or the learner's name in what the scene says of itself.
 * A word counts where it stands alone between separators; of two that hold, one within the other, the longer is meant.
 */
final readonly class SceneOwnership
{
    /** @param  list<OwnerCandidate>  $owed */
    public function __construct(private array $owed) {}

    /**
     * Those it can belong to: one where that is plain, several where it must be asked, none where nothing tells.
     *
     * @param  list<string>  $whose  what it says of itself, the plainest first
     * @return list<OwnerCandidate>
     */
    public function of(array $whose): array
    {
        foreach ($whose as $text) {
            $exact = $this->those(fn (OwnerCandidate $o): bool => $this->isCalled($o, $text));
            $found = $exact === [] ? $this->named($text) : $exact;
            if ($found !== []) {
                return $found;
            }
        }

        return [];
    }

    private function isCalled(OwnerCandidate $candidate, string $text): bool
    {
        $names = array_filter([$candidate->code, $candidate->learner, $candidate->owner], is_string(...));

        return array_filter($names, fn (string $name): bool => $this->same($text, $name)) !== [];
    }

    /**
     * Those whose code or learner stands in a text; code and learner together say more than either.
     *
     * @return list<OwnerCandidate>
     */
    private function named(string $text): array
    {
        $byCode = $this->longest(
            $this->those(fn (OwnerCandidate $o): bool => $this->within($o->code, $text)),
            static fn (OwnerCandidate $o): string => $o->code,
        );
        $byLearner = $this->longest(
            $this->those(fn (OwnerCandidate $o): bool => $o->learner !== null && $this->within($o->learner, $text)),
            static fn (OwnerCandidate $o): string => (string) $o->learner,
        );
        $both = array_filter($byCode, static fn (OwnerCandidate $o): bool => in_array($o, $byLearner, true));
        $found = array_values(array_values(array_filter([$both, $byCode, $byLearner]))[0] ?? []);
        if (count($found) < 2) {
            return $found;
        }
        $spoken = array_values(array_filter($found, fn (OwnerCandidate $o): bool => $this->allWords($o->code, $text)));

        return $spoken === [] ? $found : $spoken;
    }

    /**
     * @param  \Closure(OwnerCandidate): bool  $holds
     * @return list<OwnerCandidate>
     */
    private function those(\Closure $holds): array
    {
        return array_values(array_filter($this->owed, $holds));
    }

    /**
     * @param  list<OwnerCandidate>  $found
     * @param  \Closure(OwnerCandidate): string  $word
     * @return list<OwnerCandidate>
     */
    private function longest(array $found, \Closure $word): array
    {
        return array_values(array_filter($found, function (OwnerCandidate $o) use ($found, $word): bool {
            foreach ($found as $other) {
                if (strlen($word($other)) > strlen($word($o)) && $this->within($word($o), $word($other))) {
                    return false;
                }
            }

            return true;
        }));
    }

    /** Each word of the code stands somewhere in the text. */
    private function allWords(string $code, string $text): bool
    {
        return array_diff(explode(' ', $this->plain($code)), explode(' ', $this->plain($text))) === [];
    }

    private function same(string $a, string $b): bool
    {
        return $this->plain($a) === $this->plain($b);
    }

    private function within(string $word, string $text): bool
    {
        $plain = $this->plain($word);

        return $plain !== '' && str_contains(" {$this->plain($text)} ", " {$plain} ");
    }

    /** Small letters and digits, each run of anything else one space. */
    private function plain(string $text): string
    {
        return trim((string) preg_replace('~[^\p{L}\p{N}]+~u', ' ', mb_strtolower(mb_scrub($text))));
    }
}
