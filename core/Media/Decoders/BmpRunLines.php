<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

/** Lines of a BMP's palette numbers out of run lengths of four or eight bits; what none of them reaches is zero. */
final readonly class BmpRunLines
{
    /** @return list<string> whole lines as they would stand unpacked */
    public static function unpack(string $packed, int $width, int $height, int $bits): array
    {
        $lines = [];
        $line = '';
        $fill = static fn (string $line): string => str_pad(substr($line, 0, $width), $width, "\0");
        for ($at = 0, $end = strlen($packed); $at + 1 < $end && count($lines) < $height;) {
            [$count, $what] = [ord($packed[$at]), ord($packed[$at + 1])];
            $at += 2;
            if ($count > 0) {
                $line .= self::repeated($what, $count, $bits);
            } elseif ($what === 0) {
                $lines[] = $fill($line);
                $line = '';
            } elseif ($what === 1) {
                break;
            } elseif ($what === 2) {
                [$across, $down] = [ord($packed[$at] ?? "\0"), ord($packed[$at + 1] ?? "\0")];
                $x = strlen($line) + $across;
                for (; $down > 0 && count($lines) < $height; $down--) {
                    $lines[] = $fill($line);
                    $line = '';
                }
                $line = str_pad($line, min($x, $width), "\0");
                $at += 2;
            } else {
                $bytes = intdiv($what * $bits + 7, 8);
                $line .= substr(self::numbers(substr($packed, $at, $bytes), $bits), 0, $what);
                $at += $bytes + $bytes % 2;
            }
        }
        $lines[] = $fill($line);
        $lines = array_pad(array_slice($lines, 0, $height), $height, str_repeat("\0", $width));

        return $bits === 8 ? $lines : array_map(self::halves(...), $lines);
    }

    private static function repeated(int $what, int $count, int $bits): string
    {
        $pair = $bits === 8 ? chr($what) : chr($what >> 4).chr($what & 15);

        return substr(str_repeat($pair, $count), 0, $count);
    }

    /** One byte each. */
    private static function numbers(string $bytes, int $bits): string
    {
        return $bits === 8 ? $bytes : (string) hex2bin((string) preg_replace('~.~', '0$0', bin2hex($bytes)));
    }

    /** Two in a byte again. */
    private static function halves(string $line): string
    {
        $line .= strlen($line) % 2 === 0 ? '' : "\0";

        return (string) hex2bin((string) preg_replace('~.(.)~', '$1', bin2hex($line)));
    }
}
