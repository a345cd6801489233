<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Text\Text;

/** The named attributes of one OpenEXR header. */
final readonly class ExrAttributes
{
    private const MOST = 5000;

    /** Larger ones (previews, manifests) are skipped without being read, in bytes. */
    private const LARGEST = 65536;

    private const MOST_TEXTS = 60;

    private const NEEDED = ['channels', 'compression', 'dataWindow', 'displayWindow'];

    /**
     * @param  array<array-key, array{string, string}>  $all  type and bytes, by name
     * @param  int  $end  where the header ends
     * @param  array<array-key, array{int, int}>  $places  where the value of each stands, and its length, by name
     */
    private function __construct(private array $all, public int $end, public array $places) {}

    /** @throws FileDamaged */
    public static function read(HeaderBytes $bytes, int $at): self
    {
        [$all, $places] = [[], []];
        while (true) {
            [$name, $at] = $bytes->text($at);
            if ($name === '') {
                break;
            }
            [$type, $at] = $bytes->text($at);
            $length = ExrHeader::int($bytes->take($at, 4), 0);
            if ($length < 0) {
                throw FileDamaged::header('the attribute “'.Text::shown($name).'” names an impossible length');
            }
            $all[$name] = [$type, $length <= self::LARGEST ? $bytes->take($at + 4, $length) : ''];
            $places[$name] = [$at + 4, $length];
            $bytes->skip($at + 4, $length);
            $at += 4 + $length;
            if (count($all) > self::MOST) {
                throw FileDamaged::header('it has more than 5000 attributes');
            }
        }

        return new self(self::complete($all), $at, $places);
    }

    /**
     * @param  array<array-key, array{string, string}>  $all
     * @return array<array-key, array{string, string}>
     */
    private static function complete(array $all): array
    {
        foreach (self::NEEDED as $needed) {
            if (! isset($all[$needed])) {
                throw FileDamaged::header("the header lacks “{$needed}”");
            }
        }

        return $all;
    }

    /** The bytes of one; empty where there is none. */
    public function bytes(string $name): string
    {
        return $this->all[$name][1] ?? '';
    }

    public function has(string $name): bool
    {
        return isset($this->all[$name]);
    }

    public function int(string $name): ?int
    {
        return strlen($this->bytes($name)) === 4 ? ExrHeader::int($this->bytes($name), 0) : null;
    }

    /** Null for what is no number, too. */
    public function float(string $name): ?float
    {
        if (strlen($this->bytes($name)) < 4) {
            return null;
        }
        /** @var array{1: float} $value */
        $value = unpack('g', $this->bytes($name));

        return is_finite($value[1]) ? $value[1] : null;
    }

    /** @return array<string, string> every text but the part's type, by name */
    public function texts(): array
    {
        $texts = [];
        $isLatin = false;
        foreach ($this->all as $name => [$type, $value]) {
            if ($type === 'string' && $name !== 'type' && count($texts) < self::MOST_TEXTS) {
                $isLatin = $isLatin || ! mb_check_encoding($value, 'UTF-8');
                $texts[Text::named((string) $name)] = mb_strcut(Text::named($value), 0, 400);
            }
        }

        return $texts + ($isLatin ? ['texts' => 'no UTF-8, read as Latin-1'] : []);
    }

    /** No standard names the number of a frame; writers keep it as a number or as text. */
    public function frameNumber(): ?int
    {
        foreach ($this->all as $name => [$type, $value]) {
            $plain = strtolower((string) preg_replace('~[^A-Za-z]~', '', (string) $name));
            if (! in_array($plain, ['frame', 'framenumber', 'imageframe'], true)) {
                continue;
            }
            if ($type === 'int' && strlen($value) === 4) {
                return ExrHeader::int($value, 0);
            }
            if ($type === 'string' && preg_match('~^\s*(-?\d{1,9})\s*$~', $value, $m) === 1) {
                return (int) $m[1];
            }
        }

        return null;
    }
}
