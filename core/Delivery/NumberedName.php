<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** A name taken apart at its numbers. */
final readonly class NumberedName
{
    /** Longer runs of digits are text: no frame number has so many. */
    public const MOST_DIGITS = 17;

    /**
     * @param  non-empty-list<string>  $literals  one more than there are numbers
     * @param  list<string>  $numbers  a dash that stands after no letter or digit is a sign
     */
    private function __construct(public array $literals, public array $numbers) {}

    public static function of(string $name): self
    {
        // the digit of an extension (`mp4`) counts nothing
        $extension = preg_match('~\.[A-Za-z][A-Za-z0-9]{0,4}$~', $name, $m) === 1 ? $m[0] : '';
        $plain = substr($name, 0, strlen($name) - strlen($extension));
        $number = '~((?:(?<![0-9A-Za-z\x80-\xFF])-)?\d+)~';
        $parts = preg_split($number, $plain, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [''];
        $parts[count($parts) - 1] .= $extension;
        $literals = [$parts[0]];
        $numbers = [];
        for ($i = 1, $many = count($parts); $i < $many; $i += 2) {
            if (strlen($parts[$i]) > self::MOST_DIGITS) {
                $literals[count($literals) - 1] .= $parts[$i].$parts[$i + 1];
            } else {
                $numbers[] = $parts[$i];
                $literals[] = $parts[$i + 1];
            }
        }

        return new self($literals, $numbers);
    }
}
